import { generateRssFeed } from 'feedsmith';
import ICAL from 'ical.js';
import { observatoryCalendar } from '../../core/sources/calendar/simulate.ts';
import { bulletins } from '../../core/sources/headlines/simulate.ts';
import { standIns } from '../../core/sources/outside.ts';
import { reportsAt } from './station.ts';

/** The place and the seed of the observatory's own desk: what its stand-ins say agrees with what is simulated there. */
export const marrowPoint = { name: 'Marrow Point', latitude: 54.61, longitude: -1.04, zone: 'Europe/London' };
export const MARROW_SEED = 1107;

const DAY = 86_400_000;

/** What stands at the address of a stand-in at a moment (epoch ms); null where there is none. */
export function standInText(address: string, moment: number): string | null {
  switch (address) {
    case standIns.station:
      return reportsAt(MARROW_SEED, marrowPoint, moment);
    case standIns.bulletins:
      return bulletinsAt(moment);
    case standIns.calendar:
      return calendarAt(moment);
    default:
      return null;
  }
}

function bulletinsAt(moment: number): string {
  const { title, items } = bulletins(MARROW_SEED, marrowPoint.zone, moment);
  return generateRssFeed({
    title,
    link: 'https://marrow-point.example/',
    description: 'What the observatory writes',
    items: items.map(({ title: said, text, moment: at }) => ({
      title: said,
      description: text,
      ...(at === null ? {} : { pubDate: new Date(at) }),
    })),
  });
}

function calendarAt(moment: number): string {
  const { events, tasks } = observatoryCalendar(
    MARROW_SEED,
    marrowPoint.zone,
    moment - 30 * DAY,
    moment + 120 * DAY,
  );
  const root = new ICAL.Component('vcalendar');
  root.updatePropertyWithValue('version', '2.0');
  root.updatePropertyWithValue('prodid', '-//Marrow Point//Calendar//EN');
  const at = (ms: number) => ICAL.Time.fromJSDate(new Date(ms), true);
  events.forEach(({ title, place, start, end, isWholeDay }, index) => {
    const part = new ICAL.Component('vevent');
    part.updatePropertyWithValue('uid', `${start}-${index}@marrow-point.example`);
    part.updatePropertyWithValue('summary', title);
    part.updatePropertyWithValue('location', place);
    if (isWholeDay) {
      // Noon is on the day in any zone of the coast.
      const day = (ms: number) => ICAL.Time.fromDateString(new Date(ms + DAY / 2).toISOString().slice(0, 10));
      part.updatePropertyWithValue('dtstart', day(start));
      part.updatePropertyWithValue('dtend', day(end));
    } else {
      part.updatePropertyWithValue('dtstart', at(start));
      part.updatePropertyWithValue('dtend', at(end));
    }
    root.addSubcomponent(part);
  });
  for (const { uid, title, isDone } of tasks) {
    const part = new ICAL.Component('vtodo');
    part.updatePropertyWithValue('uid', `${uid}@marrow-point.example`);
    part.updatePropertyWithValue('summary', title);
    part.updatePropertyWithValue('status', isDone ? 'COMPLETED' : 'NEEDS-ACTION');
    root.addSubcomponent(part);
  }
  return root.toString();
}
