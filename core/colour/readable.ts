import { contrast, hexOf, toHex, toLch, type Lch } from '../values/colour.ts';

/** The contrast that body text must reach (WCAG 2.2, success criterion 1.4.3). */
export const TEXT_CONTRAST = 4.5;

/** Whether a text (hex) can be read on a surface (hex). */
export type Readable = (text: string, surface: string) => boolean;

export const reachesWcag: Readable = (text, surface) => contrast(text, surface) >= TEXT_CONTRAST;

/**
 * The colour nearest to `wanted` in lightness, with its hue, that can be read on `surface`; both are hex or OKLCH
 * strings, the answer is hex. By WCAG one is always found: black or white has at least 4.58 on any colour. By a
 * measure that neither black nor white reaches, the better of the two is the answer.
 */
export function readableOn(wanted: string, surface: string, isReadable = reachesWcag): string {
  const ground = hexOf(surface);
  const start = hexOf(wanted);
  if (isReadable(start, ground)) return start;
  const from = toLch(start);
  const lighter = search(from, 1, ground, isReadable);
  const darker = search(from, 0, ground, isReadable);
  if (lighter && darker) {
    return Math.abs(toLch(lighter).l - from.l) <= Math.abs(toLch(darker).l - from.l) ? lighter : darker;
  }
  return (
    lighter ?? darker ?? (contrast('#ffffff', ground) >= contrast('#000000', ground) ? '#ffffff' : '#000000')
  );
}

/** Walks the lightness toward black (0) or white (1) by halving; null when even that end is too weak. */
function search(from: Lch, end: 0 | 1, ground: string, isReadable: Readable): string | null {
  let answer: string | null = end === 1 ? '#ffffff' : '#000000';
  if (!isReadable(answer, ground)) return null;
  let near = from.l;
  let far: number = end;
  for (let step = 0; step < 12; step++) {
    const middle = (near + far) / 2;
    const candidate = toHex({ ...from, l: middle });
    if (isReadable(candidate, ground)) {
      answer = candidate;
      far = middle;
    } else {
      near = middle;
    }
  }
  return answer;
}
