import type { Expanded } from '../../core/sources/calendar/calendar.ts';
import type { Calendars, Expansion } from './calendars.worker.ts';
import { askOnce, WorkProblem, WorkStopped } from './remote.ts';

/** A calendar could not be read; the message is the end of a sentence. */
export { WorkProblem as CalendarProblem };

const start = () => new Worker(new URL('./calendars.worker.ts', import.meta.url), { type: 'module' });

/** Some rules of repeating keep a worker busy for ever: ms that one series may take, and how many that take longer are left out. */
const LIMIT = { mostMs: 4000, tooLong: 'it repeats in a way that takes too long to work out' };
const MOST_LEFT_OUT = 4;

/** What stands in a calendar; a series that takes too long is told by its name, and the others are there. */
export async function expandInWorker(work: Omit<Expansion, 'skip'>): Promise<Expanded> {
  const skip: number[] = [];
  for (;;) {
    const at: { series: number | null } = { series: null };
    try {
      return await askOnce<Calendars, Expanded>(start, LIMIT, (remote, hear) =>
        remote.expand(
          { ...work, skip },
          hear((series: number) => (at.series = series)),
        ),
      );
    } catch (error) {
      if (!(error instanceof WorkStopped) || at.series === null || skip.length >= MOST_LEFT_OUT) throw error;
      skip.push(at.series);
    }
  }
}

/** The text of a calendar with a task ticked, or not any more, at a moment (epoch ms). */
export const tickInWorker = (...given: Parameters<Calendars['tick']>) =>
  askOnce<Calendars, string>(start, LIMIT, (remote) => remote.tick(...given));
