import { createReadings } from '../../../core/sources/readings.ts';
import { SIMULATED } from '../../../core/sources/source.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk } from '../../session/desk.ts';

/** Disks by where they are mounted, or networks by name: of the simulated machine, and of this one where it is read. */
export function machineNames(list: 'mounts' | 'interfaces'): string[] {
  const desk = presentDesk();
  if (!desk) return [];
  const { moment, feeds } = useConditions.getState();
  const { place, seed } = desk;
  const readings = createReadings({ moment, place, seed, feeds });
  const names = [SIMULATED, 'this-machine'].flatMap((origin) => {
    const now = readings.get('machine', origin as typeof SIMULATED)?.value;
    return list === 'mounts'
      ? (now?.disks ?? []).map(({ mount }) => mount)
      : (now?.networks ?? []).map(({ name }) => name);
  });
  return [...new Set(names)];
}

/** The next of them that is not in a list yet. */
export const anotherOf =
  (list: 'mounts' | 'interfaces') => (entries: readonly Readonly<Record<string, unknown>>[]) => ({
    name: machineNames(list).find((name) => entries.every((entry) => entry.name !== name)) ?? '',
  });
