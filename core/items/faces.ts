import type { ItemContext } from '../kinds/kind.ts';

/** Faces that many kinds have: a sign of the desk's icon set, words, or both. */
export const signFaces = [
  { id: 'sign', title: 'Sign' },
  { id: 'both', title: 'Sign and words' },
  { id: 'words', title: 'Words' },
] as const;

/** Of kinds of which nothing is seen. */
export const blankFaces = [{ id: 'blank', title: 'Blank' }] as const;

/** The words beside a sign, or in its place; null where the face or too little room leaves them out. */
export function wordsOf(text: string, face: string, { room }: Pick<ItemContext, 'room'>): string | null {
  return face === 'sign' || room === 'bare' ? null : text;
}
