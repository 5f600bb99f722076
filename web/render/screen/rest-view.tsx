import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { SceneRest } from '../../../core/scene/scene.ts';
import { ItemBox } from '../edges/edge-view.tsx';
import type { EdgeFacts } from '../edges/item-drawing.ts';
import { placeOf } from '../kit/runs.tsx';
import { OnSurface, surfaceBox, surfaceColours } from '../kit/surface.ts';

/** What of an edge found no room, open beside it. */
export default function RestView({ rest, onClose }: { rest: SceneRest; onClose: () => void }) {
  const { rect, surface, items } = rest;
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    box.current?.querySelector('button')?.focus();
    return () => void (before instanceof HTMLElement && before.focus());
  }, []);
  return (
    <OnSurface.Provider value={surface}>
      <div className="absolute inset-0" onPointerDown={onClose} />
      <div
        ref={box}
        role="dialog"
        aria-label="What found no room"
        data-rest={rest.edge}
        className="absolute"
        style={{ ...surfaceColours(surface), ...surfaceBox(surface), ...placeOf(rect) }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            event.stopPropagation();
            onClose();
          }
          walk(event, box.current);
        }}
      >
        {items.map((item) => (
          <ItemBox
            key={item.id}
            item={item}
            x={item.rect.x - rect.x}
            y={item.rect.y - rect.y}
            facts={flat}
            isCut={false}
          />
        ))}
      </div>
    </OnSurface.Provider>
  );
}

const flat: EdgeFacts = { kind: 'panel', side: 'top' };

/** Arrows go from one button to the next. */
function walk(event: KeyboardEvent, box: HTMLElement | null): void {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (by === 0 || !box) return;
  event.preventDefault();
  const buttons = [...box.querySelectorAll('button')];
  const at = buttons.findIndex((button) => button === document.activeElement);
  buttons[(at + by + buttons.length) % buttons.length]?.focus();
}
