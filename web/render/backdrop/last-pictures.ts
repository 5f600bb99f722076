import { z } from 'zod';
import { browserKeep, readKept } from '../../browser-keep.ts';

const KEY = 'velvet-ledge:behind';
/** Of how many screens the last picture is known. */
const MOST = 40;
const MOST_ADDRESS = 4000;
const Known = z
  .array(z.tuple([z.string().max(300), z.string().max(MOST_ADDRESS).startsWith('/api/')]))
  .max(MOST);

function known(): [string, string][] {
  return readKept(browserKeep, KEY, Known) ?? [];
}

/** The address of the picture that was last seen whole behind a screen, in this window or another; null when none was. */
export function lastPicture(screen: string): string | null {
  return known().find(([name]) => name === screen)?.[1] ?? null;
}

export function rememberPicture(screen: string, address: string): void {
  if (address.length > MOST_ADDRESS) return;
  const others = known().filter(([name]) => name !== screen);
  // A full storage forgets a picture, nothing else.
  browserKeep.tryItem(KEY, JSON.stringify([[screen, address], ...others].slice(0, MOST)));
}

/** Of how many pictures it is known that this page has shown them: they lie in the browser's cache. */
const MOST_SHOWN = 400;
const shown = new Set<string>();

export const wasShown = (address: string): boolean => shown.has(address);

export function noteShown(address: string): void {
  if (shown.size < MOST_SHOWN) shown.add(address);
}
