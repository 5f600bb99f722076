import type { Expanded } from '../../core/sources/calendar/calendar.ts';
import type { CalendarWork, SeriesNote } from './calendars.worker.ts';
import { askWorker, WorkProblem, WorkStopped } from './stoppable.ts';

/** A calendar could not be read; the message is the end of a sentence. */
export { WorkProblem as CalendarProblem };

/** ms that one series may take, and how many that take longer are left out of a calendar. */
const MOST_MS = 4000;
const MOST_LEFT_OUT = 4;

const ask = <Result>(work: CalendarWork, onNote?: (note: SeriesNote) => void) =>
  askWorker<Result>({
    start: () => new Worker(new URL('./calendars.worker.ts', import.meta.url), { type: 'module' }),
    work,
    // Some rules of repeating keep a worker busy for ever.
    mostMs: MOST_MS,
    tooLong: 'it repeats in a way that takes too long to work out',
    ...(onNote ? { onNote } : {}),
  });

type Expansion = Omit<Extract<CalendarWork, { does: 'expand' }>, 'does' | 'skip'>;

/** What stands in a calendar; a series that takes too long is told by its name, and the others are there. */
export async function expandInWorker(work: Expansion): Promise<Expanded> {
  const skip: number[] = [];
  for (;;) {
    let at: SeriesNote | null = null;
    try {
      return await ask<Expanded>({ does: 'expand', ...work, skip }, (note) => (at = note));
    } catch (error) {
      const slow = (at as SeriesNote | null)?.series;
      if (!(error instanceof WorkStopped) || slow === undefined || skip.length >= MOST_LEFT_OUT) throw error;
      skip.push(slow);
    }
  }
}

export const tickInWorker = (work: Omit<Extract<CalendarWork, { does: 'tick' }>, 'does'>) =>
  ask<string>({ does: 'tick', ...work });
