import { mix } from '../../values/colour.ts';
import { HEIGHT, WIDTH, fractal, n, sheet, upright, type MotifDrawing, type MotifInput } from '../draw.ts';

/** Wet sand after the ebb: ripple upon ripple, lit from one side. */
export function tide({ seed, control }: MotifInput): MotifDrawing {
  const count = Math.round(80 - 68 * control('scale'));
  const grow = 46 / count;
  const relief = 0.3 + 1.4 * control('relief');
  const defs = upright('sand', [
    [0, '#efe4d6'],
    [0.5, '#e6d3c1'],
    [1, '#cfb2a3'],
  ]);
  let body = sheet('url(#sand)');
  for (let index = 0; index < count; index++) {
    const share = index / (count - 1);
    const y = -260 + share ** 1.25 * (HEIGHT + 560);
    const thick = (9 + 26 * share) * grow;
    const line = waveLine(seed, y, share, relief, (control('slant') - 0.5) * 0.9);
    const tone = mix('#fbf3ea', '#e7cdbd', share);
    body +=
      [1, 0.72, 0.44]
        .map(
          (part) =>
            `<path d="${line}" fill="none" stroke="${mix('#c9a797', '#94746d', share)}" stroke-width="${n(thick * part)}" stroke-opacity="${n(0.05 + 0.06 * share)}" transform="translate(0 ${n(thick * 0.62)})"/>`,
        )
        .join('') +
      `<path d="${line}" fill="none" stroke="${tone}" stroke-width="${n(thick * 0.5)}" stroke-opacity=".55"/>` +
      `<path d="${line}" fill="none" stroke="#fffaf3" stroke-width="${n(0.8 + 1.6 * share)}" stroke-opacity=".7" transform="translate(0 ${n(-thick * 0.22)})"/>`;
  }
  return { defs, body };
}

function waveLine(seed: number, y: number, share: number, relief: number, slant: number): string {
  const points: string[] = [];
  for (let x = -20; x <= WIDTH + 20; x += 20) {
    const long = fractal(seed, x / 900 + share * 1.6, 3) * (70 + 60 * share) * relief;
    const short = fractal(seed + 9, x / 180 + share * 13, 3) * (7 + 16 * share) * relief;
    points.push(`${x} ${n(y + long + short + (x - WIDTH / 2) * slant)}`);
  }
  return `M${points.join('L')}`;
}
