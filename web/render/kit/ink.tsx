import type { CSSProperties } from 'react';
import { toBytes } from '../../../core/values/colour.ts';
import type { SceneInk } from '../../../core/scene/scene.ts';

/** A picture of an icon, and whether all of it has one colour. */
export interface Pictured {
  address: string;
  isOneColour: boolean;
}

/** Of an icon's side: how far its dark tone stands beside the light one, where it has one colour. */
const BESIDE = 1 / 18;

/** How strokes are drawn in an ink: in its colour, with a dark tone beside the light one. */
export function inkStyle(ink: SceneInk, size: number): CSSProperties {
  switch (ink.way) {
    case 'plain':
      return {};
    case 'tint':
      return { color: `color-mix(in oklab, currentColor ${100 - ink.amount}%, ${ink.colour})` };
    case 'one':
      return ink.colour === null ? {} : { color: ink.colour };
    case 'two': {
      const px = Math.max(1, Math.round(size * BESIDE));
      return { color: ink.light, filter: `drop-shadow(${px}px ${px}px 0 ${ink.dark})` };
    }
  }
}

/** A picture of an icon in an ink: one of one colour takes that of the ink, the others change theirs. */
export function InkedPicture({
  address,
  isOneColour,
  size,
  ink,
}: Pictured & { size: number; ink: SceneInk }) {
  if (ink.way !== 'plain' && isOneColour) {
    const mask = `url("${address}") center / contain no-repeat`;
    return (
      <span className="block" data-ink={ink.way} style={inkStyle(ink, size)}>
        <span className="block bg-current" style={{ width: size, height: size, mask }} />
      </span>
    );
  }
  const image = (style?: CSSProperties) => (
    <img
      src={address}
      alt=""
      width={size}
      height={size}
      draggable={false}
      decoding="async"
      data-ink={ink.way === 'plain' ? undefined : ink.way}
      style={{ width: size, height: size, objectFit: 'contain', ...style }}
    />
  );
  switch (ink.way) {
    case 'plain':
      return image();
    case 'one':
      // Its shadow takes the colour of the text, and is all that is seen of it.
      return (
        <span className="block overflow-hidden" style={{ width: size, height: size, ...inkStyle(ink, size) }}>
          {image({
            transform: `translateX(${-size}px)`,
            filter: `url(#${inkFilter(ink)}) drop-shadow(${size}px 0 0 currentColor)`,
          })}
        </span>
      );
    default:
      return image({ filter: `url(#${inkFilter(ink)})` });
  }
}

/** The same name for the same colours: it doesn't matter how often one page has a filter. */
function inkFilter(ink: SceneInk): string {
  switch (ink.way) {
    case 'tint':
      return `ink-tint-${ink.colour.slice(1)}-${ink.amount}`;
    case 'two':
      return `ink-two-${ink.dark.slice(1)}-${ink.light.slice(1)}`;
    default:
      return `ink-${ink.way}`;
  }
}

/** Of red, green and blue: how light a colour looks (Rec. 709). */
const LIGHT = [0.2126, 0.7152, 0.0722] as const;
/** How much of the ink what is light takes away, where there is one ink only: shapes on a tile stay shapes. */
const THINNED = 0.55;
/** How much of the tint's colour what is black takes on. */
const LEAST_TINT = 0.25;

/** What pictures of many colours are drawn through. */
export function InkFilter({ ink }: { ink: SceneInk }) {
  if (ink.way === 'plain') return null;
  return (
    <svg width="0" height="0" aria-hidden className="pointer-events-none absolute">
      <filter id={inkFilter(ink)} colorInterpolationFilters="sRGB" x="0" y="0" width="1" height="1">
        <feColorMatrix type="matrix" values={matrixOf(ink).flat().join(' ')} />
      </filter>
    </svg>
  );
}

/** Rows of red, green, blue and opacity, each from those of a pixel and 1 (Filter Effects, feColorMatrix). */
function matrixOf(ink: SceneInk): number[][] {
  const [r, g, b] = LIGHT;
  switch (ink.way) {
    case 'plain':
      return [0, 1, 2, 3].map((row) => [0, 1, 2, 3, 4].map((column) => (row === column ? 1 : 0)));
    case 'one':
      return [
        [0, 0, 0, 0, 0],
        [0, 0, 0, 0, 0],
        [0, 0, 0, 0, 0],
        [-THINNED * r, -THINNED * g, -THINNED * b, 1, 0],
      ];
    case 'two': {
      const [dark, light] = [toBytes(ink.dark), toBytes(ink.light)];
      return [
        ...[0, 1, 2].map((at) => {
          const [from, to] = [(dark[at] ?? 0) / 255, (light[at] ?? 0) / 255];
          return [...LIGHT.map((share) => (to - from) * share), 0, from];
        }),
        [0, 0, 0, 1, 0],
      ];
    }
    case 'tint': {
      const share = ink.amount / 100;
      const colour = toBytes(ink.colour);
      return [
        ...[0, 1, 2].map((at) => {
          const tint = ((colour[at] ?? 0) / 255) * share;
          return [
            ...LIGHT.map((light, from) => (from === at ? 1 - share : 0) + tint * (1 - LEAST_TINT) * light),
            0,
            tint * LEAST_TINT,
          ];
        }),
        [0, 0, 0, 1, 0],
      ];
    }
  }
}
