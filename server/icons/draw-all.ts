import { join } from 'node:path';
import { TookTooLong, TooMuchMemory, type Helpers } from '../helpers/pool.ts';
import { HttpProblem } from '../http/problem.ts';

/** Pictures that one helper draws at a time; as many batches as there are helpers are under way. */
const BATCH = 40;
const AT_ONCE = 2;
/** Files that took a helper down with them, after which an archive is given up. */
const MOST_HOSTILE = 10;

/** A picture of an archive, and where its bytes lie. */
type Undrawn = { file: string; path: string };
export type Drawn = Undrawn & { isOneColour: boolean };

/** Draws files; what can't be drawn, or takes a helper down with it, is left out. */
export async function drawAll(
  helpers: Helpers,
  all: readonly Undrawn[],
  folder: string,
  onDrawn: (count: number) => void,
): Promise<Drawn[]> {
  const drawn: Drawn[] = [];
  const waiting: Undrawn[][] = [];
  for (let at = 0; at < all.length; at += BATCH) waiting.push(all.slice(at, at + BATCH));
  let done = 0;
  let hostile = 0;
  async function work(): Promise<void> {
    for (let batch = waiting.shift(); batch; batch = waiting.shift()) {
      const orders = batch.map(({ path }) => ({
        path,
        out: join(folder, `${path.split('/').at(-1)}.png`),
      }));
      try {
        const made = await helpers.run('drawIcons', orders);
        made.forEach((one, index) => {
          const [{ file } = { file: '' }, { out } = { out: '' }] = [batch[index], orders[index]];
          if (one.ok) drawn.push({ file, path: out, isOneColour: one.isOneColour });
        });
        onDrawn((done += batch.length));
      } catch (error) {
        if (!(error instanceof TookTooLong || error instanceof TooMuchMemory)) throw error;
        if (batch.length > 1) {
          // Halves, until the one stands alone that is to blame.
          const half = Math.ceil(batch.length / 2);
          waiting.unshift(batch.slice(0, half), batch.slice(half));
          continue;
        }
        onDrawn(++done);
        if (++hostile > MOST_HOSTILE) throw unfit('holds pictures that can’t be drawn in reasonable time');
      }
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  return drawn;
}

export function unfit(reason: string): HttpProblem {
  return new HttpProblem(415, 'No icon set', `This file ${reason}; nothing was changed.`);
}
