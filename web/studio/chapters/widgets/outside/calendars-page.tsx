import { Download, FolderOpen } from 'lucide-react';
import { nanoid } from 'nanoid';
import { feedOf } from '../../../../../core/sources/feeds.ts';
import type { Expanded } from '../../../../../core/sources/calendar/calendar.ts';
import {
  Calendar,
  MOST_CALENDAR,
  MOST_CALENDARS,
  originAt,
  type Calendar as CalendarValue,
  type Outside,
} from '../../../../../core/sources/outside.ts';
import { useConditions } from '../../../../session/conditions.ts';
import { useDesk } from '../../../../session/desk.ts';
import { Button } from '../../../../ui/buttons.tsx';
import { FileButton } from '../../../../ui/file-button.tsx';
import { toast } from '../../../../ui/toast.ts';
import { CalendarProblem, expandInWorker } from '../../../../workers/calendars.ts';
import { saveBytes } from '../../../pictures/download.ts';
import { FeedState, useWanted } from './state.tsx';
import { AllowedHosts } from './allowed-hosts.tsx';
import { OutsideList, setOutside } from './outside-list.tsx';

const colours = ['accent', 'second', 'alert', 'softInk'] as const;

/** The desk's calendars. */
export function CalendarsPage({ outside: { calendars } }: { outside: Outside }) {
  useWanted('calendar');
  return (
    <>
      <p className="mb-3 text-dust">
        iCalendar, from files or addresses. Tasks of a file are ticked on the desk, and leave with it.
      </p>
      <OutsideList
        list="calendars"
        one="Calendar"
        schema={Calendar}
        entries={calendars}
        most={MOST_CALENDARS}
        fresh={() => ({
          id: nanoid(8),
          title: '',
          colour: colours[calendars.length % colours.length] ?? 'accent',
          from: { by: 'file', text: '' },
        })}
        more={(calendar) => <CalendarState calendar={calendar} all={calendars} />}
      />
      <AllowedHosts />
    </>
  );
}

function CalendarState({ calendar, all }: { calendar: CalendarValue; all: readonly CalendarValue[] }) {
  const { id, from } = calendar;
  const feed = useConditions(({ feeds }) => feedOf(feeds, 'calendar', id));
  if (from.by === 'observatory') return null;
  const expanded = feed?.samples.at(-1)?.reading as Expanded | undefined;
  return (
    <>
      {from.by === 'address' && <FeedState source="text" origin={originAt(from)} />}
      {from.by === 'file' && <CalendarFile calendar={calendar} all={all} text={from.text} />}
      {feed?.problem ? (
        <p role="alert" className="text-[12px] text-rust">
          Not all of it is shown: {feed.problem.sentence}.
        </p>
      ) : (
        expanded && (
          <p className="text-[12px] text-dust">
            {expanded.events.length} events around this month, {expanded.tasks.length} tasks
          </p>
        )
      )}
    </>
  );
}

/** A calendar's file is taken into the desk, and given out again with what was ticked. */
function CalendarFile({
  calendar,
  all,
  text,
}: {
  calendar: CalendarValue;
  all: readonly CalendarValue[];
  text: string;
}) {
  const zone = useDesk((state) => state.history?.present.place.zone) ?? 'UTC';
  const name = calendar.title || 'calendar';
  async function take(file: File): Promise<void> {
    if (file.size > MOST_CALENDAR) {
      toast.warning(
        `“${file.name}” was not taken: a calendar that stands in the desk may have ${MOST_CALENDAR / 1000} kB. A larger one can be read from an address.`,
      );
      return;
    }
    const taken = await file.text();
    try {
      const now = Date.now();
      await expandInWorker({ text: taken, zone, from: now, to: now + 86_400_000 });
    } catch (error) {
      const why = error instanceof CalendarProblem ? error.message : 'it can’t be read';
      toast.warning(`“${file.name}” was not taken: ${why}.`);
      return;
    }
    const title = calendar.title || file.name.replace(/\.ics$/i, '').slice(0, 60);
    setOutside(
      'calendars',
      all.map((one) => (one.id === calendar.id ? { ...one, title, from: { by: 'file', text: taken } } : one)),
      `Calendar from ${file.name}`.slice(0, 80),
    );
  }
  return (
    <div className="flex flex-wrap gap-1.5">
      <FileButton label={`${name}: file`} accept=".ics,text/calendar" onFile={(file) => void take(file)}>
        <FolderOpen size={15} /> {text ? 'Another file…' : 'Choose a file…'}
      </FileButton>
      {text && (
        <Button onClick={() => saveBytes(text, `${name}.ics`, 'text/calendar')}>
          <Download size={15} /> Write out
        </Button>
      )}
    </div>
  );
}
