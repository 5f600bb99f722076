import { Suspense } from 'react';
import { later } from '../../later.ts';
import { usePlayer } from './played.ts';

const HeardChip = later(() => import('./heard-chip.tsx'));

/** What is heard, wherever it was begun; nothing where nothing is played. */
export function HeardNow() {
  const isOn = usePlayer(({ track }) => track !== null);
  return isOn ? (
    <Suspense>
      <HeardChip />
    </Suspense>
  ) : null;
}
