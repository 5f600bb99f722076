import { TZDate } from '@date-fns/tz';
import { hash } from '../noise.ts';
import { wallClock } from '../time/time.ts';
import type { Expanded } from './calendar.ts';

/** What the observatory does, by weekday (1 is Monday), at hours of the wall clock. */
const weekly: readonly { weekday: number; from: number; to: number; title: string; place: string }[] = [
  { weekday: 1, from: 9, to: 10, title: 'Week’s plan', place: 'Common room' },
  { weekday: 2, from: 6.5, to: 9, title: 'Dawn count', place: 'North hide' },
  { weekday: 3, from: 14, to: 16, title: 'Optics clinic', place: 'Workshop' },
  { weekday: 4, from: 18, to: 19.5, title: 'Evening talk', place: 'Boathouse' },
  { weekday: 5, from: 6.5, to: 9, title: 'Dawn count', place: 'South hide' },
  { weekday: 6, from: 10, to: 13, title: 'Open hide', place: 'Both hides' },
];
/** What comes about on some days only. */
const now: readonly { chance: number; from: number; to: number; title: string; place: string }[] = [
  { chance: 0.16, from: 11, to: 12, title: 'Supply boat', place: 'Slipway' },
  { chance: 0.12, from: 20, to: 22, title: 'Moth lamp', place: 'Marsh path' },
  { chance: 0.1, from: 7, to: 11, title: 'Ringing', place: 'Sallow bed' },
];
const tasks = ['Mend the mist net', 'Copy the ledger', 'Order seed', 'Oil the telescope mount'];
const DAY = 86_400_000;

/** Stretches that were worked out: the same one is asked for all month. */
const known = new Map<string, Expanded>();
const MOST_KNOWN = 8;

/** The calendar of Marrow Point: a pure function of seed, zone and stretch. */
export function observatoryCalendar(seed: number, zone: string, from: number, to: number): Expanded {
  const key = `${seed} ${zone} ${from} ${to}`;
  let found = known.get(key);
  if (!found) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (found = workOut(seed, zone, from, to)));
  }
  return found;
}

function workOut(seed: number, zone: string, from: number, to: number): Expanded {
  const events: Expanded['events'] = [];
  const first = wallClock(from, zone);
  for (let index = 0; ; index++) {
    const at = (hour: number) =>
      new TZDate(
        first.year,
        first.month - 1,
        first.day + index,
        Math.floor(hour),
        Math.round((hour % 1) * 60),
        0,
        zone,
      ).getTime();
    const start = at(0);
    if (start >= to) break;
    const day = Math.round(Date.UTC(first.year, first.month - 1, first.day + index) / DAY);
    const weekday = ((day + 3) % 7) + 1;
    const here = [
      ...weekly.filter((one) => one.weekday === weekday),
      ...now.filter(({ chance }, kind) => hash(seed + 900 + kind, day) < chance),
    ];
    for (const { title, place, from: begins, to: ends } of here)
      events.push({ title, place, start: at(begins), end: at(ends), isWholeDay: false });
    // The great count goes over two days, at the equinoxes' new moons or nearly so.
    if (hash(seed + 950, Math.floor(day / 28)) < 0.5 && day % 28 === 12)
      events.push({ title: 'Great count', place: 'Whole coast', start, end: at(48), isWholeDay: true });
  }
  events.sort((a, b) => a.start - b.start);
  return {
    from,
    to,
    events,
    tasks: tasks.map((title, index) => ({
      uid: `task-${index}`,
      title,
      due: null,
      isDone: hash(seed + 970, index) < 0.4,
    })),
    problems: [],
  };
}
