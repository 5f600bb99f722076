import { parseOpml } from 'feedsmith';

/** One source of a list (OPML): what it is called, and its address as it stands there. */
export interface ListedSource {
  title: string;
  address: string;
}

interface Outline {
  text?: string;
  title?: string;
  xmlUrl?: string;
  outlines?: Outline[];
}

const MOST_DEPTH = 20;

/** All that names an address in a list of sources, however deep it lies; null where the text is no such list. */
export function readSourceList(text: string): ListedSource[] | null {
  let outlines: Outline[];
  try {
    outlines = (parseOpml(text) as { body?: { outlines?: Outline[] } }).body?.outlines ?? [];
  } catch {
    return null;
  }
  return flat(outlines).flatMap(({ text: said, title, xmlUrl }) =>
    xmlUrl ? [{ title: title ?? said ?? '', address: xmlUrl }] : [],
  );
}

function flat(outlines: readonly Outline[], depth = 0): Outline[] {
  return depth > MOST_DEPTH ? [] : outlines.flatMap((one) => [one, ...flat(one.outlines ?? [], depth + 1)]);
}
