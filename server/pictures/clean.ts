import sharp, { type Metadata } from 'sharp';
import { MOST_PIXELS } from './open.ts';

/**
 * Takes out of a picture whatever is not the picture: where it was taken, by whom, with what. The way up that EXIF
 * tells and the colour profile stay. A JPEG keeps its very pixels; a PNG too, as it is packed without loss.
 */
export async function cleanPicture(
  bytes: Buffer,
  { format, exif, xmp, iptc, comments, orientation }: Metadata,
): Promise<Buffer> {
  if (!exif && !xmp && !iptc && !comments) return bytes;
  if (format === 'jpeg') return cleanJpeg(bytes, orientation ?? 1);
  // Of one that moves, what is shown is kept: its first frame.
  const upright = sharp(bytes, { limitInputPixels: MOST_PIXELS, pages: 1, failOn: 'error' })
    .autoOrient()
    .keepIccProfile();
  switch (format) {
    case 'png':
      return upright.png().toBuffer();
    case 'webp':
      return upright.webp({ quality: 96 }).toBuffer();
    case 'heif':
      return upright.avif({ quality: 80, effort: 2 }).toBuffer();
    default:
      return bytes;
  }
}

const START = 0xd8;
const SCAN = 0xda;
/** Marker segments that say things about the picture: EXIF and XMP, IPTC, comments. */
const TALK = new Set([0xe1, 0xed, 0xfe]);

/** A JPEG without its talking segments; a turn is kept in an EXIF segment of its own that says nothing else. */
function cleanJpeg(bytes: Buffer, orientation: number): Buffer {
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  if (orientation > 1) kept.push(turnSegment(orientation));
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1] as number;
    if (marker === SCAN) break;
    // Markers without a length, and fill bytes.
    if (marker === 0xff || marker === START || (marker >= 0xd0 && marker <= 0xd7)) {
      at += marker === 0xff ? 1 : 2;
      continue;
    }
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    if (!TALK.has(marker)) kept.push(bytes.subarray(at, end));
    at = end;
  }
  kept.push(bytes.subarray(at));
  return Buffer.concat(kept);
}

/** An EXIF segment with one entry: the orientation (tag 0x0112, a short). */
function turnSegment(orientation: number): Buffer {
  const tiff = Buffer.alloc(26);
  tiff.write('MM\0*', 0, 'latin1');
  tiff.writeUInt32BE(8, 4);
  tiff.writeUInt16BE(1, 8);
  tiff.writeUInt16BE(0x0112, 10);
  tiff.writeUInt16BE(3, 12);
  tiff.writeUInt32BE(1, 14);
  tiff.writeUInt16BE(orientation, 18);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(2 + 6 + tiff.length, 2);
  return Buffer.concat([head, Buffer.from('Exif\0\0', 'latin1'), tiff]);
}
