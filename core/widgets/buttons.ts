import { z } from 'zod';
import { TypeOption, colourOption } from '../kinds/options.ts';
import { field } from '../values/field.ts';

/** What kinds of widgets share that show buttons; buttons-work.ts lays them. */

export const buttonFaces = [
  { id: 'round', title: 'Round' },
  { id: 'pills', title: 'Pills' },
  { id: 'list', title: 'List' },
] as const;
export type ButtonFace = (typeof buttonFaces)[number]['id'];

/** How much of the ink a button is filled with, 0 to 1. */
export const BUTTON_FILL = 0.09;

/** How buttons look, of a size (px) to start with. */
export const buttonShape = (size: number) => ({
  size: field(z.number().min(24).max(160).default(size), {
    label: 'Size',
    is: 'place',
    unit: 'px',
    control: 'slider',
  }),
  upright: field(z.boolean().default(false), {
    label: 'Vertical',
    is: 'place',
    when: (_, face) => face !== 'list',
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
