import { z } from 'zod';
import { defineItem, type ItemContext, type WindowFacts } from '../../kinds/kind.ts';
import { cutLine, middleBaseline, putLine, type Fonts, type Layout, type Run } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { shareUnchanged } from '../../values/share.ts';
import { titleOf } from '../../windows/contents/list.ts';
import { boxAlong, sizeAlong } from '../along.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { itemText, paddingOf } from '../text.ts';

const options = z.looseObject({
  workspaces: field(z.enum(['here', 'all']).default('here'), {
    label: 'Of',
    is: 'content',
    choices: { here: 'This workspace', all: 'All' },
  }),
  screens: field(z.enum(['here', 'all']).default('all'), {
    label: 'On',
    is: 'content',
    choices: { here: 'This screen', all: 'All screens' },
  }),
  grouped: field(z.boolean().default(false), { label: 'One for each application', is: 'content' }),
  minimised: field(z.boolean().default(true), { label: 'Minimised too', is: 'content' }),
  width: field(z.number().int().min(40).max(400).default(160), {
    label: 'Most width',
    is: 'place',
    unit: 'px',
    step: 10,
    when: (_, face) => face !== 'sign',
  }),
});

interface OpenEntry {
  /** Ids of the windows, the one that is nearest to the front last. */
  windows: string[];
  application: string;
  /** freedesktop icon name */
  icon: string;
  /** As it is read out. */
  title: string;
  label: string | null;
  isFront: boolean;
  isMinimised: boolean;
}

/** What is written for one, and whether in a soft colour. */
interface OpenLine {
  label: string | null;
  isSoft: boolean;
}

export interface OpenWindowsLayout extends Layout {
  /** For each entry what can be pressed, its icon, and the line beneath the front one. */
  entries: { press: Rect; icon: Rect | null; line: Rect }[];
}

/** Px between two entries, around one, between its icon and its words, and of the line. */
const BETWEEN = 4;
const AROUND = 8;
const GAP = 7;
const LINE = 2;

export const openWindows = defineItem({
  type: 'open-windows',
  title: 'Open windows',
  summary: 'The windows that are open; press one to go there',
  faces: [...signFaces].reverse(),
  options,
  view(chosen, face, context) {
    return { ...listOf(chosen, face, context), width: chosen.width };
  },
  layout: ({ lines, width }, face, context) => laidOnce(lines, width, face, context),
  inked: ({ entries }, laid) =>
    laid.entries.flatMap(({ icon }, index) =>
      icon ? [{ what: `The icon of ${entries[index]?.title ?? 'a window'}`, rect: icon, colour: 'ink' }] : [],
    ),
});

function lay(
  lines: readonly OpenLine[],
  width: number,
  face: string,
  context: ItemContext,
): OpenWindowsLayout {
  const { thickness, iconSize, isVertical, fonts, side } = context;
  const hasIcons = face !== 'words' || isVertical || context.room === 'bare';
  const runs: Run[] = [];
  let at = lines.length > 0 ? paddingOf(context) : 0;
  const laid = lines.map(({ label, isSoft }) => {
    const icon = hasIcons ? iconSize : 0;
    const style = { ...itemText(context), colour: isSoft ? ('softInk' as const) : ('ink' as const) };
    const room = context.room === 'tight' ? width / 2 : width;
    const line = label === null ? null : cutLine(label, style, fonts, room);
    const inside = icon + (line && icon > 0 ? GAP : 0) + (line ? Math.ceil(line.room) : 0);
    const long = inside + 2 * AROUND;
    const start = at;
    at += long + BETWEEN;
    const across = (thickness - iconSize) / 2;
    if (line)
      runs.push(
        putLine(
          line,
          { left: start + AROUND + icon + (icon > 0 ? GAP : 0) },
          middleBaseline(line, 0, thickness),
        ),
      );
    return {
      press: boxAlong(start, long, 3, thickness - 6, isVertical),
      icon: icon > 0 ? boxAlong(start + AROUND, iconSize, across, iconSize, isVertical) : null,
      // At the side of the screen, as the mark of what runs.
      line: boxAlong(
        start + AROUND,
        long - 2 * AROUND,
        side === 'top' || side === 'left' ? 0 : thickness - LINE,
        LINE,
        isVertical,
      ),
    };
  });
  const length = lines.length > 0 ? at - BETWEEN + paddingOf(context) : 0;
  return { size: sizeAlong(length, context), runs, entries: laid };
}

const known = new WeakMap<readonly OpenLine[], Map<string, { fonts: Fonts; layout: OpenWindowsLayout }>>();

/** The same where the same is laid in the same room: which of the windows is in front moves nothing. */
function laidOnce(
  lines: readonly OpenLine[],
  width: number,
  face: string,
  context: ItemContext,
): OpenWindowsLayout {
  const { thickness, iconSize, side, isVertical, room, fonts } = context;
  let layouts = known.get(lines);
  if (!layouts) known.set(lines, (layouts = new Map()));
  const { version } = fonts.text.book;
  const key = [width, face, thickness, iconSize, side, isVertical, room, version].join(' ');
  const before = layouts.get(key);
  if (before?.fonts === fonts) return before.layout;
  const layout = lay(lines, width, face, context);
  layouts.set(key, { fonts, layout });
  return layout;
}

type Chosen = z.output<typeof options>;
type Facts = Pick<ItemContext, 'windows' | 'applications'>;

interface Listed {
  entries: readonly OpenEntry[];
  /** What of them is laid. */
  lines: readonly OpenLine[];
}

/** What was last listed by each way to list: many edges list the same windows, each in several widths. */
const listed = new Map<string, Listed & { from: Facts }>();
const MOST_LISTED = 100;

/** A window or application each; the very entry of before where it says the same. */
function listOf(chosen: Chosen, face: string, context: ItemContext): Listed {
  const { windows, applications, workspaces, workspace, screen, room, isVertical } = context;
  const here = workspaces[workspace]?.id ?? '';
  const isLabelled = !isVertical && wordsOf('', face, { room }) !== null;
  const of = [chosen.workspaces === 'all' || here, chosen.screens === 'all' || screen];
  const key = [...of, chosen.minimised, chosen.grouped, isLabelled].join(' ');
  const before = listed.get(key);
  const from = { windows, applications };
  if (before?.from.windows === windows && before.from.applications === applications)
    return { entries: before.entries, lines: before.lines };
  const shown = windows.filter(
    (one) =>
      (chosen.workspaces === 'all' || one.workspace === here) &&
      (chosen.screens === 'all' || one.screen === screen) &&
      (chosen.minimised || !one.isMinimised),
  );
  const entries = shareUnchanged(before?.entries, listedOf(shown, applications, chosen.grouped, isLabelled));
  if (listed.size >= MOST_LISTED) listed.clear();
  const lines = entries.map(({ label, isFront, isMinimised }) => ({
    label,
    isSoft: isMinimised && !isFront,
  }));
  const list = { entries, lines: shareUnchanged(before?.lines, lines) };
  listed.set(key, { from, ...list });
  return list;
}

function listedOf(
  shown: Facts['windows'],
  applications: Facts['applications'],
  isGrouped: boolean,
  isLabelled: boolean,
): readonly OpenEntry[] {
  const groups = new Map<string, WindowFacts[]>();
  for (const one of shown) {
    const key = isGrouped ? one.application : one.id;
    const those = groups.get(key);
    if (those) those.push(one);
    else groups.set(key, [one]);
  }
  // They keep their places, whichever is in front: in the order in which the first of them was opened.
  const first = (those: readonly WindowFacts[]) => Math.min(...those.map(({ order }) => order));
  const inOrder = [...groups.values()].sort((a, b) => first(a) - first(b));
  const known = new Map(applications.map((one) => [one.id, one]));
  return inOrder.flatMap((those): OpenEntry[] => {
    const application = known.get(those[0]?.application ?? '');
    if (!application) return [];
    const title = isGrouped ? application.Name : titleOf(application);
    const words = those.length > 1 ? `${title} (${those.length})` : title;
    return [
      {
        windows: those.map(({ id }) => id),
        application: application.id,
        icon: application.Icon,
        title: words,
        label: isLabelled ? words : null,
        isFront: those.some(({ isFront }) => isFront),
        isMinimised: those.every(({ isMinimised }) => isMinimised),
      },
    ];
  });
}
