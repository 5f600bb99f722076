import clsx from 'clsx';
import { Lock } from 'lucide-react';
import { memo } from 'react';
import type { SceneScreen, SceneWidget } from '../../../../core/scene/scene.ts';
import { boundsOf, type Point } from '../../../../core/values/geometry.ts';
import { useView } from '../../../stores/view.ts';
import { titleOfWidget } from '../../../../core/desk/part-names.ts';
import { meantBy } from '../../parts/groups.ts';
import { dragScale, dragTogether, dragWidgets } from './drag.ts';
import { boxStyle, frame, onEnter, onMenu, onPressOf } from './handle.ts';
import { typeInPlace } from '../layers/typing.ts';
import { useStageDrag } from './use-stage-drag.ts';

export const WidgetHandle = memo(function WidgetHandle({
  widget,
  scale,
  isSelected,
  isAlone,
}: {
  widget: SceneWidget;
  scale: number;
  isSelected: boolean;
  isAlone: boolean;
}) {
  const { id } = widget;
  const select = () => useView.getState().select(meantBy(id), 'widgets');
  const bind = useStageDrag({
    start(_from, { isAdding }) {
      const view = useView.getState();
      const meant = meantBy(id);
      if (!view.selection.includes(id))
        view.select(isAdding ? [...new Set([...view.selection, ...meant])] : meant, 'widgets');
      return dragWidgets();
    },
    onPress: onPressOf(id, select),
  });
  const label = `${titleOfWidget(widget)} widget at ${Math.round(widget.rect.x)}, ${Math.round(widget.rect.y)}${widget.locked ? ', locked' : ''}`;
  return (
    <div
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={isSelected}
      data-handle={id}
      className={clsx(
        'group absolute left-0 top-0 touch-none rounded-[5px] outline-offset-2 hover:outline hover:outline-brass/70',
        widget.locked ? 'cursor-default' : 'cursor-move',
      )}
      style={boxStyle(widget.rect, scale)}
      onKeyDown={onEnter(id, select)}
      onDoubleClick={() => typeInPlace(id)}
      onContextMenu={onMenu(id, 'widgets')}
      {...bind()}
    >
      {isSelected && <div className={clsx(frame, 'outline')} />}
      {isSelected && widget.locked && (
        <span className="absolute -right-2.5 -top-2.5 grid size-5 place-items-center rounded-full bg-brass text-on-brass">
          <Lock size={11} strokeWidth={2.5} />
        </span>
      )}
      {isSelected &&
        isAlone &&
        !widget.locked &&
        corners.map((corner) => <Corner key={`${corner.x}${corner.y}`} id={id} corner={corner} />)}
    </div>
  );
});

const corners: readonly Point[] = [
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: -1, y: 1 },
  { x: 1, y: 1 },
];

/** Around several that are selected: by its corners they are scaled as one. */
export function TogetherFrame({
  screen,
  scale,
  selection,
}: {
  screen: SceneScreen;
  scale: number;
  selection: ReadonlySet<string>;
}) {
  const rects = screen.widgets.filter(({ id }) => selection.has(id)).map(({ rect }) => rect);
  const around = rects.length > 1 ? boundsOf(rects) : null;
  if (!around) return null;
  return (
    <div
      className="pointer-events-none absolute left-0 top-0 rounded-[5px] outline-1 outline-dashed outline-brass/70"
      data-together
      style={boxStyle(around, scale)}
    >
      {corners.map((corner) => (
        <Corner key={`${corner.x}${corner.y}`} id={null} corner={corner} />
      ))}
    </div>
  );
}

/** Scales one widget, or all that are selected. */
function Corner({ id, corner }: { id: string | null; corner: Point }) {
  const bind = useStageDrag({ start: () => (id === null ? dragTogether(corner) : dragScale(id, corner)) });
  return (
    <span
      data-corner={`${corner.x},${corner.y}`}
      className="pointer-events-auto absolute grid size-5 touch-none place-items-center"
      style={{
        left: corner.x < 0 ? -10 : undefined,
        right: corner.x > 0 ? -10 : undefined,
        top: corner.y < 0 ? -10 : undefined,
        bottom: corner.y > 0 ? -10 : undefined,
        cursor: corner.x === corner.y ? 'nwse-resize' : 'nesw-resize',
      }}
      {...bind()}
    >
      <span className="size-2.5 rounded-[3px] border-2 border-brass bg-pit" />
    </span>
  );
}
