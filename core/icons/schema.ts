import { z } from 'zod';
import { field } from '../values/field.ts';
import { lookUp } from '../values/look-up.ts';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

export const iconSets = ['reed', 'slate', 'shell'] as const;
export type IconSetName = (typeof iconSets)[number];
export const setTitles: Record<IconSetName, string> = { reed: 'Reed', slate: 'Slate', shell: 'Shell' };
const iconStyles = ['line', 'filled', 'duo'] as const;
export type IconStyle = (typeof iconStyles)[number];
/** The styles that each set is drawn in. */
export const stylesOf: Record<IconSetName, readonly IconStyle[]> = {
  reed: ['line'],
  slate: ['line', 'filled'],
  shell: ['line', 'filled', 'duo'],
};
export const tileShapes = ['none', 'circle', 'rounded', 'square', 'hexagon'] as const;

function stylesBeside({ set }: Readonly<Record<string, unknown>>): readonly IconStyle[] {
  return lookUp(stylesOf, String(set)) ?? [];
}

export const Icons = z.looseObject({
  set: z.enum(iconSets),
  style: field(z.enum(iconStyles), {
    label: 'Style',
    choices: { line: 'Line', filled: 'Filled', duo: 'Two-tone' },
    choicesFor: stylesBeside,
    isWide: true,
    when: (values) => stylesBeside(values).length > 1,
  }),
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
  tileColour: field(
    z
      .union([Colour, z.literal('application')])
      .meta({ description: 'A colour, or one for each application' }),
    {
      label: 'Colour',
      control: 'colour',
      instead: { word: 'application', label: 'One for each', off: 'raised' },
      when: ({ tile }) => tile !== 'none',
    },
  ),
});
export type Icons = TypeOf<typeof Icons>;
