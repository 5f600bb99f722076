import { rectsOn } from '../../../core/scene/parts.ts';
import { useLegibilityShown } from '../chapters/look/view.ts';
import clsx from 'clsx';
import { Lock } from 'lucide-react';
import { Suspense, memo, useMemo, type CSSProperties, type KeyboardEvent, type MouseEvent } from 'react';
import { later } from '../../later.ts';
import { distancesAround, type Distance, type Guide } from '../../../core/arrange/snap.ts';
import { boundsOf, isHorizontal, type Point, type Rect, type Side } from '../../../core/values/geometry.ts';
import type { SceneEdge, SceneItem, SceneScreen, SceneWidget } from '../../../core/scene/scene.ts';
import { useView } from '../../stores/view.ts';
import { presentDesk } from '../../session/desk.ts';
import { focusFirstField } from '../column/first-field.ts';
import { titleOfEdge, titleOfItem, titleOfWidget } from '../acts.ts';
import { meantBy } from '../groups.ts';
import { dragEdge, dragItem, dragMarquee, dragScale, dragSpan, dragTogether, dragWidgets } from './drag.ts';
import { typeInPlace } from './typing.ts';
// Heard from the first change on; what shows it comes later.
import './changing.ts';
import { useStageDrag } from './use-stage-drag.ts';

const FocalLayer = later(async () => ({ default: (await import('./focal-layer.tsx')).FocalLayer }));
const Measures = later(async () => ({ default: (await import('./measures.tsx')).Measures }));
const TileLayer = later(async () => ({ default: (await import('./tile-layer.tsx')).TileLayer }));
const TypingLayer = later(async () => ({ default: (await import('./typing-layer.tsx')).TypingLayer }));
const LegibilityLayer = later(async () => ({
  default: (await import('./legibility-layer.tsx')).LegibilityLayer,
}));

/**
 * What lies over the screen while it is arranged: a handle on every part, the selection, guides and measures.
 * It is drawn in px of the stage, so that lines stay fine at every scale, and always in the bright brass of velvet:
 * what lies beneath is the desk, not the interface.
 */
export function Overlay({
  screen,
  scale,
  isCurrent,
}: {
  screen: SceneScreen;
  scale: number;
  isCurrent: boolean;
}) {
  const selection = useView((view) => view.selection);
  const showsLegibility = useLegibilityShown(({ isShown }) => isShown);
  const chosen = useMemo(() => new Set(selection), [selection]);
  const isTyping = useView((view) => view.typing !== null);
  const bind = useStageDrag({
    start: (from, { isAdding }) => dragMarquee(from, isAdding ? useView.getState().selection : []),
    onPress: ({ isAdding }) => !isAdding && useView.getState().select([]),
  });
  return (
    <div
      className="absolute inset-0 touch-none select-none will-change-transform"
      data-overlay
      data-theme="velvet"
      {...bind()}
    >
      <Suspense>
        <FocalLayer screen={screen} scale={scale} />
      </Suspense>
      {screen.edges.map((edge) => (
        <EdgeHandle key={edge.id} edge={edge} scale={scale} isSelected={chosen.has(edge.id)} />
      ))}
      {/* All in one row: an item that is dragged onto another edge stays the one that the pointer holds. */}
      {screen.edges.flatMap((edge) => {
        const isOpen = chosen.has(edge.id) || edge.items.some((item) => chosen.has(item.id));
        return edge.items.map((item) => (
          <ItemHandle
            key={item.id}
            edge={edge}
            item={item}
            scale={scale}
            isSelected={chosen.has(item.id)}
            isOpen={isOpen}
          />
        ));
      })}
      {screen.edges.map(
        (edge) => chosen.has(edge.id) && <SpanHandles key={`${edge.id} spans`} edge={edge} scale={scale} />,
      )}
      {screen.widgets.map((widget) => (
        <WidgetHandle
          key={widget.id}
          widget={widget}
          scale={scale}
          isSelected={chosen.has(widget.id)}
          isAlone={selection.length === 1}
        />
      ))}
      {showsLegibility && (
        <Suspense>
          <LegibilityLayer screen={screen} scale={scale} />
        </Suspense>
      )}
      {isCurrent && (
        <Suspense>
          <Measures screen={screen} scale={scale} />
        </Suspense>
      )}
      {selection.length === 1 &&
        screen.widgets.some(({ id, type }) => type === 'tiles' && chosen.has(id)) && (
          <Suspense>
            <TileLayer screen={screen} id={selection[0] ?? ''} scale={scale} />
          </Suspense>
        )}
      {selection.length > 1 && <TogetherFrame screen={screen} scale={scale} selection={chosen} />}
      {isCurrent && <Hints screen={screen} scale={scale} />}
      {isTyping && (
        <Suspense>
          <TypingLayer screen={screen} scale={scale} />
        </Suspense>
      )}
    </div>
  );
}

function boxStyle({ x, y, width, height }: Rect, scale: number) {
  return {
    transform: `translate(${x * scale}px, ${y * scale}px)`,
    width: width * scale,
    height: height * scale,
  };
}

function onEnter(select: () => void) {
  return (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    select();
  };
}

/** The right button selects what lies under it, unless that is selected already; the menu then opens. */
function onMenu(id: string, chapter: 'edges' | 'widgets') {
  return (_event: MouseEvent) => {
    if (!useView.getState().selection.includes(id)) useView.getState().select(meantBy(id), chapter);
  };
}

/** A dark line around the brass one: it has to be seen on any picture. */
const frame =
  'pointer-events-none absolute inset-0 rounded-[5px] outline-2 outline-brass shadow-[0_0_0_3px_rgb(0_0_0/.35)]';

const WidgetHandle = memo(function WidgetHandle({
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
  const bind = useStageDrag({
    start(_from, { isAdding }) {
      const view = useView.getState();
      const meant = meantBy(id);
      if (!view.selection.includes(id))
        view.select(isAdding ? [...new Set([...view.selection, ...meant])] : meant, 'widgets');
      return dragWidgets();
    },
    onPress: ({ isAdding }) =>
      isAdding ? useView.getState().toggle(id) : useView.getState().select(meantBy(id), 'widgets'),
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
      onKeyDown={onEnter(() => useView.getState().select(meantBy(id), 'widgets'))}
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
function TogetherFrame({
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

function EdgeHandle({ edge, scale, isSelected }: { edge: SceneEdge; scale: number; isSelected: boolean }) {
  const select = () => useView.getState().select([edge.id], 'edges');
  const isLocked = edge.locked;
  const bind = useStageDrag({
    start: () => {
      select();
      return dragEdge(edge.id);
    },
    onPress: select,
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
      onKeyDown={onEnter(select)}
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
function SpanHandles({ edge, scale }: { edge: SceneEdge; scale: number }) {
  const { x, y, width, height } = edge.rect;
  const flat = isHorizontal(edge.side);
  if (edge.locked) return null;
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
      <SpanHandle
        edge={edge}
        what="start"
        at={start}
        scale={scale}
        cursor={flat ? 'ew-resize' : 'ns-resize'}
      />
      <SpanHandle edge={edge} what="end" at={end} scale={scale} cursor={flat ? 'ew-resize' : 'ns-resize'} />
      <SpanHandle
        edge={edge}
        what="inner"
        at={inner}
        scale={scale}
        cursor={flat ? 'ns-resize' : 'ew-resize'}
      />
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

function ItemHandle({
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
    onPress: select,
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
      onKeyDown={onEnter(select)}
      onDoubleClick={() => typeInPlace(item.id)}
      onContextMenu={onMenu(item.id, 'edges')}
      {...bind()}
    >
      {isSelected && <div className={clsx(frame, 'outline')} />}
    </div>
  );
}

/** Guides while something moves, distances of what is selected, and the rectangle that selects. */
function Hints({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const guides = useView((view) => view.guides);
  const moving = useView((view) => view.distances);
  const marquee = useView((view) => view.marquee);
  const off = useView((view) => view.off);
  const selection = useView((view) => view.selection);
  const distances = moving.length > 0 ? moving : restingDistances(screen, selection);
  return (
    <div className="pointer-events-none absolute inset-0">
      <svg className="absolute inset-0 size-full overflow-visible">
        {guides.map((guide, index) => (
          <GuideLine key={index} guide={guide} scale={scale} />
        ))}
        {nearest(distances).map(({ side, from, to }) => (
          <line
            key={side}
            x1={from.x * scale}
            y1={from.y * scale}
            x2={to.x * scale}
            y2={to.y * scale}
            stroke="var(--brass)"
            strokeWidth="1"
          />
        ))}
      </svg>
      {nearest(distances).map((distance) => (
        <DistanceLabel key={distance.side} distance={distance} scale={scale} />
      ))}
      {off && (
        <span
          role="status"
          className="absolute left-0 top-0 whitespace-nowrap rounded-md bg-brass px-2 text-[12px] font-semibold leading-6 text-on-brass"
          style={{ transform: `translate(${off.at.x * scale + 12}px, ${off.at.y * scale + 12}px)` }}
        >
          Let go to take {off.title}
        </span>
      )}
      {marquee && (
        <div
          className="absolute left-0 top-0 border border-brass bg-brass/15"
          style={boxStyle(marquee, scale)}
        />
      )}
    </div>
  );
}

function restingDistances(screen: SceneScreen, selection: readonly string[]): Distance[] {
  const widget = selection.length === 1 ? screen.widgets.find(({ id }) => id === selection[0]) : undefined;
  if (!widget) return [];
  const others = [...rectsOn(screen)].filter(([id]) => id !== widget.id).map(([, rect]) => rect);
  return distancesAround(widget.rect, others, screen.rect);
}

/** The shorter way on each axis says where a part stands; the longer one follows from it. */
function nearest(distances: readonly Distance[]): Distance[] {
  const shorter = (a: Distance['side'], b: Distance['side']) =>
    distances
      .filter(({ side, length }) => (side === a || side === b) && length > 0)
      .sort((p, q) => p.length - q.length)[0];
  return [shorter('left', 'right'), shorter('top', 'bottom')].filter((distance) => distance !== undefined);
}

function GuideLine({ guide, scale }: { guide: Guide; scale: number }) {
  const at = guide.at * scale;
  const [from, to] = [guide.from * scale, guide.to * scale];
  const ends =
    guide.axis === 'x' ? { x1: at, x2: at, y1: from, y2: to } : { x1: from, x2: to, y1: at, y2: at };
  return (
    <line
      data-guide={guide.kind}
      {...ends}
      stroke="var(--brass)"
      strokeWidth={guide.kind === 'spacing' ? 3 : 1}
      strokeDasharray={guide.kind === 'margin' ? '4 3' : undefined}
    />
  );
}

function DistanceLabel({ distance, scale }: { distance: Distance; scale: number }) {
  const x = ((distance.from.x + distance.to.x) / 2) * scale;
  const y = ((distance.from.y + distance.to.y) / 2) * scale;
  return (
    <span
      data-distance={distance.side}
      className="absolute left-0 top-0 rounded-md bg-brass px-1.5 font-mono text-[11px] font-semibold leading-[17px] text-on-brass"
      style={{ transform: `translate(calc(${x}px - 50%), calc(${y}px - 50%))` }}
    >
      {Math.round(distance.length)}
    </span>
  );
}
