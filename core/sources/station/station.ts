import { defineLargeSource } from '../source.ts';

/** The weather as a station reports it, in the same shape as the simulated one: what a report leaves out is null. */
export const station = defineLargeSource({
  id: 'station',
  title: 'Weather station',
  step: 60_000,
  isOutside: true,
  load: () => import('./read.ts'),
});
