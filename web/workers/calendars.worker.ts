import { expandCalendar, NoCalendar, tickTask } from '../../core/sources/calendar/expand.ts';
import { answerWork } from './stoppable.ts';

/** What a calendar is asked for: its events between two moments, or its text with a task ticked. */
export type CalendarWork =
  | { does: 'expand'; text: string; zone: string; from: number; to: number }
  | { does: 'tick'; text: string; uid: string; isTicked: boolean; moment: number };

answerWork<CalendarWork>(
  (work) =>
    work.does === 'expand'
      ? expandCalendar(work.text, work.zone, work.from, work.to)
      : tickTask(work.text, work.uid, work.isTicked, work.moment),
  (error) => (error instanceof NoCalendar ? error.message : null),
);
