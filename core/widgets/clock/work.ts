import type { WidgetContext } from '../../kinds/kind.ts';
import { hoursOf } from '../../kinds/options.ts';
import type { ClockFace, ClockOptions } from './clock.ts';
import { clockLayouts, type ClockLayout, type ClockView } from './layout.ts';

export function view(
  { hours: own, seconds, date, zone, type, colour }: ClockOptions,
  _face: ClockFace,
  { readings, textColour, units }: WidgetContext,
): ClockView {
  const hours = hoursOf(own, units);
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
}

export function layout(view: ClockView, face: ClockFace, { fonts }: WidgetContext): ClockLayout {
  return clockLayouts[face](view, fonts);
}

function twoDigits(value: number): string {
  return value < 10 ? `0${value}` : String(value);
}
