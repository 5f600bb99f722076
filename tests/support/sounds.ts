import sharp from 'sharp';
import { toWav } from '../../core/sound/synth.ts';

/** A tone as a WAV file. */
export const tone = (seconds: number) =>
  toWav(
    Float32Array.from({ length: seconds * 8000 }, (_, index) => 0.5 * Math.sin(index / 3)),
    8000,
  );

/** A tag with a title, a name and a cover before an MP3 of silent frames (MPEG 1, layer 3, 128 kB/s, 44,100 Hz). */
export async function tagged(frames = 120): Promise<Buffer> {
  const cover = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#35607a' } })
    .png()
    .toBuffer();
  const frame = (id: string, content: Buffer) => {
    const head = Buffer.alloc(10);
    head.write(id, 0, 'latin1');
    head.writeUInt32BE(content.length, 4);
    return Buffer.concat([head, content]);
  };
  const text = (id: string, words: string) =>
    frame(id, Buffer.concat([Buffer.from([0]), Buffer.from(words, 'latin1')]));
  const picture = frame('APIC', Buffer.concat([Buffer.from('\0image/png\0\x03\0', 'latin1'), cover]));
  const body = Buffer.concat([
    text('TIT2', 'Bells, again'),
    text('TPE1', 'The sound room'),
    text('TALB', 'Winter'),
    picture,
  ]);
  const size = [21, 14, 7, 0].map((shift) => (body.length >> shift) & 0x7f);
  const tag = Buffer.concat([Buffer.from('ID3\x03\0\0', 'latin1'), Buffer.from(size), body]);
  const silent = Buffer.alloc(417);
  silent.set([0xff, 0xfb, 0x90, 0x64]);
  return Buffer.concat([tag, ...Array.from({ length: frames }, () => silent)]);
}

/** What FLAC, Ogg and M4A files start with, as far as their lengths are told: enough to be taken for one. */
export function heads(): Buffer[] {
  const flac = Buffer.alloc(42 + 2000);
  flac.write('fLaC', 0, 'latin1');
  flac.set([0x80, 0, 0, 34, 0x10, 0, 0x10, 0], 4);
  // 44,100 Hz, two channels, 16 bits, ten seconds.
  flac.set([0x0a, 0xc4, 0x42, 0xf0, 0, 0x06, 0xba, 0xa8], 18);
  flac.set([0xff, 0xf8, 0xc9, 0x18], 42);
  const ogg = (sequence: number, granule: number, kind: number, body: Buffer) => {
    const page = Buffer.alloc(28);
    page.write('OggS', 0, 'latin1');
    page[5] = kind;
    page.writeBigUInt64LE(BigInt(granule), 6);
    page.writeUInt32LE(7, 14);
    page.writeUInt32LE(sequence, 18);
    page[26] = 1;
    page[27] = body.length;
    return Buffer.concat([page, body]);
  };
  const opus = Buffer.alloc(19);
  opus.write('OpusHead', 0, 'latin1');
  opus.set([1, 2], 8);
  opus.writeUInt32LE(48_000, 12);
  const box = (name: string, ...inside: Buffer[]) => {
    const size = Buffer.alloc(8);
    size.writeUInt32BE(8 + inside.reduce((sum, one) => sum + one.length, 0));
    size.write(name, 4, 'latin1');
    return Buffer.concat([size, ...inside]);
  };
  const movie = Buffer.alloc(100);
  // A thousand units a second, five thousand of them.
  movie.writeUInt32BE(1000, 12);
  movie.writeUInt32BE(5000, 16);
  return [
    flac,
    Buffer.concat([
      ogg(0, 0, 2, opus),
      ogg(1, 0, 0, Buffer.from('OpusTags\x04\0\0\0reed\0\0\0\0', 'latin1')),
      ogg(2, 480_000, 4, Buffer.alloc(200, 0x55)),
    ]),
    Buffer.concat([
      box('ftyp', Buffer.from('M4A \0\0\0\0M4A mp42', 'latin1')),
      box('moov', box('mvhd', movie)),
      box('mdat', Buffer.alloc(400, 0x21)),
    ]),
  ];
}
