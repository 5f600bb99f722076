import type { AlmanacReading } from './almanac.ts';

/** A part of a day: 0 is its beginning, 1 its end. */
export interface Stretch {
  from: number;
  to: number;
}

/** When the sun is at most 12 degrees down, at most 6, and up; null where it never is that day. */
export interface DayStretches {
  nautical: Stretch | null;
  civil: Stretch | null;
  up: Stretch | null;
}

/** A moment (epoch ms) as a share of a day. */
export function shareOfDay({ day: { start, end } }: Pick<AlmanacReading, 'day'>, at: number): number {
  return (at - start) / (end - start);
}

/** A day divided by how high the sun stands, from the darkest to the lightest. */
export function dayStretches(said: AlmanacReading): DayStretches {
  const { day, sunrise, sunset, dawns, dusks, light } = said;
  const isAlwaysUp = light >= day.end - day.start;
  const stretch = (from: number | null, to: number | null) => {
    if (from === null && to === null) return isAlwaysUp ? { from: 0, to: 1 } : null;
    return {
      from: from === null ? 0 : shareOfDay(said, from),
      to: to === null ? 1 : shareOfDay(said, to),
    };
  };
  return {
    nautical: stretch(dawns.nautical, dusks.nautical),
    civil: stretch(dawns.civil, dusks.civil),
    up: light === 0 ? null : stretch(sunrise, sunset),
  };
}
