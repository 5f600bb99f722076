import { expand, NoCalendar, tickTask } from '../../core/sources/calendar/expand.ts';
import { answerWork } from './stoppable.ts';

/** What a calendar is asked for: its events between two moments, or its text with a task ticked. */
export type CalendarWork =
  | { does: 'expand'; text: string; zone: string; from: number; to: number; skip: readonly number[] }
  | { does: 'tick'; text: string; uid: string; isTicked: boolean; moment: number };

/** Which series is worked out just now. */
export interface SeriesNote {
  series: number;
}

answerWork<CalendarWork>(
  (work) =>
    work.does === 'expand'
      ? expand(work.text, {
          ...work,
          onSeries: (series) => postMessage({ note: { series } satisfies SeriesNote }),
        })
      : tickTask(work.text, work.uid, work.isTicked, work.moment),
  (error) => (error instanceof NoCalendar ? error.message : null),
);
