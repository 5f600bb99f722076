import { drawnOfCover } from '../../../core/backdrop/cover.ts';
import { drawRoles } from '../../../core/colour/scheme.ts';
import type { Roles } from '../../../core/colour/roles.ts';
import { coverOf } from '../../../core/sources/sound/cover.ts';
import type { Track } from '../../../core/sources/sound/schema.ts';
import type { Half } from '../../../core/values/roles.ts';
import { coloursOf } from '../../workers/pixels.ts';

/** Roles drawn from a piece's cover, for both halves; null where it has none. */
export async function rolesFromCover(track: Track): Promise<Record<Half, Roles> | null> {
  const cover = coverOf(track);
  return cover && drawRoles(await coloursOf(drawnOfCover(cover)));
}
