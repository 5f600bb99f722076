import { namingsIn, type ReferenceTo } from '../values/references.ts';
import type { Desk, Sections } from './desk.ts';
import { DeskShape } from './schema.ts';

/** What names something: a part, an item on an edge, or a page of a section's settings. */
export interface Use {
  section: keyof Sections;
  /** Id of the part or the item; null where it is neither. */
  part: string | null;
  /** Key of what names it in its section. */
  page: string;
}

/** All that names something of a desk by its id, each once, in the order of the document. */
export function usesOf(desk: Desk, to: ReferenceTo, id: string): Use[] {
  const found = new Map<string, Use>();
  for (const { path, name } of namingsIn(DeskShape, desk, to)) {
    if (name !== id) continue;
    const [section, page] = path;
    const part = partAt(desk, path);
    found.set(`${String(section)} ${part ?? String(page)}`, {
      section: section as keyof Sections,
      part,
      page: String(page),
    });
  }
  return [...found.values()];
}

/** The innermost part or item on the way to somewhere in the document. */
function partAt(desk: Desk, [section, index, , at]: readonly (string | number)[]): string | null {
  if (section === 'widgets') return desk.widgets[Number(index)]?.id ?? null;
  if (section !== 'edges') return null;
  const edge = desk.edges[Number(index)];
  return edge?.items[Number(at)]?.id ?? edge?.id ?? null;
}
