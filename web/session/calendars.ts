import type { Calendar } from '../../core/sources/outside.ts';
import { originAt } from '../../core/sources/outside.ts';
import { feedOf } from '../../core/sources/feeds.ts';
import { spanAround } from '../../core/sources/calendar/span.ts';
import { CalendarProblem, expandInWorker } from '../workers/calendars.ts';
import { useConditions } from './conditions.ts';
import { presentDesk, useDesk } from './desk.ts';

/** What each calendar was last worked out from. */
const done = new Map<string, string>();

/** The calendar's text: of the desk's own, or as it was fetched last. */
function textOf({ from }: Calendar): string | null {
  if (from.by === 'file') return from.text;
  if (from.by !== 'address') return null;
  const sample = feedOf(useConditions.getState().feeds, 'text', originAt(from))?.samples.at(-1);
  return sample ? String(sample.reading) : null;
}

const MOST_LISTED = 5;

/** What of a calendar could not be read, as the end of one sentence. */
function listed(problems: readonly string[]): string {
  const rest = problems.length - MOST_LISTED;
  return problems.slice(0, MOST_LISTED).join('. ') + (rest > 0 ? `. And ${rest} more` : '');
}

async function look(calendar: Calendar): Promise<void> {
  const desk = presentDesk();
  if (!desk) return;
  // One that is read from elsewhere now shows nothing until something came of it, not what it had before.
  const text = textOf(calendar) ?? (done.has(calendar.id) ? '' : null);
  if (text === null) return;
  const { zone } = desk.place;
  const span = spanAround(useConditions.getState().moment, zone);
  const key = JSON.stringify([span.from, zone]) + text;
  if (done.get(calendar.id) === key) return;
  done.set(calendar.id, key);
  const about = { source: 'calendar', origin: calendar.id };
  const { takeFeed, feeds } = useConditions.getState();
  const newest = feedOf(feeds, 'calendar', calendar.id)?.samples.at(-1)?.moment ?? -Infinity;
  try {
    const reading =
      text.trim() === ''
        ? { ...span, events: [], tasks: [], problems: [] }
        : await expandInWorker({ text, zone, ...span });
    // Something else was asked for meanwhile.
    if (done.get(calendar.id) !== key) return;
    takeFeed({
      ...about,
      // What is worked out anew counts as newer, within the same moment too.
      samples: [{ moment: Math.max(Date.now(), newest + 1), reading }],
      problem:
        reading.problems.length > 0
          ? { sentence: listed(reading.problems), since: Date.now(), again: null }
          : null,
    });
  } catch (error) {
    if (done.get(calendar.id) !== key) return;
    const why = error instanceof CalendarProblem ? error.message : 'it can’t be read';
    takeFeed({ ...about, samples: [], problem: { sentence: why, since: Date.now(), again: null } });
  }
}

function lookAtAll(): void {
  for (const calendar of presentDesk()?.sources.outside.calendars ?? []) void look(calendar);
}

/** Works out the calendars of the open desk around the moment shown, whenever they or it change. Gives back what stops it. */
export function watchCalendars(): () => void {
  done.clear();
  let month = '';
  const stopDesk = useDesk.subscribe(({ history }, before) => {
    if (
      history?.present.sources !== before.history?.present.sources ||
      history?.present.place !== before.history?.present.place
    )
      lookAtAll();
  });
  const stopConditions = useConditions.subscribe(({ moment, feeds }, before) => {
    const now = new Date(moment).toISOString().slice(0, 7);
    const isOtherMonth = now !== month;
    month = now;
    if (isOtherMonth || feeds !== before.feeds) lookAtAll();
  });
  lookAtAll();
  return () => {
    stopDesk();
    stopConditions();
  };
}
