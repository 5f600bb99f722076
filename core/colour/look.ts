import { isRole, roles, type Colour, type Role } from '../values/roles.ts';
import type { Finish } from '../values/finish.ts';
import { contrast, hexOf, withOpacity } from '../values/colour.ts';
import { readableOn, TEXT_CONTRAST } from './readable.ts';
import { resolveRoles, type RoleValues, type Roles } from './roles.ts';
import { contrastOver, readableOver, wayOver, type Tone, type Way } from './tone.ts';

/** The colours in force: every role as hex, and roles made readable on the surface that they stand on. */
export interface Palette {
  roles: Readonly<Roles>;
  /** A colour of the document as #rrggbb. */
  colour(colour: Colour): string;
  /**
   * That colour as text on `surface` (hex). A role's lightness is moved as little as reaches 4.5:1; what a person chose
   * is drawn as chosen.
   */
  textOn(colour: Colour, surface: string): string;
}

const cache = new WeakMap<object, Palette>();

/** The palette of one half's roles; the same object for the same roles. */
export function paletteOf(roles: RoleValues): Palette {
  const known = cache.get(roles);
  if (known) return known;
  const hexes = resolveRoles(roles);
  const texts = new Map<string, string>();
  const palette: Palette = {
    roles: hexes,
    colour: (colour) => (isRole(colour) ? hexes[colour] : hexOf(colour)),
    textOn(colour, surface) {
      if (!isRole(colour)) return hexOf(colour);
      const key = colour + surface;
      let text = texts.get(key);
      if (text === undefined) {
        text = readableOn(palette.colour(colour), surface);
        texts.set(key, text);
      }
      return text;
    },
  };
  cache.set(roles, palette);
  return palette;
}

/** A finish worked out for drawing; lengths in px. */
export interface Surface {
  kind: Finish['kind'];
  /** What to fill with, as #rrggbbaa. */
  fill: string;
  /** The fill without its opacity. */
  tint: string;
  blur: number;
  radius: number;
  edgeLine: number;
  edgeColour: string;
  shadow: number;
  /** Every role as text on this surface. */
  reads: Readonly<Roles>;
  /** The colours of text and marks on this surface. */
  ink: string;
  softInk: string;
  accent: string;
  onAccent: string;
  second: string;
  alert: string;
  /** Of a bare part over a backdrop that is known: which way its ink went. */
  way: Way | null;
}

/** The opacity of the deepest shade behind a bare part. */
const DEEPEST_SHADE = 0.6;

const opacityOf: Record<Finish['kind'], (percent: number) => number> = {
  bare: () => 0,
  matte: () => 1,
  sheer: (percent) => percent / 100,
  frosted: (percent) => percent / 100,
};

const surfaces = new WeakMap<Palette, WeakMap<Finish, Surface>>();

/** A finish worked out under a palette; the same object for the same two. */
export function surfaceOf(finish: Finish, palette: Palette): Surface {
  let known = surfaces.get(palette);
  if (!known) surfaces.set(palette, (known = new WeakMap()));
  let surface = known.get(finish);
  if (!surface) known.set(finish, (surface = workOut(finish, palette)));
  return surface;
}

/** The contrast that marks must reach (WCAG 2.2, success criterion 1.4.11). */
const MARK_CONTRAST = 3;

const fitted = new WeakMap<Surface, Map<string, Surface>>();

/** Which surface one was fitted from. */
const plainOf = new WeakMap<Surface, Surface>();
/** How much of what text needs may be lacking before what is held is fitted again. */
const MARGIN = 0.8;

/**
 * The surface of a bare part with its colours made to be read over a tone; the very same for the same. What was fitted
 * before is `held` while something moves under the hand: it stays for as long as it nearly suffices, so that nothing
 * flickers and nothing is drawn again.
 */
export function surfaceOver(bare: Surface, palette: Palette, tone: Tone, held: Surface | null): Surface {
  if (held && plainOf.get(held) === bare && contrastOver(held.ink, tone) >= TEXT_CONTRAST * MARGIN)
    return held;
  let known = fitted.get(bare);
  if (!known) fitted.set(bare, (known = new Map()));
  const key = `${tone.dark} ${tone.light}`;
  let surface = known.get(key);
  if (!surface) {
    known.set(key, (surface = fitTo(bare, palette, tone, wayOver(palette.roles.ink, tone))));
    plainOf.set(surface, bare);
  }
  return surface;
}

function fitTo(bare: Surface, palette: Palette, tone: Tone, way: Way): Surface {
  const { ground } = palette.roles;
  /** What turns is as strong as it was meant to be. */
  const fit = (role: Role, needed: number) => {
    const own = palette.roles[role];
    const ownWay: Way = contrast(own, '#000000') > contrast(ground, '#000000') ? 'lighter' : 'darker';
    const wished = way === ownWay ? needed : Math.max(needed, contrast(own, ground));
    return readableOver(own, tone, way, { needed, wished });
  };
  const reads = Object.fromEntries(roles.map((role) => [role, fit(role, TEXT_CONTRAST)])) as Roles;
  const accent = fit('accent', MARK_CONTRAST);
  return {
    ...bare,
    edgeColour: withOpacity(reads.ink, 0.18),
    reads,
    ink: reads.ink,
    softInk: reads.softInk,
    accent,
    onAccent: palette.textOn('ink', accent),
    second: fit('second', MARK_CONTRAST),
    alert: fit('alert', MARK_CONTRAST),
    way,
  };
}

/** Text on a bare part stands on the backdrop, for which the ground role is the nearest thing known as long as nothing is. */
function workOut(finish: Finish, palette: Palette): Surface {
  const tint = palette.colour(finish.tint);
  const beneath = finish.kind === 'bare' ? palette.roles.ground : tint;
  const bare = finish.kind === 'bare';
  const reads = Object.fromEntries(roles.map((role) => [role, palette.textOn(role, beneath)])) as Roles;
  return {
    kind: finish.kind,
    // A bare part has no surface, but may throw a soft shade of the ground behind what it shows.
    fill: bare
      ? withOpacity(beneath, (finish.shadow / 100) * DEEPEST_SHADE)
      : withOpacity(tint, opacityOf[finish.kind](finish.opacity)),
    tint: bare ? beneath : tint,
    blur: finish.kind === 'frosted' ? finish.blur : 0,
    radius: finish.radius,
    edgeLine: bare ? 0 : finish.edgeLine,
    edgeColour: withOpacity(reads.ink, 0.18),
    shadow: finish.shadow,
    reads,
    ink: reads.ink,
    softInk: reads.softInk,
    accent: palette.colour('accent'),
    onAccent: palette.textOn('ink', palette.colour('accent')),
    second: palette.colour('second'),
    alert: palette.colour('alert'),
    way: null,
  };
}
