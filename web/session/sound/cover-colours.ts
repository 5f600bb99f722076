import { drawnOfCover } from '../../../core/backdrop/cover.ts';
import { drawRoles } from '../../../core/colour/scheme.ts';
import type { Roles } from '../../../core/colour/roles.ts';
import type { Look } from '../../../core/look/schema.ts';
import { coverOf } from '../../../core/sources/sound/cover.ts';
import type { Track } from '../../../core/sources/sound/schema.ts';
import { halves, roles as roleNames, type Half } from '../../../core/values/roles.ts';
import { coloursOf } from '../../workers/pixels.ts';

/** Roles drawn from a piece's cover, for both halves; null where it has none. */
export async function rolesFromCover(track: Track): Promise<Record<Half, Roles> | null> {
  const cover = coverOf(track);
  return cover && drawRoles(await coloursOf(drawnOfCover(cover)));
}

/** A look's roles drawn anew: those that are held stay, and so do steps, which follow by themselves. */
export function drawnOver(drawn: Record<Half, Roles>, { roles, held }: Look): Look['roles'] {
  const over = structuredClone(roles);
  for (const half of halves)
    for (const role of roleNames)
      if (typeof roles[half][role] === 'string' && !held.includes(role)) over[half][role] = drawn[half][role];
  return over;
}
