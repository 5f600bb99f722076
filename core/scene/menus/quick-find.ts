import { hangFromPoint } from '../../arrange/place.ts';
import { surfaceOf } from '../../colour/look.ts';
import { cutLine, middleBaseline, putLine, setLine, type Run } from '../../kinds/layout.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneMenu, SceneMenuEntry } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { solidFinish } from '../sections/beside.ts';
import { findablesOf, keyOfApplication, type Findable } from './entries.ts';
import { AROUND, hang, type MenuContext } from './hanging.ts';
import { layRow, rowHeight, type RowStyle } from './row.ts';

/** The height of what a sum comes to, and of its figures, px. */
const SUM = 60;
const SUM_SIZE = 30;
/** The key of what a sum comes to. */
const SUM_KEY = 'sum';

/** One line of type with the answers hanging beneath, the computed one first. */
export function solveQuickFind(open: OpenMenu, context: MenuContext, solving: Solving): SceneMenu {
  const { desk, palette, facts, readings, needs } = solving;
  const menu = desk.menus.quickFind;
  const surface = surfaceOf(menu.finish ?? solidFinish(desk.look.finish), palette);
  const width = Math.min(menu.width, context.rect.width);
  if (menu.readings) needs.every('minute');
  const style: RowStyle = {
    width: width - 2 * AROUND,
    height: rowHeight(menu.iconSize, false),
    iconSize: menu.iconSize,
    hasIcons: true,
    hasNames: true,
    hasComments: false,
    hasNotes: menu.labels,
    fonts: facts.fonts,
  };
  const entries: SceneMenuEntry[] = [];
  let y = 0;
  const { sum } = open;
  if (menu.sums && sum) {
    entries.push(layComputed(sum, style, palette.textOn('second', surface.tint) as Run['colour']));
    y += SUM;
  }
  const found = shownIn(open, findablesOf(desk, readings, facts.windows), solving).slice(
    0,
    menu.answers - entries.length,
  );
  for (const entry of found) {
    entries.push(layRow(entry, { x: 0, y }, style));
    y += style.height;
  }
  return hang({
    menu: 'quickFind',
    open,
    width,
    hint: 'Find, start, work out',
    title: null,
    none: 'Nothing like that',
    entries,
    content: { width: style.width, height: y },
    most: context.rect.height,
    surface,
    fonts: facts.fonts,
    screen: context.rect,
    place: (size) => hangFromPoint(menu.place.point, context.free, size, menu.place),
  });
}

/** What was found; while nothing is typed, what was used lately and then the applications. */
function shownIn(
  { found }: OpenMenu,
  all: readonly Findable[],
  { desk, conditions: { lately } }: Solving,
): Findable[] {
  const byKey = new Map(all.map((entry) => [entry.key, entry]));
  const keys = found ?? [
    ...new Set([...lately, ...desk.applications.map(({ id }) => id)].map(keyOfApplication)),
  ];
  return keys.flatMap((key) => byKey.get(key) ?? []);
}

/** What a sum comes to, large. */
function layComputed(sum: string, { width, fonts }: RowStyle, colour: Run['colour']): SceneMenuEntry {
  const hint = setLine(
    'Enter takes it along',
    { font: 'text', size: 15, weight: 400, colour: 'softInk' },
    fonts,
  );
  const room = width - 48 - hint.width;
  const line = cutLine(
    sum,
    { font: 'display', size: SUM_SIZE, weight: 400, colour },
    fonts,
    Math.max(8, room),
  );
  const baseline = middleBaseline(line, 0, SUM);
  return {
    key: SUM_KEY,
    does: { by: 'take', text: sum },
    name: sum,
    rect: { x: 0, y: 0, width, height: SUM },
    icon: null,
    runs: [putLine(line, { left: 16 }, baseline), putLine(hint, { left: 16 + line.width + 16 }, baseline)],
  };
}
