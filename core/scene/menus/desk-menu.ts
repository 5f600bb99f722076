import { surfaceOf } from '../../colour/look.ts';
import type { DeskEntry } from '../../menus/desk-menu.ts';
import { centreOf } from '../../values/geometry.ts';
import { solidFinish } from '../sections/beside.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneMenu } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { findableAct, findableOf, type Findable } from './entries.ts';
import { AROUND, hang, type MenuContext } from './hanging.ts';
import { layRows, rowHeight, type RowStyle } from './row.ts';

/** The menu on the bare desk, where the pointer asked for it. */
export function solveDeskMenu(open: OpenMenu, context: MenuContext, solving: Solving): SceneMenu {
  const { desk, palette, facts } = solving;
  const menu = desk.menus.deskMenu;
  const surface = surfaceOf(menu.finish ?? solidFinish(desk.look.finish), palette);
  const width = Math.min(menu.width, context.rect.width);
  const style: RowStyle = {
    width: width - 2 * AROUND,
    height: rowHeight(menu.iconSize, false),
    iconSize: menu.iconSize,
    hasIcons: menu.icons,
    hasNames: true,
    hasComments: false,
    hasNotes: false,
    fonts: facts.fonts,
  };
  const rows = menu.entries.flatMap((entry) => rowOf(entry, solving) ?? []);
  const { entries, lines, height } = layRows(rows, style);
  const at = open.at ?? centreOf(context.rect);
  return hang({
    menu: 'deskMenu',
    open,
    width,
    hint: null,
    isOfCommands: true,
    title: menu.title ? desk.name : null,
    none: 'Nothing stands on this menu',
    entries,
    lines,
    content: { width: style.width, height },
    most: context.rect.height,
    surface,
    fonts: facts.fonts,
    screen: context.rect,
    place: (size) => ({ ...at, ...size }),
  });
}

/** Null for an application that is not there. */
function rowOf(entry: DeskEntry, { desk }: Solving): Findable | 'line' | null {
  switch (entry.by) {
    case 'act':
      return findableAct(entry.act);
    case 'start': {
      const application = desk.applications.find(({ id }) => id === entry.application);
      return application ? findableOf(application) : null;
    }
    case 'line':
      return 'line';
  }
}
