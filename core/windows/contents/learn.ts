import { ownLibrary, Subject, type Library } from '../../values/library.ts';
import type { ContentKind } from './content.ts';
import { contents } from './list.ts';

type Work = Awaited<ReturnType<ContentKind['load']>>;

/** How contents are laid, by their key, as far as that was learned. */
const works = new Subject(() => new Map<string, Work>());

/** How a content is laid; null until it was learned. */
export function contentWork(key: string, library: Library): Work | null {
  return library.on(works).get(key) ?? null;
}

/** Makes sure that all that stands in windows can be laid. */
export async function learnContents(library: Library = ownLibrary): Promise<void> {
  const known = library.on(works);
  await Promise.all(contents.map(async ({ key, load }) => known.set(key, await load())));
}
