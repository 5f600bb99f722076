import clsx from 'clsx';
import { Lock } from 'lucide-react';
import type { CSSProperties } from 'react';
import type { SceneEdge, SceneItem } from '../../../../core/scene/scene.ts';
import { isHorizontal, type Point, type Side } from '../../../../core/values/geometry.ts';
import { presentDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { titleOfEdge } from '../../../../core/desk/part-names.ts';
import { titleOfItem } from '../../parts/acts.ts';
import { focusFirstField } from '../../column/first-field.ts';
import { dragEdge, dragItem, dragSpan } from './drag.ts';
import { boxStyle, frame, onEnter, onMenu, onPressOf } from './handle.ts';
import { typeInPlace } from '../layers/typing.ts';
import { useStageDrag } from './use-stage-drag.ts';

export function EdgeHandle({
  edge,
  scale,
  isSelected,
}: {
  edge: SceneEdge;
  scale: number;
  isSelected: boolean;
}) {
  const select = () => useView.getState().select([edge.id], 'edges');
  const isLocked = edge.locked;
  const bind = useStageDrag({
    start: () => {
      select();
      return dragEdge(edge.id);
    },
    onPress: onPressOf(edge.id, select),
  });
  return (
    <div
      role="button"
      tabIndex={0}
      aria-label={`${titleOfEdge(edge)} at the ${edge.side}`}
      aria-pressed={isSelected}
      data-handle={edge.id}
      className={clsx(
        'group absolute left-0 top-0 touch-none rounded-[5px] hover:outline hover:outline-brass/70',
        isLocked ? 'cursor-default' : 'cursor-move',
      )}
      style={boxStyle(edge.rect, scale)}
      onKeyDown={onEnter(edge.id, select)}
      onDoubleClick={() => focusFirstField()}
      onContextMenu={onMenu(edge.id, 'edges')}
      {...bind()}
    >
      {isSelected && <div className={clsx(frame, 'outline')} />}
      {/* What is full of items can still be taken. */}
      <span data-grip={edge.id} className="absolute grid place-items-center" style={gripPlace[edge.side]}>
        <span
          className={clsx(
            'rounded-full bg-brass shadow-[0_0_0_2px_rgb(0_0_0/.35)]',
            isHorizontal(edge.side) ? 'h-1.5 w-7' : 'h-7 w-1.5',
            isSelected ? 'opacity-100' : 'opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100',
          )}
        />
      </span>
      {isSelected && isLocked && (
        <span className="absolute -right-2.5 -top-2.5 grid size-5 place-items-center rounded-full bg-brass text-on-brass">
          <Lock size={11} strokeWidth={2.5} />
        </span>
      )}
    </div>
  );
}

/** Where an edge's grip stands: off its inner side, in the middle. */
const gripPlace: Record<Side, CSSProperties> = {
  top: { top: '100%', left: '50%', width: 36, height: 16, marginLeft: -18 },
  bottom: { bottom: '100%', left: '50%', width: 36, height: 16, marginLeft: -18 },
  left: { left: '100%', top: '50%', height: 36, width: 16, marginTop: -18 },
  right: { right: '100%', top: '50%', height: 36, width: 16, marginTop: -18 },
};

/** Handles for how long and how thick an edge is. */
export function SpanHandles({ edge, scale }: { edge: SceneEdge; scale: number }) {
  const { x, y, width, height } = edge.rect;
  const flat = isHorizontal(edge.side);
  if (edge.locked) return null;
  const [along, across] = flat
    ? (['ew-resize', 'ns-resize'] as const)
    : (['ns-resize', 'ew-resize'] as const);
  const start = flat ? { x, y: y + height / 2 } : { x: x + width / 2, y };
  const end = flat ? { x: x + width, y: y + height / 2 } : { x: x + width / 2, y: y + height };
  const inner = {
    top: { x: x + width * 0.75, y: y + height },
    bottom: { x: x + width * 0.75, y },
    left: { x: x + width, y: y + height * 0.75 },
    right: { x, y: y + height * 0.75 },
  }[edge.side];
  return (
    <>
      <SpanHandle edge={edge} what="start" at={start} scale={scale} cursor={along} />
      <SpanHandle edge={edge} what="end" at={end} scale={scale} cursor={along} />
      <SpanHandle edge={edge} what="inner" at={inner} scale={scale} cursor={across} />
    </>
  );
}

function SpanHandle({
  edge,
  what,
  at,
  scale,
  cursor,
}: {
  edge: SceneEdge;
  what: 'start' | 'end' | 'inner';
  at: Point;
  scale: number;
  cursor: string;
}) {
  const bind = useStageDrag({ start: () => dragSpan(edge.id, what) });
  return (
    <span
      data-span={what}
      title={what === 'inner' ? 'Thickness' : 'Length'}
      className="absolute left-0 top-0 grid size-5 touch-none place-items-center"
      style={{ transform: `translate(${at.x * scale - 10}px, ${at.y * scale - 10}px)`, cursor }}
      {...bind()}
    >
      <span className="size-2.5 rounded-[3px] border-2 border-brass bg-pit" />
    </span>
  );
}

export function ItemHandle({
  edge,
  item,
  scale,
  isSelected,
  isOpen,
}: {
  edge: SceneEdge;
  item: SceneItem;
  scale: number;
  isSelected: boolean;
  /** Its edge, or something on it, is selected. */
  isOpen: boolean;
}) {
  const select = () => useView.getState().select([item.id], 'edges');
  const bind = useStageDrag({
    start: () => {
      select();
      return dragItem(item.id);
    },
    onPress: onPressOf(item.id, select),
  });
  const document = presentDesk()
    ?.edges.find(({ id }) => id === edge.id)
    ?.items.find(({ id }) => id === item.id);
  return (
    <div
      role="button"
      // A strip of its own is walked through only once it is chosen.
      tabIndex={isOpen ? 0 : -1}
      aria-label={`${document ? titleOfItem(document) : item.type} on the ${titleOfEdge(edge).toLowerCase()}`}
      aria-pressed={isSelected}
      data-handle={item.id}
      className={clsx(
        'absolute left-0 top-0 cursor-grab touch-none rounded-[4px] hover:outline hover:outline-1 hover:outline-dashed hover:outline-brass',
        isOpen && 'outline-1 outline-dashed',
        isOpen && (isSelected ? 'outline-brass' : 'outline-brass/35'),
      )}
      style={boxStyle(item.rect, scale)}
      onKeyDown={onEnter(item.id, select)}
      onDoubleClick={() => typeInPlace(item.id)}
      onContextMenu={onMenu(item.id, 'edges')}
      {...bind()}
    >
      {isSelected && <div className={clsx(frame, 'outline')} />}
    </div>
  );
}
