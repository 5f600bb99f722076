import { surfaceOf } from '../../colour/look.ts';
import { cutLine, middleBaseline, putLine, setLine, type Run } from '../../kinds/layout.ts';
import type { Application } from '../../desk/shapes/applications.ts';
import { menuTitles, type Menus } from '../../menus/schema.ts';
import { clamp, type Rect } from '../../values/geometry.ts';
import type { Finish } from '../../values/finish.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneLine, SceneMenu, SceneMenuEntry } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { findableOf, keyOfApplication, type Findable } from './entries.ts';
import { groupsOf } from './groups.ts';
import { idOfMenu } from './hanging.ts';
import { nameSize } from './row.ts';

/**
 * The whole screen as shelves: each category is a line with its name at its start and its applications standing on it.
 * What is chosen lifts, and its line lights.
 */

/** Px: the head, between a shelf and the next (more where there is room), an icon off its shelf, and a shelf's line. */
const HEAD = 84;
const BETWEEN = 34;
const BETWEEN_AT_MOST = 96;
const STAND = 12;
const LINE = 2;
/** How much larger what is chosen is, and how far it lifts, as a share of its size. */
const LIFT = 0.22;

/** The veil over the backdrop, where the menu has no finish of its own. */
const veil: Finish = {
  kind: 'frosted',
  tint: 'ground',
  opacity: 74,
  blur: 34,
  radius: 0,
  edgeLine: 0,
  shadow: 0,
};

interface Shelf {
  title: string | null;
  entries: Findable[];
}

export function solveAppWall(open: OpenMenu, { rect: screen }: { rect: Rect }, solving: Solving): SceneMenu {
  const { desk, palette, facts } = solving;
  const { fonts } = facts;
  const menu = desk.menus.appWall;
  const surface = { ...surfaceOf(menu.finish ?? veil, palette), radius: 0 };
  const around = Math.round(clamp(Math.min(screen.width, screen.height) * 0.08, 16, 120));
  const hasHead = menu.search || (open.folder ?? null) !== null;
  const head: Rect = { x: around, y: around, width: screen.width - 2 * around, height: HEAD };
  const top = hasHead ? around + HEAD + LINE + BETWEEN : around;
  const view: Rect = {
    x: around,
    y: top,
    width: head.width,
    height: Math.max(1, screen.height - top - around),
  };
  const size = clamp(Math.round(screen.width / 48), 20, 40);
  const write = (text: string, colour: 'ink' | 'softInk') => {
    const line = cutLine(text, { font: 'display', size, weight: 400, colour }, fonts, head.width * 0.7);
    return putLine(line, { left: head.x }, middleBaseline(line, head.y, HEAD));
  };
  const laid = layShelves(wallShelves(open, solving), view, open, menu, solving);
  const nothing = setLine('No application like that', { font: 'text', size: 20, weight: 400 }, fonts);
  const openFolder = menu.folders.find(({ id }) => id === open.folder);
  return {
    id: idOfMenu('appWall'),
    menu: 'appWall',
    label: menuTitles.appWall,
    rect: screen,
    surface,
    isHanging: false,
    isOfCommands: false,
    search: menu.search
      ? {
          rect: head,
          hint: write(openFolder ? openFolder.name : 'Type to find', 'softInk'),
          typed: open.query ?? '',
        }
      : null,
    title: !menu.search && openFolder ? write(openFolder.name, 'ink') : null,
    lines: hasHead
      ? [{ rect: { x: head.x, y: head.y + HEAD, width: head.width, height: LINE }, isLit: false }]
      : [],
    view,
    none:
      laid.entries.length === 0
        ? putLine(nothing, { left: view.x }, middleBaseline(nothing, view.y, 60))
        : null,
    ...laid,
    beside: null,
  };
}

/** What stands on the wall: what was found, what is in the folder that is open, or everything that is in none. */
function wallShelves({ found, folder }: OpenMenu, { desk }: Solving): Shelf[] {
  const { appWall } = desk.menus;
  const byKey = new Map(
    desk.applications.map((application) => [keyOfApplication(application.id), application]),
  );
  if (found) return [{ title: 'Found', entries: known(found, byKey) }];
  const opened = appWall.folders.find(({ id }) => id === folder);
  if (opened) {
    const back: Findable = { ...folderEntry(null, 'Back', 'go-previous'), note: 'back' };
    return [
      { title: opened.name, entries: [back, ...known(opened.applications.map(keyOfApplication), byKey)] },
    ];
  }
  const inFolders = new Set(appWall.folders.flatMap(({ applications }) => applications));
  const free = desk.applications.filter(({ id }) => !inFolders.has(id));
  const shelves = groupsOf({ applications: free, menus: desk.menus }, appWall.groups).map(
    ({ title, applications }): Shelf => ({ title, entries: applications.map(findableOf) }),
  );
  const folders = appWall.folders.map(({ id, name }) => folderEntry(id, name, 'folder'));
  return folders.length > 0 ? [...shelves, { title: 'Folders', entries: folders }] : shelves;
}

function known(keys: readonly string[], byKey: ReadonlyMap<string, Application>): Findable[] {
  return keys.flatMap((key) => {
    const application = byKey.get(key);
    return application ? [findableOf(application)] : [];
  });
}

function folderEntry(folder: string | null, name: string, icon: string): Findable {
  return {
    key: `folder ${folder ?? ''}`,
    does: { by: 'folder', folder },
    name,
    words: [],
    comment: '',
    note: 'folder',
    icon,
    application: null,
  };
}

interface Laid extends Pick<SceneMenu, 'entries' | 'content' | 'chosen' | 'pages'> {
  heads: Run[];
  shelves: SceneLine[];
}

function layShelves(
  shelves: readonly Shelf[],
  view: Rect,
  open: OpenMenu,
  menu: Menus['appWall'],
  { facts: { fonts } }: Solving,
): Laid {
  const text = nameSize(menu.iconSize * 0.48);
  const names = menu.labels ? text + 18 : 4;
  const height = Math.round(menu.iconSize * (1 + LIFT) + names + STAND + LINE);
  const hasTitles = shelves.some(({ title }) => title !== null);
  const indent = hasTitles ? Math.floor(Math.min(200, view.width * 0.24)) : 0;
  // Whole px, so that neighbours meet exactly.
  const cell = Math.max(1, Math.floor(Math.min((view.width - indent) / menu.columns, menu.iconSize * 3.2)));
  const across = Math.max(1, Math.floor((view.width - indent) / cell));
  const rows = shelves.flatMap(({ title, entries }) =>
    chunk(entries, Math.min(across, menu.columns)).map((those, index) => ({
      title: index === 0 ? title : null,
      entries: those,
    })),
  );
  const perPage = Math.max(1, Math.floor((view.height + BETWEEN) / (height + BETWEEN)));
  const count = Math.max(1, Math.ceil(rows.length / perPage));
  const inPages = menu.way === 'pages' && count > 1;
  const at = inPages ? clamp(open.page ?? 0, 0, count - 1) : 0;
  const shown = inPages ? rows.slice(at * perPage, (at + 1) * perPage) : rows;
  const blank = view.height - shown.length * height;
  const between = clamp(blank / Math.max(1, shown.length - 1), BETWEEN, BETWEEN_AT_MOST);
  const total = shown.reduce((sum, { entries }) => sum + entries.length, 0);
  const chosen = total === 0 ? -1 : clamp(open.chosen ?? 0, 0, total - 1);
  const laid: Laid = {
    entries: [],
    heads: [],
    shelves: [],
    content: { width: view.width, height: Math.max(0, shown.length * (height + between) - between) },
    chosen,
    pages: inPages ? { count, at } : null,
  };
  shown.forEach(({ title, entries }, row) => {
    const y = row * (height + between);
    const first = laid.entries.length;
    entries.forEach((entry, index) => {
      const place = { x: indent + index * cell, y, width: cell, height: height - LINE };
      laid.entries.push(standing(entry, place, first + index === chosen));
    });
    const isLit = chosen >= first && chosen < first + entries.length;
    laid.shelves.push({ rect: { x: 0, y: y + height - LINE, width: view.width, height: LINE }, isLit });
    if (title !== null) {
      const style = { font: 'display', size: 24, weight: 400, colour: isLit ? 'ink' : 'softInk' } as const;
      const line = cutLine(title, style, fonts, Math.max(8, indent - 12));
      laid.heads.push(putLine(line, { left: 0 }, y + height - LINE - STAND));
    }
  });
  return laid;

  /** An application on its shelf, its name under it. */
  function standing(entry: Findable, rect: Rect, isChosen: boolean): SceneMenuEntry {
    const large = isChosen ? menu.iconSize * (1 + LIFT) : menu.iconSize;
    const foot = rect.height - STAND - names;
    const style = { font: 'text', size: text, weight: 400, colour: 'ink' } as const;
    const name = cutLine(entry.name, style, fonts, Math.max(8, cell - 12));
    return {
      key: entry.key,
      does: entry.does,
      name: entry.name,
      rect,
      icon: {
        application: entry.application,
        name: entry.icon,
        rect: { x: (cell - large) / 2, y: foot - large, width: large, height: large },
      },
      runs: menu.labels ? [putLine(name, { centre: cell / 2 }, rect.height - STAND)] : [],
    };
  }
}

function chunk<T>(list: readonly T[], size: number): T[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, index) =>
    list.slice(index * size, (index + 1) * size),
  );
}
