import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import { HEIGHT, WIDTH, n, round, sheet, upright, type MotifDrawing, type MotifInput } from '../draw.ts';

/** Harbour lamps out of focus behind a wet pane. */
export function lamp({ seed, control }: MotifInput): MotifDrawing {
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
    hues
      .map((hue, index) =>
        round(`disc${index}`, [
          [0, hue, 0.5],
          [0.82, hue, 0.58],
          [0.93, mix(hue, '#ffffff', 0.35), 0.85],
          [1, hue, 0],
        ]),
      )
      .join('') +
    hues
      .map((hue, index) =>
        round(`streak${index}`, [
          [0, hue, 0.55],
          [0.5, hue, 0.2],
          [1, hue, 0],
        ]),
      )
      .join('') +
    round('warmth', [
      [0, '#b35a3f', 0.6],
      [0.5, '#a5543d', 0.26],
      [1, '#a5543d', 0],
    ]);
  const discs: string[] = [];
  const streaks: string[] = [];
  for (let index = 0; index < Math.round(240 * control('lamps')); index++) {
    const near = random();
    const hue = Math.min(hues.length - 1, Math.floor(random() ** 1.7 * hues.length));
    const x = random() * WIDTH;
    const y = quay - 40 - random() ** 1.8 * 400 + (random() - 0.5) * 40;
    const r = 8 + near ** 2.4 * 164 * control('size');
    const opacity = 0.2 + random() * 0.5 * (1 - near * 0.55);
    discs.push(
      `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="url(#disc${hue})" fill-opacity="${n(opacity)}"/>`,
    );
    const long = 60 + random() * 260;
    streaks.push(
      `<ellipse cx="${n(x)}" cy="${n(quay + (quay - y) * 0.3 + long)}" rx="${n(5 + r * 0.7)}" ry="${n(long * 1.25)}" fill="url(#streak${hue})" fill-opacity="${n(opacity * 0.8)}"/>`,
    );
  }
  return {
    defs,
    body:
      sheet('url(#air)') +
      `<ellipse cx="1150" cy="${quay - 40}" rx="1250" ry="330" fill="url(#warmth)"/>` +
      streaks.join('') +
      discs.join('') +
      drops(seed + 4, Math.round(480 * control('rain'))),
  };
}

function drops(seed: number, count: number): string {
  const random = createRandom(seed);
  return Array.from({ length: count }, () => {
    const r = 0.8 + random() ** 5 * 6;
    const x = random() * WIDTH;
    const y = random() * HEIGHT;
    return `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(r)}" ry="${n(r * 1.25)}" fill="#ffe9cf" fill-opacity="${n(0.05 + random() * 0.13)}"/>`;
  }).join('');
}
