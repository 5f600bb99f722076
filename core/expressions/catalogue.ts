import type { DeskFacts } from '../kinds/kind.ts';
import type { CalendarEvent } from '../sources/calendar/calendar.ts';
import { conditionOf } from '../sources/weather/codes.ts';
import type { OriginOf, ReadingOf, SourceId } from '../sources/list.ts';
import type { Readings } from '../sources/readings.ts';
import { onNow } from '../sources/sound/on-now.ts';
import { positionAt } from '../sources/sound/sound.ts';
import { SIMULATED } from '../sources/source.ts';
import { wallClock } from '../sources/time/time.ts';
import { compassPoint } from '../sources/units.ts';
import type { Origins } from './text.ts';

/** What expressions know: the readings, at the moment shown or another, and the desk. */
export interface Telling {
  readings: Readings;
  facts: Pick<DeskFacts, 'units' | 'half' | 'workspaces' | 'workspace' | 'running'>;
  origins: Origins;
  /** Epoch ms. */
  at: number;
}

/** A moment in an expression, with the wall clock of the desk's place. */
export class Moment {
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
  readonly day: number;
  readonly month: number;
  readonly year: number;
  /** 1 is Monday. */
  readonly weekday: number;
  readonly #ms: number;
  constructor(ms: number, zone: string) {
    const wall = wallClock(ms, zone);
    this.hour = wall.hour;
    this.minute = wall.minute;
    this.second = wall.second;
    this.day = wall.day;
    this.month = wall.month;
    this.year = wall.year;
    this.weekday = new Date(Date.UTC(wall.year, wall.month - 1, wall.day)).getUTCDay() || 7;
    this.#ms = ms;
  }
  get ms(): number {
    return this.#ms;
  }
}

/** A name that expressions know. */
export interface Entry {
  /** With dots between. */
  path: string;
  told: string;
  /** SI units but for percent and degrees; empty where it has none. */
  unit: string;
  read(telling: Telling): unknown;
}

function readingOf<Id extends SourceId>(id: Id, { readings, origins, at }: Telling): ReadingOf<Id> | null {
  if (id === 'weather' && origins.weather)
    return readings.get(origins.weather, SIMULATED, at)?.value as ReadingOf<Id> | null;
  const origin = id === 'machine' ? origins.machine : undefined;
  // What is heard in this page goes before what is only followed.
  if (id === 'sound') return onNow(readings) as ReadingOf<Id>;
  return readings.get(id, (origin ?? SIMULATED) as OriginOf<Id>, at)?.value ?? null;
}

/** What counts things is a whole number, not a fraction. */
const whole = (count: number | null | undefined) =>
  count === null || count === undefined ? null : BigInt(Math.round(count));
const percent = (share: number | null | undefined) =>
  share === null || share === undefined ? null : share * 100;
const momentAt = (ms: number | null | undefined, { readings }: Telling) =>
  ms === null || ms === undefined ? null : new Moment(ms, readings.place.zone);

/** Names under one name, of one source. */
function named<Id extends SourceId>(
  under: string,
  id: Id,
  entries: readonly (readonly [
    path: string,
    told: string,
    unit: string,
    read: (reading: ReadingOf<Id>, telling: Telling) => unknown,
  ])[],
): Entry[] {
  return entries.map(([path, told, unit, read]) => ({
    path: `${under}.${path}`,
    told,
    unit,
    read(telling) {
      const reading = readingOf(id, telling);
      return reading === null ? null : (read(reading, telling) ?? null);
    },
  }));
}

const nextIn = (events: readonly CalendarEvent[], at: number) =>
  events.find(({ start, isWholeDay }) => start > at && !isWholeDay);

/** Every name that expressions know; `core/expressions/text.ts` says which sources stand behind the first word. */
export const catalogue: readonly Entry[] = [
  {
    path: 'time',
    told: 'The moment shown; .hour, .minute, .second, .day, .month, .year, .weekday (1 is Monday)',
    unit: '',
    read: (telling) => momentAt(telling.at, telling),
  },
  { path: 'place.name', told: 'Name of the place', unit: '', read: ({ readings }) => readings.place.name },
  {
    path: 'place.latitude',
    told: 'North of the equator',
    unit: '°',
    read: ({ readings }) => readings.place.latitude,
  },
  {
    path: 'place.longitude',
    told: 'East of Greenwich',
    unit: '°',
    read: ({ readings }) => readings.place.longitude,
  },
  { path: 'place.zone', told: 'Time zone', unit: '', read: ({ readings }) => readings.place.zone },
  { path: 'desk.half', told: 'light or dark', unit: '', read: ({ facts }) => facts.half },
  {
    path: 'desk.workspace',
    told: 'Name of the workspace in front',
    unit: '',
    read: ({ facts }) => facts.workspaces[facts.workspace]?.name ?? null,
  },
  {
    path: 'desk.running',
    told: 'How many applications run',
    unit: '',
    read: ({ facts }) => whole(facts.running.size),
  },
  ...named('sun', 'sun', [
    ['up', 'Whether it is up', '', ({ isUp }) => isUp],
    ['height', 'Above the horizon', '°', ({ altitude }) => altitude],
    ['rise', 'When it rises', '', ({ sunrise }, telling) => momentAt(sunrise, telling)],
    ['set', 'When it sets', '', ({ sunset }, telling) => momentAt(sunset, telling)],
  ]),
  ...named('moon', 'moon', [
    ['name', 'What its phase is called', '', ({ name }) => name],
    ['lit', 'How much of it is lit', '%', ({ lit }) => percent(lit)],
    ['phase', '0 is new, 0.5 full', '', ({ phase }) => phase],
  ]),
  ...named('moon', 'almanac', [
    ['rise', 'When it rises', '', ({ moon }, telling) => momentAt(moon.rises, telling)],
    ['set', 'When it sets', '', ({ moon }, telling) => momentAt(moon.sets, telling)],
  ]),
  ...named('day', 'almanac', [
    ['length', 'From sunrise to sunset', 's', ({ light }) => light / 1000],
    ['gains', 'Longer than yesterday by', 's', ({ gains }) => gains / 1000],
    ['season', 'Season', '', ({ season }) => season],
    ['dawn', 'Civil twilight in the morning', '', ({ dawns }, telling) => momentAt(dawns.civil, telling)],
    ['dusk', 'Civil twilight in the evening', '', ({ dusks }, telling) => momentAt(dusks.civil, telling)],
  ]),
  ...named('tide', 'almanac', [
    ['height', 'Of the water', 'm', ({ tide }) => tide.height],
    ['rising', 'Whether it rises', '', ({ tide }) => tide.isRising],
    [
      'next',
      'When it turns next',
      '',
      ({ tide }, telling) => momentAt(tide.turns.find(({ at }) => at > telling.at)?.at, telling),
    ],
    [
      'high',
      'The next high water',
      '',
      ({ tide }, telling) =>
        momentAt(tide.turns.find(({ at, isHigh }) => isHigh && at > telling.at)?.at, telling),
    ],
    [
      'low',
      'The next low water',
      '',
      ({ tide }, telling) =>
        momentAt(tide.turns.find(({ at, isHigh }) => !isHigh && at > telling.at)?.at, telling),
    ],
  ]),
  ...named('machine', 'machine', [
    ['processor', 'Processor in use', '%', ({ processor }) => processor],
    ['cores', 'Each core in use', '%', ({ cores }) => cores],
    ['load', 'How many wanted to run at once, over a minute', '', ({ load }) => load?.[0]],
    ['memory.used', 'Memory in use', 'bytes', ({ memory }) => memory?.used],
    ['memory.total', 'Memory in all', 'bytes', ({ memory }) => memory?.total],
    ['memory.share', 'Memory in use', '%', ({ memory }) => percent(memory && memory.used / memory.total)],
    ['swap.used', 'Swap in use', 'bytes', ({ swap }) => swap?.used],
    ['swap.share', 'Swap in use', '%', ({ swap }) => percent(swap && swap.used / swap.total)],
    ['disk.used', 'Disk in use', 'bytes', ({ disk }) => disk?.used],
    ['disk.total', 'Disk in all', 'bytes', ({ disk }) => disk?.total],
    ['disk.share', 'Disk in use', '%', ({ disk }) => percent(disk && disk.used / disk.total)],
    ['network.down', 'Received', 'bytes/s', ({ network }) => network?.down],
    ['network.up', 'Sent', 'bytes/s', ({ network }) => network?.up],
    ['temperature', 'Of the processor', '°C', ({ temperatures }) => temperatures?.[0]?.celsius],
    ['temperatures', 'Each with .name and .celsius', '°C', ({ temperatures }) => temperatures],
    ['battery.charge', 'How full it is', '%', ({ battery }) => percent(battery?.charge)],
    ['battery.charging', 'Whether it is charged', '', ({ battery }) => battery?.isCharging],
    ['battery.left', 'Until it is empty or full', 's', ({ battery }) => battery?.left],
    ['disks', 'Each with .mount, .used and .total', 'bytes', ({ disks }) => disks],
    ['networks', 'Each with .name, .down, .up, .received and .sent', 'bytes', ({ networks }) => networks],
    [
      'processes',
      'The busiest first, each with .name, .processor and .memory',
      '',
      ({ processes }) => processes,
    ],
    ['updates', 'Updates that wait', '', ({ updates }) => whole(updates)],
    ['uptime', 'Since it was started', 's', ({ uptime }) => uptime],
  ]),
  ...named('weather', 'weather', [
    ['condition', 'In words', '', ({ now }) => conditionOf(now.code).title],
    ['temperature', 'Of the air', '°C', ({ now }) => now.temperature],
    ['felt', 'How warm it feels', '°C', ({ now }) => now.felt],
    ['dewPoint', 'Dew point', '°C', ({ now }) => now.dewPoint],
    ['humidity', 'Relative', '%', ({ now }) => percent(now.humidity)],
    ['pressure', 'At sea level', 'hPa', ({ now }) => now.pressure],
    ['trend', 'Of the pressure over three hours', 'hPa', ({ trend }) => trend],
    ['wind', 'Wind', 'm/s', ({ now }) => now.wind],
    ['gusts', 'Gusts', 'm/s', ({ now }) => now.gusts],
    ['direction', 'Where the wind comes from', '°', ({ now }) => now.direction],
    [
      'from',
      'The same by the compass',
      '',
      ({ now }) => (now.direction === null ? null : compassPoint(now.direction)),
    ],
    ['cloud', 'Of the sky', '%', ({ now }) => percent(now.cloud)],
    ['rain', 'Rain', 'mm/h', ({ now }) => now.rain],
    ['chance', 'Of rain within the hour', '%', ({ now }) => percent(now.chance)],
    ['visibility', 'Visibility', 'm', ({ now }) => now.visibility],
    ['low', 'Today at the coldest', '°C', ({ days }) => days[0]?.low],
    ['high', 'Today at the warmest', '°C', ({ days }) => days[0]?.high],
    [
      'hours',
      'The next 48 hours, each with .temperature, .wind, .rain',
      '',
      ({ hours }) => hours.map(({ temperature, wind, rain }) => ({ temperature, wind, rain })),
    ],
  ]),
  ...named('calendar', 'calendar', [
    ['next.title', 'The next event', '', ({ events }, { at }) => nextIn(events, at)?.title],
    ['next.place', 'Where it is', '', ({ events }, { at }) => nextIn(events, at)?.place],
    [
      'next.start',
      'When it begins',
      '',
      ({ events }, telling) => momentAt(nextIn(events, telling.at)?.start, telling),
    ],
    [
      'now.title',
      'What goes on just now',
      '',
      ({ events }, { at }) =>
        events.find(({ start, end, isWholeDay }) => !isWholeDay && start <= at && end > at)?.title,
    ],
    [
      'open',
      'Tasks that are not done',
      '',
      ({ tasks }) => whole(tasks.filter(({ isDone }) => !isDone).length),
    ],
  ]),
  ...named('sound', 'sound', [
    ['title', 'What is on', '', ({ track }) => track?.title],
    ['by', 'Who made it', '', ({ track }) => track?.by],
    ['album', 'What it is from', '', ({ track }) => track?.album],
    ['seconds', 'How long it is', 's', ({ track }) => track?.seconds],
    [
      'position',
      'How far it has come',
      's',
      (_, { readings }) => Math.floor(positionAt(onNow(readings), readings.moment)),
    ],
    ['heard', 'Whether it is heard', '', ({ isHeard, paused }) => isHeard && paused === null],
    ['volume', 'How loud', '%', ({ volume }) => volume],
  ]),
  ...named('headlines', 'headlines', [
    ['first.title', 'The newest headline', '', ({ items }) => items[0]?.title],
    ['first.text', 'What more it says', '', ({ items }) => items[0]?.text],
    ['first.from', 'Who says it', '', ({ items }) => items[0]?.from],
    ['count', 'How many there are', '', ({ items }) => whole(items.length)],
  ]),
];

/** The names under each other, as expressions walk them. */
export interface Branch {
  entry: Entry | null;
  inner: Map<string, Branch>;
}

export const catalogueTree: Branch = { entry: null, inner: new Map() };
for (const entry of catalogue) {
  let branch = catalogueTree;
  for (const name of entry.path.split('.')) {
    let next = branch.inner.get(name);
    if (!next) branch.inner.set(name, (next = { entry: null, inner: new Map() }));
    branch = next;
  }
  branch.entry = entry;
}

/** The first words of all names. */
export const roots = [...catalogueTree.inner.keys()];
