import { z } from 'zod';
import { plainPresses, Presses } from '../menus/presses.ts';
import { Finish, OwnFinish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { Alignment, alignmentTitles, Side } from '../values/place.ts';
import type { TypeOf } from '../values/types.ts';
import { content, place } from '../values/dress.ts';

function pixels(min: number, max: number, label: string, description = 'px') {
  return field(z.number().min(min).max(max).meta({ description }), { label, unit: 'px', control: 'slider' });
}

/** How long an edge is along its side. */
export const EdgeLength = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('items') }).meta({ description: 'As long as its items' }),
  z.looseObject({ by: z.literal('side') }).meta({ description: 'As long as its side' }),
  z.looseObject({
    by: z.literal('fixed'),
    px: field(z.number().min(16).max(16384).meta({ description: 'px' }), { label: 'Long', unit: 'px' }),
  }),
  z.looseObject({
    by: z.literal('share'),
    percent: field(z.number().min(1).max(100).meta({ description: 'Of its side' }), {
      label: 'Of the side',
      unit: '%',
      control: 'slider',
    }),
  }),
]);
export type EdgeLength = TypeOf<typeof EdgeLength>;

const delay = (label: string) =>
  field(z.number().int().min(0).max(5000).meta({ description: 'ms' }), {
    label,
    unit: 'ms',
    control: 'slider',
    step: 50,
  });

/** When an edge is there. */
const Shows = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('always') }),
  z
    .looseObject({ by: z.literal('slips'), in: delay('Shows after'), out: delay('Hides after') })
    .meta({ description: 'Out of the way until the pointer is at its side' }),
  z
    .looseObject({
      by: z.literal('steps'),
      from: field(z.enum(['front', 'any']), {
        label: 'Makes room for',
        choices: { front: 'Front window', any: 'Any window' },
      }),
      in: delay('Shows after'),
      out: delay('Hides after'),
    })
    .meta({
      description: 'Out of the way while a window needs its place, unless the pointer is at its side',
    }),
]);
type Shows = TypeOf<typeof Shows>;

/** How a dock's items grow under the pointer. */
const Growth = z.looseObject({
  factor: field(z.number().min(1).max(3).meta({ description: 'How many times its size; 1 is not at all' }), {
    label: 'Grows to',
    unit: '×',
    control: 'slider',
    step: 0.05,
    decimals: 2,
  }),
  reach: field(z.number().min(20).max(600).meta({ description: 'px to either side of the pointer' }), {
    label: 'Reach',
    hint: 'How far to either side of the pointer items grow',
    unit: 'px',
    control: 'slider',
    step: 5,
  }),
});
type Growth = TypeOf<typeof Growth>;

/** The inks of a surface: each is fitted to it. */
const inks = ['accent', 'second', 'ink', 'softInk', 'alert'] as const;
const inkTitles = {
  accent: 'Accent',
  second: 'Second',
  ink: 'Ink',
  softInk: 'Soft ink',
  alert: 'Alert',
} as const;

/** What a dock's icons stand on. */
const DockLine = z.looseObject({
  kind: field(z.enum(['none', 'whole', 'double', 'dashes', 'dots', 'ends']), {
    label: 'Line',
    hint: 'What its icons stand on',
    isWide: true,
    choices: {
      none: 'None',
      whole: 'Whole',
      double: 'Double',
      dashes: 'Dashes',
      dots: 'Dots',
      ends: 'Ends',
    },
  }),
  width: field(z.number().min(0.5).max(6).meta({ description: 'px' }), {
    label: 'Line width',
    unit: 'px',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    when: hasLine,
  }),
  colour: field(z.enum(inks), { label: 'Line colour', choices: inkTitles, when: hasLine }),
  glow: field(z.boolean().meta({ description: 'It shines' }), { label: 'Line glow', when: hasLine }),
});
export type DockLine = TypeOf<typeof DockLine>;

function hasLine({ kind }: Readonly<Record<string, unknown>>): boolean {
  return kind !== 'none';
}

/** By what a dock's icon says that its application runs. */
const DockMark = z.looseObject({
  shape: field(z.enum(['none', 'stud', 'dot', 'pair', 'bar', 'wedge', 'halo']), {
    label: 'Running mark',
    hint: 'By what an icon says that its application runs',
    isWide: true,
    choices: {
      none: 'None',
      stud: 'Stud',
      dot: 'Dot',
      pair: 'Two dots',
      bar: 'Bar',
      wedge: 'Wedge',
      halo: 'Halo',
    },
  }),
  colour: field(z.enum(inks), {
    label: 'Mark colour',
    choices: inkTitles,
    when: ({ shape }) => shape !== 'none',
  }),
});
export type DockMark = TypeOf<typeof DockMark>;

export const plainLine: DockLine = { kind: 'whole', width: 3, colour: 'accent', glow: true };
export const plainMark: DockMark = { shape: 'stud', colour: 'accent' };

const isDock = ({ kind }: Readonly<Record<string, unknown>>) => kind === 'dock';

/** An edge of a screen, without the items on it. */
export const EdgeFrame = z.looseObject({
  id: Id,
  kind: content(z.enum(['panel', 'dock'])),
  screen: place(Id.clone()),
  side: field(Side.clone(), { label: 'Side', is: 'place', control: 'side' }),
  length: field(EdgeLength.clone(), {
    label: 'Length',
    is: 'place',
    isWide: true,
    variants: {
      items: { label: 'As its items', start: {} },
      side: { label: 'Whole side', start: {} },
      fixed: { label: 'Fixed', start: { px: 600 } },
      share: { label: 'Share', start: { percent: 50 } },
    },
  }),
  align: field(Alignment.clone(), { label: 'Alignment', is: 'place', choices: alignmentTitles }),
  offset: field(
    z.number().min(-16384).max(16384).meta({ description: 'px along its side, from where it stands' }),
    {
      label: 'Offset',
      hint: 'How far it is moved along its side, from where it is aligned',
      isSeldom: true,
      usual: 0,
      is: 'place',
      unit: 'px',
    },
  ),
  thickness: pixels(16, 240, 'Thickness'),
  iconSize: pixels(8, 160, 'Icon size'),
  margin: pixels(0, 200, 'Floating distance', "px between the edge and the screen's side"),
  padding: pixels(0, 200, 'Padding', 'px inside both ends'),
  spacing: pixels(0, 200, 'Spacing', 'px between two items'),
  backing: field(
    z
      .enum(['strip', 'side', 'none'])
      .meta({ description: 'Its surface: as long as it is, along the whole side, or none' }),
    {
      label: 'Surface',
      hint: 'What it is drawn on: as long as it is, along the whole side, or nothing',
      choices: { strip: 'Its length', side: 'The side', none: 'None' },
    },
  ),
  line: field(DockLine.clone(), { label: 'Line', when: isDock }),
  mark: field(DockMark.clone(), { label: 'Running mark', when: isDock }),
  growth: field(Growth.clone(), { label: 'Growth', when: isDock }),
  labels: field(z.boolean().meta({ description: 'Whether a dock tells the name of what is pointed at' }), {
    label: 'Tooltips',
    when: isDock,
  }),
  shows: field(Shows.clone(), {
    label: 'Visibility',
    is: 'content',
    isWide: true,
    variants: {
      always: { label: 'Always', start: {} },
      slips: { label: 'Auto-hide', start: { in: 150, out: 500 } },
      steps: { label: 'Steps aside', start: { from: 'front', in: 150, out: 250 } },
    },
  }),
  keepsWindowsOff: field(z.boolean(), {
    label: 'Reserves space',
    hint: 'Windows that are filled or tiled stop at it',
    is: 'content',
  }),
  locked: field(z.boolean(), { label: 'Locked', is: 'content', isSeldom: true, usual: false }),
  finish: OwnFinish,
  besideFilled: Finish.nullable().meta({
    description: 'The finish while a filled window is on its screen; null stays as it is',
  }),
});
export type EdgeFrame = TypeOf<typeof EdgeFrame>;

/** What every item has, whatever its kind. */
export const ItemFrame = z.looseObject({
  id: Id,
  keeps: field(
    z
      .number()
      .int()
      .min(1)
      .max(5)
      .meta({ description: 'How long it keeps its place where there is too little room' }),
    {
      label: 'Priority',
      hint: 'Where there is too little room, items of a low priority go first',
      isSeldom: true,
      usual: 3,
      control: 'slider',
    },
  ),
  iconSize: field(
    z.number().min(8).max(160).nullable().meta({ description: "px; null follows the edge's" }),
    {
      label: 'Icon size',
      unit: 'px',
      instead: { word: null, label: 'Icons as the edge', off: 24 },
    },
  ),
  before: field(z.number().min(0).max(400).meta({ description: 'px outside, before it' }), {
    label: 'Margin before',
    unit: 'px',
  }),
  after: field(z.number().min(0).max(400).meta({ description: 'px outside, after it' }), {
    label: 'Margin after',
    unit: 'px',
  }),
  presses: field(Presses.clone(), { label: 'Press', is: 'content', isSeldom: true, usual: plainPresses }),
});
export type ItemFrame = TypeOf<typeof ItemFrame>;
