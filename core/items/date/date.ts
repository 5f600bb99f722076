import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { middleBaseline, putLine, setLine, type Layout } from '../../kinds/layout.ts';
import { Zone, datePattern } from '../../kinds/options.ts';
import { fieldWhen } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { inLines, layIcon, layLines, layStack } from '../text.ts';

const options = z.looseObject({
  pattern: fieldWhen(datePattern('EEE d MMM', 'Pattern'), (_, face) => face !== 'leaf'),
  zone: Zone,
});

export interface DateItemLayout extends Layout {
  /** The leaf of a calendar, and the bar above its figure; null where the date is written. */
  leaf: { sheet: Rect; bar: Rect } | null;
}

/** Of the icon: how high the bar of a leaf is, and how high its figure. */
const LEAF = { bar: 0.24, figure: 0.56 } as const;

export const date = defineItem({
  type: 'date',
  title: 'Date',
  summary: 'The day, in a pattern of your own',
  faces: [
    { id: 'line', title: 'Line' },
    { id: 'stack', title: 'In two lines' },
    { id: 'leaf', title: 'Leaf' },
  ],
  options,
  needs: () => [{ source: 'time', every: 'minute' }],
  view({ pattern, zone }, face, { readings, isVertical }) {
    const text = readings.text(face === 'leaf' ? 'd' : pattern || 'd', zone || undefined);
    if (face === 'leaf') return { lines: [text] };
    const words = inLines(text);
    if (isVertical) return { lines: words };
    return {
      lines: face === 'stack' && words.length > 1 ? [words[0] ?? '', words.slice(1).join(' ')] : [text],
    };
  },
  layout({ lines }, face, context): DateItemLayout {
    if (face === 'leaf') return layLeaf(lines[0] ?? '', context);
    return { ...(face === 'stack' ? layStack : layLines)(lines, context), leaf: null };
  },
});

function layLeaf(day: string, context: ItemContext): DateItemLayout {
  const { icon, size } = layIcon(null, context);
  const bar = { ...icon, height: Math.round(icon.height * LEAF.bar) };
  const line = setLine(day, { font: 'figures', size: icon.height * LEAF.figure, weight: 600 }, context.fonts);
  const below = icon.y + bar.height;
  return {
    size,
    runs: [
      putLine(
        line,
        { centre: icon.x + icon.width / 2 },
        middleBaseline(line, below, icon.height - bar.height),
      ),
    ],
    leaf: { sheet: icon, bar },
  };
}
