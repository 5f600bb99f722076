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
  return readColour(text)?.hex ?? null;
}

/** A colour and how much of it there is, 0 to 1. */
export interface Written {
  /** #rrggbb */
  hex: string;
  opacity: number;
}

function readColour(text: string): Written | null {
  if (text.length > 100) return null;
  const plain = text.trim().toLowerCase();
  // People, and some files, write the names of colours in several words.
  const parsed = parse(/^[a-z][a-z ]*$/.test(plain) ? plain.replaceAll(' ', '') : plain);
  if (!parsed || parsed.alpha === 0) return null;
  const { l = 0, c = 0, h = 0 } = (toOklch(parsed) ?? {}) as { l?: number; c?: number; h?: number };
  const { alpha: opacity = 1 } = parsed;
  return [l, c, h, opacity].every(Number.isFinite) ? { hex: toHex({ l, c, h }), opacity } : null;
}

/** Letters of a line that a colour may be pasted in. */
const MOST_PASTED = 200;
const FIGURES = /^(\d{1,3})(?:\s*,\s*|\s+)(\d{1,3})(?:\s*,\s*|\s+)(\d{1,3})$/;
const WRITTEN = /#[0-9a-f]{3,8}\b|\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)/gi;

/**
 * A colour however a person writes or pastes it: all that `anyColour` reads, digits without their `#`, three
 * figures from 0 to 255, and any of these with a name before it and a semicolon, a comma or quotes around it. Null where
 * there is none, or more than one.
 */
export function writtenColour(text: string): Written | null {
  if (text.length > MOST_PASTED) return null;
  const plain = bared(text);
  return colourAlone(plain) ?? colourNamed(plain) ?? onlyColourIn(plain);
}

/** Without quotes around it and what ends a line. */
function bared(text: string): string {
  const trimmed = text.trim().replace(/\s*!important\b/i, '');
  const [start, end] = [/^["'`\s]{0,4}/, /["'`;,\s]{0,6}$/];
  return trimmed.replace(start, '').replace(end, '');
}

function colourAlone(plain: string): Written | null {
  const known = readColour(plain);
  if (known) return known;
  if (/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i.test(plain)) return readColour(`#${plain}`);
  const figures = FIGURES.exec(plain)?.slice(1).map(Number);
  return figures?.every((value) => value <= 255) ? readColour(`rgb(${figures.join(' ')})`) : null;
}

/** `accent: …`, `--accent = …` */
function colourNamed(plain: string): Written | null {
  const at = Math.max(plain.indexOf(':'), plain.indexOf('='));
  return at < 0 ? null : colourAlone(bared(plain.slice(at + 1)));
}

function onlyColourIn(plain: string): Written | null {
  const [found, ...more] = plain.match(WRITTEN) ?? [];
  return found !== undefined && more.length === 0 ? readColour(found) : null;
}
