import type { Expanded } from '../../core/sources/calendar/calendar.ts';
import type { CalendarWork } from './calendars.worker.ts';
import { askWorker, WorkProblem } from './stoppable.ts';

/** A calendar could not be read; the message is the end of a sentence. */
export { WorkProblem as CalendarProblem };

const ask = <Result>(work: CalendarWork) =>
  askWorker<Result>({
    start: () => new Worker(new URL('./calendars.worker.ts', import.meta.url), { type: 'module' }),
    work,
    // Some rules of repeating keep a worker busy for ever.
    mostMs: 5000,
    tooLong: 'it repeats in a way that takes too long to work out',
  });

export const expandInWorker = (work: Omit<Extract<CalendarWork, { does: 'expand' }>, 'does'>) =>
  ask<Expanded>({ does: 'expand', ...work });

export const tickInWorker = (work: Omit<Extract<CalendarWork, { does: 'tick' }>, 'does'>) =>
  ask<string>({ does: 'tick', ...work });
