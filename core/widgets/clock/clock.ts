import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { HourStyle, Seconds, TypeOption, Zone, colourOption, datePattern } from '../../kinds/options.ts';
import { clockLayouts, type ClockLayout, type ClockView } from './layout.ts';

const faces = [
  { id: 'serif', title: 'Serif' },
  { id: 'stack', title: 'Stack' },
  { id: 'hands', title: 'Hands' },
  { id: 'line', title: 'Line' },
] as const;

const options = z.looseObject({
  hours: HourStyle,
  seconds: Seconds,
  date: datePattern('EEEE d MMMM'),
  zone: Zone,
  type: TypeOption,
  colour: colourOption('ink'),
});

export const clock = defineWidget({
  type: 'clock',
  title: 'Clock',
  summary: 'The time and the date, here or elsewhere',
  faces,
  options,
  startsBare: (face) => face !== 'line',
  needs: ({ seconds }) => [{ source: 'time', every: seconds ? 'second' : 'minute' }],
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
  layout: (view, face, { fonts }): ClockLayout => clockLayouts[face](view, fonts),
});

function twoDigits(value: number): string {
  return value < 10 ? `0${value}` : String(value);
}
