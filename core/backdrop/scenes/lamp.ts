import { mix } from '../../colour/convert.ts';
import { createRandom } from '../../sources/noise.ts';
import { HEIGHT, WIDTH, blur, n, round, sheet, upright, type SceneDrawing } from '../draw.ts';

/** Harbour lamps out of focus behind a wet pane. */
export function lamp(seed: number): SceneDrawing {
  const hues = ['#ffb45e', '#ff8d5c', '#ffd995', '#e86a6f', '#6fb7c8'];
  const random = createRandom(seed);
  const quay = 650;
  const defs =
    upright('air', [
      [0, '#150f1c'],
      [0.45, '#2b1a2a'],
      [0.62, '#4a2a30'],
      [0.75, '#2a1c2a'],
      [1, '#120d18'],
    ]) +
    hues.map((hue, index) => round(`disc${index}`, [
      [0, hue, 0.5],
      [0.82, hue, 0.58],
      [0.93, mix(hue, '#ffffff', 0.35), 0.85],
      [1, hue, 0],
    ])).join('') +
    blur('soft', 3) +
    blur('wide', 60);
  const discs: string[] = [];
  const streaks: string[] = [];
  for (let index = 0; index < 120; index++) {
    const near = random();
    const hue = Math.min(hues.length - 1, Math.floor(random() ** 1.7 * hues.length));
    const x = random() * WIDTH;
    const y = quay - 40 - random() ** 1.8 * 400 + (random() - 0.5) * 40;
    const r = 8 + near ** 2.4 * 82;
    const opacity = 0.2 + random() * 0.5 * (1 - near * 0.55);
    discs.push(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="url(#disc${hue})" opacity="${n(opacity)}"/>`);
    const long = 60 + random() * 260;
    streaks.push(`<rect x="${n(x - r * 0.4)}" y="${n(quay + (quay - y) * 0.25)}" width="${n(r * 0.8)}" height="${n(long)}" rx="${n(r * 0.4)}" fill="${hues[hue]}" opacity="${n(opacity * 0.26)}"/>`);
  }
  return {
    defs,
    body:
      sheet('url(#air)') +
      `<ellipse cx="1150" cy="${quay - 40}" rx="900" ry="200" fill="#a5543d" opacity=".38" filter="url(#wide)"/>` +
      `<g filter="url(#wide)" opacity=".9">${streaks.join('')}</g>` +
      `<g filter="url(#soft)">${streaks.filter((_, index) => index % 3 === 0).join('')}</g>` +
      discs.join('') +
      drops(seed + 4),
  };
}

function drops(seed: number): string {
  const random = createRandom(seed);
  return Array.from({ length: 240 }, () => {
    const r = 0.8 + random() ** 5 * 6;
    const x = random() * WIDTH;
    const y = random() * HEIGHT;
    return `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(r)}" ry="${n(r * 1.25)}" fill="#ffe9cf" opacity="${n(0.05 + random() * 0.13)}"/>`;
  }).join('');
}
