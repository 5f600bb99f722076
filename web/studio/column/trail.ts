import { create } from 'zustand';
import { useView } from '../../stores/view.ts';
import { presentDesk } from '../../session/desk.ts';
import type { Where } from '../chapters/chapter.ts';
import { chapterOf } from '../chapters/list.ts';
import { whereIs } from './where.ts';

/** A place in the column: a chapter, and where in it. */
export interface Spot extends Where {
  chapter: string;
}

/** How many places back one can go. */
const MOST = 30;

/** Where one came from, the latest last. */
export const useTrail = create<{ past: readonly Spot[] }>()(() => ({ past: [] }));

function spotNow(): Spot {
  const { chapter, page, spot, selection } = useView.getState();
  return { chapter, page, spot, selection };
}

/** Keeps the trail while the column is there; gives back what stops it. */
export function keepTrail(): () => void {
  useTrail.setState({ past: [] });
  let here = spotNow();
  return useView.subscribe(() => {
    const next = spotNow();
    if (isSame(here, next)) return;
    const isAside = depthOf(here) === depthOf(next);
    useTrail.setState(({ past }) => ({ past: pastAfter(past, here, next, isAside) }));
    here = next;
  });
}

/** The trail after going on from one place to another: whoever is back where he was has not come from farther. */
export function pastAfter(past: readonly Spot[], here: Spot, next: Spot, isAside: boolean): readonly Spot[] {
  const last = past.at(-1);
  if (last && isSame(last, next)) return past.slice(0, -1);
  // From part to part of the same kind one goes sideways.
  if (isAside && isPart(here) && isPart(next) && here.chapter === next.chapter) return past;
  return [...past, here].slice(-MOST);
}

export function goBack(to: Spot): void {
  useView.setState(to);
}

/** How deep in its chapter a place is. */
function depthOf(spot: Spot): number {
  const desk = presentDesk();
  return (desk && whereIs(desk, chapterOf(spot.chapter), spot).inside?.crumbs?.length) ?? 0;
}

function isPart({ selection }: Spot): boolean {
  return selection.length > 0;
}

function isSame(a: Spot, b: Spot): boolean {
  return (
    a.chapter === b.chapter &&
    a.page === b.page &&
    a.spot === b.spot &&
    a.selection.length === b.selection.length &&
    a.selection.every((id, index) => id === b.selection[index])
  );
}
