import { intersection, isHorizontal, type Rect } from '../values/geometry.ts';
import type { SceneEdge, SceneScreen } from './scene.ts';

/** A part that covers another one. */
export interface Cover {
  /** Id of the edge that covers. */
  edge: string;
  /** What is covered: another edge, or a widget. */
  part: string;
  isEdge: boolean;
}

/** Less than this is not seen, px. */
const SEEN = 1.5;

/** Edges of a screen that stand over one another, or over a widget. What slips away is not in the way for long. */
export function coversOn({ edges, widgets }: SceneScreen, slips: (edge: string) => boolean): Cover[] {
  const standing = edges.filter(({ id }) => !slips(id));
  return standing.flatMap((edge, index) => [
    ...standing
      .slice(index + 1)
      .filter(({ rect }) => isCovered(edge.rect, rect))
      .map(({ id }) => ({ edge: edge.id, part: id, isEdge: true })),
    ...widgets
      .filter(({ rect }) => isCovered(edge.rect, rect))
      .map(({ id }) => ({ edge: edge.id, part: id, isEdge: false })),
  ]);
}

function isCovered(a: Rect, b: Rect): boolean {
  const shared = intersection(a, b);
  return shared !== null && Math.min(shared.width, shared.height) > SEEN;
}

/** A rectangle moved off an edge, away from the edge's side, by no more than it takes and a margin. */
export function movedOff(rect: Rect, { side, rect: edge }: SceneEdge, margin: number): Rect {
  if (isHorizontal(side)) {
    return { ...rect, y: side === 'top' ? edge.y + edge.height + margin : edge.y - margin - rect.height };
  }
  return { ...rect, x: side === 'left' ? edge.x + edge.width + margin : edge.x - margin - rect.width };
}
