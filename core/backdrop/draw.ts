import { mix } from '../values/colour.ts';
import type { Sky } from './sky.ts';
import { createRandom, valueNoise } from '../sources/noise.ts';

/**
 * Tools for drawing motifs as SVG text. Motifs are 1920 units wide and 1080 high, drawn to any size. What is soft
 * is made of gradients: a blur filter takes seconds at full size, and is worked out anew for each tile of it.
 */
export const WIDTH = 1920;
export const HEIGHT = 1080;

export interface MotifInput {
  seed: number;
  /** A control of the motif, 0 to 1. */
  control: (id: string) => number;
  /** Given when the motif follows the moment. */
  sky: Sky | null;
}

export interface MotifDrawing {
  defs: string;
  body: string;
}

export function toSvg({ defs, body }: MotifDrawing, width: number, height: number): string {
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${WIDTH} ${HEIGHT}" ` +
    `preserveAspectRatio="xMidYMid slice"><defs>${defs}</defs>${body}</svg>`
  );
}

export type Stop = readonly [at: number, colour: string, opacity?: number];

/** Stops filled in through OKLab, so that a blend of two hues does not go grey in the middle. */
export function stops(list: readonly Stop[], between = 6): string {
  const parts: string[] = [];
  list.forEach(([at, colour, opacity = 1], index) => {
    parts.push(stop(at, colour, opacity));
    const next = list[index + 1];
    if (!next) return;
    for (let step = 1; step < between; step++) {
      const t = step / between;
      parts.push(
        stop(at + (next[0] - at) * t, mix(colour, next[1], t), opacity + ((next[2] ?? 1) - opacity) * t),
      );
    }
  });
  return parts.join('');
}

function stop(at: number, colour: string, opacity: number): string {
  return `<stop offset="${n(at)}" stop-color="${colour}"${opacity < 1 ? ` stop-opacity="${n(opacity)}"` : ''}/>`;
}

export function upright(id: string, list: readonly Stop[]): string {
  return `<linearGradient id="${id}" x1="0" y1="0" x2="0" y2="1">${stops(list)}</linearGradient>`;
}

export function round(id: string, list: readonly Stop[]): string {
  return `<radialGradient id="${id}">${stops(list)}</radialGradient>`;
}

export function sheet(fill: string): string {
  return `<rect width="${WIDTH}" height="${HEIGHT}" fill="${fill}"/>`;
}

/** A number with at most two decimals. */
export function n(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** Fractal noise around 0, from about -1 to 1. */
export function fractal(seed: number, at: number, octaves = 5, gain = 0.5): number {
  let sum = 0;
  let size = 1;
  let total = 0;
  for (let octave = 0; octave < octaves; octave++) {
    sum += (valueNoise(seed + octave * 101, at * 2 ** octave) * 2 - 1) * size;
    total += size;
    size *= gain;
  }
  return sum / total;
}

export interface RidgeShape {
  seed: number;
  /** Height of its mean line, from the top. */
  level: number;
  /** How far it rises and falls. */
  relief: number;
  /** Width of a hill. */
  stretch: number;
  octaves?: number;
  gain?: number;
  /** Added to the level at a share (0 to 1) of the width. */
  bend?: (share: number) => number;
}

export function ridgeHeight(
  { seed, level, relief, stretch, octaves, gain, bend }: RidgeShape,
  x: number,
): number {
  return level - fractal(seed, x / stretch + 40, octaves, gain) * relief + (bend?.(x / WIDTH) ?? 0);
}

/** The path of everything below a ridge. */
export function ridgePath(shape: RidgeShape, step = 8, floor = HEIGHT): string {
  const line: string[] = [];
  for (let x = -step; x <= WIDTH + step; x += step) line.push(`${x} ${n(ridgeHeight(shape, x))}`);
  return `M-${step} ${floor} L${line.join(' L')} L${WIDTH + step} ${floor} Z`;
}

export interface Flock {
  seed: number;
  count: number;
  x: number;
  y: number;
  spreadX: number;
  spreadY: number;
  size: number;
  colour: string;
  opacity?: number;
}

/** Birds far off: two wing strokes each, the nearer ones larger. */
export function birds({ seed, count, x, y, spreadX, spreadY, size, colour, opacity = 0.75 }: Flock): string {
  const random = createRandom(seed);
  const normal = () => (random() + random() + random()) / 1.5 - 1;
  const wings: string[] = [];
  for (let index = 0; index < count; index++) {
    const bx = x + normal() * spreadX;
    const by = y + normal() * spreadY + (bx - x) * 0.12;
    const s = size * (0.45 + random() * 0.8);
    const lift = s * (0.15 + random() * 0.55);
    wings.push(
      `M${n(bx - s)} ${n(by - lift * 0.4)} Q${n(bx - s * 0.45)} ${n(by - lift)} ${n(bx)} ${n(by)} Q${n(bx + s * 0.45)} ${n(by - lift)} ${n(bx + s)} ${n(by - lift * 0.3)}`,
    );
  }
  return `<path d="${wings.join('')}" fill="none" stroke="${colour}" stroke-width="${n(size * 0.17)}" stroke-linecap="round" stroke-opacity="${opacity}"/>`;
}

/** Short level strokes that lie on water, denser toward a line of light. */
export function glitter(
  seed: number,
  count: number,
  box: { x: number; y: number; width: number; height: number },
  colour: string,
): string {
  const random = createRandom(seed);
  const strokes: string[] = [];
  for (let index = 0; index < count; index++) {
    const depth = random() ** 1.4;
    const y = box.y + depth * box.height;
    const spread = box.width * (0.15 + 0.85 * depth);
    const x = box.x + (random() + random() - 1) * spread;
    const length = (6 + 60 * depth) * (0.4 + random());
    strokes.push(
      `<path d="M${n(x - length / 2)} ${n(y)}h${n(length)}" stroke-width="${n(1 + depth * 2.4)}" stroke-opacity="${n(0.12 + 0.5 * random() * (1 - depth * 0.5))}"/>`,
    );
  }
  return `<g stroke="${colour}" stroke-linecap="round" fill="none">${strokes.join('')}</g>`;
}
