import { surfaceOf } from '../../colour/look.ts';
import { hangFromNeighbour } from '../../arrange/place.ts';
import { lookUp } from '../../values/look-up.ts';
import { isHorizontal, type Rect } from '../../values/geometry.ts';
import type { FrontEntry } from '../../windows/contents/content.ts';
import { frontMenusOf } from '../../windows/contents/list.ts';
import { besideOf, opposite, solidFinish } from '../sections/beside.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneMenu } from '../scene.ts';
import type { Solving } from '../solving.ts';
import type { Findable } from './entries.ts';
import { AROUND, hang, type MenuContext } from './hanging.ts';
import { layRows, rowHeight, type RowStyle } from './row.ts';

const WIDTH = 300;

/** One of the front window's menus, or all of them where they hang from one name. */
export function solveFrontMenu(open: OpenMenu, context: MenuContext, solving: Solving): SceneMenu {
  const { desk, palette, facts } = solving;
  const surface = surfaceOf(solidFinish(desk.look.finish), palette);
  const front = facts.windows.find(({ isFront }) => isFront);
  const application = desk.applications.find(({ id }) => id === front?.application);
  const all = application ? frontMenusOf(application) : [];
  const anchor = anchorOf(open, context);
  const one = anchor?.isOne ? null : (all[open.index ?? 0] ?? null);
  const shown = one ? [one] : all;
  const style: RowStyle = {
    width: WIDTH - 2 * AROUND,
    height: rowHeight(18, false),
    iconSize: 18,
    hasIcons: false,
    hasNames: true,
    hasComments: false,
    hasNotes: false,
    fonts: facts.fonts,
  };
  const rows = shown.flatMap(({ entries: those }, index) => [
    ...(index > 0 ? [{ by: 'line' } as const] : []),
    ...those,
  ]);
  const { entries, lines, height } = layRows(
    rows.map((entry, index) => (entry.by === 'line' ? 'line' : findableOf(entry, index))),
    style,
  );
  return {
    ...hang({
      menu: 'frontMenu',
      open,
      width: WIDTH,
      hint: null,
      isOfCommands: true,
      title: null,
      none: 'No window is open',
      entries,
      lines,
      content: { width: style.width, height },
      most: context.rect.height,
      surface,
      fonts: facts.fonts,
      screen: context.rect,
      place: (size) =>
        anchor ? anchor.place(size) : { x: context.free.x + 24, y: context.free.y + 24, ...size },
    }),
    label: one?.name ?? application?.Name ?? 'Menus',
    beside: one ? { at: open.index ?? 0, count: all.length } : null,
  };
}

/** Where it hangs: beneath the name that was pressed. */
function anchorOf({ item: id, index = 0 }: OpenMenu, { edges, rect: screen }: MenuContext) {
  for (const edge of edges) {
    const item = edge.items.find((one) => one.type === 'front-menus' && (!id || one.id === id));
    if (!item) continue;
    const { menus } = item.layout as { menus: readonly Rect[] };
    const isOne = lookUp(item.view as Record<string, unknown>, 'isOne') === true;
    const press = menus[isOne ? 0 : index] ?? menus[0];
    const at = press
      ? { ...press, x: item.rect.x + item.at.x + press.x, y: item.rect.y + item.at.y + press.y }
      : item.rect;
    const flat = isHorizontal(edge.side);
    return {
      isOne,
      place: (size: { width: number; height: number }) =>
        hangFromNeighbour(opposite[edge.side], 'start', besideOf(edge, at), size, {
          x: flat ? 0 : 2,
          y: flat ? 2 : 0,
        }),
      screen,
    };
  }
  return null;
}

function findableOf(entry: Exclude<FrontEntry, { by: 'line' }>, index: number): Findable {
  return {
    key: `front ${index} ${entry.name}`,
    does: entry.by === 'act' ? { by: 'act', act: entry.act } : { by: 'say', sentence: entry.would },
    name: entry.name,
    words: [],
    comment: '',
    note: '',
    icon: '',
    application: null,
  };
}
