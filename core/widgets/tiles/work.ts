import { cornersOf, middleOf, type LatticeSize, type Slot } from '../../arrange/lattice.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { fitLine, type Layout } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { Point, Rect } from '../../values/geometry.ts';
import { sizeFor, type Cell, type TilesFace, type TilesOptions } from './tiles.ts';

export interface TilesView {
  cells: {
    name: string;
    icon: string;
    application: string;
    link: string;
    /** Id of the folder of the app wall that it opens; empty for none. */
    folder: string;
    fills: boolean;
    isRunning: boolean;
    a: number;
    b: number;
  }[];
  size: LatticeSize;
  rounded: number;
  turn: number;
  hasLabels: boolean;
  /** Of the circle within a cell. */
  icons: number;
  type: TypeChoice;
  /** Of the cells, and of what stands on them. */
  fill: `#${string}`;
  ink: `#${string}`;
  opacity: number;
  line: number;
}

export interface TilesLayout extends Layout {
  cells: { middle: Point; corners: Point[]; icon: Rect }[];
  /** Where the middle of the slot a = b = 0 is. */
  origin: Point;
  radius: number;
  /** px that corners are rounded by. */
  round: number;
}

export function view(
  options: TilesOptions,
  face: TilesFace,
  { applications, folders, running, plainColour, inkOn }: WidgetContext,
): TilesView {
  const { cells, rounded, turn, labels, icons, type, cell, opacity, line } = options;
  const fill = plainColour(cell);
  return {
    cells: cells.map(({ application, folder, link, name, icon, fills, a, b }: Cell) => {
      const found = applications.find(({ id }) => id === application);
      const opens = found ? undefined : folders.find(({ id }) => id === folder);
      return {
        name: name || found?.Name || opens?.name || (link ? link.replace(/^https?:\/\//, '') : 'Empty'),
        icon:
          icon || found?.Icon || (opens && 'folder') || (link ? 'web-browser' : 'application-x-executable'),
        application: found ? application : '',
        folder: opens?.id ?? '',
        link: found || opens ? '' : link,
        fills: fills && icon !== '',
        isRunning: found !== undefined && running.has(application),
        a,
        b,
      };
    }),
    size: sizeFor(face, options),
    rounded,
    turn,
    hasLabels: labels,
    icons,
    type,
    fill,
    ink: inkOn(fill),
    opacity,
    line,
  };
}

const LABEL = { size: 0.17, room: 0.26, least: 0.6, leastPx: 9 } as const;

/** A field of cells as it lies: corners by their cell, and what they take up, from the middle of the slot a = b = 0. */
export function spreadOf(cells: readonly Slot[], size: LatticeSize, turn: number) {
  const angle = (turn * Math.PI) / 180;
  const turned = ({ x, y }: Point): Point => ({
    x: x * Math.cos(angle) - y * Math.sin(angle),
    y: x * Math.sin(angle) + y * Math.cos(angle),
  });
  const shapes = cells.map((cell) => ({
    middle: turned(middleOf(cell, size)),
    corners: cornersOf(cell, size).map(turned),
  }));
  const { radius } = size;
  // Without a cell there is room for one.
  const all = shapes.flatMap(({ middle, corners }) =>
    corners.map(({ x, y }) => ({ x: middle.x + x, y: middle.y + y })),
  );
  const xs = all.length > 0 ? all.map(({ x }) => x) : [-radius, radius];
  const ys = all.length > 0 ? all.map(({ y }) => y) : [-radius, radius];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const around: Rect = { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
  return { shapes, around };
}

export function layout(seen: TilesView, _face: TilesFace, { fonts }: WidgetContext): TilesLayout {
  const sheet = createSheet(fonts);
  const { cells, size, turn, rounded, hasLabels, icons, type } = seen;
  const { radius } = size;
  const { shapes, around } = spreadOf(cells, size, turn);
  sheet.keep({ x: 0, y: 0, width: around.width, height: around.height });
  const text = Math.max(LABEL.leastPx, radius * 2 * LABEL.size);
  const placed = shapes.map(({ middle, corners }, index) => {
    const at = { x: middle.x - around.x, y: middle.y - around.y };
    const cell = cells[index];
    const isLabelled = hasLabels && cell !== undefined && !cell.fills;
    const side = radius * 2 * (icons / 100) * (isLabelled ? 0.72 : 1);
    const lift = isLabelled ? radius * 2 * LABEL.room * 0.5 : 0;
    if (isLabelled) {
      const line = fitLine(
        cell.name,
        { font: chosenFont(type, 'text'), size: text, weight: 500, colour: seen.ink },
        fonts,
        // As wide as the circle is where the name stands.
        2 * radius * Math.sqrt(Math.max(0.1, 1 - (0.62 + text / radius / 4) ** 2)),
        Math.max(LABEL.least, LABEL.leastPx / text),
      );
      const { ink } = sheet.put(line, { centre: at.x }, at.y + radius * 0.62 + text * 0.35);
      sheet.back(ink, seen.fill, seen.opacity / 100);
    }
    return {
      middle: at,
      corners,
      icon: { x: at.x - side / 2, y: at.y - side / 2 - lift, width: side, height: side },
    };
  });
  const round = (rounded / 100) * radius;
  return sheet.lay({ cells: placed, origin: { x: -around.x, y: -around.y }, radius, round });
}
