import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { cutLine, middleBaseline, putLine, type Layout } from '../../kinds/layout.ts';
import { chosenFont, colourOption, TypeOption } from '../../kinds/options.ts';
import { onNow } from '../../sources/sound/on-now.ts';
import { sourceOf } from '../../sources/sound/schema.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { itemText, paddingOf } from '../text.ts';

export interface PlayingItemLayout extends Layout {
  buttons: { act: 'before' | 'turn' | 'next'; rect: Rect }[];
  /** Where a small spectrum stands. */
  levels: Rect | null;
}

/** Of the edge's depth: how high the levels stand, and px that they are long. */
const LEVELS = { high: 0.5, long: 44 } as const;
const acts = ['before', 'turn', 'next'] as const;

export const playing = defineItem({
  type: 'playing',
  title: 'Now playing',
  summary: 'What is on, buttons for it, a small spectrum',
  faces: [
    { id: 'whole', title: 'Title and buttons', isApart: true },
    { id: 'words', title: 'Title', isApart: true },
    { id: 'buttons', title: 'Buttons', isApart: true },
    { id: 'levels', title: 'Small spectrum and title', isApart: true },
  ],
  options: z.looseObject({
    width: field(z.number().int().min(40).max(400).default(180), {
      label: 'Most width',
      is: 'place',
      unit: 'px',
      step: 10,
      when: (_, face) => face !== 'buttons',
    }),
    type: TypeOption,
    colour: colourOption('accent', 'Marks'),
  }),
  needs: () => [{ source: 'sound', every: 'second' }],
  view({ width, type, colour }, face, { readings, textColour, isVertical, isQuiet }) {
    const { track, began, paused, isHeard } = onNow(readings);
    return {
      title: track ? track.title || 'Without a title' : 'Nothing is on',
      // Upright there is no room for a title.
      hasTitle: face !== 'buttons' && !isVertical,
      hasButtons: face === 'whole' || face === 'buttons' || (isVertical && face === 'words'),
      hasLevels: face === 'levels',
      width,
      type,
      colour: textColour(colour),
      isPaused: paused !== null,
      isQuiet,
      on: { began, paused, isHeard, source: track && sourceOf(track), seconds: track?.seconds ?? 0 },
    };
  },
  layout({ title, hasTitle, hasButtons, hasLevels, width, type }, _face, context): PlayingItemLayout {
    const { thickness, iconSize, isVertical, fonts } = context;
    const padding = paddingOf(context);
    const side = Math.round(iconSize);
    const buttons: PlayingItemLayout['buttons'] = [];
    let along = padding;
    const place = (long: number, deep: number): Rect => {
      const across = (thickness - deep) / 2;
      const rect = isVertical
        ? { x: across, y: along, width: deep, height: long }
        : { x: along, y: across, width: long, height: deep };
      along += long;
      return rect;
    };
    if (hasButtons) for (const act of acts) buttons.push({ act, rect: place(side, side) });
    const deep = Math.max(4, Math.round(thickness * LEVELS.high));
    const levels = hasLevels ? place(LEVELS.long, deep) : null;
    const runs = [];
    if (hasTitle) {
      if (along > padding) along += padding;
      const style = { ...itemText(context), font: chosenFont(type, 'text') };
      const line = cutLine(title, style, fonts, width);
      runs.push(putLine(line, { left: along }, middleBaseline(line, 0, thickness)));
      along += Math.ceil(line.room);
    }
    const long = Math.ceil(along + padding);
    const size = isVertical ? { width: thickness, height: long } : { width: long, height: thickness };
    return { size, runs, buttons, levels };
  },
});
