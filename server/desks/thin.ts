/** Most revisions that a desk keeps. */
export const MOST_REVISIONS = 100;

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** The older a revision, the wider its slot; the newest of each slot stays. */
const slots = [
  { olderThan: 7 * DAY, width: DAY },
  { olderThan: DAY, width: HOUR },
  { olderThan: HOUR, width: 10 * MINUTE },
  { olderThan: 10 * MINUTE, width: MINUTE },
];

/** Which of a desk's revisions to forget. Times are epoch ms; the newest revision always stays, and so do keeps. */
export function revisionsToForget(
  revisions: readonly { number: number; savedAt: number; keptAs?: string | null }[],
  now: number,
): number[] {
  const newest = Math.max(...revisions.map(({ number }) => number));
  const newestFirst = revisions
    .filter(({ number, keptAs }) => number === newest || typeof keptAs !== 'string')
    .sort((a, b) => b.number - a.number);
  const taken = new Set<string>();
  let kept = 0;
  return newestFirst
    .filter(({ savedAt }, index) => {
      const width = slots.find(({ olderThan }) => now - savedAt > olderThan)?.width;
      const slot = width === undefined ? null : `${width} ${Math.floor(savedAt / width)}`;
      const isSpare = index > 0 && ((slot !== null && taken.has(slot)) || kept >= MOST_REVISIONS);
      if (slot !== null) taken.add(slot);
      if (!isSpare) kept++;
      return isSpare;
    })
    .map(({ number }) => number);
}
