import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import {
  WIDTH,
  n,
  ridgeHeight,
  ridgePath,
  round,
  sheet,
  upright,
  type RidgeShape,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

/** Ridges of firs, each paler than the one before it, with fog in the valleys. */
export function fog({ seed, control, sky }: MotifInput): MotifDrawing {
  const count = Math.round(4 + 4 * control('ridges'));
  // Fog lies all night, and has lifted once the sun stands twenty degrees high.
  const thick = sky ? Math.max(0.06, Math.min(1, 1 - sky.sun / 20)) : control('fog');
  const defs =
    upright('sky', [
      [0, '#a9b7bd'],
      [0.4, '#cdd6d6'],
      [0.7, '#e6e6df'],
    ]) +
    round('glow', [
      [0, '#fffaf0', 0.9],
      [1, '#fffaf0', 0],
    ]) +
    upright('bank', [
      [0, '#e3e6e2', 0],
      [0.3, '#e3e6e2', Math.min(1, thick * 0.7)],
      [0.55, '#e3e6e2', Math.min(1, thick)],
      [1, '#e3e6e2', 0],
    ]);
  let body = sheet('url(#sky)') + `<ellipse cx="1340" cy="210" rx="760" ry="380" fill="url(#glow)"/>`;
  for (let index = 0; index < count; index++) {
    const depth = index / (count - 1);
    const shape: RidgeShape = {
      seed: seed + index * 19,
      level: 400 + 640 * depth ** 1.15,
      relief: 90 + 50 * depth,
      stretch: 560 + 160 * depth,
      octaves: 4,
      gain: 0.42,
      bend: (x) => (index % 2 ? -1 : 1) * 120 * (x - 0.5),
    };
    const colour = mix(mix('#7d969c', '#c9d2d2', thick), '#16262a', depth ** (0.6 + 0.45 * thick));
    body += `<g fill="${colour}"><path d="${ridgePath(shape, 6)}"/>${firs(seed + 70 + index, shape, depth, control('firs'))}</g>`;
    if (index < count - 1) {
      const y = shape.level - 40 - 60 * thick + 70 * depth;
      body += `<rect x="-200" y="${n(y)}" width="${WIDTH + 400}" height="${n(230 + 150 * thick - 40 * depth)}" fill="url(#bank)"/>`;
    }
  }
  return { defs, body };
}

function firs(seed: number, ridge: RidgeShape, depth: number, dense: number): string {
  const random = createRandom(seed);
  const step = (7 + 22 * depth) * (1.9 - 1.8 * dense);
  let path = '';
  for (let x = -20; x < WIDTH + 20; x += step * (0.5 + random())) {
    const tall = (16 + 130 * depth ** 1.3) * (0.45 + random() * 0.75);
    const half = tall * (0.17 + 0.05 * random());
    const base = ridgeHeight(ridge, x) + 6;
    path += fir(x, base, tall, half, depth > 0.35 ? 5 : 1);
  }
  return `<path d="${path}"/>`;
}

/** A trunk with tiers of boughs that widen downward. */
function fir(x: number, base: number, tall: number, half: number, tiers: number): string {
  if (tiers === 1) return `M${n(x)} ${n(base - tall)}L${n(x + half)} ${n(base)}H${n(x - half)}Z`;
  const right: string[] = [];
  const left: string[] = [];
  for (let tier = 1; tier <= tiers; tier++) {
    const y = base - tall + (tall * tier) / tiers;
    const wide = half * (tier / tiers) ** 0.9;
    right.push(`L${n(x + wide)} ${n(y)}L${n(x + wide * 0.45)} ${n(y - tall * 0.035)}`);
    left.unshift(`L${n(x - wide * 0.45)} ${n(y - tall * 0.035)}L${n(x - wide)} ${n(y)}`);
  }
  return `M${n(x)} ${n(base - tall)}${right.join('')}${left.join('')}Z`;
}
