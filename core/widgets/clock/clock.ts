import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import type { Fonts } from '../../kinds/kind.ts';
import {
  HourStyle,
  Seconds,
  TypeOption,
  Zone,
  colourOption,
  datePattern,
  fontOf,
  type TypeChoice,
} from '../../kinds/options.ts';
import { setStyle, steadyWidth, type TextStyle } from '../../text/measure.ts';

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

/** Line heights, as shares of the size. */
const TIME_LEADING = 0.82;
const STACK_LEADING = 0.8;
const LINE_LEADING = 1.25;
const DATE_LEADING = 1.3;

const options = z.looseObject({
  hours: HourStyle,
  seconds: Seconds,
  date: datePattern('EEEE d MMMM'),
  zone: Zone,
  type: TypeOption,
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
  type: TypeChoice;
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
  view({ hours, seconds, date, zone, type, colour }, _face, { readings, textColour }): ClockView {
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
      type,
      colour: textColour(colour),
    };
  },
  size(view, face, { fonts }) {
    const { lines, across = 0, below = 0 } = layClock(view, face, fonts);
    const width = Math.max(across, ...lines.map(({ x, width }) => x + width));
    return { width: Math.ceil(width) + 4, height: Math.ceil(Math.max(below, ...lines.map(endOf))) };
  },
  texts(view, face, { fonts, surface, box }) {
    return layClock(view, face, fonts).lines.map((line) => ({
      text: line.text,
      box: {
        x: { start: line.x, middle: (box.width - line.width) / 2, end: box.width - line.width }[line.align],
        y: line.y,
        width: line.width,
        height: line.height,
      },
      colour: line.isSoft ? surface.softInk : view.colour,
      size: line.size,
      weight: line.weight,
    }));
  },
});

/** A line of a face, px from the content's top left. */
interface Line {
  text: string;
  x: number;
  y: number;
  width: number;
  height: number;
  size: number;
  weight: number;
  align: 'start' | 'middle' | 'end';
  isSoft: boolean;
}

const endOf = (line: Line) => line.y + line.height;

function line(
  text: string,
  style: TextStyle,
  leading: number,
  at: Partial<Pick<Line, 'x' | 'y' | 'align' | 'isSoft'>> = {},
): Line {
  const { size, weight } = setStyle(style);
  return {
    text,
    x: 0,
    y: 0,
    align: 'start',
    isSoft: false,
    width: steadyWidth(text, style),
    height: size * leading,
    size,
    weight,
    ...at,
  };
}

/** How a face sets its lines: the same for measuring, for judging and, by the shared sizes, for drawing. */
function layClock(
  view: ClockView,
  face: string,
  fonts: Fonts,
): { lines: Line[]; across?: number; below?: number } {
  const dateBelow = (style: { size: number; weight: number }, y: number, align: Line['align'] = 'start') =>
    view.date
      ? [line(view.date, { font: fonts.text, ...style }, DATE_LEADING, { y: y + clockType.gap, align })]
      : [];
  switch (face) {
    case 'serif': {
      const { time, date } = clockType.serif;
      const font = fontOf(view.type, 'display', fonts);
      const extra = [view.seconds, view.period].filter((text) => text !== null).join(' ');
      const main = line(`${view.hours}:${view.minutes}`, { font, ...time }, TIME_LEADING);
      const small = { font, size: time.size * clockType.small, weight: 300 };
      return {
        lines: [
          main,
          ...(extra ? [line(extra, small, 1, { x: main.width + 12, y: main.height * 0.6 })] : []),
          ...dateBelow(date, main.height),
        ],
      };
    }
    case 'stack': {
      const { time, date } = clockType.stack;
      const font = fontOf(view.type, 'figures', fonts);
      const hours = line(view.hours.padStart(2, ' '), { font, ...time }, STACK_LEADING);
      const minutes = line(view.minutes, { font, ...time }, STACK_LEADING, { y: hours.height + 22 });
      const small = { font, size: time.size * clockType.small, weight: time.weight };
      const seconds = view.seconds
        ? [line(view.seconds, small, 1, { x: minutes.width + 8, y: endOf(minutes) - small.size })]
        : [];
      const words = [view.period, view.date].filter(Boolean).join(' ');
      return {
        lines: [
          hours,
          minutes,
          ...seconds,
          ...(view.date
            ? [
                line(words, { font: fonts.text, ...date }, DATE_LEADING, {
                  y: endOf(minutes) + clockType.gap,
                }),
              ]
            : []),
        ],
        across: steadyWidth('00', { font, ...time }) + (view.seconds ? 44 : 0),
      };
    }
    case 'hands': {
      const { size, date } = clockType.hands;
      return { lines: dateBelow(date, size, 'middle'), across: size, below: size };
    }
    default: {
      const { time, date } = clockType.line;
      const whole = [
        `${view.hours}:${view.minutes}`,
        view.seconds && `:${view.seconds}`,
        view.period && ` ${view.period}`,
      ]
        .filter(Boolean)
        .join('');
      const main = line(whole, { font: fontOf(view.type, 'figures', fonts), ...time }, LINE_LEADING);
      if (!view.date) return { lines: [main] };
      const words = line(view.date, { font: fonts.text, ...date }, LINE_LEADING, {
        align: 'end',
        isSoft: true,
      });
      // Both stand on one line of writing.
      return { lines: [main, { ...words, x: main.width + 20, y: (main.height - words.height) * 0.7 }] };
    }
  }
}

function twoDigits(value: number): string {
  return value < 10 ? `0${value}` : String(value);
}
