import { expandCalendar, NoCalendar, tickTask } from '../../core/sources/calendar/expand.ts';

/** What a calendar is asked for: its events between two moments, or its text with a task ticked. */
export type CalendarWork =
  | { does: 'expand'; text: string; zone: string; from: number; to: number }
  | { does: 'tick'; text: string; uid: string; isTicked: boolean; moment: number };

function carryOut(work: CalendarWork): unknown {
  return work.does === 'expand'
    ? expandCalendar(work.text, work.zone, work.from, work.to)
    : tickTask(work.text, work.uid, work.isTicked, work.moment);
}

self.addEventListener('message', ({ data }: MessageEvent<CalendarWork>) => {
  try {
    postMessage({ ok: carryOut(data) });
  } catch (error) {
    postMessage({ wrong: error instanceof NoCalendar ? error.message : 'it can’t be read' });
  }
});
