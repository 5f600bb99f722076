import { fetchedKinds, readOrigin, type FetchedKind } from '../../core/sources/outside.ts';
import { same, type Feeder, type MakeFeeder } from '../feeds/feed.ts';
import type { Helpers } from '../helpers/pool.ts';
import { standInText } from '../stand-ins/stand-ins.ts';
import { FetchProblem, type Reach } from './addresses.ts';
import { fetchText, type Stamp } from './fetch.ts';

export interface OutsideOptions extends Pick<Reach, 'isAllowed' | 'ownPort'> {
  helpers: Pick<Helpers, 'run'>;
  now?: () => number;
  resolve?: Reach['resolve'];
}

const MINUTE = 60_000;

/** What is fetched from the web or from a stand-in: each address is a feeder of its own. */
export function outsideFeeders({ helpers, now = Date.now, ...reach }: OutsideOptions): MakeFeeder {
  async function read(kind: FetchedKind, text: string, address: string): Promise<unknown> {
    if (kind === 'text') return text;
    try {
      return await helpers.run('readHeadlines', { text, address });
    } catch {
      throw new FetchProblem('there are no headlines that can be read');
    }
  }

  return (source, origin): Feeder | null => {
    const kind = fetchedKinds.find((one) => one === source);
    const found = readOrigin(origin);
    if (!kind || !found) return null;
    const { address, every } = found;
    let stamp: Stamp = {};
    return {
      source,
      origin,
      everyMs: every * MINUTE,
      kept: 1,
      async look() {
        const standIn = standInText(address, now());
        if (standIn !== null) return read(kind, standIn, address);
        const fetched = await fetchText(address, { ...reach, stamp });
        if (fetched.isSame) return same;
        const reading = await read(kind, fetched.text, address);
        stamp = fetched.stamp;
        return reading;
      },
    };
  };
}
