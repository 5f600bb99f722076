import sharp, { type Metadata, type Sharp } from 'sharp';

/** Pictures with more pixels than this are refused. */
export const MOST_PIXELS = 100_000_000;
/** The same for pictures that can't be decoded row by row: all of theirs are held at once. */
const MOST_WHOLE = 40_000_000;

// Nothing is asked for twice here; what sharp would keep is memory lost.
sharp.cache(false);

/**
 * Opens a picture of one's own: its first frame, however many it has. Whatever decodes one opens it here, so that what
 * was decoded when it came in is decoded the same when it is shown.
 */
export function openPicture(path: string): Sharp {
  return sharp(path, { limitInputPixels: MOST_PIXELS, pages: 1, failOn: 'error' });
}

/** The most pixels that a picture of this make may have. */
export function mostPixelsOf({ format, isProgressive, autoOrient, width }: Metadata): number {
  const isTurned = autoOrient.width !== width;
  const isByRow = (format === 'jpeg' || format === 'png') && !isProgressive && !isTurned;
  return isByRow ? MOST_PIXELS : MOST_WHOLE;
}
