import { almanac } from './almanac/almanac.ts';
import { calendar } from './calendar/calendar.ts';
import { headlines } from './headlines/headlines.ts';
import { station } from './station/station.ts';
import { machine } from './machine/machine.ts';
import { moon } from './moon/moon.ts';
import { sound } from './sound/sound.ts';
import { sun } from './sun/sun.ts';
import { time } from './time/time.ts';
import { weather } from './weather/weather.ts';
import type { LargeSource, SIMULATED, Source } from './source.ts';

/** Every source. Add a new one here. */
export const sources = {
  time,
  sun,
  moon,
  machine,
  weather,
  almanac,
  station,
  calendar,
  headlines,
  sound,
} as const;

export type SourceId = keyof typeof sources;
type Known = typeof sources;
export type ReadingOf<Id extends SourceId> =
  Known[Id] extends Source<string, infer Reading, string>
    ? Reading
    : Known[Id] extends LargeSource<string, infer Reading, string>
      ? Reading
      : never;
type FedOf<S> =
  S extends Source<string, unknown, infer Fed>
    ? Fed
    : S extends LargeSource<string, unknown, infer Fed>
      ? Fed
      : never;
/** Where readings of a source may come from. */
export type OriginOf<Id extends SourceId> = typeof SIMULATED | FedOf<Known[Id]>;
