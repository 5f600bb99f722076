import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import { moon } from '../moon.ts';
import {
  HEIGHT,
  WIDTH,
  fractal,
  n,
  ridgePath,
  round,
  sheet,
  upright,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

/** Stars and a faint band of light over a dark coast, with one beam turning. */
export function night({ seed, control, sky }: MotifInput): MotifDrawing {
  const lightX = 1512;
  const lightY = 838;
  const defs =
    upright('sky', [
      [0, '#05080f'],
      [0.35, '#0a1322'],
      [0.62, '#12263a'],
      [0.78, '#24465a'],
      [0.85, '#3a6270'],
    ]) +
    round('star', [
      [0, '#eaf4ff', 0.9],
      [0.25, '#bcd8f5', 0.35],
      [1, '#bcd8f5', 0],
    ]) +
    `<linearGradient id="beam" x1="1" y1="0" x2="0" y2="0"><stop offset="0" stop-color="#ffe3ab" stop-opacity="${n(control('beam'))}"/><stop offset=".35" stop-color="#ffe3ab" stop-opacity="${n(control('beam') * 0.26)}"/><stop offset="1" stop-color="#ffe3ab" stop-opacity="0"/></linearGradient>` +
    round('lamp', [
      [0, '#fff5d8', 1],
      [0.15, '#ffdf9e', 0.75],
      [1, '#ffdf9e', 0],
    ]) +
    upright('sea', [
      [0, '#2b5061'],
      [0.3, '#14293a'],
      [1, '#060c15'],
    ]) +
    hues
      .map((hue, index) =>
        round(`veil${index}`, [
          [0, hue, 0.3],
          [0.4, hue, 0.14],
          [1, hue, 0],
        ]),
      )
      .join('');
  return {
    defs,
    body:
      sheet('url(#sky)') +
      band(seed) +
      stars(seed + 1, Math.round(1800 * control('stars'))) +
      moonIn(sky, control('moon')) +
      `<path d="${ridgePath({ seed: seed + 40, level: 868, relief: 34, stretch: 420, octaves: 5, gain: 0.42 })}" fill="#0f2331"/>` +
      `<rect y="890" width="${WIDTH}" height="${HEIGHT - 890}" fill="url(#sea)"/>` +
      `<path d="M${lightX} ${lightY}L120 ${lightY - 190}L120 ${lightY + 10}Z" fill="url(#beam)"/>` +
      `<path d="${ridgePath({ seed: seed + 44, level: 980, relief: 52, stretch: 640, octaves: 6, gain: 0.44, bend: (x) => 130 - 210 * Math.exp(-(((x - 0.83) / 0.22) ** 2)) })}" fill="#050a10"/>` +
      `<path d="M${lightX - 8} 930L${lightX - 5} ${lightY}H${lightX + 5}L${lightX + 8} 930Z M${lightX - 8} ${lightY + 6}h16v-4h-16Z" fill="#050a10"/>` +
      `<circle cx="${lightX}" cy="${lightY - 3}" r="70" fill="url(#lamp)" fill-opacity=".8"/><circle cx="${lightX}" cy="${lightY - 3}" r="4.5" fill="#fff8e4"/>`,
  };
}

function moonIn(sky: MotifInput['sky'], chosen: number): string {
  if (sky)
    return sky.moon > 0
      ? moon({ x: 520, y: 700 - (Math.min(60, sky.moon) / 60) * 560, r: 44, phase: sky.phase })
      : '';
  return chosen > 0 ? moon({ x: 520, y: 250, r: 44, phase: chosen / 2 }) : '';
}

const hues = ['#3f6f92', '#6a7aa6', '#9b86b4'];

/** The pale band across the sky, as soft discs of light that thin out. */
function band(seed: number): string {
  const random = createRandom(seed + 500);
  return Array.from({ length: 130 }, () => {
    const t = random();
    const x = t * 2200 - 140;
    const y = 700 - t * 780 + fractal(seed, t * 4) * 130 + (random() - 0.5) * 190;
    const r = 80 + random() * 210;
    return `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="url(#veil${Math.floor(random() * hues.length)})" fill-opacity="${n(0.12 + random() * 0.3)}"/>`;
  }).join('');
}

function stars(seed: number, count: number): string {
  const random = createRandom(seed);
  const points: string[] = [];
  for (let index = 0; index < count; index++) {
    const x = random() * WIDTH;
    const y = random() ** 1.25 * 850;
    const bright = random() ** 9;
    const fade = Math.max(0, 1 - (y / 850) ** 2.4);
    const colour = mix('#cfe2ff', '#ffe6c7', random());
    points.push(
      `<circle cx="${n(x)}" cy="${n(y)}" r="${n(0.5 + bright * 2)}" fill="${colour}" fill-opacity="${n((0.22 + 0.75 * random()) * fade)}"/>`,
    );
    if (bright > 0.62)
      points.push(
        `<circle cx="${n(x)}" cy="${n(y)}" r="${n(9 + bright * 10)}" fill="url(#star)" fill-opacity="${n(0.4 * fade)}"/>`,
      );
  }
  return points.join('');
}
