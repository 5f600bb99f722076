import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { HourStyle, Seconds, Zone, timePattern } from '../../kinds/options.ts';
import { itemText, lineSpots, linesLength } from '../text.ts';

const options = z.looseObject({ hours: HourStyle, seconds: Seconds, zone: Zone });

export interface LinesView {
  lines: string[];
  fontSize: number;
}

export const clock = defineItem({
  type: 'clock',
  title: 'Clock',
  summary: 'The time of day',
  options,
  tick: ({ seconds }) => (seconds ? 'second' : 'minute'),
  view({ hours, seconds, zone }, context): LinesView {
    const pattern = timePattern(hours) + (seconds ? ':ss' : '') + (hours === '12' ? ' aaa' : '');
    const text = context.readings.text(pattern, zone || undefined);
    return { lines: context.isVertical ? text.split(/[: ]/) : [text], fontSize: itemText(context).size };
  },
  length: (view, context) => linesLength(view.lines, context),
  texts: ({ lines, fontSize }, context) => lineSpots(lines, fontSize, context),
});
