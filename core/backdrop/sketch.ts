import type { Size } from '../values/geometry.ts';
import { colourMap, depthAround, depthFrom } from './adjust.ts';
import { n, stops } from './draw.ts';
import type { Drawn, DrawnAdjust, DrawnGradient } from './drawn.ts';
import { drawMotif } from './motifs.ts';

/**
 * A backdrop as an SVG that a browser draws by itself, at once, while its pixels are still being made: the same picture
 * but for its grain. Null for a picture of one's own, of which only pixels are known.
 */
export function sketchOf({ source, adjust, whole, part, ground }: Drawn): string | null {
  if (source.kind === 'picture') return null;
  const inside =
    source.kind === 'motif'
      ? { defs: '', body: drawMotif(source, whole.width, whole.height) }
      : gradientIn(source, whole);
  const changed = adjust ? filterOf(adjust, whole) : '';
  const shade = adjust && adjust.darken.strength > 0 ? shadeOf(adjust.darken, whole) : { defs: '', body: '' };
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(part.width)}" height="${n(part.height)}" ` +
    `viewBox="${[part.x, part.y, part.width, part.height].map(n).join(' ')}" preserveAspectRatio="none">` +
    `<defs>${inside.defs}${changed}${shade.defs}</defs>` +
    // A blur fades at the sides: beneath it lies what is behind all.
    `${sheet(whole, ground)}<g${changed ? ' filter="url(#sketch-change)"' : ''}>${inside.body}</g>${shade.body}</svg>`
  );
}

const sheet = ({ width, height }: Size, fill: string) =>
  `<rect width="${n(width)}" height="${n(height)}" fill="${fill}"/>`;

/** The colours of a gradient between two of its points, through OKLab. */
function gradientIn({ shape, angle, centre, points }: DrawnGradient, whole: Size) {
  const turn = (angle * Math.PI) / 180;
  const [dx, dy] = [Math.sin(turn), -Math.cos(turn)];
  const half = (Math.abs(whole.width * dx) + Math.abs(whole.height * dy)) / 2;
  const [x, y] = [whole.width / 2, whole.height / 2];
  const [cx, cy] = [centre.x * whole.width, centre.y * whole.height];
  const reach = Math.hypot(Math.max(cx, whole.width - cx), Math.max(cy, whole.height - cy));
  const blend = stops(
    points.map(({ at, colour }) => [at, colour] as const),
    24,
  );
  const line = `x1="${n(x - dx * half)}" y1="${n(y - dy * half)}" x2="${n(x + dx * half)}" y2="${n(y + dy * half)}"`;
  const units = 'id="sketch-blend" gradientUnits="userSpaceOnUse"';
  return {
    defs:
      shape === 'linear'
        ? `<linearGradient ${units} ${line}>${blend}</linearGradient>`
        : `<radialGradient ${units} cx="${n(cx)}" cy="${n(cy)}" r="${n(reach)}">${blend}</radialGradient>`,
    body: sheet(whole, 'url(#sketch-blend)'),
  };
}

/** Blur and colours; empty where neither is changed. */
function filterOf(adjust: DrawnAdjust, { width, height }: Size): string {
  const rows = colourMap(adjust).map(([r, g, b, offset]) =>
    [r, g, b, 0, offset / 255].map((value) => Math.round(value * 1e5) / 1e5).join(' '),
  );
  const blur =
    adjust.blur > 0 ? `<feGaussianBlur stdDeviation="${n(adjust.blur)}" edgeMode="duplicate"/>` : '';
  return (
    '<filter id="sketch-change" filterUnits="userSpaceOnUse" color-interpolation-filters="sRGB" ' +
    `x="0" y="0" width="${n(width)}" height="${n(height)}">` +
    `${blur}<feColorMatrix values="${rows.join(' ')} 0 0 0 1 0"/></filter>`
  );
}

/** How many steps a darkening is drawn in. */
const STEPS = 24;

function shadeOf({ toward, strength }: DrawnAdjust['darken'], whole: Size) {
  const list = Array.from({ length: STEPS + 1 }, (_, step) => {
    const share = step / STEPS;
    const depth = toward === 'rim' ? depthAround(share ** 2) : depthFrom(share);
    return `<stop offset="${n(share)}" stop-color="#000000" stop-opacity="${Math.round(depth * strength * 10) / 1000}"/>`;
  }).join('');
  const ends = {
    top: 'x1="0" y1="0" x2="0" y2="1"',
    bottom: 'x1="0" y1="1" x2="0" y2="0"',
    left: 'x1="0" y1="0" x2="1" y2="0"',
    right: 'x1="1" y1="0" x2="0" y2="0"',
  };
  return {
    defs:
      toward === 'rim'
        ? `<radialGradient id="sketch-shade" cx="0.5" cy="0.5" r="${Math.SQRT1_2}">${list}</radialGradient>`
        : `<linearGradient id="sketch-shade" ${ends[toward]}>${list}</linearGradient>`,
    body: sheet(whole, 'url(#sketch-shade)'),
  };
}
