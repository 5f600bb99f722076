import si from 'systeminformation';
import type { MachineReading } from '../../core/sources/machine/machine.ts';
import type { Feeder } from './feed.ts';

/** This machine's own readings: an hour of them at one every two seconds. */
export const machineFeeder: Feeder = {
  source: 'machine',
  origin: 'this-machine',
  everyMs: 2000,
  kept: 1800,
  look: sampleMachine,
};

/** A look at this machine. What can't be read is null. */
async function sampleMachine(): Promise<MachineReading> {
  const [load, memory, disks, network] = await Promise.all([
    quiet(si.currentLoad()),
    quiet(si.mem()),
    quiet(si.fsSize()),
    quiet(si.networkStats('*')),
  ]);
  const disk = disks?.find(({ mount }) => mount === '/') ?? disks?.toSorted((a, b) => b.size - a.size)[0];
  return {
    processor: finite(load?.currentLoad),
    memory:
      memory && memory.total > 0 ? { used: memory.total - memory.available, total: memory.total } : null,
    disk: disk && disk.size > 0 ? { used: disk.used, total: disk.size } : null,
    network: network?.length
      ? { down: sum(network.map((n) => n.rx_sec)), up: sum(network.map((n) => n.tx_sec)) }
      : null,
  };
}

/** A part of the machine that can't be read must not hide the others. */
async function quiet<T>(look: Promise<T>): Promise<T | null> {
  try {
    return await look;
  } catch {
    return null;
  }
}

function finite(value: number | undefined): number | null {
  return value !== undefined && Number.isFinite(value) ? value : null;
}

/** Rates are null until there are two looks to compare. */
function sum(values: (number | null)[]): number {
  return values.reduce<number>((total, value) => total + Math.max(0, value ?? 0), 0);
}
