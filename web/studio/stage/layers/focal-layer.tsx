import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { clamp } from '../../../../core/values/geometry.ts';
import { fitPicture, turnedSize } from '../../../../core/backdrop/fit.ts';
import type { Picture } from '../../../../core/backdrop/schema.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { useDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { usePictureFacts } from '../../pictures/picture-facts.ts';
import { editSource, useBackdrop } from '../../chapters/backdrop/use-backdrop.ts';
import { lookUp } from '../../../../core/values/look-up.ts';

/** Drags the picture of a backdrop beneath everything, while the column shows it. */
export function FocalLayer({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const isBackdrop = useView((view) => view.chapter === 'backdrop' && view.page === null);
  const entry = useView((view) => view.spot);
  const backdrop = useBackdrop();
  if (!isBackdrop || !backdrop || backdrop.id !== screen.backdrop.id) return null;
  const edited = editSource(backdrop, entry);
  if (edited?.source.kind !== 'picture') return null;
  const { source, turn } = edited;
  return (
    <FocalDrag
      picture={source}
      screen={screen}
      scale={scale}
      onTurn={(focal) => turn('Focal point', { ...source, focal })}
    />
  );
}

function FocalDrag({
  picture,
  screen,
  scale,
  onTurn,
}: {
  picture: Picture;
  screen: SceneScreen;
  scale: number;
  onTurn: (focal: Picture['focal']) => void;
}) {
  const facts = usePictureFacts(picture.picture);
  const start = useRef<{ x: number; y: number; focal: Picture['focal'] } | null>(null);
  const { endGesture } = useDesk.getState();
  if (!facts) return null;
  const { whole, part } = screen.backdrop.drawn;
  const [rect] = fitPicture(picture.fit, turnedSize(facts, picture.turn), whole, picture.focal);
  if (!rect) return null;
  const { focal } = picture;
  // Room for the picture to move in: negative where it is larger than the screen.
  const room = { x: whole.width - rect.width, y: whole.height - rect.height };
  const moved = (from: number, by: number, free: number) =>
    Math.abs(free) < 1 ? from : Math.round(clamp(from + by / free, 0, 1) * 1000) / 1000;

  function onMove(event: PointerEvent) {
    const from = start.current;
    if (!from) return;
    onTurn({
      x: moved(from.focal.x, (event.clientX - from.x) / scale, room.x),
      y: moved(from.focal.y, (event.clientY - from.y) / scale, room.y),
    });
  }
  function onKeyDown(event: KeyboardEvent) {
    const by = event.shiftKey ? 0.1 : 0.01;
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const step = lookUp(steps, event.key);
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    onTurn({ x: clamp(focal.x + step[0], 0, 1), y: clamp(focal.y + step[1], 0, 1) });
    endGesture();
  }
  const ring = { x: rect.x + focal.x * rect.width - part.x, y: rect.y + focal.y * rect.height - part.y };
  return (
    <div
      data-focal-stage
      className="absolute inset-0 cursor-grab touch-none active:cursor-grabbing"
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { x: event.clientX, y: event.clientY, focal };
      }}
      onPointerMove={onMove}
      onPointerUp={() => {
        start.current = null;
        endGesture();
      }}
    >
      <span
        role="slider"
        tabIndex={0}
        aria-label="Focal point"
        aria-valuetext={`${Math.round(focal.x * 100)} % across, ${Math.round(focal.y * 100)} % down`}
        aria-valuenow={Math.round(focal.x * 100)}
        onKeyDown={onKeyDown}
        className="absolute size-7 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_black,inset_0_0_0_1px_black]"
        style={{ left: ring.x * scale, top: ring.y * scale }}
      />
    </div>
  );
}
