import type { Need } from '../../sources/readings.ts';
import type { DeskAct } from '../../menus/acts.ts';
import type { Size } from '../../values/geometry.ts';
import type { Content, ContentContext } from './page.ts';

/** A line of an application's menu. What is no matter of windows is only said. */
export type FrontEntry =
  { by: 'act'; name: string; act: DeskAct } | { by: 'say'; name: string; would: string } | { by: 'line' };

export interface FrontMenu {
  name: string;
  entries: readonly FrontEntry[];
}

/** What may stand in the windows of an application. */
export interface ContentKind<Key extends string = string> {
  key: Key;
  /** Words in the name of an application's icon and in its categories that tell it; null for all that nothing tells. */
  tells: RegExp | null;
  /** px, of a window as it opens */
  size: Size;
  /** What a window is called by what stands in it; null where it is called as its application. */
  document: string | null;
  /** Besides the menu that all windows have. */
  menus: readonly FrontMenu[];
  /** What it shows of sources; one that does not read the sound is laid in silence. */
  reads: readonly Need[];
  /** How it is laid, which comes with the first window. */
  load(): Promise<{ lay(context: ContentContext): Content }>;
}

export function defineContent<Key extends string>(
  facts: Omit<ContentKind<Key>, 'reads'> & { reads?: readonly Need[] },
): ContentKind<Key> {
  return { reads: [], ...facts };
}

export const say = (name: string, would: string): FrontEntry => ({ by: 'say', name, would });
export const line: FrontEntry = { by: 'line' };
