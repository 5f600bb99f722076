import { useContext, useEffect, useRef, useState, type CSSProperties } from 'react';
import type { NoteLayout, NoteView } from '../../../../core/widgets/note/work.ts';
import type { Rect } from '../../../../core/values/geometry.ts';
import { chosenFont } from '../../../../core/kinds/options.ts';
import { Actions, WidgetId, type Typing } from '../../actions.ts';
import { familyOf, paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: NoteView;
  layout: NoteLayout;
}

/** Marks, boxes to tick, and lines beneath the letters. */
function Note({ view, layout: { ticks, dots, rules, edge } }: Props) {
  const actions = useContext(Actions);
  const widget = useContext(WidgetId);
  const colour = paint(view.marks);
  return (
    <>
      {actions && widget !== null && <Paper view={view} onWrite={() => actions.write(widget)} />}
      {rules.map((rect, index) => (
        <div key={index} style={{ ...placeOf(rect), background: 'var(--ink)', opacity: 0.18 }} />
      ))}
      {edge && edge.width <= 3 && (
        <div style={{ ...placeOf(edge), background: colour }} className="rounded-full" />
      )}
      {edge && edge.width > 3 && (
        <svg style={placeOf(edge)} viewBox="0 0 10 10" aria-hidden>
          <path d="M10 0L0 10V1.6Q0 0 1.6 0Z" fill={colour} opacity={0.55} />
        </svg>
      )}
      {dots.map((rect, index) => (
        <div key={index} style={{ ...placeOf(rect), background: colour }} className="rounded-full" />
      ))}
      {ticks.map(({ rect, isTicked, title }, index) => (
        <Tick
          key={index}
          title={title}
          isTicked={isTicked}
          colour={colour}
          rect={rect}
          onTick={actions && widget !== null ? () => actions.act(widget, 'tick', index) : null}
        />
      ))}
    </>
  );
}

/** Px around the words that are the note's, too. */
const AROUND = 8;

/** In use, a press anywhere on a note writes in it; Escape gives up what was written, a press elsewhere keeps it. */
function Paper({ view: { size, type }, onWrite }: { view: NoteView; onWrite: () => Promise<Typing | null> }) {
  const [typing, setTyping] = useState<Typing | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  // The focus goes back to the paper where it was left by a key.
  const isBack = useRef(false);
  useEffect(() => {
    if (!typing && isBack.current) button.current?.focus({ preventScroll: true });
    isBack.current = false;
  }, [typing]);
  const style: CSSProperties = { position: 'absolute', inset: -AROUND };
  if (!typing)
    return (
      <button
        ref={button}
        type="button"
        aria-label="Write in the note"
        className="z-10 cursor-text rounded-md outline-(--accent) focus-visible:outline-2"
        style={style}
        onClick={() => void onWrite().then(setTyping)}
      />
    );
  return (
    <Field
      typing={typing}
      style={{ ...style, padding: AROUND, fontSize: size, fontFamily: familyOf(chosenFont(type, 'text')) }}
      onLeave={(byKey) => {
        isBack.current ||= byKey;
        setTyping(null);
      }}
    />
  );
}

function Field({
  typing,
  style,
  onLeave,
}: {
  typing: Typing;
  style: CSSProperties;
  onLeave: (byKey: boolean) => void;
}) {
  const field = useRef<HTMLTextAreaElement>(null);
  // What is typed stands here: a blank at the end changes nothing that is seen.
  const [text, setText] = useState(typing.text);
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
    const leave = () => typing.end(true);
    addEventListener('pagehide', leave);
    return () => {
      removeEventListener('pagehide', leave);
      leave();
    };
  }, [typing]);
  return (
    <textarea
      ref={field}
      aria-label="What the note says"
      value={text}
      maxLength={typing.most}
      spellCheck={false}
      className="z-20 resize-none touch-auto select-text rounded-md leading-normal outline-2 outline-(--accent)"
      style={{
        ...style,
        width: `calc(100% + ${2 * AROUND}px)`,
        height: `calc(100% + ${2 * AROUND}px)`,
        background: 'var(--paper)',
        color: 'var(--ink)',
      }}
      onChange={({ target }) => {
        setText(target.value);
        typing.put(target.value);
      }}
      onBlur={() => onLeave(false)}
      onKeyDown={(event) => {
        event.stopPropagation();
        const isDone = event.key === 'Enter' && (event.ctrlKey || event.metaKey);
        if (event.key === 'Escape') typing.end(false);
        if (!isDone && event.key !== 'Escape') return;
        event.preventDefault();
        onLeave(true);
      }}
    />
  );
}

/** Px of a box to tick with what is pressed around it: a finger finds it on a desk that is shown smaller, too. */
const PRESSED = 36;

function around({ x, y, width, height }: Rect): Rect {
  const [across, down] = [Math.max(0, PRESSED - width) / 2, Math.max(0, PRESSED - height) / 2];
  return { x: x - across, y: y - down, width: width + 2 * across, height: height + 2 * down };
}

function Tick({
  title,
  isTicked,
  colour,
  rect,
  onTick,
}: {
  title: string;
  isTicked: boolean;
  colour: string;
  rect: Rect;
  onTick: (() => void) | null;
}) {
  const box = (
    <svg viewBox="0 0 20 20" className="size-full overflow-visible" aria-hidden>
      <rect
        x={1.2}
        y={1.2}
        width={17.6}
        height={17.6}
        rx={5}
        fill={isTicked ? colour : 'none'}
        stroke={colour}
        strokeWidth={2}
      />
      {isTicked && (
        <path
          d="M5.4 10.4l3.2 3.2 6-7"
          fill="none"
          stroke="var(--on-accent)"
          strokeWidth={2.4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
    </svg>
  );
  return onTick ? (
    <button
      type="button"
      role="checkbox"
      aria-checked={isTicked}
      aria-label={title}
      style={placeOf(around(rect))}
      className="panel-press z-10 grid place-items-center rounded-md"
      onClick={onTick}
    >
      <span style={{ width: rect.width, height: rect.height }}>{box}</span>
    </button>
  ) : (
    <div style={placeOf(rect)}>{box}</div>
  );
}

export const faces = { plain: Note, leaf: Note, ruled: Note, margin: Note };
