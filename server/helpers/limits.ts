import type { WorkName, WorkOf } from './work.ts';

/** What one piece of work may take: ms of the processor, and MiB of its process. */
export interface Limits {
  mostMs: number;
  memory: number;
}

/** What a helper that is still at work after work may hold, before its pixels come to it, MiB. */
const RESTING = 190;
/** What decoding a picture of one's own may take besides. */
const DECODING = 180;

type LimitsFor<Name extends WorkName> = Limits | ((input: WorkOf<Name>['input']) => Limits);

const limits: { [Name in WorkName]: LimitsFor<Name> } = {
  bake: ({ drawn, width, height, format, isForShow }) => {
    const megapixels = (width * height) / 2 ** 20;
    const resting = RESTING + (drawn.source.kind === 'picture' ? DECODING : 0);
    return {
      mostMs: isForShow ? 40_000 : 240_000,
      // Pixels are held about three times while they are changed and packed; packing AVIF takes far more.
      memory:
        format === 'avif'
          ? Math.min(1500, resting + 40 * megapixels)
          : Math.min(430, resting + 20 * megapixels),
    };
  },
  mapTones: { mostMs: 10_000, memory: 300 },
  takePicture: { mostMs: 25_000, memory: 400 },
  drawIcon: { mostMs: 4000, memory: 250 },
  openIconArchive: { mostMs: 30_000, memory: 400 },
  // A little for each, and enough for one that takes long; two at once have room.
  drawIcons: (orders) => ({ mostMs: 4000 + 250 * orders.length, memory: 230 }),
  packIcons: { mostMs: 20_000, memory: 400 },
  cutIcons: { mostMs: 20_000, memory: 400 },
  showPicture: { mostMs: 25_000, memory: 400 },
  pictureFacts: { mostMs: 15_000, memory: 300 },
  inspectFont: { mostMs: 8000, memory: 250 },
  inspectSound: { mostMs: 20_000, memory: 400 },
  makePiece: { mostMs: 90_000, memory: 300 },
  takeBundle: { mostMs: 60_000, memory: 430 },
  readHeadlines: { mostMs: 5000, memory: 300 },
  readDeskText: { mostMs: 10_000, memory: 300 },
};

export function limitsOf<Name extends WorkName>(name: Name, input: WorkOf<Name>['input']): Limits {
  const given = limits[name];
  return typeof given === 'function' ? given(input) : given;
}
