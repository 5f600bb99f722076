import { contours as contourLines } from 'd3-contour';
import { mix } from '../../values/colour.ts';
import { createRandom, hash } from '../../sources/noise.ts';
import { HEIGHT, WIDTH, n, round, sheet, type MotifDrawing, type MotifInput } from '../draw.ts';

const COLUMNS = 192;
const ROWS = 108;

/** A chart of an invented bay: depths below, heights above, soundings between the lines. */
export function contours({ seed, control }: MotifInput): MotifDrawing {
  const field = Array.from({ length: COLUMNS * ROWS }, (_, index) =>
    heightAt(seed, index % COLUMNS, Math.floor(index / COLUMNS), 0.5 + control('scale'), control('land')),
  );
  const low = Math.min(...field);
  const high = Math.max(...field);
  const count = Math.round(8 + 28 * control('lines'));
  const levels = Array.from(
    { length: count },
    (_, index) => low + ((index + 1) / (count + 1)) * (high - low),
  );
  const lines = contourLines().size([COLUMNS, ROWS]).thresholds(levels)(field);
  const shapes = lines
    .map(({ coordinates }, index) => {
      const path = coordinates.flatMap((polygon) => polygon.map(ringPath)).join('');
      const share = index / (levels.length - 1);
      const fill =
        share < 0.55
          ? mix('#12262b', '#1d3f43', share / 0.55)
          : mix('#2c4a41', '#53603f', (share - 0.55) / 0.45);
      const isMain = index % 4 === 0;
      const stroke = share < 0.55 ? '#7fb3ab' : '#d8b878';
      return `<path d="${path}" fill="${fill}" stroke="${stroke}" stroke-width="${isMain ? 1.9 : 0.9}" stroke-opacity="${isMain ? 0.62 : 0.3}"/>`;
    })
    .join('');
  return {
    defs: round('vignette', [
      [0, '#081214', 0],
      [0.6, '#081214', 0.08],
      [1, '#081214', 0.62],
    ]),
    body:
      sheet('#0f2025') +
      shapes +
      grid() +
      soundings(seed, field, low, high) +
      `<ellipse cx="960" cy="540" rx="1340" ry="860" fill="url(#vignette)"/>`,
  };
}

function ringPath(ring: number[][]): string {
  const points = ring.map(
    ([x = 0, y = 0]) => `${n((x / COLUMNS) * (WIDTH + 20) - 10)} ${n((y / ROWS) * (HEIGHT + 12) - 6)}`,
  );
  return `M${points.join('L')}Z`;
}

/** Smooth noise in the plane, several sizes of it, tilted from the sea to the land. */
function heightAt(seed: number, column: number, row: number, scale: number, land: number): number {
  const x = column / COLUMNS;
  const y = row / ROWS;
  let sum = 0;
  for (let octave = 0; octave < 4; octave++) {
    const size = (2.6 / scale) * 2 ** octave;
    sum += planeNoise(seed + octave * 31, x * size * 1.78, y * size) / 2 ** (octave * 1.25);
  }
  return sum + (x - y) * 1.5 * land;
}

function planeNoise(seed: number, x: number, y: number): number {
  const cx = Math.floor(x);
  const cy = Math.floor(y);
  const ease = (t: number) => t * t * t * (t * (t * 6 - 15) + 10);
  const u = ease(x - cx);
  const v = ease(y - cy);
  const at = (i: number, j: number) => hash(seed, (cx + i) * 7919 + (cy + j) * 104729);
  return (at(0, 0) * (1 - u) + at(1, 0) * u) * (1 - v) + (at(0, 1) * (1 - u) + at(1, 1) * u) * v;
}

function grid(): string {
  let path = '';
  for (let x = 160; x < WIDTH; x += 320) path += `M${x} 0V${HEIGHT}`;
  for (let y = 130; y < HEIGHT; y += 270) path += `M0 ${y}H${WIDTH}`;
  return `<path d="${path}" stroke="#cfe3da" stroke-opacity=".09" fill="none"/>`;
}

/** Crosses at depths; figures would be text, which a backdrop leaves to the desk. */
function soundings(seed: number, field: number[], low: number, high: number): string {
  const random = createRandom(seed + 8);
  let marks = '';
  for (let index = 0; index < 150; index++) {
    const x = random() * WIDTH;
    const y = random() * HEIGHT;
    const height =
      field[Math.floor((y / HEIGHT) * ROWS) * COLUMNS + Math.floor((x / WIDTH) * COLUMNS)] ?? low;
    if ((height - low) / (high - low) > 0.5) continue;
    marks += `M${n(x - 4)} ${n(y)}h8M${n(x)} ${n(y - 4)}v8`;
  }
  return `<path d="${marks}" stroke="#bfe0d6" stroke-opacity=".34" stroke-width="1.1"/>`;
}
