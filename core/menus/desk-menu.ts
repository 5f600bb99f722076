import { z } from 'zod';
import { OwnFinish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { refers } from '../values/references.ts';
import type { TypeOf } from '../values/types.ts';
import { deskActNames, deskActTitles } from './acts.ts';
import { pixels } from './fields.ts';
import { defineMenu } from './menu.ts';
import { menuOpenedBy } from './openers.ts';
import { content } from '../values/dress.ts';

const entryId = { id: Id };

/** A line of the desk menu. */
export const DeskEntry = z.discriminatedUnion('by', [
  z.looseObject({
    ...entryId,
    by: z.literal('act'),
    act: field(z.enum(deskActNames), { label: 'Does', choices: deskActTitles }),
  }),
  z.looseObject({
    ...entryId,
    by: z.literal('start'),
    application: refers(
      field(z.string().max(64), { label: 'Application', control: 'application' }),
      'application',
      'holder',
    ),
  }),
  z.looseObject({ ...entryId, by: z.literal('line') }).meta({ description: 'A line between two groups' }),
]);
export type DeskEntry = TypeOf<typeof DeskEntry>;

/** On the bare desk. */
export const deskMenu = defineMenu({
  key: 'deskMenu',
  title: 'Desk menu',
  opener: null,
  act: 'desk-menu',
  opensBy: 'right press',
  schema: z.looseObject({
    width: pixels(140, 800, 'Width'),
    iconSize: pixels(12, 64, 'Icons'),
    icons: field(z.boolean(), { label: 'Icons' }),
    title: field(z.boolean(), { label: 'Desk’s name' }),
    entries: content(z.array(DeskEntry).max(40)),
    finish: OwnFinish,
  }),
  plain: {
    width: 320,
    iconSize: 22,
    icons: true,
    title: true,
    entries: [
      { id: 'menu-wall', by: 'act', act: 'app-wall' },
      { id: 'menu-find', by: 'act', act: 'quick-find' },
      { id: 'menu-line', by: 'line' },
      { id: 'menu-half', by: 'act', act: 'half' },
      { id: 'menu-arrange', by: 'act', act: 'arrange' },
    ],
    finish: null,
  },
  lists: ({ entries }) => ({ entries }),
  starts: ({ entries }) =>
    entries.some((entry) => entry.by === 'start' || (entry.by === 'act' && menuOpenedBy(entry.act) !== null)),
});
