import type { Drawn } from '../../../core/backdrop/drawn.ts';
import type { MotifName } from '../../../core/backdrop/names.ts';
import { drawRoles } from '../../../core/colour/scheme.ts';
import type { Roles } from '../../../core/colour/roles.ts';
import type { Look } from '../../../core/look/schema.ts';
import { coverOf } from '../../../core/sources/sound/cover.ts';
import type { Track } from '../../../core/sources/sound/schema.ts';
import { halves, roles as roleNames, type Half } from '../../../core/values/roles.ts';
import { coloursOf } from '../../workers/pixels.ts';

const SIDE = { width: 480, height: 480 };

function drawnCover(track: Track): Drawn | null {
  const cover = coverOf(track);
  if (!cover) return null;
  const source: Drawn['source'] =
    cover.by === 'motif'
      ? {
          kind: 'motif',
          motif: cover.motif as MotifName,
          seed: cover.seed,
          controls: {},
          colours: null,
          sky: null,
        }
      : {
          kind: 'picture',
          picture: cover.picture,
          fit: 'cover',
          focal: { x: 0.5, y: 0.5 },
          turn: 0,
          mirror: false,
        };
  return { source, adjust: null, whole: SIDE, part: { x: 0, y: 0, ...SIDE }, ground: '#000000' };
}

/** Roles drawn from a piece's cover, for both halves; null where it has none. */
export async function rolesFromCover(track: Track): Promise<Record<Half, Roles> | null> {
  const drawn = drawnCover(track);
  return drawn && drawRoles(await coloursOf(drawn));
}

/** A look's roles drawn anew: those that are held stay, and so do steps, which follow by themselves. */
export function drawnOver(drawn: Record<Half, Roles>, { roles, held }: Look): Look['roles'] {
  const over = structuredClone(roles);
  for (const half of halves)
    for (const role of roleNames)
      if (typeof roles[half][role] === 'string' && !held.includes(role)) over[half][role] = drawn[half][role];
  return over;
}
