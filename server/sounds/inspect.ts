import { readFile, writeFile } from 'node:fs/promises';
import { parseBuffer, selectCover } from 'music-metadata';
import { MOST_SECONDS } from '../../core/sources/sound/schema.ts';
import { pieceIds } from '../../core/sources/sound/pieces.ts';
import { synthesize, toWav } from '../../core/sound/synth.ts';
import { digestOf } from '../files/digest.ts';
import { diskTrouble } from '../files/trouble.ts';

/** The work on sounds; it runs in helpers. */

/** A sound that could be read, under the SHA-256 of its bytes, with what it says of itself. */
export type InspectedSound =
  | { ok: true; id: string; title: string; by: string; album: string; seconds: number; hasCover: boolean }
  | { ok: false; reason: string };

/** What a sound file starts with, and its media type. */
export function typeOfSound(head: Buffer): string | null {
  const text = head.toString('latin1', 0, 12);
  if (text.startsWith('OggS')) return 'audio/ogg';
  if (text.startsWith('fLaC')) return 'audio/flac';
  if (text.startsWith('RIFF') && text.slice(8) === 'WAVE') return 'audio/wav';
  if (text.slice(4, 8) === 'ftyp') return 'audio/mp4';
  // A tag before the sound, or its first frame: eleven bits set.
  if (text.startsWith('ID3') || (head[0] === 0xff && ((head[1] ?? 0) & 0xe0) === 0xe0)) return 'audio/mpeg';
  return null;
}

const words = (text: string | undefined) =>
  (text ?? '')
    .replace(/\p{Cc}+/gu, ' ')
    .trim()
    .slice(0, 200);

/** Reads what a sound says of itself; writes the sound to `out`, and its cover to `cover` where it brings one. */
export async function inspectSound({
  path,
  out,
  cover,
}: {
  path: string;
  out: string;
  cover: string;
}): Promise<InspectedSound> {
  const bytes = await readFile(path);
  const type = typeOfSound(bytes);
  if (!type) return { ok: false, reason: 'is not an MP3, Ogg, Opus, FLAC, WAV or M4A file' };
  try {
    const { common, format } = await parseBuffer(
      bytes,
      { mimeType: type, size: bytes.length },
      { duration: true },
    );
    const seconds = format.duration ?? 0;
    if (!format.codec && !format.container) return { ok: false, reason: 'is damaged, or holds no sound' };
    if (!(seconds >= 0.1)) return { ok: false, reason: 'is damaged, or holds no sound' };
    if (seconds > MOST_SECONDS) return { ok: false, reason: 'is longer than a day' };
    const picture = selectCover(common.picture);
    if (picture) await writeFile(cover, picture.data);
    await writeFile(out, bytes);
    return {
      ok: true,
      id: digestOf(bytes),
      title: words(common.title),
      by: words(common.artist),
      album: words(common.album),
      seconds: Math.round(seconds * 100) / 100,
      hasCover: picture !== null && picture !== undefined,
    };
  } catch (error) {
    // A disk that is full says nothing of the sound.
    if (diskTrouble(error)) throw error;
    return { ok: false, reason: 'is damaged, or not a sound' };
  }
}

/** Makes one of the project's own pieces, as a WAV file. */
export async function makePiece({ piece, out }: { piece: string; out: string }): Promise<void> {
  const id = pieceIds.find((one) => one === piece);
  if (!id) throw new Error(`There is no piece "${piece}"`);
  await writeFile(out, toWav(synthesize(id)));
}
