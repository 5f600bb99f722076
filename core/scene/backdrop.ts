import type { Rect, Size } from '../values/geometry.ts';
import { backdropFor, drawnOf, type Drawn } from '../backdrop/drawn.ts';
import { halfAt } from '../timeline/half/half.ts';
import { rotationAt } from '../timeline/rotation/rotation.ts';
import { paletteOf, type Palette } from '../colour/look.ts';
import type { PlainSource } from '../backdrop/schema.ts';
import type { Desk } from '../desk/desk.ts';
import type { Screen } from '../desk/shapes/screens.ts';
import type { Half } from '../values/roles.ts';
import type { DeskFacts } from '../kinds/kind.ts';
import type { SceneBackdrop } from './scene.ts';
import type { AllConditions, Conditions } from './conditions.ts';
import type { Needs } from './solving.ts';

interface Solving {
  desk: Desk;
  behindPalette: Palette;
  /** Which moment it is, and how many entries a rotation is ahead of its time. */
  conditions: Pick<AllConditions, 'moment' | 'backdropStep'>;
  half: Half;
  facts: Pick<DeskFacts, 'workspace'>;
  needs: Pick<Needs, 'every'>;
}

/** What lies behind everything on a screen, with everything worked out. */
export function solveBackdrop(screen: Screen, solving: Solving): SceneBackdrop {
  const { desk, behindPalette: palette, half, facts, needs } = solving;
  const { moment, backdropStep } = solving.conditions;
  const workspace = desk.workspaces[facts.workspace]?.id ?? '';
  const backdrop = backdropFor(desk.backdrops, { screen: screen.id, workspace, half });
  const surface = surfaceFor(screen, desk, backdrop.spans && backdrop.for.screen === null);
  const { source, adjust, id } = backdrop;
  const draw = (plain: PlainSource) => {
    if (plain.kind === 'motif' && plain.follows) needs.every('minute');
    return drawnOf(plain, adjust, surface, { palette, place: desk.place, moment });
  };
  if (source.kind !== 'rotation') return { id, drawn: draw(source), from: null };
  const { entry, from } = rotationAt(source, moment, desk.place, desk.seed);
  const ahead = (index: number) => source.entries[(index + backdropStep) % source.entries.length];
  const [now, before] = [ahead(entry), from && ahead(from.entry)];
  if (!now) throw new Error(`Rotation ${id} has no entry ${entry}`);
  needs.every(from ? 'second' : 'minute');
  return {
    id,
    drawn: draw(now.source),
    from: from && before ? { drawn: draw(before.source), share: from.share } : null,
  };
}

type BehindConditions = Pick<
  Conditions,
  'moment' | 'workspace' | 'backdropStep' | 'half' | 'roles' | 'isDarkBehind'
>;

/**
 * What decides whether a desk is light or dark, where that goes by the backdrop: what the first screen has behind it in the
 * light half, so that nothing decides over itself. Null where it goes by something else.
 */
export function decidingBackdrop(desk: Desk, conditions: BehindConditions): Drawn | null {
  if (desk.look.half.by !== 'backdrop') return null;
  const [first] = backdropsOf(desk, { ...conditions, half: 'light' }).values();
  return first ? nearerOf(first) : null;
}

/** What lies behind each screen of a desk, by its id. */
export function backdropsOf(
  desk: Desk,
  {
    moment,
    workspace = 0,
    backdropStep = 0,
    half: chosen = null,
    roles = null,
    isDarkBehind = null,
  }: BehindConditions,
): Map<string, SceneBackdrop> {
  const { look, place } = desk;
  const half = chosen ?? halfAt(look.half, moment, place, isDarkBehind);
  const solving = {
    desk,
    behindPalette: paletteOf((roles ?? look.roles)[half]),
    conditions: { moment, backdropStep },
    half,
    facts: { workspace: Math.min(workspace, desk.workspaces.length - 1) },
    needs: { every: () => undefined },
  };
  return new Map(desk.screens.map((screen) => [screen.id, solveBackdrop(screen, solving)]));
}

/** Of a backdrop that passes into the next, the one that more is seen of. */
export function nearerOf({ drawn, from }: SceneBackdrop): Drawn {
  return from && from.share < 0.5 ? from.drawn : drawn;
}

export function surfaceFor(screen: Screen, desk: Desk, spans: boolean): { whole: Size; part: Rect } {
  return spans ? spanOf(screen, desk.screens) : aloneOf(screen);
}

function aloneOf({ width, height }: Screen): { whole: Size; part: Rect } {
  return { whole: { width, height }, part: { x: 0, y: 0, width, height } };
}

/** All screens as they stand beside each other, and the part of that which one of them is. */
function spanOf(screen: Screen, screens: readonly Screen[]): { whole: Size; part: Rect } {
  const left = Math.min(...screens.map(({ x }) => x));
  const top = Math.min(...screens.map(({ y }) => y));
  return {
    whole: {
      width: Math.max(...screens.map(({ x, width }) => x + width)) - left,
      height: Math.max(...screens.map(({ y, height }) => y + height)) - top,
    },
    part: { x: screen.x - left, y: screen.y - top, width: screen.width, height: screen.height },
  };
}
