import { converter } from 'culori/fn';
import { toHex } from '../core/values/colour.ts';
import type { Pixels } from '../core/colour/extract.ts';
import { createRandom } from '../core/sources/noise.ts';

const toOklab = converter('oklab');

/** The textbook way, as something to measure against: k-means on samples, started at random ones, 12 rounds. */
export function kMeansInOklab({ width, height, data }: Pixels, k: number, samples: number): string[] {
  const random = createRandom(1);
  const points = Array.from({ length: samples }, () => {
    const at = Math.floor(random() * width * height) * 4;
    const { l, a, b } = toOklab({
      mode: 'rgb',
      r: (data[at] ?? 0) / 255,
      g: (data[at + 1] ?? 0) / 255,
      b: (data[at + 2] ?? 0) / 255,
    });
    return [l, a, b] as [number, number, number];
  });
  let centres = Array.from({ length: k }, () => points[Math.floor(random() * samples)] ?? [0, 0, 0]);
  for (let round = 0; round < 12; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (const [l, a, b] of points) {
      let best = 0;
      let nearest = Infinity;
      centres.forEach(([cl = 0, ca = 0, cb = 0], index) => {
        const distance = (l - cl) ** 2 + (a - ca) ** 2 + (b - cb) ** 2;
        if (distance < nearest) {
          nearest = distance;
          best = index;
        }
      });
      const sum = sums[best] as number[];
      sum[0] = (sum[0] ?? 0) + l;
      sum[1] = (sum[1] ?? 0) + a;
      sum[2] = (sum[2] ?? 0) + b;
      sum[3] = (sum[3] ?? 0) + 1;
    }
    centres = sums.map(([l = 0, a = 0, b = 0, n = 0], index) =>
      n > 0 ? [l / n, a / n, b / n] : (centres[index] ?? [0, 0, 0]),
    );
  }
  return centres.map(([l = 0, a = 0, b = 0]) =>
    toHex({ l, c: Math.hypot(a, b), h: (Math.atan2(b, a) * 180) / Math.PI }),
  );
}
