import { z } from 'zod';
import { field } from '../../values/field.ts';
import type { TypeOf } from '../../values/types.ts';

/** The tide as a sum of waves, each of its own speed: what sun and moon do on their ways. */

/** Degrees an hour by which each constituent turns (IHO, standard list of tidal constituents). */
export const speeds = {
  M2: 28.9841042,
  S2: 30,
  N2: 28.4397295,
  K2: 30.0821373,
  K1: 15.0410686,
  O1: 13.9430356,
  P1: 14.9589314,
  M4: 57.9682084,
  MS4: 58.9841042,
  SSA: 0.0821373,
} as const;
export type ConstituentName = keyof typeof speeds;
const constituentNames = Object.keys(speeds) as [ConstituentName, ...ConstituentName[]];

const Constituent = z.looseObject({
  name: field(z.enum(constituentNames), { label: 'Constituent' }),
  amplitude: field(z.number().min(0).max(12), { label: 'Amplitude', unit: 'm', step: 0.01, decimals: 3 }),
  phase: field(z.number().min(0).max(360), { label: 'Phase', unit: '°', step: 1, decimals: 1 }),
});
type Constituent = TypeOf<typeof Constituent>;

const marrowWaves: Constituent[] = [
  { name: 'M2', amplitude: 1.58, phase: 104 },
  { name: 'S2', amplitude: 0.54, phase: 146 },
  { name: 'N2', amplitude: 0.31, phase: 81 },
  { name: 'K2', amplitude: 0.15, phase: 144 },
  { name: 'K1', amplitude: 0.12, phase: 232 },
  { name: 'O1', amplitude: 0.14, phase: 80 },
  { name: 'M4', amplitude: 0.06, phase: 200 },
];

export const Tide = z.looseObject({
  mean: field(z.number().min(-20).max(20), {
    label: 'Mean height',
    unit: 'm',
    step: 0.1,
    decimals: 2,
  }),
  constituents: field(z.array(Constituent).max(24), {
    label: 'Constituents',
    isSeldom: true,
    usual: marrowWaves,
    one: 'Constituent',
    // One that is not there yet.
    starts(entries) {
      const name = constituentNames.find((one) => entries.every((entry) => entry['name'] !== one));
      return name ? { name, amplitude: 0.1, phase: 0 } : null;
    },
  }),
});
export type Tide = TypeOf<typeof Tide>;

/** A bay with high springs: Marrow Point. */
export const marrowTide: Tide = {
  mean: 3.2,
  constituents: marrowWaves,
};

/** Phases are those of midnight, UTC, at the beginning of this day. */
const EPOCH = Date.UTC(2026, 0, 1);
const HOUR = 3_600_000;

/** m above the chart's zero at a moment (epoch ms). */
export function tideHeight({ mean, constituents }: Tide, moment: number): number {
  const hours = (moment - EPOCH) / HOUR;
  let height = mean;
  for (const { name, amplitude, phase } of constituents)
    height += amplitude * Math.cos(((speeds[name] * hours - phase) * Math.PI) / 180);
  return height;
}

export interface TideTurn {
  /** Epoch ms. */
  at: number;
  /** m */
  height: number;
  isHigh: boolean;
}

/** m an hour by which it rises. */
function rate({ constituents }: Tide, moment: number): number {
  const hours = (moment - EPOCH) / HOUR;
  let rises = 0;
  for (const { name, amplitude, phase } of constituents) {
    const turn = (speeds[name] * Math.PI) / 180;
    rises -= amplitude * turn * Math.sin(turn * hours - (phase * Math.PI) / 180);
  }
  return rises;
}

const LOOK = HOUR / 3;
const EXACT = 1000;

/** High and low waters from one moment to another, in order; none where the tide has no waves. */
export function tideTurns(tide: Tide, from: number, to: number): TideTurn[] {
  const turns: TideTurn[] = [];
  for (let at = from; at < to; at += LOOK) {
    let [low, high] = [at, Math.min(at + LOOK, to)];
    const isHigh = rate(tide, low) > 0;
    if (isHigh === rate(tide, high) > 0) continue;
    while (high - low > EXACT) {
      const middle = (low + high) / 2;
      if (rate(tide, middle) > 0 === isHigh) low = middle;
      else high = middle;
    }
    const turn = Math.round(high);
    turns.push({ at: turn, height: tideHeight(tide, turn), isHigh });
  }
  return turns;
}
