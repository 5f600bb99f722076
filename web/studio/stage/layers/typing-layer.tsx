import { useEffect, useRef, useState, type CSSProperties } from 'react';
import type { Rect } from '../../../../core/values/geometry.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { familyOf } from '../../../render/kit/runs.tsx';
import { typeVariables } from '../../../render/kit/type.ts';
import { useScene } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { startTyping, typedOf, type Typed } from '../../../session/typing.ts';

/** Px of the stage: smaller ones can't be typed in. */
const LEAST = { width: 150, height: 30 };
const LEAST_LETTERS = 12;

/** A field over the part that is typed in, in its own letters. What is typed is seen at once, and is one step in the end. */
export function TypingLayer({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const typing = useView((view) => view.typing);
  const typed = typing === null ? null : typedOf(typing);
  const at = typed && standsAt(screen, typed);
  return typed && at ? <TypingField key={typed.id} typed={typed} at={at} scale={scale} /> : null;
}

interface Stand {
  rect: Rect;
  size: number;
  font: string;
}

function standsAt({ widgets, edges }: SceneScreen, { id }: Typed): Stand | null {
  const widget = widgets.find((one) => one.id === id);
  const item = edges.flatMap(({ items }) => items).find((one) => one.id === id);
  const part = widget ?? item;
  if (!part) return null;
  const [run] = part.layout.runs.toSorted((a, b) => a.size - b.size);
  const font = run?.font ?? 'text';
  return {
    rect: part.rect,
    size: (run?.size ?? 18) * (widget?.scale ?? 1),
    font: familyOf(font),
  };
}

function TypingField({ typed: part, at, scale }: { typed: Typed; at: Stand; scale: number }) {
  const { id, text, isLine, most } = part;
  const field = useRef<HTMLTextAreaElement>(null);
  const fonts = useScene(({ scene }) => scene?.fonts);
  const roles = useScene(({ scene }) => scene?.roles);
  // What is typed stands here: a blank at the end changes nothing that is seen.
  const [typed, setTyped] = useState(text);
  const [typing] = useState(() => startTyping(part));
  useEffect(() => {
    const { current } = field;
    current?.focus();
    current?.select();
    const leave = () => typing.end(true);
    addEventListener('pagehide', leave);
    return () => {
      removeEventListener('pagehide', leave);
      leave();
      if (document.activeElement === current || document.activeElement === document.body)
        document.querySelector<HTMLElement>(`[data-handle="${CSS.escape(id)}"]`)?.focus();
    };
  }, [id, typing]);
  const end = () => useView.setState({ typing: null });
  const put = (next: string) => {
    setTyped(next);
    typing.put(next);
  };
  const { x, y, width, height } = at.rect;
  const style: CSSProperties = {
    ...(fonts ? typeVariables(fonts) : {}),
    left: x * scale,
    top: y * scale,
    width: Math.max(LEAST.width, width * scale + 12),
    height: Math.max(LEAST.height, height * scale + 4),
    fontFamily: at.font,
    fontSize: Math.max(LEAST_LETTERS, at.size * scale),
    background: roles?.surface,
    color: roles?.ink,
  };
  return (
    <textarea
      ref={field}
      aria-label="Words, typed in place"
      value={typed}
      rows={isLine ? 1 : 3}
      maxLength={most}
      spellCheck={false}
      className="absolute z-30 resize-none touch-auto select-text rounded-md p-1.5 leading-snug outline-2 outline-brass shadow-[0_8px_30px_rgb(0_0_0/.4)]"
      style={style}
      onChange={({ target }) => put(isLine ? target.value.replace(/\s*\n\s*/g, ' ') : target.value)}
      onBlur={end}
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation();
        const isDone = event.key === 'Enter' && (isLine || event.ctrlKey || event.metaKey);
        // As it was before: nothing is kept.
        if (event.key === 'Escape') typing.end(false);
        if (!isDone && event.key !== 'Escape') return;
        event.preventDefault();
        end();
      }}
    />
  );
}
