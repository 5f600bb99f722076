import { defineLargeSource } from '../source.ts';

/** One look at a machine. Null where it can't be known. Bytes and bytes per second; processor in percent. */
export interface MachineReading {
  processor: number | null;
  memory: { used: number; total: number } | null;
  disk: { used: number; total: number } | null;
  network: { down: number; up: number } | null;
  swap: { used: number; total: number } | null;
  /** Percent, one for each core. */
  cores: number[] | null;
  /** How many wanted to run at once, over 1, 5 and 15 minutes. */
  load: [number, number, number] | null;
  temperatures: { name: string; celsius: number }[] | null;
  battery: Battery | null;
  /** By where they are mounted. */
  disks: { mount: string; used: number; total: number }[] | null;
  /** By interface: bytes a second, and bytes since it was started. */
  networks: { name: string; down: number; up: number; received: number; sent: number }[] | null;
  /** The busiest first: processor in percent of the whole, memory in bytes. */
  processes: { name: string; processor: number; memory: number }[] | null;
  /** How many updates wait. */
  updates: number | null;
  /** s since it was started. */
  uptime: number | null;
}

export interface Battery {
  /** 0 to 1 */
  charge: number;
  isCharging: boolean;
  /** s until it is empty, or full while it is charged; null where that can't be known. */
  left: number | null;
}

/** A look at which nothing could be seen. */
export const unknownMachine: MachineReading = {
  processor: null,
  memory: null,
  disk: null,
  network: null,
  swap: null,
  cores: null,
  load: null,
  temperatures: null,
  battery: null,
  disks: null,
  networks: null,
  processes: null,
  updates: null,
  uptime: null,
};

export const machine = defineLargeSource({
  id: 'machine',
  title: 'Machine',
  step: 1000,
  fed: { 'this-machine': 'This machine' },
  tells: { machine: 'second' },
  load: () => import('./simulate.ts'),
});
