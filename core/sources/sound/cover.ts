import { pieces } from './pieces.ts';
import type { Track } from './schema.ts';

/** What is shown for a piece: a picture of one's own by its id, or a motif of the project's own. */
export type Cover = { by: 'picture'; picture: string } | { by: 'motif'; motif: string; seed: number };

export function coverOf({ cover, from, title }: Track): Cover | null {
  if (cover !== null) return { by: 'picture', picture: cover.slice('own:'.length) };
  if (from.by === 'file') return null;
  return { by: 'motif', motif: pieces[from.piece].motif, seed: title.length };
}
