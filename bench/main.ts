import { writeFileSync } from 'node:fs';
import { benchArranging } from './arranging.ts';
import { benchBackdrop } from './backdrop.ts';
import { benchBrowser } from './browser.ts';
import { benchPalette } from './palette.ts';
import type { Row } from './row.ts';
import { benchServer } from './server.ts';

const groups: Record<string, () => Promise<Row[]>> = {
  arranging: benchArranging,
  palette: benchPalette,
  backdrop: benchBackdrop,
  server: benchServer,
  browser: benchBrowser,
};

const asked = process.argv.slice(2).filter((word) => word in groups);
const rows: Row[] = [];
for (const [name, bench] of Object.entries(groups)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  console.error(`measuring: ${name}`);
  rows.push(...(await bench()));
}

const text = (row: Row) => [
  row.what,
  `${format(row.value)} ${row.unit}`,
  row.processor ? `${format(row.processor.value)} ms` : '',
  row.processor ? `${format(row.processor.times)} ×` : '',
  row.reach,
  row.isMet === null ? '' : row.isMet ? 'met' : 'MISSED',
];
const table = [['what', 'measured', 'processor', 'of the reference', 'reach', ''], ...rows.map(text)];
const widths = [0, 1, 2, 3, 4, 5].map((column) =>
  Math.max(...table.map((row) => (row[column] ?? '').length)),
);
for (const row of table) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join('  '));
if (process.argv.includes('--json')) {
  writeFileSync('bench.json', JSON.stringify(rows, null, 2) + '\n');
  console.log('\nWritten to bench.json');
}

function format(value: number): string {
  return value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(value >= 1 ? 2 : 3);
}
