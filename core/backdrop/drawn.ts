import type { Point, Rect, Size } from '../values/geometry.ts';
import type { Palette } from '../colour/look.ts';
import type { Adjust, Backdrop, Picture, PlainSource } from './schema.ts';
import { roles, type Half } from '../values/roles.ts';
import type { GeoPlace } from '../values/earth.ts';
import { factsOf } from './names.ts';
import type { MotifSpec } from './motifs.ts';
import { skyAt } from './sky.ts';

/** The gradient of a backdrop with its colours worked out. */
export interface DrawnGradient {
  kind: 'gradient';
  shape: 'linear' | 'radial';
  angle: number;
  centre: Point;
  points: { at: number; colour: string }[];
}

export type DrawnSource =
  | ({ kind: 'motif' } & MotifSpec)
  | Pick<Picture, 'kind' | 'picture' | 'fit' | 'focal' | 'turn' | 'mirror'>
  | DrawnGradient;

/** What is done to the pixels, with colours as #rrggbb. */
export type DrawnAdjust = Omit<Adjust, 'twoTone' | 'tint'> & {
  twoTone: { dark: string; light: string; strength: number };
  tint: { colour: string; strength: number };
};

/**
 * All that the pixels of a backdrop on one screen depend on: no roles and no moment are left in it. The same Drawn is
 * the same picture, wherever it is made.
 */
export interface Drawn {
  source: DrawnSource;
  /** Null leaves the pixels as they are. */
  adjust: DrawnAdjust | null;
  /** Of the surface that the source covers, in px: the screen, or all screens when it spans them. */
  whole: Size;
  /** The part of it that this screen shows. */
  part: Rect;
  /** What shows where the source covers nothing, as #rrggbb. */
  ground: string;
}

export interface DrawnContext {
  palette: Palette;
  place: GeoPlace;
  moment: number;
}

export function isNeutral(adjust: Adjust): boolean {
  return (
    adjust.blur === 0 &&
    adjust.brightness === 0 &&
    adjust.contrast === 0 &&
    adjust.saturation === 0 &&
    adjust.temperature === 0 &&
    adjust.negative === 0 &&
    adjust.twoTone.strength === 0 &&
    adjust.tint.strength === 0 &&
    adjust.darken.strength === 0 &&
    adjust.grain === 0
  );
}

/** A source of a backdrop with everything worked out, for one screen. */
export function drawnOf(
  source: PlainSource,
  adjust: Adjust,
  { whole, part }: { whole: Size; part: Rect },
  context: DrawnContext,
): Drawn {
  const { palette } = context;
  return {
    source: drawnSource(source, context),
    adjust: isNeutral(adjust)
      ? null
      : {
          ...adjust,
          twoTone: {
            ...adjust.twoTone,
            dark: palette.colour(adjust.twoTone.dark),
            light: palette.colour(adjust.twoTone.light),
          },
          tint: { ...adjust.tint, colour: palette.colour(adjust.tint.colour) },
        },
    whole: { width: whole.width, height: whole.height },
    part,
    ground: palette.roles.ground,
  };
}

function drawnSource(source: PlainSource, { palette, place, moment }: DrawnContext): DrawnSource {
  switch (source.kind) {
    case 'motif': {
      const { motif, seed, controls, colours, follows } = source;
      const sky = follows && factsOf(motif).follows ? skyAt(moment, place) : null;
      const own = roles.filter((role) => role !== 'alert').map((role) => palette.roles[role]);
      return { kind: 'motif', motif, seed, controls, colours: colours === 'palette' ? own : null, sky };
    }
    case 'picture': {
      const { kind, picture, fit, focal, turn, mirror } = source;
      return { kind, picture, fit, focal: { x: focal.x, y: focal.y }, turn, mirror };
    }
    case 'gradient': {
      const { kind, shape, angle, centre, points } = source;
      return {
        kind,
        shape,
        angle,
        centre: { x: centre.x, y: centre.y },
        points: points
          .map(({ at, colour }) => ({ at, colour: palette.colour(colour) }))
          .sort((a, b) => a.at - b.at),
      };
    }
  }
}

/** The backdrop that lies on a screen: of those that fit, the one that says most of where it lies, the later first. */
export function backdropFor(
  backdrops: readonly Backdrop[],
  where: { screen: string; workspace: string; half: Half },
): Backdrop {
  let best: Backdrop | undefined;
  let most = -1;
  for (const backdrop of backdrops) {
    const { screen, workspace, half } = backdrop.for;
    if (screen !== null && screen !== where.screen) continue;
    if (workspace !== null && workspace !== where.workspace) continue;
    if (half !== null && half !== where.half) continue;
    // A screen says more than a workspace, and that more than a half.
    const says = (screen === null ? 0 : 4) + (workspace === null ? 0 : 2) + (half === null ? 0 : 1);
    if (says >= most) [best, most] = [backdrop, says];
  }
  if (!best) throw new Error('A desk has no backdrop that lies everywhere');
  return best;
}

/** Small pictures of sources, to choose from, are of a screen of this size; motifs of one seed, made beforehand. */
const SAMPLE_SIZE = { width: 1920, height: 1080 };
export const SAMPLE_WIDTH = 240;
export const SAMPLE_SEED = 7;

/** A source as it is by itself, on a screen of a usual size; colours that are roles come from the palette. */
export function sampleOf(source: PlainSource, context?: DrawnContext): Drawn {
  const { palette, place, moment } = context ?? plainContext;
  return {
    source: drawnSource(context ? source : withoutDesk(source), { palette, place, moment }),
    adjust: null,
    whole: SAMPLE_SIZE,
    part: { x: 0, y: 0, ...SAMPLE_SIZE },
    ground: palette.roles.ground,
  };
}

const grey = Object.fromEntries(roles.map((role) => [role, '#808080'])) as Palette['roles'];
const plainContext: DrawnContext = {
  palette: {
    roles: grey,
    colour: (colour) => (colour.startsWith('#') ? colour : '#808080'),
    textOn: () => '#808080',
  },
  place: { name: '', latitude: 0, longitude: 0, zone: 'UTC' },
  moment: 0,
};

function withoutDesk(source: PlainSource): PlainSource {
  return source.kind === 'motif' ? { ...source, colours: 'own', follows: false } : source;
}
