import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { Zone, datePattern } from '../../kinds/options.ts';
import { layLines } from '../text.ts';

const options = z.looseObject({ pattern: datePattern('EEE d MMM', 'Pattern'), zone: Zone });

export const date = defineItem({
  type: 'date',
  title: 'Date',
  summary: 'The day, in a pattern of your own',
  options,
  needs: () => [{ source: 'time', every: 'minute' }],
  view({ pattern, zone }, { readings, isVertical }) {
    const text = readings.text(pattern || 'd', zone || undefined);
    return { lines: isVertical ? text.split(' ') : [text] };
  },
  layout: ({ lines }, context) => layLines(lines, context),
});
