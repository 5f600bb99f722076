import { useEffect, type RefObject } from 'react';
import { fadedTo, grownLine } from '../../../core/arrange/growth.ts';
import type { SceneEdge } from '../../../core/scene/scene.ts';
import { isHorizontal } from '../../../core/values/geometry.ts';

/** How long nothing grows before the dock is drawn as one with the screen again, ms. */
const REST_MS = 160;

/** Toward which side an icon grows from: the one that the dock is at. */
const origins = { top: '50% 0', bottom: '50% 100%', left: '0 50%', right: '100% 50%' } as const;

/**
 * Lets the items of a dock grow under the pointer, a touch or the focus. Nothing is solved or drawn anew: each frame
 * moves what is there.
 */
export function useGrowth(
  box: RefObject<HTMLElement | null>,
  { items, rect, side }: SceneEdge,
  growth: SceneEdge['growth'],
): void {
  useEffect(() => {
    const element = box.current;
    return element && growth ? watchGrowth(element, { items, rect, side }, growth) : undefined;
  }, [box, items, rect, side, growth]);
}

function watchGrowth(
  element: HTMLElement,
  { items, rect, side }: Pick<SceneEdge, 'items' | 'rect' | 'side'>,
  growth: NonNullable<SceneEdge['growth']>,
): () => void {
  const isAlong = isHorizontal(side);
  const parts = items.map((item) => {
    const at = isAlong ? item.rect.x - rect.x : item.rect.y - rect.y;
    return {
      start: at,
      end: at + (isAlong ? item.rect.width : item.rect.height),
      box: element.querySelector<HTMLElement>(`[data-item="${CSS.escape(item.id)}"]`),
    };
  });
  // What lies beneath all of them reaches as far as they do.
  const plates = [...element.querySelectorAll<HTMLElement>('[data-stretches]')];
  const long = isAlong ? rect.width : rect.height;
  let pointer = 0;
  let share = 0;
  let wanted: 0 | 1 = 0;
  let before = 0;
  let frame = 0;
  let rest: ReturnType<typeof setTimeout> | undefined;

  function draw(now: number): void {
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
    share = fadedTo(wanted, share, isStill ? Infinity : now - before);
    before = now;
    const { items, beneath } = grownLine(parts, long, pointer, { ...growth, share });
    items.forEach(({ scale, shift }, index) => {
      const box = parts[index]?.box;
      const inner = box?.querySelector<HTMLElement>('[data-grows]');
      if (box) box.style.translate = isAlong ? `${shift}px 0` : `0 ${shift}px`;
      if (inner) {
        inner.style.transformOrigin = origins[side];
        inner.style.scale = String(scale);
      }
    });
    stretch(beneath);
    frame = share === wanted ? 0 : requestAnimationFrame(draw);
    clearTimeout(rest);
    rest = setTimeout(() => delete element.dataset['growing'], REST_MS);
  }
  function stretch({ shift, scale }: { shift: number; scale: number }): void {
    for (const { style } of plates) {
      style.transformOrigin = '0 0';
      style.transform = isAlong
        ? `translateX(${shift}px) scaleX(${scale})`
        : `translateY(${shift}px) scaleY(${scale})`;
    }
  }
  function ask(): void {
    if (frame !== 0) return;
    element.dataset['growing'] = '';
    before = performance.now();
    frame = requestAnimationFrame(draw);
  }
  function onMove({ clientX, clientY }: PointerEvent): void {
    const seen = element.getBoundingClientRect();
    pointer = isAlong
      ? ((clientX - seen.left) / seen.width) * rect.width
      : ((clientY - seen.top) / seen.height) * rect.height;
    wanted = 1;
    ask();
  }
  function onLeave(): void {
    wanted = 0;
    ask();
  }
  function onFocus({ target }: FocusEvent): void {
    const part = parts.find(({ box: own }) => own?.contains(target as Node));
    if (!part || !(target as Element).matches(':focus-visible')) return;
    pointer = (part.start + part.end) / 2;
    wanted = 1;
    ask();
  }
  const stopping = new AbortController();
  const options = { signal: stopping.signal };
  element.addEventListener('pointermove', onMove, options);
  element.addEventListener('pointerleave', onLeave, options);
  element.addEventListener('focusin', onFocus, options);
  element.addEventListener('focusout', onLeave, options);
  return () => {
    stopping.abort();
    cancelAnimationFrame(frame);
    clearTimeout(rest);
    delete element.dataset['growing'];
    for (const { style } of plates) style.transform = '';
    for (const { box: own } of parts) {
      if (own) own.style.translate = '';
      const inner = own?.querySelector<HTMLElement>('[data-grows]');
      if (inner) inner.style.scale = '';
    }
  };
}
