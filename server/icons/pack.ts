import { closeSync, openSync, writeSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import sharp from 'sharp';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { IconSetIndex, SET_LIMITS } from '../../core/icons/sets/index-file.ts';
import type { FoundSet } from '../../core/icons/sets/layout.ts';
import { digestOf } from '../files/digest.ts';
import { ICON_SIDE } from './draw.ts';

/**
 * A set as it is kept and carried: a ZIP with `set.json`, and its pictures as PNG by their index. The same set gives the same
 * bytes, by whose SHA-256 it is named.
 */

const INDEX = 'set.json';
const pictureName = (index: number) => `${index}.png`;
/** Bytes of an index. */
const MOST_INDEX = 8 * 2 ** 20;

/** Writes a pack; `pictures` gives the bytes of one after another. Gives back its digest and bytes. */
async function writePack(
  out: string,
  index: IconSetIndex,
  pictureAt: (index: number) => Promise<Uint8Array>,
): Promise<{ id: string; bytes: number }> {
  const file = openSync(out, 'w');
  try {
    const zip = new Zip((error, chunk) => {
      if (error) throw error;
      writeSync(file, chunk);
    });
    const add = (name: string, bytes: Uint8Array, isPacked: boolean) => {
      const entry = isPacked ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
      entry.mtime = '1990-01-01T00:00:00';
      zip.add(entry);
      entry.push(bytes, true);
    };
    add(INDEX, strToU8(JSON.stringify(index)), true);
    for (let at = 0; at < index.pictures.length; at++) add(pictureName(at), await pictureAt(at), false);
    zip.end();
  } finally {
    closeSync(file);
  }
  const bytes = await readFile(out);
  return { id: digestOf(bytes), bytes: bytes.length };
}

/** What is listed of a set. */
export interface PackedSet {
  id: string;
  index: IconSetIndex;
  bytes: number;
}

export type Packed = ({ ok: true } & PackedSet) | { ok: false; reason: string };

/** Packs a set of which the pictures are drawn: what could not be drawn is left out. */
export async function packIcons({
  set: { name, styles, lacks, icons },
  drawn,
  out,
}: {
  set: FoundSet;
  drawn: readonly { file: string; path: string; isOneColour: boolean }[];
  out: string;
}): Promise<Packed> {
  const known = new Map(drawn.map((one) => [one.file, one]));
  const used = [...new Set(icons.map(({ file }) => file))].flatMap((file) => known.get(file) ?? []);
  const place = new Map(used.map(({ file }, index) => [file, index]));
  const read = IconSetIndex.safeParse({
    name,
    styles,
    lacks,
    cutFrom: null,
    pictures: used.map(({ isOneColour }) => ({ isOneColour })),
    icons: icons.flatMap(({ file, ...icon }) => {
      const picture = place.get(file);
      return picture === undefined ? [] : [{ ...icon, picture }];
    }),
  });
  if (!read.success) return { ok: false, reason: 'holds no icon that can be drawn' };
  return fitting(out, read.data, await writePack(out, read.data, (at) => readFile(used[at]?.path ?? '')));
}

function fitting(_: string, index: IconSetIndex, made: { id: string; bytes: number }): Packed {
  if (made.bytes > SET_LIMITS.bytes)
    return { ok: false, reason: `has more than ${SET_LIMITS.bytes / 2 ** 20} MiB once it is drawn` };
  return { ok: true, index, ...made };
}

/** Packs of a set those icons that have one of some names. */
export async function cutIcons({
  path,
  id,
  names,
  out,
}: {
  path: string;
  id: string;
  names: readonly string[];
  out: string;
}): Promise<PackedSet> {
  const pack = await openPack(path);
  try {
    const wanted = new Set(names);
    const icons = pack.index.icons.filter(({ name }) => wanted.has(name));
    const used = [...new Set(icons.map(({ picture }) => picture))];
    if (icons.length === 0 || icons.length === pack.index.icons.length)
      return { id, index: pack.index, bytes: 0 };
    const place = new Map(used.map((picture, at) => [picture, at]));
    const index: IconSetIndex = {
      ...pack.index,
      cutFrom: pack.index.cutFrom ?? id,
      pictures: used.flatMap((picture) => pack.index.pictures[picture] ?? []),
      icons: icons.map((icon) => ({ ...icon, picture: place.get(icon.picture) ?? 0 })),
    };
    return { index, ...(await writePack(out, index, (at) => pack.read(used[at] ?? 0))) };
  } finally {
    pack.close();
  }
}

export interface Pack {
  index: IconSetIndex;
  /** The PNG of a picture. Throws where there is none. */
  read(picture: number): Promise<Buffer>;
  close(): void;
}

/** Opens a pack. Throws where it is none. */
export async function openPack(path: string): Promise<Pack> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false });
  try {
    const entries = await entriesOf(zip);
    const read = async (name: string, most: number) => {
      const entry = entries.get(name);
      if (!entry || entry.uncompressedSize > most) throw new Error(`No ${name}`);
      return bytesOf(await zip.openReadStreamPromise(entry), most);
    };
    const index = IconSetIndex.parse(JSON.parse((await read(INDEX, MOST_INDEX)).toString('utf8')));
    return {
      index,
      read: (picture) => read(pictureName(picture), SET_LIMITS.file),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    if (zip.entryCount > SET_LIMITS.files + 1) {
      reject(new Error('Too many entries'));
      return;
    }
    zip.on('error', reject);
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

async function bytesOf(stream: Readable, most: number): Promise<Buffer> {
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > most) throw new Error('Larger than it says');
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

export type InspectedPack = { ok: true; id: string } | { ok: false; reason: string };

/** Whether a pack from outside is one, with every picture that its index names, decoded as it will be. */
export async function inspectIconPack({ path }: { path: string }): Promise<InspectedPack> {
  let pack: Pack;
  try {
    pack = await openPack(path);
  } catch {
    return { ok: false, reason: 'is no set of icons' };
  }
  try {
    for (let at = 0; at < pack.index.pictures.length; at++) {
      const png = await pack.read(at);
      const { format, width, height } = await sharp(png).metadata();
      if (format !== 'png' || width !== height || width > ICON_SIDE)
        return { ok: false, reason: `holds a picture (${at}) that is no icon` };
      await sharp(png, { limitInputPixels: ICON_SIDE * ICON_SIDE, failOn: 'error' })
        .raw()
        .toBuffer();
    }
    return { ok: true, id: digestOf(await readFile(path)) };
  } catch {
    return { ok: false, reason: 'holds a damaged picture' };
  } finally {
    pack.close();
  }
}
