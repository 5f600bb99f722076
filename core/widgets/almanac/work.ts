import type { WidgetContext } from '../../kinds/kind.ts';
import { clockPattern } from '../../kinds/options.ts';
import type { AlmanacReading } from '../../sources/almanac/almanac.ts';
import { dayStretches, shareOfDay } from '../../sources/almanac/stretches.ts';
import { formatMoment } from '../../sources/time/time.ts';
import { lengthTold, unitOf } from '../../sources/units.ts';
import type { TideTurn } from '../../sources/tide/tide.ts';
import type { AlmanacFace, AlmanacOptions } from './almanac.ts';
import { almanacLayouts, type AlmanacLayout, type AlmanacView } from './layout.ts';

export function view(options: AlmanacOptions, face: AlmanacFace, context: WidgetContext): AlmanacView {
  const { readings, units, textColour } = context;
  const said = readings.get('almanac').value;
  const { zone } = readings.place;
  const pattern = clockPattern(unitOf(options.hours, units.hours));
  const clock = (at: number | null) => (at === null ? '–' : formatMoment(at, zone, pattern));
  const { day, moon, tide } = said;
  const share = (at: number) => shareOfDay(said, at);
  const coming = tide.turns.filter(({ at }) => at > readings.moment).slice(0, 2);
  return {
    now: share(readings.moment),
    moon: { phase: moon.phase, name: moon.name, lit: `${Math.round(moon.lit * 100)} % lit` },
    moonTimes: [`Rises ${clock(moon.rises)}`, `Sets ${clock(moon.sets)}`],
    height: metres(tide.height),
    isRising: tide.isRising,
    curve: face === 'tide' ? tide.curve.map(({ at, height }) => ({ x: share(at), height })) : [],
    turns:
      face === 'tide'
        ? tide.turns
            .filter(({ at }) => at >= day.start && at < day.end)
            .map(({ at, height, isHigh }) => ({ x: share(at), height, isHigh, told: clock(at) }))
        : [],
    coming: coming.map((turn) => `${tideName(turn)} ${clock(turn.at)}`),
    sun: dayStretches(said),
    sunTimes: [clock(said.sunrise), clock(said.sunset)],
    light: lengthTold(said.light / 1000),
    gains: gainsOf(said.gains),
    season: said.season,
    rows: face === 'table' ? rowsOf(said, clock, coming) : [],
    type: options.type,
    colour: textColour(options.colour),
  };
}

export function layout(seen: AlmanacView, face: AlmanacFace, { fonts }: WidgetContext): AlmanacLayout {
  return almanacLayouts[face](seen, fonts);
}

const tideName = ({ isHigh }: TideTurn) => (isHigh ? 'High water' : 'Low water');

function metres(height: number): string {
  return `${height.toFixed(1).replace('-', '−')} m`;
}

function gainsOf(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  if (minutes === 0) return 'as long as yesterday';
  return `${minutes} min ${ms > 0 ? 'longer' : 'shorter'} than yesterday`;
}

type Clock = (at: number | null) => string;

function rowsOf(said: AlmanacReading, clock: Clock, coming: readonly TideTurn[]): [string, string][] {
  const { sunrise, sunset, dawns, dusks, moon, light, season } = said;
  return [
    ['Twilight', `${clock(dawns.civil)} and ${clock(dusks.civil)}`],
    ['Sun', `${clock(sunrise)} to ${clock(sunset)}`],
    ['Daylight', lengthTold(light / 1000)],
    ['Moon', `${clock(moon.rises)} to ${clock(moon.sets)}`],
    ['Phase', moon.name],
    ...coming.map((turn): [string, string] => [tideName(turn), `${clock(turn.at)}, ${metres(turn.height)}`]),
    ['Season', season],
  ];
}
