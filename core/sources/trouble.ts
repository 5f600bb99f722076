import { feedOf, type Feed, type FeedProblem } from './feeds.ts';
import { feedsBehind } from './from-outside.ts';
import type { Outside } from './outside.ts';
import { lengthTold } from './units.ts';

/** Something that is read from outside and can't be read just now; `good` is when it last could (epoch ms). */
export interface Trouble {
  source: string;
  origin: string;
  problem: FeedProblem;
  good: number | null;
}

/** What of a source can't be read just now. */
export function troublesOf(source: string, outside: Outside, feeds: readonly Feed[]): Trouble[] {
  return feedsBehind(source, outside).flatMap(({ source: kind, origin }) => {
    const feed = feedOf(feeds, kind, origin);
    return feed?.problem
      ? [{ source: kind, origin, problem: feed.problem, good: feed.samples.at(-1)?.moment ?? null }]
      : [];
  });
}

/** A trouble in a sentence, with the age of what is shown instead. */
export function troubleTold({ problem, good }: Trouble, now: number): string {
  const shown =
    good === null ? 'Nothing was read yet.' : `What is shown is ${ageTold((now - good) / 1000)} old.`;
  const again =
    problem.again === null || problem.again <= now
      ? ''
      : ` It is tried again in ${lengthTold(Math.max(60, (problem.again - now) / 1000))}.`;
  return `Not read: ${problem.sentence}. ${shown}${again}`;
}

/** How long something takes or has taken (s), in the largest unit that tells it. */
export function ageTold(seconds: number): string {
  const days = Math.floor(seconds / 86_400);
  return days > 1 ? `${days} days` : lengthTold(Math.max(60, seconds));
}
