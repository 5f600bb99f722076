import { contrast, hexOf, toHex, toLch } from './convert.ts';

/** The contrast that body text must reach (WCAG 2.2, success criterion 1.4.3). */
export const TEXT_CONTRAST = 4.5;

/**
 * The colour nearest to `wanted` in lightness, with its hue, that reaches `ratio` on `surface`; both are hex
 * or OKLCH strings, the answer is hex. Always reached: black or white has at least 4.58 on any colour.
 */
export function readableOn(wanted: string, surface: string, ratio = TEXT_CONTRAST): string {
  const ground = hexOf(surface);
  const start = hexOf(wanted);
  if (contrast(start, ground) >= ratio) return start;
  const from = toLch(start);
  const lighter = search(from, 1, ground, ratio);
  const darker = search(from, 0, ground, ratio);
  if (lighter && darker) {
    return Math.abs(toLch(lighter).l - from.l) <= Math.abs(toLch(darker).l - from.l) ? lighter : darker;
  }
  return (
    lighter ?? darker ?? (contrast('#ffffff', ground) >= contrast('#000000', ground) ? '#ffffff' : '#000000')
  );
}

/** Walks the lightness toward black (0) or white (1) by halving; null when even that end is too weak. */
function search(
  from: { l: number; c: number; h: number },
  end: 0 | 1,
  ground: string,
  ratio: number,
): string | null {
  let answer: string | null = end === 1 ? '#ffffff' : '#000000';
  if (contrast(answer, ground) < ratio) return null;
  let near = from.l;
  let far: number = end;
  for (let step = 0; step < 12; step++) {
    const middle = (near + far) / 2;
    const candidate = toHex({ ...from, l: middle });
    if (contrast(candidate, ground) >= ratio) {
      answer = candidate;
      far = middle;
    } else {
      near = middle;
    }
  }
  return answer;
}
