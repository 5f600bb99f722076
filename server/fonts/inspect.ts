import { readFile, writeFile } from 'node:fs/promises';
import { create, type Font, type Glyph } from 'fontkit';
import woff2 from 'wawoff2';
import type { FontMetrics } from '../../core/text/schema.ts';
import { digestOf } from '../files/digest.ts';

/** A font that could be read, under the SHA-256 of its bytes. */
export type Inspected =
  { ok: true; id: string; name: string; metrics: FontMetrics } | { ok: false; reason: string };

/** Printable Latin-1, dashes, quotes and the minus: what text on a desk is measured with. */
const characters = [
  ...Array.from({ length: 0x5f }, (_, index) => String.fromCodePoint(0x20 + index)),
  ...Array.from({ length: 0x60 }, (_, index) => String.fromCodePoint(0xa0 + index)),
  ...'–—‘’“”…−',
];
/** A font without these can't set a clock or a label. */
const NEEDED = 'AEIOUaeiourstnl0123456789:';

/**
 * Looks into a font (WOFF2, WOFF, TTF or OTF): its name, and the widths of its characters. One that can be used is
 * written to `out`.
 */
export async function inspectFont({ path, out }: { path: string; out: string }): Promise<Inspected> {
  const bytes = await readFile(path);
  const found = await lookInto(bytes);
  if (!found.ok) return found;
  await writeFile(out, bytes);
  return { ...found, id: digestOf(bytes) };
}

type Found = { ok: true; name: string; metrics: FontMetrics } | { ok: false; reason: string };

async function lookInto(bytes: Buffer): Promise<Found> {
  let font: Font;
  try {
    const made = create(await unpacked(bytes));
    if ('fonts' in made) return { ok: false, reason: 'is a collection of fonts: give one of them' };
    font = made;
    const missing = [...NEEDED].filter(
      (character) => !font.hasGlyphForCodePoint(character.codePointAt(0) ?? 0),
    );
    if (missing.length > 0) return { ok: false, reason: `has no ${missing.slice(0, 5).join(' ')}` };
    const axis = font.variationAxes['wght'];
    const weights = axis
      ? [...new Set([axis.min, Math.min(axis.max, Math.max(axis.min, 400)), axis.max])]
      : [400];
    const cuts = weights.map((wght) => (axis ? font.getVariation({ wght }) : font));
    const found = new Map<string, number[]>();
    for (const character of characters) {
      const code = character.codePointAt(0) ?? 0;
      if (!font.hasGlyphForCodePoint(code)) continue;
      found.set(
        character,
        cuts.map((cut) => round(cut.glyphForCodePoint(code).advanceWidth / font.unitsPerEm)),
      );
    }
    const advances = Object.fromEntries(found);
    const wrong = Object.values(advances)
      .flat()
      .some((advance) => !Number.isFinite(advance) || advance < 0 || advance > 20);
    if (wrong) return { ok: false, reason: 'has characters without a sensible width' };
    const name = (font.getName('preferredFamily', 'en') ?? font.familyName ?? font.fullName ?? '')
      .replace(/[^\p{L}\p{N} .,'()-]/gu, '')
      .slice(0, 80);
    return { ok: true, name, metrics: { weights, advances, ink: inkOf(cuts, weights) } };
  } catch {
    return { ok: false, reason: 'is damaged, or not a font' };
  }
}

/** Printable ASCII without the blank, in order. */
const signs = Array.from({ length: 0x5e }, (_, index) => 0x21 + index);

/** Where the ink of each sign ends at each weight, in thousandths of an em; of one that is missing, nowhere. */
function inkOf(cuts: readonly Font[], weights: number[]): NonNullable<FontMetrics['ink']> {
  const side = (of: (glyph: Glyph) => number) =>
    signs.map((code) =>
      cuts.map((cut) => {
        const value = (of(cut.glyphForCodePoint(code)) / cut.unitsPerEm) * 1000;
        return Number.isFinite(value) ? Math.round(Math.max(-MOST_INK, Math.min(MOST_INK, value))) : 0;
      }),
    );
  return {
    weights,
    left: side(({ bbox }) => bbox.minX),
    right: side(({ bbox, advanceWidth }) => advanceWidth - bbox.maxX),
    top: side(({ bbox }) => bbox.maxY),
    bottom: side(({ bbox }) => -bbox.minY),
  };
}
const MOST_INK = 20_000;

/** The reader can't vary the weight of a font that is still packed as WOFF2. */
async function unpacked(bytes: Buffer): Promise<Buffer> {
  return bytes.toString('latin1', 0, 4) === 'wOF2' ? Buffer.from(await woff2.decompress(bytes)) : bytes;
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
