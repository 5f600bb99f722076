import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { chosenFont, colourOption, TypeOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';
import { itemText, layLines } from '../text.ts';

export const label = defineItem({
  type: 'label',
  title: 'Label',
  summary: 'Words of your own',
  options: z.looseObject({
    text: field(z.string().max(200).default('Marrow Point'), { label: 'Text', placeholder: 'nothing' }),
    type: TypeOption,
    colour: colourOption('ink'),
  }),
  view: ({ text, type, colour }, { textColour, isVertical }) => ({
    // Upright, one word stands under the other.
    lines: isVertical ? text.split(/\s+/).filter(Boolean) : text === '' ? [] : [text],
    type,
    colour: textColour(colour),
  }),
  layout: ({ lines, type, colour }, context) =>
    layLines(lines, context, { ...itemText(context), font: chosenFont(type, 'text'), colour }),
});
