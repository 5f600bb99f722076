import { ownLibrary } from '../../core/values/library.ts';
import { fontBook, type DeskFont } from '../../core/text/cuts.ts';
import { plainUse } from '../../core/text/schema.ts';
import type { Family } from '../../core/values/family.ts';

/** A family as a desk uses it that changes nothing about it. */
export function plainFont(family: Family): DeskFont {
  return { ...plainUse(family), metrics: null, book: ownLibrary.on(fontBook) };
}
