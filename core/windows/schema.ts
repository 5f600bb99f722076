import { z } from 'zod';
import { OwnFinish } from '../values/finish.ts';
import { uses } from '../text/schema.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { refers } from '../values/references.ts';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';
import { buttonShapes, windowButtonTitles, windowButtons } from '../values/window-buttons.ts';
import { content, dress, place } from '../values/dress.ts';

/** How windows look, where they go, and what reacts to them. Which windows are open is no part of a desk. */

const slider = (
  min: number,
  max: number,
  label: string,
  { unit = 'px', step = 1, description }: { unit?: 'px' | '%'; step?: number; description?: string } = {},
) =>
  field(
    z
      .number()
      .min(min)
      .max(max)
      .meta({ description: description ?? (unit === '%' ? 'Percent' : 'px') }),
    {
      label,
      unit,
      control: 'slider',
      step,
      decimals: step < 1 ? 1 : undefined,
    },
  );

const colour = (label: string) => field(Colour.clone(), { label, control: 'colour' });

type Values = Readonly<Record<string, unknown>>;
const hasTitle = ({ shown }: Values) => shown !== 'never';

/** What stands above the content. */
const WindowTitle = z.looseObject({
  shown: field(z.enum(['always', 'unfilled', 'never']), {
    label: 'Title',
    isWide: true,
    choices: { always: 'Always', unfilled: 'Not when filled', never: 'Never' },
  }),
  height: slider(20, 72, 'Height'),
  size: field(z.number().min(9).max(32).meta({ description: 'px of the letters' }), {
    label: 'Text size',
    unit: 'px',
    control: 'slider',
    when: hasTitle,
  }),
  font: field(z.enum(uses), {
    label: 'Title font',
    choices: { display: 'Display', text: 'Text', figures: 'Figures' },
    when: hasTitle,
  }),
  align: field(z.enum(['left', 'centre', 'right']), {
    label: 'Alignment',
    choices: { left: 'Left', centre: 'Middle', right: 'Right' },
    when: hasTitle,
  }),
  back: field(z.enum(['none', 'veil', 'body']).meta({ description: 'What the title stands on' }), {
    label: 'Stands on',
    hint: 'What lies behind the title',
    choices: { none: 'Nothing', veil: 'Veil', body: 'Window' },
    when: hasTitle,
  }),
});

/** The line that a title stands on, and the border around the window. */
const WindowLines = z.looseObject({
  line: slider(0, 8, 'Line', { step: 0.5, description: 'px; none at 0' }),
  reach: slider(0, 40, 'Beyond the sides'),
  front: colour('Front window'),
  behind: colour('Others'),
  glow: field(z.boolean().meta({ description: 'The front window’s line shines' }), { label: 'Glow' }),
  border: slider(0, 12, 'Border', { step: 0.5, description: 'px; none at 0' }),
  borderFront: field(Colour.clone(), { label: 'Border in front', control: 'colour', when: hasBorder }),
  borderBehind: field(Colour.clone(), { label: 'Border of others', control: 'colour', when: hasBorder }),
});

function hasBorder({ border }: Values): boolean {
  return Number(border) > 0;
}

const WindowButtons = z.looseObject({
  list: field(
    z
      .array(
        z.looseObject({
          does: field(z.enum(windowButtons), { label: 'Does', choices: windowButtonTitles }),
        }),
      )
      .max(3)
      .meta({ description: 'From left to right' }),
    {
      label: 'Buttons',
      hint: 'Drag them into their order',
      control: 'chips',
      isWide: true,
    },
  ),
  side: field(z.enum(['left', 'right']), { label: 'Side', choices: { left: 'Left', right: 'Right' } }),
  shape: field(z.enum(buttonShapes), {
    label: 'Shape',
    isWide: true,
    choices: { strokes: 'Strokes', wedges: 'Wedges', notches: 'Notches', drops: 'Drops' },
  }),
  size: slider(8, 28, 'Size'),
  spacing: slider(0, 32, 'Spacing'),
  weight: slider(1, 4, 'Strokes', { step: 0.5 }),
});

/** By what a window differs that is not in front. */
const WindowBehind = z.looseObject({
  dims: slider(0, 80, 'Title dimmer by', { unit: '%', step: 5 }),
  opacity: slider(20, 100, 'Opacity', { unit: '%', step: 5 }),
  shade: slider(0, 60, 'Darker by', { unit: '%', step: 5 }),
});

const WindowGaps = z.looseObject({
  outer: field(z.number().min(0).max(200).meta({ description: 'px off the sides of the free area' }), {
    label: 'Outer gap',
    unit: 'px',
    control: 'slider',
  }),
  inner: field(z.number().min(0).max(200).meta({ description: 'px between two windows' }), {
    label: 'Inner gap',
    unit: 'px',
    control: 'slider',
  }),
  catches: field(
    z.boolean().meta({ description: 'Dragged to a side or a corner, a window takes that half or quarter' }),
    {
      label: 'Snap to halves',
      hint: 'Dragged to a side or a corner, a window takes that half or quarter',
      is: 'content',
    },
  ),
  snap: slider(0, 60, 'Snap distance', { description: 'px from another window or a side' }),
});

const moveWays = ['none', 'fade', 'scale', 'fly'] as const;

const move = (label: string) =>
  field(
    z.looseObject({
      way: field(z.enum(moveWays).meta({ description: 'Fly: to or from what starts the application' }), {
        label: 'Effect',
        choices: { none: 'At once', fade: 'Fade', scale: 'Scale', fly: 'Fly' },
      }),
      ms: field(z.number().int().min(40).max(1500).meta({ description: 'ms' }), {
        label: 'Duration',
        unit: 'ms',
        control: 'slider',
        step: 20,
        when: ({ way }) => way !== 'none',
      }),
    }),
    { label, group: label },
  );

export const WindowMoves = z.looseObject({
  opens: move('Opening'),
  minimises: move('Minimising'),
  fills: move('Filling'),
  closes: move('Closing'),
});
export type WindowMoves = TypeOf<typeof WindowMoves>;

export const habitPlaces = ['free', 'filled', 'left', 'right', 'top', 'bottom', 'centre'] as const;

/** What holds for the windows of one application. */
export const WindowHabit = z.looseObject({
  id: Id,
  application: refers(
    field(z.string().max(64).meta({ description: 'Id of the application' }), {
      label: 'Application',
      control: 'application',
    }),
    'application',
    'holder',
  ),
  workspace: field(
    z
      .number()
      .int()
      .min(0)
      .max(32)
      .meta({ description: 'Number of the workspace that it opens on; 0 for the one in front' }),
    { label: 'Workspace' },
  ),
  place: field(z.enum(habitPlaces), {
    label: 'Opens at',
    choices: {
      free: 'In free room',
      filled: 'Filled',
      left: 'Left half',
      right: 'Right half',
      top: 'Upper half',
      bottom: 'Lower half',
      centre: 'In the middle',
    },
  }),
  width: field(z.number().min(200).max(4000).nullable().meta({ description: 'px; null as it comes' }), {
    label: 'Width',
    unit: 'px',
    instead: { word: null, label: 'Usual width', off: 720 },
  }),
  height: field(z.number().min(140).max(4000).nullable().meta({ description: 'px; null as it comes' }), {
    label: 'Height',
    unit: 'px',
    instead: { word: null, label: 'Usual height', off: 480 },
  }),
  frame: field(z.enum(['desk', 'line', 'none']).meta({ description: 'As all, the line alone, or none' }), {
    label: 'Frame',
    choices: { desk: 'As all', line: 'Line', none: 'None' },
  }),
  opacity: slider(20, 100, 'Opacity', { unit: '%', step: 5 }),
});
export type WindowHabit = TypeOf<typeof WindowHabit>;

const overviewCorners = ['none', 'top-left', 'top-right', 'bottom-left', 'bottom-right'] as const;

const WorkspaceGrid = place(
  z.looseObject({
    arranged: field(z.enum(['row', 'grid']), {
      label: 'Arrangement',
      choices: { row: 'In a row', grid: 'In a grid' },
    }),
    columns: field(z.number().int().min(1).max(8), {
      label: 'Columns',
      control: 'slider',
      when: ({ arranged }) => arranged === 'grid',
    }),
    corner: field(
      z.enum(overviewCorners).meta({ description: 'The corner of the screen that opens the overview' }),
      {
        label: 'Overview corner',
        is: 'content',
        choices: {
          none: 'No corner',
          'top-left': 'Top left',
          'top-right': 'Top right',
          'bottom-left': 'Bottom left',
          'bottom-right': 'Bottom right',
        },
      },
    ),
  }),
);

export const Windows = dress(
  z.looseObject({
    title: WindowTitle,
    lines: WindowLines,
    buttons: WindowButtons,
    behind: WindowBehind,
    finish: OwnFinish,
    gaps: WindowGaps,
    moves: WindowMoves,
    habits: content(z.array(WindowHabit).max(100)),
    workspaces: WorkspaceGrid,
  }),
);
export type Windows = TypeOf<typeof Windows>;

/** Those of its parts that are one form each. */
export const windowForms = {
  title: WindowTitle,
  lines: WindowLines,
  buttons: WindowButtons,
  behind: WindowBehind,
  gaps: WindowGaps,
  moves: WindowMoves,
  workspaces: WorkspaceGrid,
};
export type WindowForm = keyof typeof windowForms;

/** The windows of a desk that nobody has changed yet: a title that stands on a lit line. */
export const plainWindows: Windows = {
  title: { shown: 'always', height: 44, size: 20, font: 'display', align: 'left', back: 'veil' },
  lines: {
    line: 2,
    reach: 8,
    front: 'accent',
    behind: 'softInk',
    glow: true,
    border: 0,
    borderFront: 'accent',
    borderBehind: 'raised',
  },
  buttons: {
    list: [{ does: 'minimise' }, { does: 'fill' }, { does: 'close' }],
    side: 'right',
    shape: 'strokes',
    size: 13,
    spacing: 12,
    weight: 2,
  },
  behind: { dims: 55, opacity: 100, shade: 10 },
  finish: null,
  gaps: { outer: 16, inner: 16, catches: true, snap: 12 },
  moves: {
    opens: { way: 'scale', ms: 160 },
    minimises: { way: 'fly', ms: 220 },
    fills: { way: 'scale', ms: 160 },
    closes: { way: 'fade', ms: 120 },
  },
  habits: [],
  workspaces: { arranged: 'row', columns: 3, corner: 'none' },
};
