import { isSame } from '../../core/desk/differences.ts';
import { readDesk } from '../../core/desk/read.ts';
import { refuse, type Result } from '../../core/desk/problem.ts';
import type { Desk } from '../../core/desk/desk.ts';

/** A desk as it was read; `isAsGiven` where nothing of it had to be put otherwise than it was written. */
export type ReadDesk =
  Extract<Result<Desk>, { ok: false }> | (Extract<Result<Desk>, { ok: true }> & { isAsGiven: boolean });

/** A desk from the text of its JSON. */
export function readDeskText(text: string): ReadDesk {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('', 'is not JSON');
  }
  const desk = readDesk(json);
  return desk.ok ? { ...desk, isAsGiven: isSame(json, desk.value) } : desk;
}

/** Texts longer than this take noticeable time to check: a helper does it. */
export const MOST_READ_HERE = 300_000;
