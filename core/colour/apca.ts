import { hexOf } from '../values/colour.ts';

/** Lightness contrast (Lc) that body text needs. */
export const APCA_BODY = 60;
/** And what large text needs. */
export const APCA_LARGE = 45;

const EXPONENTS = { darkText: 0.57, onLight: 0.56, lightText: 0.62, onDark: 0.65 };
const BLACK_THRESHOLD = 0.022;
const BLACK_CLAMP = 1.414;
const SCALE = 1.14;
const OFFSET = 0.027;
/** Less than this counts as none. */
const LEAST = 0.1;

/**
 * Lightness contrast of a text on a ground, both hex or OKLCH strings: positive for dark on light, negative for
 * light on dark, up to about 108. After the Accessible Perceptual Contrast Algorithm by A. Somers, constants 0.0.98G.
 */
export function apcaContrast(text: string, ground: string): number {
  const textY = softened(luminance(hexOf(text)));
  const groundY = softened(luminance(hexOf(ground)));
  if (groundY > textY) {
    const contrast = (groundY ** EXPONENTS.onLight - textY ** EXPONENTS.darkText) * SCALE;
    return contrast < LEAST ? 0 : (contrast - OFFSET) * 100;
  }
  const contrast = (groundY ** EXPONENTS.onDark - textY ** EXPONENTS.lightText) * SCALE;
  return contrast > -LEAST ? 0 : (contrast + OFFSET) * 100;
}

function luminance(hex: string): number {
  const value = parseInt(hex.slice(1), 16);
  const linear = (shift: number) => (((value >> shift) & 255) / 255) ** 2.4;
  return 0.2126729 * linear(16) + 0.7151522 * linear(8) + 0.072175 * linear(0);
}

/** Very dark colours are seen a little lighter than they are. */
function softened(y: number): number {
  return y > BLACK_THRESHOLD ? y : y + (BLACK_THRESHOLD - y) ** BLACK_CLAMP;
}
