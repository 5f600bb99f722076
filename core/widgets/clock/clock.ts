import { z } from 'zod';
import { defineWidget } from '../../kinds.ts';
import { HourStyle, Seconds, Zone, colourOption, datePattern } from '../../options.ts';
import { textWidth } from '../../text/measure.ts';

const faces = [
  { id: 'serif', title: 'Serif' },
  { id: 'stack', title: 'Stack' },
  { id: 'hands', title: 'Hands' },
  { id: 'line', title: 'Line' },
] as const;

/** Sizes in px and weights, shared by the measuring and the drawing half. */
export const clockType = {
  serif: { time: { size: 168, weight: 200, spacing: -0.03 }, date: { size: 26, weight: 400 } },
  stack: { time: { size: 132, weight: 600, spacing: -0.02 }, date: { size: 20, weight: 500 } },
  line: { time: { size: 34, weight: 500 }, date: { size: 22, weight: 400 } },
  hands: { size: 220, date: { size: 18, weight: 500 } },
  /** Seconds and am/pm, as a share of the time's size. */
  small: 0.28,
  gap: 14,
} as const;

const options = z.looseObject({
  hours: HourStyle,
  seconds: Seconds,
  date: datePattern('EEEE d MMMM'),
  zone: Zone,
  colour: colourOption('ink'),
});

export interface ClockView {
  hours: string;
  minutes: string;
  seconds: string | null;
  period: string | null;
  date: string | null;
  /** Degrees clockwise from twelve. */
  hands: { hour: number; minute: number; second: number | null };
  colour: string;
}

export const clock = defineWidget({
  type: 'clock',
  title: 'Clock',
  summary: 'The time and the date, here or elsewhere',
  faces,
  options,
  startsBare: (face) => face !== 'line',
  tick: ({ seconds }) => (seconds ? 'second' : 'minute'),
  view({ hours, seconds, date, zone, colour }, _face, { readings, textColour }): ClockView {
    const at = zone || readings.place.zone;
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
      colour: textColour(colour),
    };
  },
  size(view, face, { fonts }) {
    const dateWidth = (style: { size: number; weight: number }) =>
      view.date ? textWidth(view.date, { family: fonts.text, ...style }) : 0;
    switch (face) {
      case 'serif': {
        const { time, date } = clockType.serif;
        const small = time.size * clockType.small;
        const extra = [view.seconds, view.period].filter((text) => text !== null).join(' ');
        const width =
          textWidth(`${view.hours}:${view.minutes}`, { family: fonts.display, ...time }) +
          (extra ? 12 + textWidth(extra, { family: fonts.display, size: small, weight: 300 }) : 0);
        return {
          width: Math.ceil(Math.max(width, dateWidth(date))) + 4,
          height: Math.ceil(time.size * 0.82 + (view.date ? clockType.gap + date.size * 1.3 : 0)),
        };
      }
      case 'stack': {
        const { time, date } = clockType.stack;
        const two = textWidth('00', { family: fonts.figures, ...time });
        return {
          width: Math.ceil(Math.max(two + (view.seconds ? 44 : 0), dateWidth(date))) + 2,
          height: Math.ceil(time.size * 0.8 * 2 + 22 + (view.date ? clockType.gap + date.size * 1.3 : 0)),
        };
      }
      case 'hands': {
        const { size, date } = clockType.hands;
        return {
          width: Math.ceil(Math.max(size, dateWidth(date))),
          height: Math.ceil(size + (view.date ? clockType.gap + date.size * 1.3 : 0)),
        };
      }
      case 'line': {
        const { time, date } = clockType.line;
        const whole = [
          `${view.hours}:${view.minutes}`,
          view.seconds && `:${view.seconds}`,
          view.period && ` ${view.period}`,
        ]
          .filter(Boolean)
          .join('');
        const width = textWidth(whole, { family: fonts.figures, ...time });
        return {
          width: Math.ceil(width + (view.date ? 20 + dateWidth(date) : 0)) + 2,
          height: Math.ceil(time.size * 1.25),
        };
      }
    }
  },
});

function twoDigits(value: number): string {
  return value < 10 ? `0${value}` : String(value);
}
