import type { Surface } from '../../colour/look.ts';
import { cutLine, middleBaseline, putLine, type Fonts, type Run } from '../../kinds/layout.ts';
import { menuTitles } from '../../menus/schema.ts';
import { clamp, moveInside, type Rect, type Size } from '../../values/geometry.ts';
import type { AnyMenu, OpenMenu } from '../conditions.ts';
import type { SceneEdge, SceneMenu, SceneMenuEntry } from '../scene.ts';

/** A menu that hangs from a lit line: what is typed, or a title, stands on the line, and the entries hang beneath. */

/** What a menu may know of the screen that it opens on. */
export interface MenuContext {
  rect: Rect;
  free: Rect;
  edges: readonly SceneEdge[];
}

/** Px: the head above the line, the line, by how much it is longer than what hangs, and around the entries. */
const HEAD = 58;
const LINE = 2;
const OVER = 8;
export const AROUND = 8;
const INSIDE = 16;
const HEAD_SIZE = 26;

/** The id of a menu among the parts of a screen. */
export const idOfMenu = (menu: AnyMenu) => `menu ${menu}`;

export interface Hanging {
  menu: AnyMenu;
  open: OpenMenu;
  width: number;
  /** What the field says while nothing is typed, or the title; neither where the menu has no head. */
  hint: string | null;
  title: string | null;
  /** It holds what can be done, rather than what is found. */
  isOfCommands?: boolean;
  entries: SceneMenuEntry[];
  /** Of groups, and lines between entries; px from the first entry's corner. */
  heads?: Run[];
  lines?: Rect[];
  /** What is said where there are no entries. */
  none: string;
  content: Size;
  /** Px of the entries that are seen at most; the rest is scrolled to. */
  most: number;
  surface: Surface;
  fonts: Fonts;
  screen: Rect;
  /** How high it may be: as high as the screen where it is absent. */
  tallest?: number;
  place(size: Size): Rect;
}

export function hang(hanging: Hanging): SceneMenu {
  const { menu, open, hint, title, entries, content, surface, fonts, screen } = hanging;
  const hasHead = hint !== null || title !== null;
  const top = hasHead ? HEAD + LINE : LINE;
  const width = Math.min(hanging.width, screen.width);
  const inner = Math.max(content.height, entries.length === 0 ? HEAD : 0);
  const tallest = Math.max(top + 3 * AROUND, Math.min(screen.height, hanging.tallest ?? Infinity));
  const seen = Math.min(inner, hanging.most, tallest - top - 2 * AROUND);
  const size = { width, height: top + AROUND + seen + AROUND };
  const rect = moveInside(hanging.place(size), screen);
  const head = { x: 0, y: 0, width, height: HEAD };
  const line = (text: string, colour: 'ink' | 'softInk') => {
    const set = cutLine(
      text,
      { font: 'display', size: HEAD_SIZE, weight: 400, colour },
      fonts,
      width - 2 * INSIDE,
    );
    return putLine(set, { left: INSIDE }, middleBaseline(set, 0, HEAD));
  };
  const nothing = cutLine(hanging.none, { font: 'text', size: 17, weight: 400 }, fonts, width - 2 * INSIDE);
  return {
    id: idOfMenu(menu),
    menu,
    label: menu === 'frontMenu' ? '' : menuTitles[menu],
    beside: null,
    rect,
    surface,
    isHanging: true,
    isOfCommands: hanging.isOfCommands ?? false,
    search: hint === null ? null : { rect: head, hint: line(hint, 'softInk'), typed: open.query ?? '' },
    title: hint === null && title !== null ? line(title, 'ink') : null,
    lines: [{ rect: { x: -OVER, y: top - LINE, width: width + 2 * OVER, height: LINE }, isLit: true }],
    view: { x: AROUND, y: top + AROUND, width: width - 2 * AROUND, height: seen },
    content,
    entries,
    heads: hanging.heads ?? [],
    shelves: (hanging.lines ?? []).map((rect) => ({ rect, isLit: false })),
    chosen: entries.length === 0 ? -1 : clamp(open.chosen ?? 0, 0, entries.length - 1),
    none:
      entries.length === 0
        ? putLine(nothing, { left: INSIDE }, middleBaseline(nothing, top + AROUND, HEAD))
        : null,
    pages: null,
  };
}
