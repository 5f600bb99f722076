import { clamp } from '../values/geometry.ts';
import { fromLab, toLab } from '../values/colour.ts';
import { toSvg, type MotifDrawing, type MotifInput } from './draw.ts';
import { factsOf, type MotifName } from './names.ts';
import type { Sky } from './sky.ts';
import { bay } from './motifs/bay.ts';
import { contours } from './motifs/contours.ts';
import { fog } from './motifs/fog.ts';
import { headland } from './motifs/headland.ts';
import { lamp } from './motifs/lamp.ts';
import { marsh } from './motifs/marsh.ts';
import { night } from './motifs/night.ts';
import { strata } from './motifs/strata.ts';
import { tide } from './motifs/tide.ts';
import { lookUp } from '../values/look-up.ts';

const drawings: Record<MotifName, (input: MotifInput) => MotifDrawing> = {
  headland,
  bay,
  marsh,
  fog,
  night,
  contours,
  tide,
  lamp,
  strata,
};

/** All that a drawn motif depends on. */
export interface MotifSpec {
  motif: MotifName;
  seed: number;
  /** 0 to 100; those left out stand where they start. */
  controls: Readonly<Record<string, number>>;
  /** Hex colours to draw it in; null for its own. */
  colours: readonly string[] | null;
  sky: Sky | null;
}

export function plainMotif(motif: MotifName, seed: number): MotifSpec {
  return { motif, seed, controls: {}, colours: null, sky: null };
}

/** A motif as an SVG document of a size in px. The same arguments give the same text. */
export function drawMotif(spec: MotifSpec, width: number, height: number): string {
  const { motif, seed, controls, colours, sky } = spec;
  const starts = new Map(factsOf(motif).controls.map(({ id, start }) => [id, start]));
  const control = (id: string) => clamp(lookUp(controls, id) ?? starts.get(id) ?? 50, 0, 100) / 100;
  const svg = toSvg(drawings[motif]({ seed, control, sky }), width, height);
  return colours ? recolour(svg, colours) : svg;
}

/**
 * Draws in other colours: each keeps its lightness, nearly, and takes hue and chroma from where that lightness lies
 * among the given ones. So light stays light and depth stays depth in any palette.
 */
function recolour(svg: string, colours: readonly string[]): string {
  const ramp = colours.map(toLab).sort((a, b) => a[0] - b[0]);
  const [darkest, lightest] = [ramp[0], ramp.at(-1)];
  if (!darkest || !lightest) return svg;
  const known = new Map<string, string>();
  function inPalette(hex: string): string {
    const [l] = toLab(hex);
    const above = ramp.findIndex((lab) => lab[0] > l);
    const high = (above < 0 ? lightest : ramp[above]) ?? lightest;
    const low = (above < 0 ? lightest : ramp[Math.max(0, above - 1)]) ?? darkest;
    const share = high && low && high[0] > low[0] ? clamp((l - low[0]) / (high[0] - low[0]), 0, 1) : 0;
    const between = (channel: 1 | 2) => (low?.[channel] ?? 0) * (1 - share) + (high?.[channel] ?? 0) * share;
    return fromLab([l, between(1), between(2)]);
  }
  return svg.replace(/#[0-9a-f]{6}\b/gi, (hex) => {
    let colour = known.get(hex);
    if (!colour) known.set(hex, (colour = inPalette(hex)));
    return colour;
  });
}
