import { useEffect } from 'react';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import type { SceneEdge, SceneScreen } from '../../../../core/scene/scene.ts';
import { isHorizontal, type Rect } from '../../../../core/values/geometry.ts';
import { useDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { useChanging } from '../drag/changing.ts';

/** How long a measure stays after the last change of it, ms. */
const STAYS_MS = 1600;

/** A stretch that is being set, and how long it is, px of the desk. */
interface Measure {
  box: Rect;
  px: number;
  /** Outside of what it belongs to, or inside: people never know which of the two they are setting. */
  where: 'outside' | 'inside';
}

type Measurer = (edge: Edge, solved: SceneEdge, selected: readonly string[]) => Measure[];

/** What is measured, by the name of what changes. */
const measurers = new Map<string, Measurer>([
  ['Floating distance', offTheSide],
  ['Padding', insideEnds],
  ['Spacing', betweenItems],
  ['Margin before', (edge, solved, selected) => outsideItems(edge, solved, selected, 'before')],
  ['Margin after', (edge, solved, selected) => outsideItems(edge, solved, selected, 'after')],
]);

/** Blanks of an edge drawn as measures while they change. */
export function Measures({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const label = useShown();
  const selection = useView((view) => view.selection);
  const edges = useDesk(({ history }) => history?.present.edges);
  const measurer = label === null ? undefined : measurers.get(label);
  if (!measurer || !edges) return null;
  const isMeant = ({ id, items }: Edge) =>
    selection.some((one) => one === id || items.some((item) => item.id === one));
  const edge = edges.find(isMeant);
  const solved = screen.edges.find(({ id }) => id === edge?.id);
  if (!edge || !solved) return null;
  return measurer(edge, solved, selection).map(({ box, px, where }, index) => (
    <div
      key={index}
      data-measure={where}
      className="absolute left-0 top-0 bg-brass/35 outline outline-1 outline-brass"
      style={{
        transform: `translate(${box.x * scale}px, ${box.y * scale}px)`,
        width: box.width * scale,
        height: box.height * scale,
      }}
    >
      <span className="absolute left-1/2 top-full mt-1 -translate-x-1/2 whitespace-nowrap rounded-md bg-brass px-1.5 font-mono text-[11px] font-semibold leading-[17px] text-on-brass">
        {Math.round(px)} {where}
      </span>
    </div>
  ));
}

/** The name of what is being changed, and for a moment after; null when nothing is. */
function useShown(): string | null {
  const { label, count } = useChanging();
  useEffect(() => {
    if (label === null) return;
    const timer = setTimeout(() => useChanging.setState({ label: null }), STAYS_MS);
    return () => clearTimeout(timer);
  }, [label, count]);
  return label;
}

/** A box by where it stands along an edge, as deep as the edge. */
function alongBox({ side, rect }: SceneEdge, from: number, to: number): Rect {
  return isHorizontal(side)
    ? { ...rect, x: from, width: Math.max(0, to - from) }
    : { ...rect, y: from, height: Math.max(0, to - from) };
}

function span(side: SceneEdge['side'], { x, y, width, height }: Rect): [number, number] {
  return isHorizontal(side) ? [x, x + width] : [y, y + height];
}

function offTheSide({ margin }: Edge, { side, rect }: SceneEdge): Measure[] {
  const box = {
    top: { ...rect, y: rect.y - margin, height: margin },
    bottom: { ...rect, y: rect.y + rect.height, height: margin },
    left: { ...rect, x: rect.x - margin, width: margin },
    right: { ...rect, x: rect.x + rect.width, width: margin },
  }[side];
  return [{ box, px: margin, where: 'outside' }];
}

function insideEnds({ padding }: Edge, solved: SceneEdge): Measure[] {
  const [from, to] = span(solved.side, solved.rect);
  return [
    { box: alongBox(solved, from, from + padding), px: padding, where: 'inside' },
    { box: alongBox(solved, to - padding, to), px: padding, where: 'inside' },
  ];
}

/** Blank to blank no spacing lies: what is shown is what is there. */
function betweenItems({ spacing }: Edge, solved: SceneEdge): Measure[] {
  return solved.items.slice(1).flatMap((item, index): Measure[] => {
    const before = solved.items[index];
    if (!before) return [];
    const [, from] = span(solved.side, before.rect);
    const [to] = span(solved.side, item.rect);
    return to - from >= spacing - 0.5 && spacing > 0
      ? [{ box: alongBox(solved, from, from + spacing), px: spacing, where: 'outside' }]
      : [];
  });
}

function outsideItems(
  edge: Edge,
  solved: SceneEdge,
  selected: readonly string[],
  which: 'before' | 'after',
): Measure[] {
  return solved.items.flatMap((item): Measure[] => {
    const px = edge.items.find(({ id }) => id === item.id)?.[which] ?? 0;
    if (px === 0 || !selected.includes(item.id)) return [];
    const [start, end] = span(solved.side, item.rect);
    const box = which === 'before' ? alongBox(solved, start - px, start) : alongBox(solved, end, end + px);
    return [{ box, px, where: 'outside' }];
  });
}
