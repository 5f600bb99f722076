import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import {
  HEIGHT,
  WIDTH,
  birds,
  glitter,
  n,
  ridgePath,
  round,
  sheet,
  upright,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

/** A low sun between layered headlands and the sea, seen through the haze of a cold dawn. */
export function headland({ seed, control }: MotifInput): MotifDrawing {
  const horizon = 742 + (0.5 - control('horizon')) * 260;
  const shift = horizon - 742;
  const sunX = 1300;
  const far = ['#a8688a', '#8d5a86', '#6c4777', '#4a3059', '#33213f', '#241830'];
  const layers = [
    { level: 700 + shift, relief: 34, stretch: 300, gain: 0.42 },
    { level: 722 + shift, relief: 62, stretch: 430, gain: 0.45 },
    { level: 748 + shift, relief: 46, stretch: 360, gain: 0.45 },
  ];
  const near = [
    { level: 930 + shift * 0.4, relief: 100, stretch: 760, gain: 0.36 },
    { level: 1010 + shift * 0.2, relief: 86, stretch: 620, gain: 0.36 },
  ];
  const defs =
    upright('sky', [
      [0, '#332a52'],
      [0.2, '#54406f'],
      [0.42, '#8a5b87'],
      [0.58, '#c67c84'],
      [0.67, '#eda57f'],
      [0.72, '#fbd09a'],
    ]) +
    round('glow', [
      [0, '#fff3d6', 0.95],
      [0.18, '#ffdfa8', 0.6],
      [0.55, '#f7a982', 0.22],
      [1, '#f7a982', 0],
    ]) +
    upright('sea', [
      [0, '#f0b48d'],
      [0.14, '#d58f89'],
      [0.4, '#8f5f86'],
      [0.8, '#4b3460'],
      [1, '#33244a'],
    ]) +
    upright('haze', [
      [0, '#ffd9ae', 0],
      [0.5, '#ffd9ae', 0.08 + 0.52 * control('haze')],
      [1, '#ffd9ae', 0],
    ]) +
    [0, 1, 2, 3, 4]
      .map((tone) =>
        round(`cloud${tone}`, [
          [0, mix('#6b4f86', '#ffc79c', tone / 4), 0.5],
          [1, mix('#6b4f86', '#ffc79c', tone / 4), 0],
        ]),
      )
      .join('');
  const clouds = cloudBands(seed + 60);
  const body =
    sheet('url(#sky)') +
    clouds +
    `<ellipse cx="${sunX}" cy="${horizon - 20}" rx="900" ry="520" fill="url(#glow)"/>` +
    `<circle cx="${sunX}" cy="${horizon - 30}" r="96" fill="url(#glow)"/>` +
    `<circle cx="${sunX}" cy="${horizon - 30}" r="31" fill="#fff9ea"/>` +
    layers
      .map(
        (layer, index) =>
          `<path d="${ridgePath({ ...layer, seed: seed + index * 13, bend: (x) => 44 * Math.exp(-(((x - 0.66) / 0.16) ** 2)) })}" fill="${far[index]}" fill-opacity="${0.72 + index * 0.1}"/>`,
      )
      .join('') +
    `<rect y="${horizon - 90}" width="${WIDTH}" height="150" fill="url(#haze)"/>` +
    `<rect y="${horizon + 6}" width="${WIDTH}" height="${HEIGHT - horizon}" fill="url(#sea)"/>` +
    glitter(seed + 5, 190, { x: sunX, y: horizon + 12, width: 330, height: 190 }, '#ffe9c4') +
    birds({
      seed: seed + 9,
      count: Math.round(108 * control('birds')),
      x: 1010,
      y: 330,
      spreadX: 330,
      spreadY: 90,
      size: 15,
      colour: '#3a2748',
    }) +
    near
      .map(
        (layer, index) =>
          `<path d="${ridgePath({ ...layer, seed: seed + 31 + index * 17, bend: (x) => (index === 0 ? -150 * (x - 0.2) ** 2 * 1.6 + 30 : 70 * Math.abs(x - 0.45)) }, 6)}" fill="${far[index + 4]}"/>`,
      )
      .join('');
  return { defs, body };
}

/** Long thin veils of cloud, the lower the warmer. */
function cloudBands(seed: number): string {
  const random = createRandom(seed);
  return Array.from({ length: 26 }, () => {
    const depth = random();
    const y = 110 + depth * 500;
    const long = 260 + random() * 620;
    const tone = Math.min(4, Math.floor(depth * 5));
    return `<ellipse cx="${n(random() * WIDTH)}" cy="${n(y)}" rx="${n(long)}" ry="${n(5 + random() * 22 * (1.2 - depth))}" fill="url(#cloud${tone})" fill-opacity="${n(0.25 + random() * 0.45)}"/>`;
  }).join('');
}
