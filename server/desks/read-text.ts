import { readDesk } from '../../core/desk/read.ts';
import { refuse, type Result } from '../../core/desk/problem.ts';
import type { Desk } from '../../core/desk/desk.ts';

/** A desk from the text of its JSON. */
export function readDeskText(text: string): Result<Desk> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('', 'is not JSON');
  }
  return readDesk(json);
}

/** Texts longer than this take noticeable time to check: a helper does it. */
export const MOST_READ_HERE = 300_000;
