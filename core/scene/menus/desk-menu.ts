import { surfaceOf } from '../../colour/look.ts';
import type { DeskEntry } from '../../menus/schema.ts';
import { centreOf, type Rect } from '../../values/geometry.ts';
import { solidFinish } from '../sections/beside.ts';
import type { OpenMenu, SceneMenu, SceneMenuEntry } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { findableAct, findableOf, type Findable } from './entries.ts';
import { AROUND, hang, type MenuGround } from './hanging.ts';
import { layRow, rowHeight, type RowStyle } from './row.ts';

/** Px that a line between two groups takes. */
const DIVIDER = 15;

/** The menu on the bare desk, where the pointer asked for it. */
export function solveDeskMenu(open: OpenMenu, ground: MenuGround, solving: Solving): SceneMenu {
  const { desk, palette, facts } = solving;
  const menu = desk.menus.deskMenu;
  const surface = surfaceOf(menu.finish ?? solidFinish(desk.look.finish), palette);
  const width = Math.min(menu.width, ground.rect.width);
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
  const entries: SceneMenuEntry[] = [];
  const lines: Rect[] = [];
  let y = 0;
  for (const entry of menu.entries) {
    const findable = findableIn(entry, solving);
    if (findable) {
      entries.push(layRow(findable, { x: 0, y }, style));
      y += style.height;
    } else if (entry.by === 'line') {
      lines.push({ x: 16, y: y + Math.floor(DIVIDER / 2), width: style.width - 32, height: 1 });
      y += DIVIDER;
    }
  }
  const at = open.at ?? centreOf(ground.rect);
  return hang({
    menu: 'deskMenu',
    open,
    width,
    hint: null,
    title: menu.title ? desk.name : null,
    none: 'Nothing stands on this menu',
    entries,
    lines,
    content: { width: style.width, height: y },
    most: ground.rect.height,
    surface,
    fonts: facts.fonts,
    screen: ground.rect,
    place: (size) => ({ ...at, ...size }),
  });
}

/** Null for a line, and for an application that is not there. */
function findableIn(entry: DeskEntry, { desk }: Solving): Findable | null {
  switch (entry.by) {
    case 'act':
      return findableAct(entry.act);
    case 'start': {
      const application = desk.applications.find(({ id }) => id === entry.application);
      return application ? findableOf(application) : null;
    }
    case 'line':
      return null;
  }
}
