import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { chosenFont, colourOption, TypeOption } from '../../kinds/options.ts';
import { originsOf, saidOf } from '../../expressions/telling.ts';
import { toldFrom, toldText } from '../../expressions/options.ts';
import { expressionsOf, needsOf } from '../../expressions/text.ts';
import type { Rect } from '../../values/geometry.ts';
import { inLines, itemText, layLines } from '../text.ts';

export interface LabelItemLayout extends Layout {
  /** The tag on which the words stand; null on other faces. */
  tag: Rect | null;
}

/** Of the edge's depth: how deep a tag is. */
const TAG = 0.72;
/** em between the letters of the wide face, and how large they are. */
const WIDE = { spacing: 0.14, share: 0.86 } as const;

export const label = defineItem({
  type: 'label',
  title: 'Label',
  summary: 'Words of your own',
  typed: 'text',
  faces: [
    { id: 'plain', title: 'Plain' },
    { id: 'wide', title: 'Wide capitals' },
    { id: 'tag', title: 'Tag' },
  ],
  options: z.looseObject({
    text: toldText('Marrow Point', 'Text', 200),
    from: toldFrom,
    type: TypeOption,
    colour: colourOption('ink'),
  }),
  needs: ({ text, from }) => needsOf(expressionsOf(text), originsOf({ from })),
  view({ text, from, type, colour }, face, context) {
    const { textColour, isVertical } = context;
    const told = saidOf(text, context, { from });
    const said = face === 'wide' ? told.toUpperCase() : told;
    return {
      lines: isVertical ? inLines(said) : said === '' ? [] : [said],
      type,
      colour: textColour(colour),
    };
  },
  layout({ lines, type, colour }, face, context): LabelItemLayout {
    const plain = { ...itemText(context), font: chosenFont(type, 'text'), colour };
    const style =
      face === 'wide' ? { ...plain, size: plain.size * WIDE.share, spacing: WIDE.spacing } : plain;
    const laid = layLines(lines, context, style);
    if (face !== 'tag' || lines.length === 0) return { ...laid, tag: null };
    const { thickness, isVertical } = context;
    if (isVertical) return { ...laid, tag: { x: 1, y: 0, width: thickness - 2, height: laid.size.height } };
    const deep = thickness * TAG;
    return { ...laid, tag: { x: 0, y: (thickness - deep) / 2, width: laid.size.width, height: deep } };
  },
});
