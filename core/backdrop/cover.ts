import type { Cover } from '../sources/sound/cover.ts';
import type { Drawn } from './drawn.ts';
import { plainMotif } from './motifs.ts';
import type { MotifName } from './names.ts';

/** px of a cover's side. */
const SIDE = 960;

/** A piece's cover as the picture that it is, square. */
export function drawnOfCover(cover: Cover): Drawn {
  const whole = { width: SIDE, height: SIDE };
  const source: Drawn['source'] =
    cover.by === 'motif'
      ? { kind: 'motif', ...plainMotif(cover.motif as MotifName, cover.seed) }
      : {
          kind: 'picture',
          picture: cover.picture,
          fit: 'cover',
          focal: { x: 0.5, y: 0.5 },
          turn: 0,
          mirror: false,
        };
  return { source, adjust: null, whole, part: { x: 0, y: 0, ...whole }, ground: '#000000' };
}
