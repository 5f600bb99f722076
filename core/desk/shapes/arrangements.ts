import { z } from 'zod';
import { EdgeFrame } from '../../arrange/schema.ts';
import { WallTime } from '../../values/earth.ts';
import { content } from '../../values/dress.ts';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import { halves } from '../../values/roles.ts';
import type { TypeOf } from '../../values/types.ts';
import { TrialWindows } from '../../windows/trial.ts';
import { WidgetFrame } from './widgets.ts';

/** When an arrangement is on by itself. */
const Holds = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('choice') }),
  z.looseObject({
    by: z.literal('workspace'),
    workspace: field(Id.clone(), { label: 'On workspace' }),
  }),
  z.looseObject({
    by: z.literal('half'),
    half: field(z.enum(halves), { label: 'In the half', choices: { light: 'Light', dark: 'Dark' } }),
  }),
  z.looseObject({
    by: z.literal('hours'),
    from: field(WallTime.clone(), { label: 'From', control: 'time' }),
    to: field(WallTime.clone(), { label: 'To', control: 'time' }),
  }),
]);
export type Holds = TypeOf<typeof Holds>;

/** Where a widget stands. */
const WidgetStand = WidgetFrame.pick({ id: true, place: true, scale: true, followsWidth: true });
export type WidgetStand = TypeOf<typeof WidgetStand>;

/** Where an edge stands, and how large it is there. */
const EdgeStand = EdgeFrame.pick({
  id: true,
  screen: true,
  side: true,
  length: true,
  align: true,
  offset: true,
  margin: true,
  thickness: true,
  iconSize: true,
});
export type EdgeStand = TypeOf<typeof EdgeStand>;

/** How many a desk may have. */
export const MOST_ARRANGEMENTS = 24;

export const Arrangement = z.looseObject({
  id: Id,
  name: field(Name.clone(), { label: 'Name' }),
  holds: field(Holds.clone(), {
    label: 'On by itself',
    hint: 'The first of those that hold is on; where none does, the one that was chosen',
    isWide: true,
    variants: {
      choice: { label: 'Only when chosen', start: {} },
      workspace: { label: 'On a workspace', start: { workspace: '' } },
      half: { label: 'By light or dark', start: { half: 'dark' } },
      hours: { label: 'By hours', start: { from: '18:00', to: '07:00' } },
    },
  }),
  widgets: z
    .array(WidgetStand)
    .max(4000)
    .nullable()
    .meta({ description: 'Where widgets stand in it; null where it leaves them' }),
  edges: z
    .array(EdgeStand)
    .max(40)
    .nullable()
    .meta({ description: 'Where edges stand in it; null where it leaves them' }),
  windows: TrialWindows.nullable().meta({
    description: 'What is open when it is chosen; null where it leaves the windows',
  }),
});
export type Arrangement = TypeOf<typeof Arrangement>;

export const Arrangements = content(
  z.looseObject({
    list: z.array(Arrangement).max(MOST_ARRANGEMENTS),
    chosen: Id.nullable().meta({ description: 'The one that is on where none is by itself' }),
    standing: Id.nullable().meta({
      description:
        'The one that the places in the document are of; what it holds itself is as of when it was left',
    }),
  }),
);
export type Arrangements = TypeOf<typeof Arrangements>;

/** Those of a desk that has none. */
export const noArrangements: Arrangements = { list: [], chosen: null, standing: null };
