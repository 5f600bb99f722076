import type { MachineReading } from './machine.ts';
import { formatBytes, formatRate } from './units.ts';

export interface Meter {
  id: 'processor' | 'memory' | 'disk' | 'network';
  title: string;
  /** 0 to 1; null where it can't be known. */
  share: number | null;
  /** The figure to read; a dash where there is none. */
  figure: string;
  unit: string;
  /** A second figure: what of how much. */
  detail: string;
}

export const meterIds = ['processor', 'memory', 'disk', 'network'] as const;
const meterTitles: Record<Meter['id'], string> = {
  processor: 'Processor',
  memory: 'Memory',
  disk: 'Disk',
  network: 'Network',
};

/** A kilobyte a second is an empty meter, ten megabytes a full one; each tenfold is a quarter. */
export function networkShare(bytesPerSecond: number): number {
  return Math.max(0, Math.min(1, Math.log10(Math.max(1, bytesPerSecond / 1000)) / 4));
}

/** 0 to 1; null where it can't be known. */
export function shareOf(id: Meter['id'], reading: MachineReading | null): number | null {
  if (!reading) return null;
  switch (id) {
    case 'processor':
      return reading.processor === null ? null : reading.processor / 100;
    case 'memory':
    case 'disk': {
      const value = reading[id];
      return value && value.used / value.total;
    }
    case 'network':
      return reading.network && networkShare(reading.network.down);
  }
}

export function meterOf(id: Meter['id'], reading: MachineReading | null): Meter {
  const share = shareOf(id, reading);
  const title = meterTitles[id];
  if (share === null || !reading) return { id, title, share, figure: '–', unit: '', detail: 'not available' };
  const percent = { id, title, share, figure: String(Math.round(share * 100)), unit: '%' };
  switch (id) {
    case 'processor':
      return { ...percent, detail: `${percent.figure} %` };
    case 'memory':
    case 'disk': {
      const { used = 0, total = 0 } = reading[id] ?? {};
      return { ...percent, detail: `${formatBytes(used)} of ${formatBytes(total)}` };
    }
    case 'network': {
      const rate = formatRate(reading.network?.down ?? 0);
      return { ...percent, ...rate, detail: `${rate.figure} ${rate.unit} down` };
    }
  }
}
