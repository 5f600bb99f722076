import { clamp } from '../../values/geometry.ts';
import { hash, valueNoise } from '../noise.ts';
import type { SourceContext } from '../source.ts';
import { wallClock } from '../time/time.ts';
import type { Battery, MachineReading } from './machine.ts';

const GIB = 1024 ** 3;
const MEMORY = 16 * GIB;
const DISK = 512 * GIB;
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

const SWAP = 4 * GIB;
const CORES = 8;

/**
 * A made-up machine with a plausible day: calm nights, bursts of work by day, memory that grows while
 * programs stay open and is freed when they close, a disk that fills slowly and is tidied, a battery that is charged
 * over lunch and in the evening.
 */
export function read({ seed, place }: SourceContext, moment: number): MachineReading {
  const processor = processorAt(seed, moment, place.zone);
  const busy = busyness(seed, moment, place.zone);
  const memory = memoryShare(seed, moment, busy);
  return {
    processor,
    memory: { used: Math.round(memory * MEMORY), total: MEMORY },
    disk: { used: Math.round(diskShare(seed, moment) * DISK), total: DISK },
    network: networkAt(seed, moment, busy),
    swap: { used: Math.round(clamp((memory - 0.5) * 0.8, 0.01, 0.9) * SWAP), total: SWAP },
    // Worked out when they are looked at: a graph asks for many readings, and for none of these.
    get cores() {
      return coresAt(seed, moment, processor);
    },
    get load() {
      return [1, 5, 15].map((minutes) => loadOver(seed, moment, minutes * MINUTE, place.zone)) as [
        number,
        number,
        number,
      ];
    },
    get temperatures() {
      return [
        {
          name: 'Processor',
          celsius: round1(37 + 0.44 * meanProcessor(seed, moment, 2 * MINUTE, place.zone)),
        },
        { name: 'Disk', celsius: round1(31 + 5 * busy + 2 * valueNoise(seed + 51, moment / HOUR)) },
        { name: 'Case', celsius: round1(27 + 4 * busy + 2 * valueNoise(seed + 52, moment / (3 * HOUR))) },
      ];
    },
    get battery() {
      return batteryAt(seed, moment, place.zone);
    },
    get disks() {
      const share = diskShare(seed, moment);
      return [
        { mount: '/', used: Math.round(share * DISK), total: DISK },
        { mount: '/home', used: Math.round(clamp(share + 0.22, 0, 0.96) * 2 * DISK), total: 2 * DISK },
        {
          mount: '/var/ledger',
          used: Math.round((clamp(share * 0.5, 0.05, 0.9) * DISK) / 2),
          total: DISK / 2,
        },
      ];
    },
    get networks() {
      return networksAt(seed, moment, busy);
    },
    get processes() {
      return processesAt(seed, moment, processor, Math.round(memory * MEMORY));
    },
    // Some come in through the day, and are taken in at night.
    updates: Math.floor(9 * hash(seed + 90, Math.floor(moment / DAY)) * ((moment / DAY) % 1)),
    uptime: Math.floor(((moment / 1000) % (8 * 86_400)) + 600 * hash(seed, 61)),
  };
}

/** Most of what goes over the network goes over the cable; totals grow with a murmur's mean and never fall in a day. */
function networksAt(seed: number, moment: number, busy: number): NonNullable<MachineReading['networks']> {
  const { down, up } = networkAt(seed, moment, busy);
  const today = moment % DAY;
  const total = (bytes: number, share: number) => Math.round(((bytes * today) / 1000) * share);
  return [
    {
      name: 'cable',
      down: Math.round(down * 0.92),
      up: Math.round(up * 0.92),
      received: total(41_000, 0.92),
      sent: total(6000, 0.92),
    },
    {
      name: 'radio',
      down: Math.round(down * 0.08),
      up: Math.round(up * 0.08),
      received: total(41_000, 0.08),
      sent: total(6000, 0.08),
    },
  ];
}

/** Programs of the observatory. */
const PROGRAMS = [
  'tallybook',
  'wavebox',
  'chart-table',
  'field-camera',
  'postbag',
  'ledger-sync',
  'indexer',
  'shell',
];

/** What is in use is shared out among programs, which rise and fall over minutes. */
function processesAt(
  seed: number,
  moment: number,
  processor: number,
  memory: number,
): NonNullable<MachineReading['processes']> {
  const weights = PROGRAMS.map(
    (_, index) => valueNoise(seed + 110 + index, moment / (2 * MINUTE)) ** 3 + 0.01,
  );
  const sizes = PROGRAMS.map((_, index) => 0.3 + hash(seed + 130, index));
  const whole = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0);
  return PROGRAMS.map((name, index) => ({
    name,
    processor: round1((processor * (weights[index] ?? 0)) / whole(weights)),
    memory: Math.round((memory * (sizes[index] ?? 0)) / whole(sizes)),
  })).sort((a, b) => b.processor - a.processor);
}

/** Percent of each core, which together come to the whole. */
function coresAt(seed: number, moment: number, processor: number): number[] {
  const weights = Array.from(
    { length: CORES },
    (_, core) => 0.15 + 1.7 * valueNoise(seed + 70 + core, moment / 7000),
  );
  const mean = weights.reduce((sum, weight) => sum + weight, 0) / CORES;
  return weights.map((weight) => round1(clamp((processor * weight) / mean, 0, 100)));
}

/** Looks at so much of the past, and how often (percent). */
function meanProcessor(seed: number, moment: number, past: number, zone: string): number {
  const looks = 6;
  let sum = 0;
  for (let look = 0; look < looks; look++) sum += processorAt(seed, moment - (look * past) / looks, zone);
  return sum / looks;
}

function loadOver(seed: number, moment: number, past: number, zone: string): number {
  return Math.round(meanProcessor(seed, moment, past, zone) * CORES * 1.1) / 100;
}

/** Hours of the day and the charge then; in between it changes evenly. */
const CHARGES = [
  [0, 1],
  [8.5, 1],
  [12, 0.52],
  [13, 0.82],
  [20, 0.18],
  [22, 1],
  [24, 1],
] as const;
const HOUR_S = 3600;

function batteryAt(seed: number, moment: number, zone: string): Battery {
  const { hour, minute, second } = wallClock(moment, zone);
  const time = hour + minute / 60 + second / 3600;
  const next = CHARGES.findIndex(([at]) => at > time);
  const [from, before] = CHARGES[next - 1] ?? [0, 1];
  const [to, after] = CHARGES[next] ?? [24, 1];
  // Some days are harder on it.
  const hard = 0.9 + 0.2 * hash(seed + 81, Math.floor(moment / DAY));
  const fall = (share: number) => 1 - (1 - share) * hard;
  const [start, end] = [fall(before), fall(after)];
  const charge = clamp(start + ((end - start) * (time - from)) / (to - from), 0.03, 1);
  const perHour = (end - start) / (to - from);
  if (perHour === 0) return { charge: Math.round(charge * 1000) / 1000, isCharging: false, left: null };
  const left = ((perHour > 0 ? 1 - charge : charge) / Math.abs(perHour)) * HOUR_S;
  return { charge: Math.round(charge * 1000) / 1000, isCharging: perHour > 0, left: Math.round(left) };
}

/** 0 at dead of night to 1 in the middle of a working day, with hours that differ from day to day. */
function busyness(seed: number, moment: number, zone: string): number {
  const { hour, minute } = wallClock(moment, zone);
  const time = hour + minute / 60;
  const rises = smoothstep(5.5, 9, time);
  const falls = 1 - smoothstep(17, 22.5, time);
  const lunch = 1 - 0.45 * Math.exp(-(((time - 12.9) / 0.6) ** 2));
  return clamp(rises * falls * lunch * (0.7 + 0.5 * valueNoise(seed + 11, moment / (47 * MINUTE))), 0, 1);
}

function processorAt(seed: number, moment: number, zone: string): number {
  const busy = busyness(seed, moment, zone);
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
