/**
 * The recordings of the observatory's sound room: made by the project itself (core/sound/synth.ts), so that there is
 * something to hear on the first day.
 */
export const pieces = {
  surf: { title: 'Surf on the bar', seconds: 52, motif: 'bay' },
  calls: { title: 'Curlews over the creek', seconds: 44, motif: 'marsh' },
  bells: { title: 'Bells of the outer buoys', seconds: 60, motif: 'tide' },
  reeds: { title: 'Reeds before rain', seconds: 48, motif: 'fog' },
  geese: { title: 'Geese at last light', seconds: 40, motif: 'headland' },
  lamp: { title: 'The lamp room, humming', seconds: 56, motif: 'lamp' },
} as const;

export type PieceId = keyof typeof pieces;
export const pieceIds = Object.keys(pieces) as [PieceId, ...PieceId[]];

export const PIECES_BY = 'The sound room';
export const PIECES_ALBUM = 'Marsh recordings';
