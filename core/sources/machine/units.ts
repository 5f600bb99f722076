const STEPS = ['B', 'kB', 'MB', 'GB', 'TB'];

function scaled(value: number, base: number): [number, string] {
  let step = 0;
  while (value >= base && step < STEPS.length - 1) {
    value /= base;
    step++;
  }
  return [value, STEPS[step] ?? ''];
}

/** Bytes with a unit, counted in 1024s as memory and disks are: `6.4 GB`. */
export function formatBytes(bytes: number): string {
  const [value, unit] = scaled(bytes, 1024);
  return `${value >= 100 || unit === 'B' ? Math.round(value) : value.toFixed(1)} ${unit}`;
}

/** Bytes per second, counted in 1000s as networks are. */
export function formatRate(bytesPerSecond: number): { figure: string; unit: string } {
  const [value, unit] = scaled(bytesPerSecond, 1000);
  return {
    figure: value >= 10 || unit === 'B' ? String(Math.round(value)) : value.toFixed(1),
    unit: `${unit}/s`,
  };
}
