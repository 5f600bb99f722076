import { FLOOR } from './bands.ts';
import type { SpectrumSettings } from './settings.ts';

type MovementSettings = Pick<
  SpectrumSettings,
  'attack' | 'decay' | 'peaks' | 'hold' | 'fall' | 'isAutomatic' | 'gain'
>;

/** dB that the height of a band stands for. */
const RANGE = 60;
/** dB a second by which a gain that sets itself comes down for what is quiet, and the least it takes for loud. */
const EASING = 6;
const LEAST_LOUD = -70;

/** Levels as they move: 0 to 1, with the peaks that they left. */
export interface Levels {
  values: Float64Array;
  peaks: Float64Array;
  /** Takes the levels of a look (dB), `passed` ms after the one before; null for silence. */
  take(db: Float64Array | null, passed: number, settings: MovementSettings): void;
  /** As it would stand had this look been there for long: after a jump. */
  settle(db: Float64Array, settings: MovementSettings): void;
  /** Nothing is left to move. */
  isStill(): boolean;
}

export function createLevels(bands: number): Levels {
  const values = new Float64Array(bands);
  const peaks = new Float64Array(bands);
  const since = new Float64Array(bands);
  let loudest = LEAST_LOUD;
  const gainFor = ({ isAutomatic, gain }: MovementSettings) => (isAutomatic ? -loudest : gain);
  const share = (db: number, gain: number) => Math.min(1, Math.max(0, (db + gain + RANGE) / RANGE));
  const follow = (db: Float64Array) => {
    for (const level of db) if (level > loudest) loudest = level;
  };
  return {
    values,
    peaks,
    take(db, passed, settings) {
      loudest = Math.max(LEAST_LOUD, loudest - (EASING * passed) / 1000);
      if (db) follow(db);
      const gain = gainFor(settings);
      const toward = (length: number) => (length <= 0 ? 1 : 1 - Math.exp(-passed / (length / 3)));
      const [rise, sink] = [toward(settings.attack), toward(settings.decay)];
      const drop = (settings.fall / RANGE) * (passed / 1000);
      for (let band = 0; band < bands; band++) {
        const aim = db ? share(db[band] ?? FLOOR, gain) : 0;
        const old = values[band] ?? 0;
        const value = old + (aim - old) * (aim > old ? rise : sink);
        values[band] = value < 0.001 ? 0 : value;
        const peak = peaks[band] ?? 0;
        if (!settings.peaks || value >= peak) {
          peaks[band] = values[band] ?? 0;
          since[band] = 0;
        } else {
          since[band] = (since[band] ?? 0) + passed;
          if ((since[band] ?? 0) > settings.hold) peaks[band] = Math.max(values[band] ?? 0, peak - drop);
        }
      }
    },
    settle(db, settings) {
      loudest = LEAST_LOUD;
      follow(db);
      const gain = gainFor(settings);
      for (let band = 0; band < bands; band++) {
        values[band] = peaks[band] = share(db[band] ?? FLOOR, gain);
        since[band] = 0;
      }
    },
    isStill: () => values.every((value) => value === 0) && peaks.every((peak) => peak === 0),
  };
}
