import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { HourStyle, Seconds, Zone, timePattern } from '../../kinds/options.ts';
import { layLines } from '../text.ts';

const options = z.looseObject({ hours: HourStyle, seconds: Seconds, zone: Zone });

export const clock = defineItem({
  type: 'clock',
  title: 'Clock',
  summary: 'The time of day',
  options,
  needs: ({ seconds }) => [{ source: 'time', every: seconds ? 'second' : 'minute' }],
  view({ hours, seconds, zone }, { readings, isVertical }) {
    const pattern = timePattern(hours) + (seconds ? ':ss' : '') + (hours === '12' ? ' aaa' : '');
    const text = readings.text(pattern, zone || undefined);
    return { lines: isVertical ? text.split(/[: ]/) : [text] };
  },
  layout: ({ lines }, context) => layLines(lines, context),
});
