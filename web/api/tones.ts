import pLimit from 'p-limit';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { unpackTones, type Tones } from '../../core/backdrop/tones.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { tonesAddress } from './addresses.ts';

/** Of how many backdrops the map is kept: a desk that follows the sky has another with every minute. */
const MOST = 60;
/** By their address; null for one that the server can't make. */
const known = new Map<string, Tones | null>();
const underWay = new Map<string, Promise<Tones | null>>();

/** The same for the same, without palettes and with them: solving asks with every turn of a drag. */
const addresses = [new WeakMap<Drawn, string>(), new WeakMap<Drawn, string>()] as const;

function addressOf(drawn: Drawn, hasPalettes: boolean): string {
  const made = addresses[hasPalettes ? 1 : 0];
  let address = made.get(drawn);
  if (address === undefined) made.set(drawn, (address = tonesAddress(drawn, hasPalettes)));
  return address;
}

/** Whether a desk needs the palettes of what lies behind it. */
export const needsPalettes = ({ look }: Pick<Desk, 'look'>): boolean => look.follows !== null;

/** The map of a backdrop, where it is here; undefined where nobody asked for it yet. */
export function knownTones(drawn: Drawn, hasPalettes: boolean): Tones | null | undefined {
  return known.get(addressOf(drawn, hasPalettes));
}

/** How dark and light a backdrop is and where; null where that can't be had. Rejects while the server does not answer. */
export function fetchTones(drawn: Drawn, hasPalettes: boolean): Promise<Tones | null> {
  const address = addressOf(drawn, hasPalettes);
  const before = known.get(address);
  if (before !== undefined) return Promise.resolve(before);
  let work = underWay.get(address);
  if (!work) {
    work = ask(address).finally(() => underWay.delete(address));
    underWay.set(address, work);
  }
  return work;
}

/** A browser asks a server for six things at once: maps for what stands beside leave room for its pictures. */
const aside = pLimit(2);

/** The same for what is not looked at. */
export function fetchTonesAside(drawn: Drawn, hasPalettes: boolean): Promise<Tones | null> {
  return aside(() => fetchTones(drawn, hasPalettes));
}

async function ask(address: string): Promise<Tones | null> {
  const response = await fetch(address);
  // A proxy before a stopped server answers with one of these.
  if (response.status === 502 || response.status === 504) throw new Error('The server does not answer.');
  const tones = response.ok ? unpackTones(new Uint8Array(await response.arrayBuffer())) : null;
  known.set(address, tones);
  const [oldest] = known.keys();
  if (known.size > MOST && oldest !== undefined) known.delete(oldest);
  return tones;
}
