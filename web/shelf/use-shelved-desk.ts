import { useEffect, useState, type RefObject } from 'react';
import type { Desk } from '../../core/desk/desk.ts';
import { problemText, type Problem } from '../../core/desk/problem.ts';
import type { Feed } from '../../core/sources/feeds.ts';
import type { ListedDesk } from '../../core/desk/summary.ts';
import { ServerProblem, api } from '../api/client.ts';
import { useIsAwaited } from '../render/backdrop/looked-at.ts';
import { prepareDrawing } from '../session/drawing.ts';
import { readOwnCalendars } from './calendars.ts';

/** Desks with more widgets than this are not drawn on the shelf: it has others to show. */
const MOST_DRAWN = 600;
const TRY_AGAIN_MS = 1500;

export type Shelved =
  | { state: 'waiting' }
  | { state: 'there'; desk: Desk; feeds: readonly Feed[]; isLearned: boolean }
  /** Too much to draw it small. */
  | { state: 'large' }
  | { state: 'unreadable'; sentence: string };

/** The desk behind a line of the list, fetched once its place comes near the window, and anew when it was saved. */
export function useShelvedDesk(
  { id, revision, summary }: ListedDesk,
  place: RefObject<HTMLElement | null>,
): Shelved {
  const [shelved, setShelved] = useState<Shelved>({ state: 'waiting' });
  const isNear = useIsNear(place);
  const isLarge = (summary?.widgets ?? 0) > MOST_DRAWN;
  // Its drawing comes before the pixels of the others.
  useIsAwaited(isNear && shelved.state === 'waiting');

  useEffect(() => {
    if (!isNear) return;
    if (isLarge) {
      setShelved({ state: 'large' });
      return;
    }
    let isWanted = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    async function fetchIt(): Promise<void> {
      try {
        const { desk } = await api.desk(id);
        // What lies behind is seen at once; the rest needs fonts and kinds.
        if (isWanted)
          setShelved((before) =>
            before.state === 'there' ? before : { state: 'there', desk, feeds: [], isLearned: false },
          );
        await painted();
        await prepareDrawing(desk);
        if (isWanted) setShelved({ state: 'there', desk, feeds: [], isLearned: true });
        // A calendar may take its time, which the desk need not wait for.
        const feeds = await readOwnCalendars(desk, Date.now());
        if (isWanted && feeds.length > 0) setShelved({ state: 'there', desk, feeds, isLearned: true });
      } catch (error) {
        if (!isWanted) return;
        if (!(error instanceof ServerProblem)) timer = setTimeout(() => void fetchIt(), TRY_AGAIN_MS);
        else if (error.status !== 404) setShelved({ state: 'unreadable', sentence: reasonOf(error) });
      }
    }
    void fetchIt();
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [id, revision, isNear, isLarge]);
  return shelved;
}

/** Until what was set has been painted, so that what lies behind is asked for first; a hidden page paints nothing. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve, HIDDEN_MS);
    requestAnimationFrame(() => setTimeout(resolve));
  });
}
const HIDDEN_MS = 200;

/** What is wrong with a desk that can't be read, without saying again that it can't. */
function reasonOf({ body, message }: ServerProblem): string {
  const [first] = Array.isArray(body['problems']) ? (body['problems'] as Problem[]) : [];
  return first ? `${problemText(first)}.` : message;
}

/** Whether something has come within a window's height of being seen. */
function useIsNear(place: RefObject<HTMLElement | null>): boolean {
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    const element = place.current;
    if (!element || isNear) return;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true),
      // What scrolls is the root: a margin around anything further out would be cut off by it.
      { root: element.closest('[data-shelf]'), rootMargin: '100%' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [place, isNear]);
  return isNear;
}
