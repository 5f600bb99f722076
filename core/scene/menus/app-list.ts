import { hangFromNeighbour, hangFromPoint } from '../../arrange/place.ts';
import { surfaceOf } from '../../colour/look.ts';
import { putLine, setLine, type Run } from '../../kinds/layout.ts';
import { bottom, isHorizontal, type Rect, type Size } from '../../values/geometry.ts';
import { besideOf, opposite, solidFinish } from '../sections/beside.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneEdge, SceneMenu, SceneMenuEntry } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { findableOf, keyOfApplication } from './entries.ts';
import { groupsOf, type Group } from './groups.ts';
import { AROUND, hang, type MenuContext } from './hanging.ts';
import { layRow, leastCell, rowHeight, type RowStyle } from './row.ts';

/** Px off its edge, and of the head of a group. */
const OFF = 10;
const GROUP = 38;

/** The compact list: what stands first, what was used lately, then all, in groups or one after another. */
export function solveAppList(open: OpenMenu, context: MenuContext, solving: Solving): SceneMenu {
  const { desk, palette, facts } = solving;
  const menu = desk.menus.appList;
  const beside = menu.place.by === 'button' ? buttonOf(open, context, desk.edges) : null;
  const own = menu.finish ?? solidFinish(beside?.source.finish ?? desk.look.finish);
  const surface = surfaceOf(own, palette);
  const width = Math.min(menu.width, context.rect.width);
  const columns = Math.min(
    menu.columns,
    Math.max(1, Math.floor((width - 2 * AROUND) / leastCell(menu.iconSize, menu.labels))),
  );
  const style: RowStyle = {
    // Whole px, so that neighbours meet exactly.
    width: Math.floor((width - 2 * AROUND) / columns),
    height: rowHeight(menu.iconSize, menu.words && menu.labels),
    iconSize: menu.iconSize,
    hasIcons: true,
    hasNames: menu.labels,
    hasComments: menu.words,
    hasNotes: false,
    fonts: facts.fonts,
  };
  const laid = layGroups(listGroups(open, solving), columns, style);
  return hang({
    menu: 'appList',
    open,
    width,
    hint: menu.search ? 'Search applications' : null,
    title: menu.search ? null : 'Applications',
    none: 'No application like that',
    most: menu.rows * style.height,
    surface,
    fonts: facts.fonts,
    screen: context.rect,
    tallest: beside ? roomBeside(beside, context.rect) : undefined,
    ...laid,
    place: (size) => (beside ? besideButton(beside, size) : atPoint(menu.place, context.free, size)),
  });
}

/** What there is to choose from: what a search found, or everything. */
function listGroups({ found }: OpenMenu, { desk, conditions: { lately } }: Solving): Group[] {
  const { appList } = desk.menus;
  const byId = new Map(desk.applications.map((application) => [application.id, application]));
  const named = (ids: readonly string[]) => ids.map((id) => byId.get(id)).filter((one) => one !== undefined);
  if (found) {
    const byKey = new Map(
      desk.applications.map((application) => [keyOfApplication(application.id), application]),
    );
    return [
      { title: null, applications: found.map((key) => byKey.get(key)).filter((one) => one !== undefined) },
    ];
  }
  const first: Group[] = [
    { title: 'At hand', applications: named(appList.favourites) },
    { title: 'Lately used', applications: named(lately).slice(0, appList.recent) },
  ].filter(({ applications }) => applications.length > 0);
  const all = groupsOf(desk, appList.groups);
  const [only] = all;
  return first.length > 0 && only && only.title === null
    ? [...first, { ...only, title: 'All' }]
    : [...first, ...all];
}

/** Groups one under the other, each in so many columns. */
function layGroups(
  groups: readonly Group[],
  columns: number,
  style: RowStyle,
): { entries: SceneMenuEntry[]; heads: Run[]; content: Size } {
  const entries: SceneMenuEntry[] = [];
  const heads: Run[] = [];
  let y = 0;
  for (const { title, applications } of groups) {
    if (title !== null) {
      const line = setLine(title, { font: 'display', size: 16, weight: 400, colour: 'softInk' }, style.fonts);
      heads.push(putLine(line, { left: 16 }, y + GROUP - 12));
      y += GROUP;
    }
    applications.forEach((application, index) => {
      const at = { x: (index % columns) * style.width, y: y + Math.floor(index / columns) * style.height };
      entries.push(layRow(findableOf(application), at, style));
    });
    y += Math.ceil(applications.length / columns) * style.height;
  }
  return { entries, heads, content: { width: columns * style.width, height: y } };
}

interface Beside {
  edge: SceneEdge;
  source: Solving['desk']['edges'][number];
  button: Rect;
}

/** The button beside which a list opens: the one that was pressed, or the first of its kind on the screen. */
function buttonOf(
  { item }: OpenMenu,
  { edges }: MenuContext,
  sources: Solving['desk']['edges'],
): Beside | null {
  const pressed = item ?? edges.flatMap(({ items }) => items).find(({ type }) => type === 'app-list')?.id;
  for (const edge of edges) {
    const button = edge.items.find(({ id }) => id === pressed);
    const source = sources.find(({ id }) => id === edge.id);
    if (button && source) return { edge, source, button: button.rect };
  }
  return null;
}

/** What is left of the screen's height off an edge that lies flat. */
function roomBeside({ edge: { side, rect } }: Beside, screen: Rect): number | undefined {
  if (!isHorizontal(side)) return undefined;
  return (side === 'top' ? screen.height - bottom(rect) : rect.y) - 2 * OFF;
}

function besideButton({ edge, button }: Beside, size: Size): Rect {
  const flat = isHorizontal(edge.side);
  return hangFromNeighbour(opposite[edge.side], 'start', besideOf(edge, button), size, {
    x: flat ? 0 : OFF,
    y: flat ? OFF : 0,
  });
}

/** Without a button it opens in the middle. */
function atPoint(place: Solving['desk']['menus']['appList']['place'], free: Rect, size: Size): Rect {
  return place.by === 'point'
    ? hangFromPoint(place.point, free, size, place)
    : hangFromPoint('centre', free, size, { x: 0, y: 0 });
}
