import { LOOK } from '../../../core/sound/spectrum/power.ts';
import type { WindowName } from '../../../core/sound/spectrum/settings.ts';
import { powerAt, type PowerTable } from '../../../core/sound/spectrum/table.ts';
import { soundAddress } from '../../api/addresses.ts';
import type { SoundPower } from '../../render/kit/sounding.ts';
import { lookInto } from '../../workers/sound.ts';

/** What is known of pieces before they sound: their power over time and their waves, looked into once for each. */

/** Samples a second that a piece is looked into at. */
const RATE = 44_100;
/** s; what is longer is played, and not looked into. */
const LONGEST = 900;
const MOST_BYTES = 60 * 2 ** 20;
/** Pieces whose power is kept. */
const MOST_TABLES = 6;
const POINTS = 400;

const tables = new Map<string, PowerTable | null>();
const waves = new Map<string, Float32Array>();
const underWay = new Set<string>();
const listeners = new Set<() => void>();

export function onLooked(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

async function decode(source: string): Promise<Float32Array | null> {
  const response = await fetch(soundAddress(source));
  if (!response.ok || Number(response.headers.get('content-length')) > MOST_BYTES) return null;
  const bytes = await response.arrayBuffer();
  const sound = await new OfflineAudioContext(1, 1, RATE).decodeAudioData(bytes);
  if (sound.duration > LONGEST) return null;
  const mono = new Float32Array(sound.length);
  for (let channel = 0; channel < sound.numberOfChannels; channel++) {
    const samples = sound.getChannelData(channel);
    for (let at = 0; at < mono.length; at++)
      mono[at] = (mono[at] ?? 0) + (samples[at] ?? 0) / sound.numberOfChannels;
  }
  return mono;
}

async function look(source: string, window: WindowName): Promise<void> {
  const key = `${source} ${window}`;
  if (underWay.has(key) || tables.has(key)) return;
  underWay.add(key);
  try {
    const samples = await decode(source);
    if (samples === null) tables.set(key, null);
    else {
      const { table, wave } = await lookInto({ samples, rate: RATE, window, points: POINTS });
      tables.set(key, table);
      waves.set(source, wave);
      for (const old of [...tables.keys()].slice(0, Math.max(0, tables.size - MOST_TABLES)))
        tables.delete(old);
    }
  } catch {
    // What this browser can't decode has no spectrum before it sounds. The server may only be gone: it is tried again.
    setTimeout(() => underWay.delete(key), 10_000);
    return;
  }
  underWay.delete(key);
  for (const listener of listeners) listener();
}

const power = new Float64Array(LOOK / 2);

/** The power of a piece at a place in it, s; null while it is not known. */
export function powerOf(source: string, window: WindowName, position: number): SoundPower | null {
  const table = tables.get(`${source} ${window}`);
  if (table === undefined) void look(source, window);
  if (!table) return null;
  return { power: powerAt(table, position, power), rate: table.rate, spread: table.spread };
}

/** A piece's wave; null while it is not known. */
export function waveOfPiece(source: string): Float32Array | null {
  const wave = waves.get(source);
  if (!wave) void look(source, 'hann');
  return wave ?? null;
}
