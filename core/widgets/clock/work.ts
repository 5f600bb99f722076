import type { WidgetContext } from '../../kinds/kind.ts';
import { clockPattern } from '../../kinds/options.ts';
import { dayStretches, shareOfDay } from '../../sources/almanac/stretches.ts';
import { unitOf } from '../../sources/units.ts';
import { aheadBy, formatMoment, momentOf, wallClock } from '../../sources/time/time.ts';
import type { ClockFace, ClockOptions } from './clock.ts';
import { clockLayouts, type ClockLayout, type ClockView } from './layout.ts';
import { timeInWords } from './words.ts';

export function view(options: ClockOptions, face: ClockFace, context: WidgetContext): ClockView {
  const { seconds, date, zone, type, colour } = options;
  const { readings, textColour, units } = context;
  const hours = unitOf(options.hours, units.hours);
  const at = face === 'ring' ? readings.place.zone : zone || readings.place.zone;
  const { hour, minute, second } = readings.wall(at);
  return {
    hours: hours === '24' ? twoDigits(hour) : String(hour % 12 || 12),
    minutes: twoDigits(minute),
    seconds: seconds ? twoDigits(second) : null,
    period: hours === '12' ? (hour < 12 ? 'am' : 'pm') : null,
    date: date ? readings.text(date, at) : null,
    hands: {
      hour: ((hour % 12) + minute / 60) * 30,
      minute: minute * 6,
      second: seconds ? second * 6 : null,
    },
    words: face === 'words' ? timeInWords(hour, minute) : [],
    day: face === 'ring' ? dayOf(context) : null,
    zones: face === 'zones' ? zonesOf(options, context) : [],
    timer: face === 'timer' ? timerOf(options, context) : null,
    until: face === 'until' ? untilOf(options, context) : null,
    type,
    colour: textColour(colour),
  };
}

export function layout(seen: ClockView, face: ClockFace, { fonts }: WidgetContext): ClockLayout {
  return clockLayouts[face](seen, fonts);
}

function dayOf({ readings }: WidgetContext): ClockView['day'] {
  const said = readings.get('almanac').value;
  return { ...dayStretches(said), now: shareOfDay(said, readings.moment) };
}

function zonesOf(options: ClockOptions, { readings, units }: WidgetContext): ClockView['zones'] {
  const { moment, place } = readings;
  const pattern = clockPattern(unitOf(options.hours, units.hours));
  const today = wallClock(moment, place.zone).day;
  return options.zones.map(({ zone, name }) => {
    const at = zone || place.zone;
    const { day } = wallClock(moment, at);
    const ahead = aheadBy(moment, at, place.zone);
    // Zones are less than a day apart, or a day and a bit across the date line.
    const otherDay = day === today ? '' : ahead > 0 ? ', tomorrow' : ', yesterday';
    return {
      name: name || (zone ? (zone.split('/').at(-1)?.replaceAll('_', ' ') ?? zone) : place.name || 'Here'),
      time: formatMoment(moment, at, pattern),
      difference: differenceOf(ahead) + otherDay,
    };
  });
}

function differenceOf(minutes: number): string {
  if (minutes === 0) return 'the same';
  const [hours, rest] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60];
  return `${minutes > 0 ? '+' : '−'}${hours} h${rest === 0 ? '' : ` ${rest}`}`;
}

const MINUTE = 60_000;

function untilOf({ until, what }: ClockOptions, { readings }: WidgetContext): ClockView['until'] {
  const { moment, place } = readings;
  const then = momentOf(until, place.zone) ?? moment;
  const isPast = then <= moment;
  // Until it has come, the minute that is under way counts.
  const minutes = isPast ? Math.floor((moment - then) / MINUTE) : Math.ceil((then - moment) / MINUTE);
  const parts: [number, string][] = [
    [Math.floor(minutes / 1440), 'd'],
    [Math.floor(minutes / 60) % 24, 'h'],
    [minutes % 60, 'min'],
  ];
  // Days are left out when there are none.
  const told = parts[0]?.[0] === 0 ? parts.slice(1) : parts;
  return {
    parts: told.map(([count, unit], index) => ({
      figure: index === 0 ? String(count) : twoDigits(count),
      unit,
    })),
    what: what ? `${isPast ? 'since' : 'until'} ${what}` : isPast ? 'since then' : 'until then',
  };
}

/** What is left of the timer, or by how much it is over. */
function timerOf(
  { minutes, startedAt }: ClockOptions,
  { readings: { moment } }: WidgetContext,
): ClockView['timer'] {
  const all = Math.round(minutes * 60);
  // A moment before it was started is as if it waited.
  const gone = startedAt === null ? 0 : Math.max(0, Math.floor((moment - startedAt) / 1000));
  const left = Math.abs(all - gone);
  const [hours, rest] = [Math.floor(left / 3600), Math.floor(left / 60) % 60];
  const figures = hours > 0 ? [String(hours), twoDigits(rest)] : [String(rest)];
  return {
    figure: [...figures, twoDigits(left % 60)].join(':'),
    share: all === 0 ? 0 : Math.max(0, 1 - gone / all),
    isRunning: startedAt !== null,
    isOver: startedAt !== null && gone >= all,
  };
}

function twoDigits(value: number): string {
  return value < 10 ? `0${value}` : String(value);
}
