import type { Desk } from '../../../core/desk/desk.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import type { Chapter, Inside, Where } from '../chapters/chapter.ts';
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
  return inside?.title ?? (page !== null ? lookUp(owner.pages, page) : undefined) ?? owner.title;
}
