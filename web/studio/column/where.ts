import type { Desk } from '../../../core/desk/desk.ts';
import type { Chapter, Inside, Page, Where } from '../chapters/chapter.ts';
import { chapters } from '../chapters/list.ts';

/** What stands in the column: what is selected belongs to a chapter, whichever is open; otherwise it is the open one. */
export function whereIs(desk: Desk, open: Chapter, where: Where): { owner: Chapter; inside: Inside | null } {
  if (where.selection.length > 0) {
    for (const owner of chapters) {
      const inside = owner.inside?.(desk, where);
      if (inside?.body) return { owner, inside };
    }
  }
  return { owner: open, inside: open.inside?.(desk, { ...where, selection: [] }) ?? null };
}

export function titleOf(owner: Chapter, inside: Inside | null, page: string | null): string {
  return inside?.title ?? pageIn(owner, page)?.title ?? owner.title;
}

/** A page of a chapter; none for its first one, or one that is not there. */
export function pageIn({ pages }: Chapter, id: string | null): Page | undefined {
  return pages.find((page) => page.id === id);
}
