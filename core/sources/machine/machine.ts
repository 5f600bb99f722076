import { clamp } from '../../values/geometry.ts';
import { hash, valueNoise } from '../noise.ts';
import { defineSource } from '../source.ts';
import { wallClock } from '../time/time.ts';

/** One look at a machine. Null where it can't be known. Bytes and bytes per second; processor in percent. */
export interface MachineReading {
  processor: number | null;
  memory: { used: number; total: number } | null;
  disk: { used: number; total: number } | null;
  network: { down: number; up: number } | null;
}

const GIB = 1024 ** 3;
const MEMORY = 16 * GIB;
const DISK = 512 * GIB;
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/**
 * A made-up machine with a plausible day: calm nights, bursts of work by day, memory that grows while
 * programs stay open and is freed when they close, a disk that fills slowly and is tidied.
 */
export const machine = defineSource({
  id: 'machine',
  title: 'Machine',
  step: 1000,
  fed: { 'this-machine': 'This machine' },
  read({ seed, place }, moment): MachineReading {
    const busy = busyness(seed, moment, place.zone);
    return {
      processor: processorAt(seed, moment, busy),
      memory: { used: Math.round(memoryShare(seed, moment, busy) * MEMORY), total: MEMORY },
      disk: { used: Math.round(diskShare(seed, moment) * DISK), total: DISK },
      network: networkAt(seed, moment, busy),
    };
  },
});

/** 0 at dead of night to 1 in the middle of a working day, with hours that differ from day to day. */
function busyness(seed: number, moment: number, zone: string): number {
  const { hour, minute } = wallClock(moment, zone);
  const time = hour + minute / 60;
  const rises = smoothstep(5.5, 9, time);
  const falls = 1 - smoothstep(17, 22.5, time);
  const lunch = 1 - 0.45 * Math.exp(-(((time - 12.9) / 0.6) ** 2));
  return clamp(rises * falls * lunch * (0.7 + 0.5 * valueNoise(seed + 11, moment / (47 * MINUTE))), 0, 1);
}

function processorAt(seed: number, moment: number, busy: number): number {
  const idle = 2 + 3 * valueNoise(seed + 1, moment / 9000);
  const work = busy * (8 + 22 * valueNoise(seed + 2, moment / (4 * MINUTE)));
  // A burst: a slot of a few minutes that is busy or not, the likelier the busier the hour.
  const slot = Math.floor(moment / (3 * MINUTE));
  const within = (moment / (3 * MINUTE)) % 1;
  const isBurst = hash(seed + 3, slot) < 0.06 + 0.3 * busy;
  const burst = isBurst
    ? (20 + 45 * hash(seed + 4, slot)) * Math.sin(Math.PI * within) ** 0.5 * (0.25 + busy)
    : 0;
  const jitter = 6 * (0.3 + busy) * (valueNoise(seed + 5, moment / 2000) - 0.5);
  return round1(clamp(idle + work + burst + jitter, 0.5, 100));
}

/** Memory grows over a session of some hours and falls back when the session ends. */
function memoryShare(seed: number, moment: number, busy: number): number {
  const session = moment / (2.6 * HOUR) + valueNoise(seed + 20, moment / DAY) * 0.4;
  const grown = session % 1;
  const size = 0.12 + 0.22 * hash(seed + 21, Math.floor(session));
  return clamp(
    0.24 +
      size * grown ** 0.7 * (0.5 + 0.5 * busy) +
      0.16 * busy +
      0.015 * valueNoise(seed + 22, moment / 30_000),
    0,
    0.97,
  );
}

/** Some gigabytes more each day for a fortnight, then a tidying. */
function diskShare(seed: number, moment: number): number {
  const fortnight = moment / (14 * DAY) + hash(seed, 31);
  return 0.38 + 0.12 * (fortnight % 1) + 0.06 * hash(seed + 32, Math.floor(fortnight));
}

function networkAt(seed: number, moment: number, busy: number): { down: number; up: number } {
  const slot = Math.floor(moment / (45 * 1000));
  const isTransfer = hash(seed + 41, slot) < 0.04 + 0.3 * busy;
  const transfer = isTransfer
    ? 3.5e6 * hash(seed + 42, slot) ** 2 * Math.sin(Math.PI * ((moment / 45_000) % 1))
    : 0;
  const murmur = 2500 + 30_000 * busy * valueNoise(seed + 43, moment / 5000);
  return { down: Math.round(murmur + transfer), up: Math.round(murmur * 0.3 + transfer * 0.07) };
}

function smoothstep(low: number, high: number, value: number): number {
  const t = clamp((value - low) / (high - low), 0, 1);
  return t * t * (3 - 2 * t);
}

function round1(value: number): number {
  return Math.round(value * 10) / 10;
}
