import { loadavg, uptime } from 'node:os';
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
  const [load, memory, disks, network, heat, battery] = await Promise.all([
    quiet(si.currentLoad()),
    quiet(si.mem()),
    quiet(si.fsSize()),
    quiet(si.networkStats('*')),
    quiet(si.cpuTemperature()),
    quiet(si.battery()),
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
    swap: memory && memory.swaptotal > 0 ? { used: memory.swapused, total: memory.swaptotal } : null,
    cores: load?.cpus.length ? load.cpus.map((core) => Math.round(core.load * 10) / 10) : null,
    load: loadOfLinux(),
    temperatures: temperaturesOf(heat),
    battery: batteryOf(battery),
    disks: disks ? disksOf(disks) : null,
    networks: network?.length
      ? network.slice(0, MOST_LISTED).map((one) => ({
          name: one.iface,
          down: Math.max(0, one.rx_sec ?? 0),
          up: Math.max(0, one.tx_sec ?? 0),
          received: one.rx_bytes,
          sent: one.tx_bytes,
        }))
      : null,
    processes: await busiest(),
    // No system tells this without asking the network.
    updates: null,
    uptime: Math.floor(uptime()),
  };
}

/** As many of a kind are listed. */
const MOST_LISTED = 12;

/** Each disk once, by its shortest mount: the same one may be mounted at many places. */
function disksOf(disks: readonly si.Systeminformation.FsSizeData[]): MachineReading['disks'] {
  const found = new Map<string, si.Systeminformation.FsSizeData>();
  for (const disk of disks) {
    const other = found.get(disk.fs);
    if (disk.size > 0 && (!other || disk.mount.length < other.mount.length)) found.set(disk.fs, disk);
  }
  const list = [...found.values()].map(({ mount, used, size }) => ({ mount, used, total: size }));
  return list.length > 0 ? list.sort((a, b) => b.total - a.total).slice(0, MOST_LISTED) : null;
}

/** Looking through all that runs takes its time: it is done no more often than this, ms. */
const PROCESSES_MS = 10_000;
let processes: { at: number; list: MachineReading['processes'] } = { at: -Infinity, list: null };

async function busiest(): Promise<MachineReading['processes']> {
  const now = performance.now();
  if (now - processes.at < PROCESSES_MS) return processes.list;
  const all = await quiet(si.processes());
  const list = all?.list.length
    ? all.list
        .toSorted((a, b) => b.cpu - a.cpu)
        .slice(0, MOST_LISTED)
        .map(({ name, cpu, memRss }) => ({
          name,
          processor: Math.round(cpu * 10) / 10,
          // Said in kB.
          memory: memRss * 1024,
        }))
    : null;
  processes = { at: now, list };
  return list;
}

/** Where the system doesn't count it, all are 0: then it is not known. */
function loadOfLinux(): MachineReading['load'] {
  const [one = 0, five = 0, fifteen = 0] = loadavg();
  return one + five + fifteen > 0 ? [one, five, fifteen] : null;
}

function temperaturesOf(
  heat: si.Systeminformation.CpuTemperatureData | null,
): MachineReading['temperatures'] {
  // What can't be read is said as null, or as 0 by some systems.
  const main = finite(heat?.main ?? undefined);
  return main !== null && main > 0 ? [{ name: 'Processor', celsius: main }] : null;
}

function batteryOf(battery: si.Systeminformation.BatteryData | null): MachineReading['battery'] {
  if (!battery?.hasBattery) return null;
  const minutes = finite(battery.timeRemaining);
  return {
    charge: Math.min(1, Math.max(0, battery.percent / 100)),
    isCharging: battery.isCharging,
    left: minutes !== null && minutes > 0 ? minutes * 60 : null,
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
