import { z } from 'zod';
import { field } from '../values/field.ts';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

export const iconSets = ['reed', 'slate', 'shell'] as const;
export type IconSetName = (typeof iconSets)[number];
export const iconStyles = ['line', 'filled', 'duo'] as const;
export type IconStyle = (typeof iconStyles)[number];
/** The styles that each set is drawn in. */
export const stylesOf: Record<IconSetName, readonly IconStyle[]> = {
  reed: ['line'],
  slate: ['line', 'filled'],
  shell: ['line', 'filled', 'duo'],
};
export const tileShapes = ['none', 'circle', 'rounded', 'square', 'hexagon'] as const;

export const Icons = z.looseObject({
  set: z.enum(iconSets),
  style: z.enum(iconStyles),
  tile: field(z.enum(tileShapes), {
    label: 'Shape',
    choices: {
      none: 'None: bare',
      circle: 'Circle',
      rounded: 'Rounded',
      square: 'Square',
      hexagon: 'Hexagon',
    },
  }),
  tileColour: z
    .union([Colour, z.literal('application')])
    .meta({ description: 'A colour, or one for each application' }),
});
export type Icons = TypeOf<typeof Icons>;
