import { whereaboutsOf } from '../../../core/scene/parts.ts';
import { memo, type KeyboardEvent } from 'react';
import { nearestFree, middleOf, type Slot } from '../../../core/arrange/lattice.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { together } from '../../../core/desk/edits/edit.ts';
import type { SceneScreen, SceneWidget } from '../../../core/scene/scene.ts';
import type { Point } from '../../../core/values/geometry.ts';
import type { TilesFace, TilesOptions } from '../../../core/widgets/tiles/tiles.ts';
import { spreadOf, type TilesLayout, type TilesView } from '../../../core/widgets/tiles/work.ts';
import { sizeFor } from '../../../core/widgets/tiles/tiles.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';

import { currentScreen } from '../../stores/screen.ts';
import type { Drag } from '../stage/drag/drag.ts';
import { useStageDrag } from '../stage/drag/use-stage-drag.ts';

/** Grips on the cells of a field that is chosen: each is dragged to another slot of its lattice. */
export const TileLayer = memo(function TileLayer({
  screen,
  id,
  scale,
}: {
  screen: SceneScreen;
  id: string;
  scale: number;
}) {
  const widget = screen.widgets.find((one) => one.id === id);
  if (widget?.type !== 'tiles' || widget.locked) return null;
  const { cells, radius } = widget.layout as TilesLayout;
  const view = widget.view as TilesView;
  const low = view.hasLabels ? -HIGH : LOW;
  return cells.map(({ middle }, index) => (
    <Grip
      key={index}
      widget={widget}
      index={index}
      label={`Cell ${view.cells[index]?.name ?? index + 1}`}
      at={{
        x: (widget.rect.x + (widget.padding + middle.x) * widget.scale) * scale,
        // It would cover the icon, or the name.
        y: (widget.rect.y + (widget.padding + middle.y + radius * low) * widget.scale) * scale,
      }}
    />
  ));
});

/** Of the circle within a cell: how far under its middle the grip stands, or above it where a name stands there. */
const LOW = 0.78;
const HIGH = 0.88;

interface Field {
  cells: TilesOptions['cells'];
  options: TilesOptions;
  face: TilesFace;
}

function fieldOf(id: string): Field | null {
  const widget = presentDesk()?.widgets.find((one) => one.id === id);
  if (widget?.type !== 'tiles') return null;
  const options = widget.options as TilesOptions;
  return { cells: options.cells, options, face: widget.face as TilesFace };
}

/** Puts a cell into the free slot nearest to a point of the field as it stood; all other cells stay where they are. */
function moveCell(
  { id, rect, scale, padding }: SceneWidget,
  { cells, options, face }: Field,
  index: number,
  wanted: (size: ReturnType<typeof sizeFor>) => Point,
  isTurn: boolean,
): void {
  const screen = currentScreen();
  if (!screen) return;
  const size = sizeFor(face, options);
  const others = cells.filter((_, at) => at !== index);
  const slot: Slot = nearestFree(wanted(size), size, others);
  const next = cells.map((cell, at) => (at === index ? { ...cell, a: slot.a, b: slot.b } : cell));
  const [before, after] = [spreadOf(cells, size, options.turn), spreadOf(next, size, options.turn)];
  const moved = {
    x: rect.x + (after.around.x - before.around.x) * scale,
    y: rect.y + (after.around.y - before.around.y) * scale,
    width: (Math.ceil(after.around.width) + 2 * padding) * scale,
    height: (Math.ceil(after.around.height) + 2 * padding) * scale,
  };
  const edit = together('Move a cell', [
    edits.setWidgetOptions(id, { cells: next }),
    edits.moveWidgets(new Map([[id, moved]]), whereaboutsOf(screen)),
  ]);
  if (isTurn) useDesk.getState().turn(edit);
  else useDesk.getState().edit(edit);
}

function dragCell(widget: SceneWidget, index: number): Drag | null {
  const field = fieldOf(widget.id);
  if (!field) return null;
  const size = sizeFor(field.face, field.options);
  const start = middleOf(field.cells[index] ?? { a: 0, b: 0 }, size);
  const angle = (-field.options.turn * Math.PI) / 180;
  return {
    turn({ by }) {
      // The field may be turned: what the pointer went is turned back.
      const x = (by.x * Math.cos(angle) - by.y * Math.sin(angle)) / widget.scale;
      const y = (by.x * Math.sin(angle) + by.y * Math.cos(angle)) / widget.scale;
      moveCell(widget, field, index, () => ({ x: start.x + x, y: start.y + y }), true);
    },
    end: () => useDesk.getState().endGesture(),
  };
}

const steps = new Map<string, Point>([
  ['ArrowLeft', { x: -1, y: 0 }],
  ['ArrowRight', { x: 1, y: 0 }],
  ['ArrowUp', { x: 0, y: -1 }],
  ['ArrowDown', { x: 0, y: 1 }],
]);

function Grip({
  widget,
  index,
  label,
  at,
}: {
  widget: SceneWidget;
  index: number;
  label: string;
  at: Point;
}) {
  const bind = useStageDrag({ start: () => dragCell(widget, index) });
  function onKeyDown(event: KeyboardEvent): void {
    const step = steps.get(event.key);
    const field = fieldOf(widget.id);
    if (!step || !field) return;
    event.preventDefault();
    event.stopPropagation();
    moveCell(
      widget,
      field,
      index,
      (size) => {
        const from = middleOf(field.cells[index] ?? { a: 0, b: 0 }, size);
        const reach = 2 * size.radius + size.gap;
        return { x: from.x + step.x * reach, y: from.y + step.y * reach };
      },
      false,
    );
  }
  return (
    <span
      role="button"
      tabIndex={0}
      aria-label={`${label}: move with the arrows`}
      data-cell={index}
      className="absolute left-0 top-0 grid size-6 cursor-grab touch-none place-items-center rounded-full"
      style={{ transform: `translate(${at.x - 12}px, ${at.y - 12}px)` }}
      onKeyDown={onKeyDown}
      {...bind()}
    >
      <span className="size-2.5 rounded-full border-2 border-brass bg-pit shadow-[0_0_0_2px_rgb(0_0_0/.35)]" />
    </span>
  );
}
