import { backdrop } from './backdrop/chapter.ts';
import type { Chapter } from './chapter.ts';
import { edges } from './edges/chapter.tsx';
import { look } from './look/chapter.ts';
import { menus } from './menus/chapter.ts';
import { palette } from './palette/chapter.ts';
import { windows } from './windows/chapter.ts';
import { widgets } from './widgets/chapter.tsx';

/** The chapters, in the order in which a desk is built. Add a new one here. */
export const chapters: readonly Chapter[] = [backdrop, palette, look, edges, menus, widgets, windows];

/** The one of an id; the last, where a desk is opened, for one that is not there. */
export function chapterOf(id: string): Chapter {
  return chapters.find((chapter) => chapter.id === id) ?? widgets;
}
