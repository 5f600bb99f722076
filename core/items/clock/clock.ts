import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { HourStyle, Seconds, Zone, clockPattern, datePattern } from '../../kinds/options.ts';
import { unitOf } from '../../sources/units.ts';
import { fieldWhen } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { inLines, layIcon, layLines, layStack } from '../text.ts';

const options = z.looseObject({
  hours: HourStyle,
  seconds: Seconds,
  pattern: fieldWhen(datePattern('EEE d MMM'), (_, face) => face === 'stack'),
  zone: Zone,
});

export interface ClockItemView {
  lines: string[];
  /** Degrees clockwise from twelve. */
  hands: { hour: number; minute: number; second: number | null };
  /** What it says to whoever asks. */
  title: string;
}

export interface ClockItemLayout extends Layout {
  /** Where the dial stands; null where the time is written. */
  dial: Rect | null;
}

export const clock = defineItem({
  type: 'clock',
  title: 'Clock',
  summary: 'The time of day',
  faces: [
    { id: 'line', title: 'Line' },
    { id: 'stack', title: 'Over the date' },
    { id: 'dial', title: 'Dial' },
  ],
  options,
  needs: ({ seconds }) => [{ source: 'time', every: seconds ? 'second' : 'minute' }],
  view({ hours: own, seconds, pattern, zone }, face, { readings, isVertical, units }): ClockItemView {
    const text = clockPattern(unitOf(own, units.hours), seconds);
    const title = readings.text(text, zone || undefined);
    const { hour, minute, second } = readings.wall(zone || undefined);
    const date = face === 'stack' && pattern ? readings.text(pattern, zone || undefined) : null;
    const written = isVertical ? title.split(/[: ]/) : [title];
    return {
      lines:
        face === 'dial' ? [] : [...written, ...(date === null ? [] : isVertical ? inLines(date) : [date])],
      hands: {
        hour: ((hour % 12) + minute / 60) * 30,
        minute: minute * 6,
        second: seconds ? second * 6 : null,
      },
      title,
    };
  },
  layout({ lines }, face, context: ItemContext): ClockItemLayout {
    if (face === 'dial') {
      const { icon, ...laid } = layIcon(null, context);
      return { ...laid, dial: icon };
    }
    return { ...(face === 'stack' ? layStack : layLines)(lines, context), dial: null };
  },
});
