import { surfaceOf } from '../../colour/look.ts';
import { cutLine, middleBaseline, putLine, setLine, type Run } from '../../kinds/layout.ts';
import { clamp, type Rect } from '../../values/geometry.ts';
import { rectOf } from '../../windows/place.ts';
import { titleOf } from '../../windows/contents/list.ts';
import { solveBackdrop } from '../backdrop.ts';
import type { OpenOverview } from '../conditions.ts';
import type { SceneOverview, SceneOverviewWorkspace } from '../scene.ts';
import type { ScreenContext } from '../sections/section.ts';
import type { Solving } from '../solving.ts';

/** Px around all of it, of the head, of its line, between two workspaces, and of what stands beneath each. */
const AROUND = 0.05;
const HEAD = 92;
const LINE = 2;
const BETWEEN = 32;
const FOOT = 52;
/** Px of what was found: a row of applications at the foot. */
const FOUND = 84;
const MOST_FOUND = 8;

/** Every workspace small, in its backdrop, with its windows where they stand. */
export function solveOverview(
  { id: screen, rect, free }: ScreenContext,
  open: OpenOverview,
  solving: Solving,
): SceneOverview | null {
  const { desk, palette, facts } = solving;
  const here = desk.screens.find((one) => one.id === screen);
  if (!here) return null;
  const surface = surfaceOf(veilOf(desk.look.finish), palette);
  const side = Math.round(Math.max(24, rect.width * AROUND));
  const inner = {
    x: side,
    y: side + HEAD,
    width: rect.width - 2 * side,
    height: rect.height - 2 * side - HEAD,
  };
  const hint = cutLine(
    'Type to find a window or an application',
    { font: 'display', size: clamp(rect.width / 56, 22, 36), weight: 400, colour: 'softInk' },
    facts.fonts,
    inner.width,
  );
  const head: Rect = { x: side, y: side, width: inner.width, height: HEAD - 32 };
  const words = open.query.trim().toLowerCase();
  const area = words ? { ...inner, height: inner.height - FOUND } : inner;
  const { arranged, columns } = desk.windows.workspaces;
  const count = desk.workspaces.length + 1;
  const cells = gridOf(count, area, rect, arranged === 'grid' ? columns : null);
  const workspaces = desk.workspaces.map(({ id, name }, index): SceneOverviewWorkspace => {
    const cell = cells[index] ?? area;
    const scale = cell.width / rect.width;
    const isCurrent = index === facts.workspace;
    const windows = solving.windows
      .filter((one) => one.workspace === id && one.screen === screen && !one.isMinimised)
      .flatMap((one) => {
        const application = desk.applications.find((known) => known.id === one.application);
        if (!application) return [];
        const at = rectOf(one, free, rect, desk.windows.gaps);
        const title = titleOf(application);
        return [
          {
            id: one.id,
            title,
            icon: application.Icon,
            application: application.id,
            rect: {
              x: at.x * scale,
              y: at.y * scale,
              width: at.width * scale,
              height: at.height * scale,
            },
            isFront: solving.front === one.id,
            isFound: words !== '' && `${title} ${application.Name}`.toLowerCase().includes(words),
          },
        ];
      });
    const all = solving.windows.filter((one) => one.workspace === id).length;
    const told = all === 0 ? 'empty' : all === 1 ? '1 window' : `${all} windows`;
    return {
      id,
      title: name,
      index,
      rect: cell,
      isCurrent,
      backdrop: solveBackdrop(here, { ...solving, facts: { workspace: index } }),
      windows,
      ...footOf(name, told, isCurrent, cell, solving),
    };
  });
  const found = words
    ? foundApplications(words, { ...inner, y: inner.y + inner.height - FOUND + 12 }, solving)
    : [];
  const chosen = chosenOf(workspaces, found, open, words !== '');
  return {
    rect,
    surface,
    search: {
      rect: head,
      hint: putLine(hint, { left: side }, middleBaseline(hint, head.y, head.height)),
      typed: open.query,
    },
    line: { x: side - 8, y: head.y + head.height, width: inner.width + 16, height: LINE },
    workspaces,
    add: desk.workspaces.length < MOST_WORKSPACES ? (cells[count - 1] ?? null) : null,
    found,
    chosen,
    isSearched: words !== '',
  };
}

const MOST_WORKSPACES = 32;

/** What stands beneath a workspace: its name, and how many windows are on it. */
function footOf(
  title: string,
  told: string,
  isCurrent: boolean,
  cell: Rect,
  { facts, palette }: Solving,
): { name: Run; note: Run } {
  const size = clamp(cell.width / 16, 13, 21);
  const note = setLine(
    told,
    { font: 'text', size: size * 0.78, weight: 400, colour: 'softInk' },
    facts.fonts,
  );
  const name = cutLine(
    title,
    {
      font: 'display',
      size,
      weight: 500,
      colour: isCurrent ? (palette.textOn('accent', palette.roles.ground) as `#${string}`) : 'ink',
    },
    facts.fonts,
    Math.max(40, cell.width - note.width - 44),
  );
  const top = cell.y + cell.height + 6;
  return {
    name: putLine(name, { left: cell.x + 2 }, middleBaseline(name, top, 28)),
    note: putLine(note, { right: cell.x + cell.width - 2 }, middleBaseline(note, top, 28)),
  };
}

/** Cells of the screen's shape, as large as there is room for; so many abreast, or as many as make them largest. */
function gridOf(count: number, area: Rect, screen: Rect, columns: number | null): Rect[] {
  const shape = screen.height / screen.width;
  const widthFor = (abreast: number) => {
    const rows = Math.ceil(count / abreast);
    const across = (area.width - (abreast - 1) * BETWEEN) / abreast;
    const down = (area.height - rows * FOOT - (rows - 1) * (BETWEEN / 2)) / rows / shape;
    return Math.min(across, down, screen.width * MOST_SHARE);
  };
  let abreast = columns ?? 1;
  if (columns === null) {
    for (let one = 1; one <= count; one++) if (widthFor(one) > widthFor(abreast) + 0.5) abreast = one;
  }
  const width = Math.max(24, Math.floor(widthFor(abreast)));
  const height = Math.floor(width * shape);
  const rows = Math.ceil(count / abreast);
  const used = Math.min(abreast, count) * width + (Math.min(abreast, count) - 1) * BETWEEN;
  const deep = rows * (height + FOOT) + (rows - 1) * (BETWEEN / 2);
  return Array.from({ length: count }, (_, index) => ({
    x: Math.round(area.x + (area.width - used) / 2 + (index % abreast) * (width + BETWEEN)),
    y: Math.round(
      area.y +
        Math.max(0, (area.height - deep) / 2) +
        Math.floor(index / abreast) * (height + FOOT + BETWEEN / 2),
    ),
    width,
    height,
  }));
}
/** Of the screen: a workspace is never drawn wider. */
const MOST_SHARE = 0.42;

/** Applications whose name has the words that were typed, in a row at the foot. */
function foundApplications(words: string, at: Rect, { desk, facts }: Solving): SceneOverview['found'] {
  const those = desk.applications
    .filter(({ Name, Keywords }) => [Name, ...Keywords].some((one) => one.toLowerCase().includes(words)))
    .slice(0, MOST_FOUND);
  let x = at.x;
  return those.flatMap(({ id, Name, Icon }) => {
    const line = cutLine(Name, { font: 'text', size: 17, weight: 500 }, facts.fonts, 220);
    const width = Math.ceil(line.width) + 66;
    const rect = { x, y: at.y, width, height: 52 };
    x += width + 12;
    if (x > at.x + at.width + 12) return [];
    return [
      {
        application: id,
        title: Name,
        icon: Icon,
        rect,
        run: putLine(line, { left: rect.x + 50 }, middleBaseline(line, rect.y, rect.height)),
      },
    ];
  });
}

/** What Enter would take: a workspace while nothing is typed, else a window or an application that was found. */
function chosenOf(
  workspaces: readonly SceneOverviewWorkspace[],
  found: SceneOverview['found'],
  { chosen }: OpenOverview,
  isSearched: boolean,
): SceneOverview['chosen'] {
  const all: SceneOverview['chosen'][] = isSearched
    ? [
        ...workspaces.flatMap(({ windows }) =>
          windows.filter(({ isFound }) => isFound).map(({ id }) => ({ by: 'window' as const, id })),
        ),
        ...found.map(({ application }) => ({ by: 'application' as const, id: application })),
      ]
    : workspaces.map(({ id }) => ({ by: 'workspace' as const, id }));
  if (all.length === 0) return null;
  const at = chosen ?? (isSearched ? 0 : workspaces.findIndex(({ isCurrent }) => isCurrent));
  return all[((at % all.length) + all.length) % all.length] ?? null;
}

const veils = new WeakMap<object, Parameters<typeof surfaceOf>[0]>();

/** A veil of the ground over the whole screen; the same object for the same finish. */
function veilOf(finish: Parameters<typeof surfaceOf>[0]): Parameters<typeof surfaceOf>[0] {
  let veil = veils.get(finish);
  if (!veil) {
    veil = { ...finish, kind: 'sheer', tint: 'ground', opacity: 96, radius: 0, edgeLine: 0, shadow: 0 };
    veils.set(finish, veil);
  }
  return veil;
}
