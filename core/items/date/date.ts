import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { Zone, datePattern } from '../../kinds/options.ts';
import { itemText, lineSpots, linesLength } from '../text.ts';

const options = z.looseObject({ pattern: datePattern('EEE d MMM', 'Pattern'), zone: Zone });

export const date = defineItem({
  type: 'date',
  title: 'Date',
  summary: 'The day, in a pattern of your own',
  options,
  tick: () => 'minute',
  view({ pattern, zone }, context) {
    const text = context.readings.text(pattern || 'd', zone || undefined);
    return { lines: context.isVertical ? text.split(' ') : [text], fontSize: itemText(context).size };
  },
  length: (view, context) => linesLength(view.lines, context),
  texts: ({ lines, fontSize }, context) => lineSpots(lines, fontSize, context),
});
