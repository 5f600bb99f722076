import { z } from 'zod';
import { content, dress, place } from '../values/dress.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { refers } from '../values/references.ts';
import type { TypeOf } from '../values/types.ts';

/** Icons of applications on the bare desk, on a grid from a corner. */
export const DesktopIcons = dress(
  z.looseObject({
    shown: field(z.enum(['none', 'some', 'all']), {
      label: 'Icons',
      is: 'content',
      choices: { none: 'None', some: 'Some', all: 'All' },
    }),
    applications: content(
      z
        .array(refers(z.string().max(64), 'application', 'name'))
        .max(200)
        .meta({ description: 'Ids of those that are shown, where some are' }),
    ),
    size: field(z.number().min(24).max(128).meta({ description: 'px' }), {
      label: 'Icon size',
      unit: 'px',
      control: 'slider',
      when: areShown,
    }),
    labels: field(z.boolean(), { label: 'Names', when: areShown }),
    from: field(z.enum(['top-left', 'top-right', 'bottom-left', 'bottom-right']), {
      label: 'Start corner',
      is: 'place',
      choices: {
        'top-left': 'Top left',
        'top-right': 'Top right',
        'bottom-left': 'Bottom left',
        'bottom-right': 'Bottom right',
      },
      when: areShown,
    }),
    flow: field(z.enum(['columns', 'rows']), {
      label: 'Arrangement',
      choices: { columns: 'Columns', rows: 'Rows' },
      when: areShown,
    }),
    spacing: field(z.number().min(0).max(80).meta({ description: 'px between two cells' }), {
      label: 'Spacing',
      unit: 'px',
      control: 'slider',
      when: areShown,
    }),
    screens: place(
      z
        .array(Id)
        .max(8)
        .meta({ description: 'Ids of the screens on which they stand; on the first where there is none' }),
    ),
  }),
);
export type DesktopIcons = TypeOf<typeof DesktopIcons>;

function areShown({ shown }: Readonly<Record<string, unknown>>): boolean {
  return shown !== 'none';
}

/** On a desk that nobody has changed yet. */
export const plainDesktopIcons: DesktopIcons = {
  shown: 'none',
  applications: [],
  size: 48,
  labels: true,
  from: 'top-left',
  flow: 'columns',
  spacing: 12,
  screens: [],
};
