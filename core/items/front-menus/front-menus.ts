import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { middleBaseline, putLine, setLine, type Layout, type Run } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { frontMenusOf } from '../../windows/contents/list.ts';
import { itemText, paddingOf } from '../text.ts';

export interface FrontMenusLayout extends Layout {
  /** What can be pressed for each menu. */
  menus: Rect[];
}

/** Px around a menu's name. */
const AROUND = 9;

export const frontMenus = defineItem({
  type: 'front-menus',
  title: 'Front menus',
  summary: 'The menus of the front window',
  faces: [
    { id: 'named', title: 'Name and menus', isApart: true },
    { id: 'menus', title: 'Menus', isApart: true },
    { id: 'one', title: 'One for all', isApart: true },
  ],
  options: z.looseObject({
    none: field(z.string().max(80).default('The desk'), {
      label: 'When none is open',
      is: 'content',
      placeholder: 'nothing',
      when: (_, face) => face !== 'menus',
    }),
  }),
  view({ none }, face, { windows, applications, room, isVertical }) {
    const front = windows.find(({ isFront }) => isFront);
    const application = applications.find(({ id }) => id === front?.application);
    const menus = application ? frontMenusOf(application).map(({ name }) => name) : [];
    const isOne = face === 'one' || isVertical || room === 'bare';
    return {
      window: application && front ? front.id : null,
      name: face === 'menus' && !isOne ? null : (application?.Name ?? none),
      menus: isOne ? [] : menus,
      /** All menus hang from the name. */
      isOne: isOne && menus.length > 0,
    };
  },
  layout({ name, menus, isOne }, _face, context): FrontMenusLayout {
    const { thickness, isVertical, fonts } = context;
    const padding = paddingOf(context);
    const style = itemText(context);
    const runs: Run[] = [];
    const presses: Rect[] = [];
    if (isVertical) return layUpright(name ?? '', isOne, context);
    let at = padding;
    if (name) {
      const line = setLine(name, { ...style, font: 'display', weight: 600 }, fonts);
      runs.push(putLine(line, { left: at + (isOne ? AROUND : 0) }, middleBaseline(line, 0, thickness)));
      const long = Math.ceil(line.room) + (isOne ? 2 * AROUND : 0);
      if (isOne) presses.push({ x: at, y: 3, width: long, height: thickness - 6 });
      at += long + (menus.length > 0 ? AROUND : 0);
    }
    for (const menu of menus) {
      const line = setLine(menu, style, fonts);
      const long = Math.ceil(line.room) + 2 * AROUND;
      runs.push(putLine(line, { left: at + AROUND }, middleBaseline(line, 0, thickness)));
      presses.push({ x: at, y: 3, width: long, height: thickness - 6 });
      at += long;
    }
    return { size: { width: at === padding ? 0 : at + padding, height: thickness }, runs, menus: presses };
  },
});

/** Upright there is room for the first letter of the name, from which all menus hang. */
function layUpright(name: string, isOne: boolean, context: ItemContext): FrontMenusLayout {
  const { thickness, fonts } = context;
  const padding = paddingOf(context);
  const style = itemText(context);
  const line = setLine([...name][0] ?? '', { ...style, font: 'display', weight: 600 }, fonts);
  const height = name === '' ? 0 : Math.ceil(style.size * 1.4) + 2 * padding;
  return {
    size: { width: thickness, height },
    runs: name === '' ? [] : [putLine(line, { centre: thickness / 2 }, middleBaseline(line, 0, height))],
    menus: isOne ? [{ x: 3, y: 0, width: thickness - 6, height }] : [],
  };
}
