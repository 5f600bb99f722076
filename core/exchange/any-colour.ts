import {
  converter,
  modeA98,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeP3,
  modeProphoto,
  modeRec2020,
  modeXyz50,
  modeXyz65,
  parse,
  useMode as registerMode,
} from 'culori/fn';
import { toHex } from '../values/colour.ts';

for (const mode of [
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeP3,
  modeRec2020,
  modeA98,
  modeProphoto,
  modeXyz50,
  modeXyz65,
])
  registerMode(mode as typeof modeHsl);
const toOklch = converter('oklch');

/**
 * Any colour that CSS can write (CSS Color 4: names, 3 to 8 digits, rgb, hsl, hwb, lab, lch, oklab, oklch, color()) as
 * #rrggbb, with less chroma where sRGB has no such colour. How far it lets through what lies beneath is left away; one
 * that lets all through, or is none, gives null.
 */
export function anyColour(text: string): string | null {
  if (text.length > 100) return null;
  const plain = text.trim().toLowerCase();
  // People, and some files, write the names of colours in several words.
  const parsed = parse(/^[a-z][a-z ]*$/.test(plain) ? plain.replaceAll(' ', '') : plain);
  if (!parsed || parsed.alpha === 0) return null;
  const { l = 0, c = 0, h = 0 } = (toOklch(parsed) ?? {}) as { l?: number; c?: number; h?: number };
  return [l, c, h].every(Number.isFinite) ? toHex({ l, c, h }) : null;
}
