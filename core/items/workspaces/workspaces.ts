import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { middleBaseline, putLine, setLine, type Layout } from '../../kinds/layout.ts';
import type { Rect } from '../../values/geometry.ts';
import { boxAlong, sizeAlong } from '../along.ts';
import { itemText, paddingOf } from '../text.ts';

const faces = [
  { id: 'bars', title: 'Bars' },
  { id: 'dots', title: 'Dots' },
  { id: 'numbers', title: 'Numbers' },
  { id: 'names', title: 'Names' },
  { id: 'small', title: 'Small pictures' },
] as const;

export interface WorkspacesView {
  face: (typeof faces)[number]['id'];
  marks: { id: string; name: string; label: string; isCurrent: boolean }[];
}

export interface WorkspacesLayout extends Layout {
  /** For each workspace what can be pressed, and the bar in it: a bar alone, or what underlines the one in front. */
  marks: { press: Rect; bar: Rect | null }[];
}

/** Px along the edge: a bar, the longer one in front, what lies between two, and the room around a name. A bar with its gap can be pressed: 24. */
const MARK = { bar: 16, current: 28, dot: 10, gap: 8, pad: 6 } as const;
/** Of a small picture: what of the edge's depth it takes, and its length for its height. */
const SMALL = { share: 0.6, shape: 1.6 } as const;
/** Px across the edge: a bar, the line under a name, and how far below the writing that is. */
const BAR = { thick: 5, line: 2, below: 4 } as const;
/** How much of the edge's depth a press takes. */
const PRESS_SHARE = 0.7;

export const workspaces = defineItem({
  type: 'workspaces',
  title: 'Workspaces',
  summary: "The desk's workspaces; press one to go there",
  faces,
  options: z.looseObject({}),
  view(_, face, { workspaces: all, workspace, isVertical, room }): WorkspacesView {
    return {
      face,
      marks: all.map(({ id, name }, index) => ({
        id,
        name,
        label: face === 'names' && !isVertical && room !== 'bare' ? name : String(index + 1),
        isCurrent: index === workspace,
      })),
    };
  },
  layout: (view, face, context) =>
    face === 'numbers' || face === 'names' ? layNames(view, context) : layMarks(view, context),
  inked: ({ marks }, laid) =>
    laid.marks.flatMap(({ bar }, index) =>
      bar
        ? [
            {
              what: `The mark of ${marks[index]?.name ?? 'a workspace'}`,
              rect: bar,
              colour: marks[index]?.isCurrent ? 'accent' : 'ink',
            },
          ]
        : [],
    ),
});

function pressAt(at: number, along: number, { thickness, isVertical }: ItemContext): Rect {
  return boxAlong(at, along, (thickness * (1 - PRESS_SHARE)) / 2, thickness * PRESS_SHARE, isVertical);
}

/** Each mark after the other, and the length that all come to. */
function inARow(lengths: readonly number[], padding: number): { starts: number[]; length: number } {
  let at: number = padding;
  const starts = lengths.map((length) => {
    const start = at;
    at += length + MARK.gap;
    return start;
  });
  return { starts, length: at - (lengths.length > 0 ? MARK.gap : 0) + padding };
}

/** Px along and across the edge of what stands for a workspace. */
function markSize(face: WorkspacesView['face'], isCurrent: boolean, { thickness }: ItemContext) {
  if (face === 'dots') {
    const dot = isCurrent ? MARK.dot : MARK.dot - 2;
    return { along: dot, across: dot };
  }
  if (face === 'small') {
    const across = Math.round(thickness * SMALL.share);
    return { along: Math.round(across * SMALL.shape), across };
  }
  return { along: isCurrent ? MARK.current : MARK.bar, across: BAR.thick };
}

function layMarks({ face, marks }: WorkspacesView, context: ItemContext): WorkspacesLayout {
  const sizes = marks.map(({ isCurrent }) => markSize(face, isCurrent, context));
  const lengths = sizes.map(({ along }) => along);
  const { starts, length } = inARow(lengths, paddingOf(context));
  return {
    size: sizeAlong(length, context),
    runs: [],
    marks: marks.map((_, index) => {
      const [at = 0, long = 0] = [starts[index], lengths[index]];
      const deep = sizes[index]?.across ?? 0;
      return {
        press: pressAt(at, long, context),
        bar: boxAlong(at, long, (context.thickness - deep) / 2, deep, context.isVertical),
      };
    }),
  };
}

function layNames({ marks }: WorkspacesView, context: ItemContext): WorkspacesLayout {
  const { isVertical, thickness, fonts } = context;
  const lines = marks.map(({ label, isCurrent }) =>
    setLine(label, { ...itemText(context), colour: isCurrent ? 'ink' : 'softInk' }, fonts),
  );
  const lengths = lines.map(({ room, run }) => Math.ceil((isVertical ? run.size : room) + 2 * MARK.pad));
  const { starts, length } = inARow(lengths, paddingOf(context));
  const placed = lines.map((line, index) => {
    const [at = 0, long = 0] = [starts[index], lengths[index]];
    return isVertical
      ? putLine(line, { centre: thickness / 2 }, middleBaseline(line, at, long))
      : putLine(line, { centre: at + long / 2 }, middleBaseline(line, 0, thickness));
  });
  return {
    size: sizeAlong(length, context),
    runs: placed,
    marks: marks.map(({ isCurrent }, index) => {
      const { ink, baseline } = placed[index] ?? { ink: { x: 0, width: 0 }, baseline: 0 };
      return {
        press: pressAt(starts[index] ?? 0, lengths[index] ?? 0, context),
        bar: isCurrent ? { x: ink.x, y: baseline + BAR.below, width: ink.width, height: BAR.line } : null,
      };
    }),
  };
}
