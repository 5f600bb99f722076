import type { Expanded } from '../../core/sources/calendar/calendar.ts';
import type { CalendarWork } from './calendars.worker.ts';

/** A calendar could not be read; the message is the end of a sentence. */
export class CalendarProblem extends Error {}

/** Some rules of repeating keep a worker busy for ever: it is stopped after so many ms. */
const MOST_MS = 5000;

/** Each calendar is worked on by a worker of its own, so that one that never ends holds up no other. */
function ask<Result>(work: CalendarWork): Promise<Result> {
  const worker = new Worker(new URL('./calendars.worker.ts', import.meta.url), { type: 'module' });
  return new Promise<Result>((resolve, reject) => {
    const end = (run: () => void) => {
      clearTimeout(timer);
      worker.terminate();
      run();
    };
    const fail = (why: string) => end(() => reject(new CalendarProblem(why)));
    const timer = setTimeout(() => fail('it repeats in a way that takes too long to work out'), MOST_MS);
    worker.addEventListener('message', ({ data }: MessageEvent<{ ok?: Result; wrong?: string }>) =>
      data.wrong === undefined ? end(() => resolve(data.ok as Result)) : fail(data.wrong),
    );
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      fail('what reads calendars could not be loaded');
    });
    worker.postMessage(work);
  });
}

export const expandInWorker = (work: Omit<Extract<CalendarWork, { does: 'expand' }>, 'does'>) =>
  ask<Expanded>({ does: 'expand', ...work });

export const tickInWorker = (work: Omit<Extract<CalendarWork, { does: 'tick' }>, 'does'>) =>
  ask<string>({ does: 'tick', ...work });
