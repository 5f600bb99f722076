import { toneBehind, type Cover, type Tones } from '../backdrop/tones.ts';
import { surfaceOver, type Surface } from '../colour/look.ts';
import { greyOf, luminance } from '../colour/tone.ts';
import { toBytes } from '../values/colour.ts';
import type { Rect, Size } from '../values/geometry.ts';
import type { Solving } from './solving.ts';

/** What bare parts of a screen stand before. */
export interface Behind {
  tones: Tones;
  screen: Size;
}

/** What lies behind a screen, as far as it is known. */
export function behindScreen(id: string, screen: Size, { conditions }: Solving): Behind | null {
  const tones = conditions.tones.get(id);
  return tones ? { tones, screen } : null;
}

/**
 * A part's surface where it stands: a bare one has its colours fitted to what lies behind it. `over` is what of other parts
 * lies over the backdrop there, and `before` the surface that it had.
 */
export function surfaceBefore(
  surface: Surface,
  rect: Rect,
  behind: Behind | null,
  { palette, conditions }: Pick<Solving, 'palette' | 'conditions'>,
  { over = [], before = null }: { over?: readonly Cover[]; before?: Surface | null } = {},
): Surface {
  if (!behind || surface.kind !== 'bare') return surface;
  const shade = opacityOf(surface.fill);
  const covers = shade > 0 ? [...over, coverOf(surface, rect)] : over;
  const tone = toneBehind(behind.tones, behind.screen, rect, covers);
  return surfaceOver(surface, palette, tone, conditions.isHeld ? before : null);
}

/** What a surface lays over a backdrop. */
export function coverOf({ fill, blur }: Pick<Surface, 'fill' | 'blur'>, rect: Rect): Cover {
  return { rect, grey: greyOf(luminance(...toBytes(fill))), opacity: opacityOf(fill), blurs: blur > 0 };
}

const opacityOf = (fill: string): number => parseInt(fill.slice(7, 9) || 'ff', 16) / 255;
