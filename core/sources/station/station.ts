import { fetchedOf } from '../outside.ts';
import { defineLargeSource } from '../source.ts';

/** The weather as a station reports it, in the same shape as the simulated one: what a report leaves out is null. */
export const station = defineLargeSource({
  id: 'station',
  title: 'Weather station',
  step: 60_000,
  outside: { fetches: ({ report }) => fetchedOf('text', [{ from: report }]) },
  load: () => import('./read.ts'),
});
