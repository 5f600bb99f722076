import type { Rect, Size } from '../values/geometry.ts';
import { toLab } from '../values/colour.ts';
import type { Pixels } from '../colour/extract.ts';
import { hash } from '../sources/noise.ts';
import type { DrawnGradient } from './drawn.ts';

const STEPS = 2048;

/**
 * A gradient's colours as linear steps from 0 to 1, in sRGB bytes with fractions, three for each step. Mixed in OKLab:
 * two hues meet in a third one, not in grey.
 */
function rampOf(points: DrawnGradient['points']): Float32Array {
  const labs = points.map(({ at, colour }) => ({ at, lab: toLab(colour) }));
  const ramp = new Float32Array((STEPS + 1) * 3);
  let index = 0;
  for (let step = 0; step <= STEPS; step++) {
    const at = step / STEPS;
    while (index < labs.length - 2 && at > (labs[index + 1]?.at ?? 1)) index++;
    const low = labs[index];
    const high = labs[index + 1] ?? low;
    if (!low || !high) continue;
    const share =
      high.at > low.at ? Math.max(0, Math.min(1, (at - low.at) / (high.at - low.at))) : at >= high.at ? 1 : 0;
    const lab = low.lab.map((value, channel) => value + ((high.lab[channel] ?? value) - value) * share);
    ramp.set(toBytesOf(lab as [number, number, number]), step * 3);
  }
  return ramp;
}

/** OKLab to sRGB, 0 to 255 with fractions: the dither needs what rounding would lose (Ottosson 2020). */
function toBytesOf([L, a, b]: [number, number, number]): [number, number, number] {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3;
  const encode = (v: number) =>
    255 * Math.max(0, Math.min(1, v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
  return [
    encode(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
    encode(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
    encode(-0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s),
  ];
}

/**
 * Paints the part of a gradient that lies over `part` of a surface of size `whole` (px), at `width` × `height` pixels.
 * Each pixel is dithered by up to half a step of 8 bits either way, so that wide blends show no bands.
 */
export function paintGradient(
  gradient: DrawnGradient,
  { whole, part, width, height }: { whole: Size; part: Rect; width: number; height: number },
): Pixels {
  const ramp = rampOf(gradient.points);
  const data = new Uint8ClampedArray(width * height * 4);
  const angle = (gradient.angle * Math.PI) / 180;
  const [dx, dy] = [Math.sin(angle), -Math.cos(angle)];
  // As in CSS: the line through the middle is as long as makes both ends' colours touch a corner.
  const length = Math.abs(whole.width * dx) + Math.abs(whole.height * dy);
  const cx = gradient.centre.x * whole.width;
  const cy = gradient.centre.y * whole.height;
  const reach = Math.hypot(Math.max(cx, whole.width - cx), Math.max(cy, whole.height - cy));
  const isLinear = gradient.shape === 'linear';
  for (let row = 0; row < height; row++) {
    const y = part.y + ((row + 0.5) / height) * part.height;
    for (let column = 0; column < width; column++) {
      const x = part.x + ((column + 0.5) / width) * part.width;
      const share = isLinear
        ? 0.5 + ((x - whole.width / 2) * dx + (y - whole.height / 2) * dy) / length
        : Math.hypot(x - cx, y - cy) / reach;
      const step = Math.round((share < 0 ? 0 : share > 1 ? 1 : share) * STEPS) * 3;
      const at = (row * width + column) * 4;
      const noise = hash(1, row * width + column) - 0.5;
      data[at] = (ramp[step] as number) + noise;
      data[at + 1] = (ramp[step + 1] as number) + noise;
      data[at + 2] = (ramp[step + 2] as number) + noise;
      data[at + 3] = 255;
    }
  }
  return { width, height, data };
}
