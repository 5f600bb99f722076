import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { cutLine, middleBaseline, putLine, type Layout } from '../../kinds/layout.ts';
import { chosenFont, TypeOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import type { WindowButton } from '../../values/window-buttons.ts';
import { titleOf } from '../../windows/contents/list.ts';
import { itemText, paddingOf } from '../text.ts';

export interface FrontTitleLayout extends Layout {
  buttons: { does: WindowButton; rect: Rect }[];
}

/** Of the edge's depth: the signs of the buttons; px between two, and off the words. */
const SIGN = 0.34;
const BETWEEN = 12;
const OFF = 14;

export const frontTitle = defineItem({
  type: 'front-title',
  title: 'Front title',
  summary: 'The front window’s title and buttons',
  faces: [
    { id: 'whole', title: 'Title and buttons', isApart: true },
    { id: 'words', title: 'Title', isApart: true },
    { id: 'buttons', title: 'Buttons', isApart: true },
  ],
  options: z.looseObject({
    shown: field(z.enum(['always', 'filled']).default('always'), {
      label: 'Shown',
      is: 'content',
      choices: { always: 'Always', filled: 'When filled' },
    }),
    none: field(z.string().max(80).default(''), {
      label: 'When none is open',
      is: 'content',
      placeholder: 'nothing',
      when: ({ shown }, face) => shown === 'always' && face !== 'buttons',
    }),
    width: field(z.number().int().min(40).max(900).default(280), {
      label: 'Most width',
      is: 'place',
      unit: 'px',
      step: 10,
      when: (_, face) => face !== 'buttons',
    }),
    side: field(z.enum(['before', 'after']).default('after'), {
      label: 'Buttons',
      choices: { before: 'Before', after: 'After' },
      when: (_, face) => face === 'whole',
    }),
    type: TypeOption,
  }),
  view({ shown, none, width, side, type }, face, { windows, applications, windowButtons, isVertical }) {
    const front = windows.find(({ isFront }) => isFront);
    const isSeen = front !== undefined && (shown === 'always' || front.isFilled);
    const application = isSeen ? applications.find(({ id }) => id === front.application) : undefined;
    const title = application ? titleOf(application) : shown === 'always' ? none : '';
    return {
      window: application && front ? front.id : null,
      title,
      isFilled: front?.isFilled ?? false,
      label: face === 'buttons' || isVertical || title === '' ? null : title,
      buttons: application && face !== 'words' ? windowButtons.list.map(({ does }) => does) : [],
      look: windowButtons,
      width,
      isBefore: side === 'before',
      type,
    };
  },
  layout({ label, buttons, width, isBefore, type }, _face, context): FrontTitleLayout {
    const { thickness, isVertical, fonts } = context;
    const padding = paddingOf(context);
    const style = { ...itemText(context), font: chosenFont(type, 'display') };
    const line = label === null ? null : cutLine(label, style, fonts, width);
    const sign = Math.max(8, Math.round(thickness * SIGN));
    const row = buttons.length * sign + Math.max(0, buttons.length - 1) * BETWEEN;
    if (!line && buttons.length === 0)
      return {
        size: isVertical ? { width: thickness, height: 0 } : { width: 0, height: thickness },
        runs: [],
        buttons: [],
      };
    const words = line ? Math.ceil(line.room) : 0;
    const between = line && row > 0 ? OFF : 0;
    const length = padding + words + between + row + padding;
    const first = isBefore ? padding : padding + words + between;
    const across = (thickness - sign) / 2;
    return {
      size: isVertical ? { width: thickness, height: length } : { width: length, height: thickness },
      runs: line
        ? [
            putLine(
              line,
              { left: isBefore ? padding + row + between : padding },
              middleBaseline(line, 0, thickness),
            ),
          ]
        : [],
      buttons: buttons.map((does, index) => {
        const at = first + index * (sign + BETWEEN);
        return {
          does,
          rect: isVertical
            ? { x: across, y: at, width: sign, height: sign }
            : { x: at, y: across, width: sign, height: sign },
        };
      }),
    };
  },
});
