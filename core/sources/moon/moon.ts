import { getMoonIllumination } from 'suncalc';
import { defineSource } from '../source.ts';

export interface MoonReading {
  /** 0 is new, 0.25 the first quarter, 0.5 full. */
  phase: number;
  /** The share of its disc that is lit. */
  lit: number;
  name: string;
}

const names = [
  'New moon',
  'Waxing crescent',
  'First quarter',
  'Waxing moon',
  'Full moon',
  'Waning moon',
  'Last quarter',
  'Waning crescent',
] as const;

/** What a phase is called: the four that have a day of their own, and what lies between. */
function phaseName(phase: number): string {
  return names[Math.round(phase * 8) % 8] ?? names[0];
}

export const moon = defineSource({
  id: 'moon',
  title: 'Moon',
  step: 600_000,
  tells: { moon: 'minute' },
  read(_, moment): MoonReading {
    const { phase, fraction } = getMoonIllumination(new Date(moment));
    return { phase, lit: fraction, name: phaseName(phase) };
  },
});
