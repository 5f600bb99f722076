import { z } from 'zod';
import { OwnFile } from '../../values/family.ts';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { refers } from '../../values/references.ts';
import type { TypeOf } from '../../values/types.ts';
import { pieceIds, pieces, PIECES_ALBUM, PIECES_BY } from './pieces.ts';

export const MOST_TRACKS = 500;
/** s; a day. */
export const MOST_SECONDS = 86_400;

const Words = (label: string, placeholder: string) => field(z.string().max(200), { label, placeholder });

/** Something to hear: what it says of itself, and where its sound comes from. */
export const Track = z.looseObject({
  id: Id,
  title: Words('Title', 'without a title'),
  by: Words('Artist', 'nobody named'),
  album: Words('Album', 'nothing'),
  seconds: z.number().min(0.1).max(MOST_SECONDS),
  from: z.discriminatedUnion('by', [
    z.looseObject({ by: z.literal('piece'), piece: z.enum(pieceIds) }),
    z.looseObject({ by: z.literal('file'), file: refers(OwnFile.clone(), 'sound') }),
  ]),
  cover: refers(OwnFile.clone(), 'picture')
    .nullable()
    .meta({ description: 'A picture of one’s own; null for none' }),
});
export type Track = TypeOf<typeof Track>;

/** What a desk plays, and in which order. */
export const Sound = z.looseObject({
  tracks: field(z.array(Track).max(MOST_TRACKS), { label: 'List', one: 'Piece' }),
  order: field(z.enum(['list', 'shuffle']), {
    label: 'Order',
    choices: { list: 'As listed', shuffle: 'Mixed' },
  }),
  repeat: field(z.enum(['all', 'one', 'off']), {
    label: 'At the end',
    choices: { all: 'Again', one: 'This one', off: 'Stop' },
  }),
  coversColour: field(
    z.boolean().meta({ description: 'While a piece is heard, the palette is drawn from its cover' }),
    { label: 'Cover’s palette' },
  ),
});
export type Sound = TypeOf<typeof Sound>;

/** The observatory's six pieces, in order. */
export const plainSound: Sound = {
  tracks: pieceIds.map((piece) => ({
    id: piece,
    title: pieces[piece].title,
    by: PIECES_BY,
    album: PIECES_ALBUM,
    seconds: pieces[piece].seconds,
    from: { by: 'piece', piece },
    cover: null,
  })),
  order: 'list',
  repeat: 'all',
  coversColour: false,
};

/** Where the sound of a piece lies, beneath /api/sounds/. */
export function sourceOf({ from }: Pick<Track, 'from'>): string {
  return from.by === 'piece' ? `pieces/${from.piece}` : from.file.slice('own:'.length);
}
