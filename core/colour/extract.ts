import { toHex } from '../values/colour.ts';

/** RGBA pixels, 8 bits each, row by row, as canvases and sharp give them. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray;
}

export interface Swatch {
  /** #rrggbb */
  colour: string;
  /** Share of the picture, 0 to 1. */
  share: number;
}

/** Number of bins along each channel of the histogram, as bits. */
const BITS = 5;
const SHIFT = 8 - BITS;
/** More pixels than this add nothing to a histogram: the picture is read in strides. */
const SAMPLES = 160_000;
const ROUNDS = 16;
/** Nearer than this in OKLab two clusters are one colour to the eye. */
const SAME_COLOUR = 0.03;
/** Up to this distance two clusters may be halves of one noisy area. */
const SAME_AREA = 0.085;
/**
 * Distance of two clusters over the sum of their spreads along it, below which there is no valley between them:
 * the halves of a bell have 1.3, those of a flat spread 1.7.
 */
const NO_VALLEY = 1.9;
/** How far apart two clusters may lie, and how much wider one may lie than the other, over both their spreads. */
const MOST_APART = 0.16;
const MOST_WIDER = 0.1;
/** Spread of the pixels within one bin, which the histogram forgets: eight steps, even, in OKLab. */
const WITHIN_BIN = 0.008;
/** Shares below this are noise, unless far from everything else. */
const LEAST_SHARE = 0.0004;

/** sRGB byte to linear light. */
const LINEAR = Float32Array.from({ length: 256 }, (_, value) => {
  const v = value / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Occupied bins as OKLab points with weights (pixel counts). */
interface Points {
  count: number;
  lab: Float32Array;
  weight: Float32Array;
  /** For each: the sums of its pixels' x, of their y, and of the squares of both. A picture is 1 wide and 1 tall. */
  where: Float64Array;
  total: number;
}

/**
 * The colours of a picture, the largest share first. A histogram of the pixels is clustered in OKLab (weighted
 * k-means); the clusters start at the points that are farthest from one another in relation to their share, so
 * that one small accent is found beside a large ground.
 */
export function extractPalette(pixels: Pixels, count = 8): Swatch[] {
  const points = toPoints(pixels);
  if (points.total === 0) return [];
  const found = joinLeast(mergeHalves(refine(points, seedCentres(points, count + 4))), count);
  // Those that are left share the picture among them anew: steps of a gradient come to stand evenly.
  return refine(points, Float32Array.from(found.flatMap(({ lab }) => lab)))
    .sort((a, b) => b.weight - a.weight)
    .map(({ lab: [l, a, b], weight }) => ({
      colour: toHex({ l, c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 }),
      share: weight / points.total,
    }));
}

function toPoints({ width, height, data }: Pixels): Points {
  const bins = 1 << (3 * BITS);
  const counts = new Uint32Array(bins);
  const sums = new Uint32Array(bins * 3);
  const places = new Float64Array(bins * 3);
  const pixels = width * height;
  // An odd stride, so that columns of a picture do not line up with it.
  const stride = Math.max(1, Math.floor(pixels / SAMPLES)) | 1;
  for (let pixel = 0; pixel < pixels; pixel += stride) {
    const at = pixel * 4;
    if ((data[at + 3] as number) < 128) continue;
    const r = data[at] as number;
    const g = data[at + 1] as number;
    const b = data[at + 2] as number;
    const bin = ((r >> SHIFT) << (2 * BITS)) | ((g >> SHIFT) << BITS) | (b >> SHIFT);
    counts[bin] = (counts[bin] as number) + 1;
    sums[bin * 3] = (sums[bin * 3] as number) + r;
    sums[bin * 3 + 1] = (sums[bin * 3 + 1] as number) + g;
    sums[bin * 3 + 2] = (sums[bin * 3 + 2] as number) + b;
    const row = Math.floor(pixel / width);
    const x = (pixel - row * width) / width;
    const y = row / height;
    places[bin * 3] = (places[bin * 3] as number) + x;
    places[bin * 3 + 1] = (places[bin * 3 + 1] as number) + y;
    places[bin * 3 + 2] = (places[bin * 3 + 2] as number) + x * x + y * y;
  }
  let count = 0;
  for (let bin = 0; bin < bins; bin++) if (counts[bin]) count++;
  const points: Points = {
    count,
    lab: new Float32Array(count * 3),
    weight: new Float32Array(count),
    where: new Float64Array(count * 3),
    total: 0,
  };
  let index = 0;
  for (let bin = 0; bin < bins; bin++) {
    const n = counts[bin] as number;
    if (!n) continue;
    writeLab(
      points.lab,
      index * 3,
      (sums[bin * 3] as number) / n,
      (sums[bin * 3 + 1] as number) / n,
      (sums[bin * 3 + 2] as number) / n,
    );
    points.where.set(places.subarray(bin * 3, bin * 3 + 3), index * 3);
    points.weight[index++] = n;
    points.total += n;
  }
  return points;
}

/** OKLab of an sRGB colour (0 to 255), after B. Ottosson, "A perceptual color space for image processing" (2020). */
function writeLab(into: Float32Array, at: number, red: number, green: number, blue: number): void {
  const r = LINEAR[Math.round(red)] as number;
  const g = LINEAR[Math.round(green)] as number;
  const b = LINEAR[Math.round(blue)] as number;
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  into[at] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  into[at + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  into[at + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
}

/** Starting centres: the heaviest point, then ever the point with the most distance, weighed by its share. */
function seedCentres({ count, lab, weight, total }: Points, wanted: number): Float32Array {
  const centres = new Float32Array(Math.min(wanted, count) * 3);
  const nearest = new Float32Array(count).fill(Infinity);
  let next = 0;
  for (let i = 1; i < count; i++) if ((weight[i] as number) > (weight[next] as number)) next = i;
  for (let made = 0; made < centres.length / 3; made++) {
    const from = next * 3;
    centres.set(lab.subarray(from, from + 3), made * 3);
    let best = -1;
    for (let i = 0; i < count; i++) {
      const dl = (lab[i * 3] as number) - (lab[from] as number);
      const da = (lab[i * 3 + 1] as number) - (lab[from + 1] as number);
      const db = (lab[i * 3 + 2] as number) - (lab[from + 2] as number);
      const distance = dl * dl + 2 * (da * da + db * db);
      if (distance < (nearest[i] as number)) nearest[i] = distance;
      const share = (weight[i] as number) / total;
      const score = (nearest[i] as number) * Math.pow(share, 0.35) * (share < LEAST_SHARE / 8 ? 0.1 : 1);
      if (score > best) {
        best = score;
        next = i;
      }
    }
  }
  return centres;
}

interface Cluster {
  lab: [number, number, number];
  weight: number;
  /** Second moments about the centre: ll, aa, bb, la, lb, ab. */
  moments: number[];
  /** Where its pixels lie, as in Points. */
  where: [number, number, number];
}

function refine(points: Points, centres: Float32Array): Cluster[] {
  const { count, lab, weight } = points;
  const k = centres.length / 3;
  const sums = new Float64Array(k * 4);
  const owner = new Uint8Array(count);
  for (let round = 0; round < ROUNDS; round++) {
    let moved = round === 0;
    sums.fill(0);
    for (let i = 0; i < count; i++) {
      const l = lab[i * 3] as number;
      const a = lab[i * 3 + 1] as number;
      const b = lab[i * 3 + 2] as number;
      let best = 0;
      let distance = Infinity;
      for (let c = 0; c < k; c++) {
        const dl = l - (centres[c * 3] as number);
        const da = a - (centres[c * 3 + 1] as number);
        const db = b - (centres[c * 3 + 2] as number);
        const d = dl * dl + da * da + db * db;
        if (d < distance) {
          distance = d;
          best = c;
        }
      }
      if (owner[i] !== best) {
        owner[i] = best;
        moved = true;
      }
      const w = weight[i] as number;
      sums[best * 4] = (sums[best * 4] as number) + l * w;
      sums[best * 4 + 1] = (sums[best * 4 + 1] as number) + a * w;
      sums[best * 4 + 2] = (sums[best * 4 + 2] as number) + b * w;
      sums[best * 4 + 3] = (sums[best * 4 + 3] as number) + w;
    }
    for (let c = 0; c < k; c++) {
      const w = sums[c * 4 + 3] as number;
      if (w > 0) for (let d = 0; d < 3; d++) centres[c * 3 + d] = (sums[c * 4 + d] as number) / w;
    }
    if (!moved) break;
  }
  return summarise(points, centres, owner);
}

function summarise(
  { count, lab, weight, where }: Points,
  centres: Float32Array,
  owner: Uint8Array,
): Cluster[] {
  const clusters: Cluster[] = Array.from({ length: centres.length / 3 }, (_, c) => ({
    lab: [centres[c * 3] as number, centres[c * 3 + 1] as number, centres[c * 3 + 2] as number],
    weight: 0,
    moments: [0, 0, 0, 0, 0, 0],
    where: [0, 0, 0],
  }));
  for (let i = 0; i < count; i++) {
    const cluster = clusters[owner[i] as number] as Cluster;
    const w = weight[i] as number;
    const [l, a, b] = [0, 1, 2].map((d) => (lab[i * 3 + d] as number) - (cluster.lab[d] as number)) as [
      number,
      number,
      number,
    ];
    cluster.weight += w;
    for (let d = 0; d < 3; d++)
      cluster.where[d] = (cluster.where[d] as number) + (where[i * 3 + d] as number);
    [l * l, a * a, b * b, l * a, l * b, a * b].forEach(
      (value, m) => (cluster.moments[m] = (cluster.moments[m] as number) + value * w),
    );
  }
  return clusters.filter((cluster) => cluster.weight > 0);
}

/** Joins clusters that are one colour to the eye, or halves of one area that noise has spread. */
function mergeHalves(clusters: readonly Cluster[]): Cluster[] {
  const merged = [...clusters];
  for (;;) {
    let best: { i: number; j: number; distance: number } | null = null;
    for (let i = 0; i < merged.length; i++) {
      for (let j = i + 1; j < merged.length; j++) {
        const distance = distanceOf(merged[i] as Cluster, merged[j] as Cluster);
        if (
          distance < (best?.distance ?? SAME_AREA) &&
          isOne(merged[i] as Cluster, merged[j] as Cluster, distance)
        )
          best = { i, j, distance };
      }
    }
    if (!best) return merged;
    const joined = join(merged[best.i] as Cluster, merged[best.j] as Cluster);
    merged.splice(best.j, 1);
    merged[best.i] = joined;
  }
}

/** Joins those that matter least apart (by share and distance, after Ward), until there are no more than `count`. */
function joinLeast(clusters: readonly Cluster[], count: number): Cluster[] {
  const joined = [...clusters];
  const loss = (a: Cluster, b: Cluster) =>
    ((a.weight * b.weight) / (a.weight + b.weight)) * distanceOf(a, b) ** 2;
  while (joined.length > count) {
    let [first, second, least] = [0, 1, Infinity];
    for (let i = 0; i < joined.length; i++) {
      for (let j = i + 1; j < joined.length; j++) {
        const lost = loss(joined[i] as Cluster, joined[j] as Cluster);
        if (lost < least) [first, second, least] = [i, j, lost];
      }
    }
    const both = join(joined[first] as Cluster, joined[second] as Cluster);
    joined.splice(second, 1);
    joined[first] = both;
  }
  return joined;
}

function distanceOf(a: Cluster, b: Cluster): number {
  return Math.hypot(a.lab[0] - b.lab[0], a.lab[1] - b.lab[1], a.lab[2] - b.lab[2]);
}

function isOne(a: Cluster, b: Cluster, distance: number): boolean {
  if (distance < SAME_COLOUR) return true;
  if (!liesAmong(a, b)) return false;
  const along = a.lab.map((value, d) => ((b.lab[d] as number) - value) / distance);
  return distance < NO_VALLEY * (spreadAlong(a, along) + spreadAlong(b, along));
}

/**
 * Whether two clusters lie in the same place: halves of what noise has spread do, steps of a gradient lie side by side
 * or around one another.
 */
function liesAmong(a: Cluster, b: Cluster): boolean {
  const [p, q] = [placeOf(a), placeOf(b)];
  const spread = p.spread + q.spread;
  return (
    Math.hypot(p.x - q.x, p.y - q.y) < MOST_APART * spread &&
    Math.abs(p.spread - q.spread) < MOST_WIDER * spread
  );
}

/** The middle of a cluster's pixels, and how far they lie from it (root of the mean square). */
function placeOf({ where: [x, y, squares], weight }: Cluster): { x: number; y: number; spread: number } {
  const middle = { x: x / weight, y: y / weight };
  return { ...middle, spread: Math.sqrt(Math.max(1e-6, squares / weight - middle.x ** 2 - middle.y ** 2)) };
}

/** Standard deviation of a cluster along a unit vector. */
function spreadAlong({ moments, weight }: Cluster, [l = 0, a = 0, b = 0]: number[]): number {
  const [ll = 0, aa = 0, bb = 0, la = 0, lb = 0, ab = 0] = moments;
  const variance = l * l * ll + a * a * aa + b * b * bb + 2 * (l * a * la + l * b * lb + a * b * ab);
  return Math.sqrt(Math.max(0, variance) / weight + WITHIN_BIN ** 2);
}

/** Both as one: moments are moved to the common centre (parallel axes). */
function join(p: Cluster, q: Cluster): Cluster {
  const weight = p.weight + q.weight;
  const lab = p.lab.map(
    (value, d) => (value * p.weight + (q.lab[d] as number) * q.weight) / weight,
  ) as Cluster['lab'];
  const [l, a, b] = p.lab.map((value, d) => (q.lab[d] as number) - value) as Cluster['lab'];
  const shift = (p.weight * q.weight) / weight;
  const between = [l * l, a * a, b * b, l * a, l * b, a * b];
  return {
    lab,
    weight,
    where: p.where.map((sum, d) => sum + (q.where[d] as number)) as Cluster['where'],
    moments: p.moments.map((value, m) => value + (q.moments[m] as number) + (between[m] as number) * shift),
  };
}
