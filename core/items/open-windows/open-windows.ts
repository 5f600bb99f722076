import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { cutLine, middleBaseline, putLine, type Layout, type Run } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { titleOf } from '../../windows/trial.ts';
import { boxAlong, sizeAlong } from '../along.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { itemText, paddingOf } from '../text.ts';

const options = z.looseObject({
  workspaces: field(z.enum(['here', 'all']).default('here'), {
    label: 'Of',
    choices: { here: 'This workspace', all: 'All' },
  }),
  screens: field(z.enum(['here', 'all']).default('all'), {
    label: 'On',
    choices: { here: 'This screen', all: 'All screens' },
  }),
  grouped: field(z.boolean().default(false), { label: 'One for each application' }),
  minimised: field(z.boolean().default(true), { label: 'Minimised too' }),
  width: field(z.number().int().min(40).max(400).default(160), {
    label: 'Words at most',
    unit: 'px',
    step: 10,
    when: (_, face) => face !== 'sign',
  }),
});

export interface OpenEntry {
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
    const { windows, applications, workspaces, workspace, screen } = context;
    const here = workspaces[workspace]?.id;
    const shown = windows.filter(
      (one) =>
        (chosen.workspaces === 'all' || one.workspace === here) &&
        (chosen.screens === 'all' || one.screen === screen) &&
        (chosen.minimised || !one.isMinimised),
    );
    const groups = new Map<string, typeof shown>();
    for (const one of shown) {
      const key = chosen.grouped ? one.application : one.id;
      const those = groups.get(key);
      if (those) those.push(one);
      else groups.set(key, [one]);
    }
    // They keep their places, whichever is in front: in the order in which the first of them was opened.
    const first = (those: typeof shown) => Math.min(...those.map(({ order }) => order));
    const inOrder = [...groups.values()].sort((a, b) => first(a) - first(b));
    const known = new Map(applications.map((one) => [one.id, one]));
    const entries = inOrder.flatMap((those): OpenEntry[] => {
      const application = known.get(those[0]?.application ?? '');
      if (!application) return [];
      const title = chosen.grouped ? application.Name : titleOf(application);
      const words = those.length > 1 ? `${title} (${those.length})` : title;
      return [
        {
          windows: those.map(({ id }) => id),
          application: application.id,
          icon: application.Icon,
          title: words,
          label: context.isVertical ? null : wordsOf(words, face, context),
          isFront: those.some(({ isFront }) => isFront),
          isMinimised: those.every(({ isMinimised }) => isMinimised),
        },
      ];
    });
    return { entries, width: chosen.width };
  },
  layout({ entries, width }, face, context): OpenWindowsLayout {
    const { thickness, iconSize, isVertical, fonts, side } = context;
    const hasIcons = face !== 'words' || isVertical || context.room === 'bare';
    const runs: Run[] = [];
    let at = entries.length > 0 ? paddingOf(context) : 0;
    const laid = entries.map(({ label, isFront, isMinimised }) => {
      const icon = hasIcons ? iconSize : 0;
      const line =
        label === null
          ? null
          : cutLine(
              label,
              { ...itemText(context), colour: isFront || !isMinimised ? 'ink' : 'softInk' },
              fonts,
              context.room === 'tight' ? width / 2 : width,
            );
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
    const length = entries.length > 0 ? at - BETWEEN + paddingOf(context) : 0;
    return {
      size: sizeAlong(length, context),
      runs,
      entries: laid,
    };
  },
});
