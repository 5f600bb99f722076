import { hangFromNeighbour } from '../../arrange/place.ts';
import { surfaceOf } from '../../colour/look.ts';
import type { Application } from '../../desk/sections/applications.ts';
import { putLine, setLine, type Fonts, type Run } from '../../kinds/layout.ts';
import { bottom, isHorizontal, moveInside, type Rect } from '../../values/geometry.ts';
import type { SceneAppList, SceneEdge } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { besideOf, opposite, solidFinish } from './menu.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';

/** The list's id among the parts of a screen. */
export const APP_LIST = 'app-list';

/** Px of the list: its width, its rows, the field above them, and the room around. */
const WIDTH = 380;
const ROW = 58;
const SEARCH = 52;
const AROUND = 8;
const INSIDE = 16;
const ICON = 30;
/** Between the list and its edge, and what it leaves of the screen. */
const OFF = 10;

/** The list of applications beside the button that opens it. */
export const appList = defineSceneSection({
  key: 'appList',
  solve: ({ rect, solved: { edges = [] } }, solving) =>
    solving.isAppListOpen ? solveAppList(rect, edges, solving) : null,
  parts: (list) =>
    list
      ? [
          {
            id: list.id,
            rect: list.rect,
            surface: list.surface,
            scale: 1,
            texts: () => [
              ...placedTexts(null, [list.hint], list.rect),
              ...rowsInSight(list).flatMap(({ entry, rect }) => placedTexts(entry.id, entry.runs, rect)),
            ],
          },
        ]
      : [],
});

/** Null on a screen without its button. It scrolls where it is long. */
function solveAppList(
  screen: Rect,
  edges: readonly SceneEdge[],
  { desk, palette, facts: { fonts } }: Solving,
): SceneAppList | null {
  const edge = edges.find(({ items }) => items.some(({ type }) => type === 'app-list'));
  const button = edge?.items.find(({ type }) => type === 'app-list');
  const source = desk.edges.find(({ id }) => id === edge?.id);
  if (!edge || !button || !source) return null;
  const rows = Math.max(1, desk.applications.length) * ROW;
  const head = AROUND + SEARCH + AROUND;
  const size = {
    width: Math.min(WIDTH, screen.width),
    height: Math.min(head + rows + AROUND, screen.height - 2 * OFF),
  };
  const rect = moveInside(
    hangFromNeighbour(opposite[edge.side], 'start', besideOf(edge, button.rect), size, {
      x: isHorizontal(edge.side) ? 0 : OFF,
      y: isHorizontal(edge.side) ? OFF : 0,
    }),
    screen,
  );
  return {
    id: APP_LIST,
    rect,
    surface: surfaceOf(solidFinish(source, desk.look.finish), palette),
    search: { x: AROUND, y: AROUND, width: size.width - 2 * AROUND, height: SEARCH },
    hint: textAt('Search applications', AROUND, SEARCH, 20, 'softInk', fonts),
    none: textAt('No application like that', head, ROW, 18, 'ink', fonts),
    rows: { x: AROUND, y: head, width: size.width - 2 * AROUND, height: size.height - head - AROUND },
    rowHeight: ROW,
    entries: desk.applications.map((application) => entryOf(application, fonts)),
  };
}

function textAt(
  text: string,
  y: number,
  height: number,
  size: number,
  colour: 'ink' | 'softInk',
  fonts: Fonts,
): Run {
  const line = setLine(text, { font: 'text', size, weight: 400, colour }, fonts);
  return putLine(line, { left: AROUND + INSIDE }, y + (height + line.cap) / 2);
}

/** A row: its icon, its name, and what it is for. Px from the row's top left. */
function entryOf({ id, Name, Comment, Icon }: Application, fonts: Fonts): SceneAppList['entries'][number] {
  const left = INSIDE + ICON + INSIDE;
  const name = setLine(Name, { font: 'text', size: 20, weight: 400 }, fonts);
  const words = setLine(Comment, { font: 'text', size: 15, weight: 400, colour: 'softInk' }, fonts);
  const gap = Comment ? 9 : 0;
  const height = name.cap + (Comment ? gap + words.cap : 0);
  const top = (ROW - height) / 2;
  const first = putLine(name, { left }, top + name.cap);
  return {
    id,
    icon: { name: Icon, rect: { x: INSIDE, y: (ROW - ICON) / 2, width: ICON, height: ICON } },
    name: Name,
    search: [Name, Comment].join(' '),
    runs: Comment ? [first, putLine(words, { left }, top + name.cap + gap + words.cap)] : [first],
  };
}

/** The rows in sight while nothing is searched for, each with where it stands on the screen. */
function rowsInSight(list: SceneAppList): { entry: SceneAppList['entries'][number]; rect: Rect }[] {
  const left = list.rect.x + list.rows.x;
  const top = list.rect.y + list.rows.y;
  return list.entries
    .map((entry, index) => ({
      entry,
      rect: { x: left, y: top + index * list.rowHeight, width: list.rows.width, height: list.rowHeight },
    }))
    .filter(({ rect }) => bottom(rect) <= top + list.rows.height + 0.5);
}
