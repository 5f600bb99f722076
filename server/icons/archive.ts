import { createReadStream } from 'node:fs';
import { mkdir, open, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createGunzip } from 'node:zlib';
import { pipeline } from 'node:stream/promises';
import { extract } from 'tar-stream';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { SET_LIMITS } from '../../core/icons/sets/index-file.ts';
import { calledAfter, setsIn, type FoundSet, type Picture } from '../../core/icons/sets/layout.ts';
import { namesIn } from '../../core/icons/sets/links.ts';

/** What came of an archive: its sets, and where its pictures lie unpacked; or why nothing did. */
export type OpenedArchive =
  { ok: true; sets: FoundSet[]; files: { file: string; path: string }[] } | { ok: false; reason: string };

/** Entries of all kinds; pictures are counted by themselves. */
const MOST_ENTRIES = 40_000;
const MOST_SETS = 12;
const MIB = 2 ** 20;

class Refused extends Error {}

/** What an archive holds that a set may be made of, each counted before it is kept. */
class Contents {
  readonly links = new Map<string, string>();
  readonly indexes = new Map<string, string>();
  readonly pictures = new Map<string, Picture>();
  readonly files: { file: string; path: string }[] = [];
  readonly #folder: string;
  #entries = 0;
  #bytes = 0;

  constructor(folder: string) {
    this.#folder = folder;
  }

  count(bytes: number): void {
    if (++this.#entries > MOST_ENTRIES) throw new Refused(`has more than ${MOST_ENTRIES} entries`);
    this.weigh(bytes);
  }

  weigh(bytes: number): void {
    this.#bytes += bytes;
    if (this.#bytes > SET_LIMITS.bytes)
      throw new Refused(`holds more than ${SET_LIMITS.bytes / MIB} MiB unpacked`);
  }

  link(path: string, target: string): void {
    this.links.set(clean(path), target);
  }

  async take(given: string, bytes: Buffer): Promise<void> {
    const path = clean(given);
    if (/(^|\/)index\.theme$/.test(path)) this.indexes.set(path, bytes.toString('utf8', 0, 256 * 1024));
    if (!isPicture(path)) return;
    const picture = look(bytes);
    if (!picture || this.pictures.has(path)) return;
    if (this.files.length >= SET_LIMITS.files)
      throw new Refused(`holds more than ${SET_LIMITS.files} pictures`);
    this.pictures.set(path, picture);
    const at = join(this.#folder, String(this.files.length));
    await writeFile(at, bytes);
    this.files.push({ file: path, path: at });
  }
}

const isPicture = (path: string) => /\.(svg|png)$/i.test(path);
/** What else than pictures is read. */
const isWanted = (path: string) => isPicture(path) || path.endsWith('index.theme');
const clean = (path: string) => path.replace(/^(\.?\/)+/, '');

/** What a picture is by its first bytes; null for what only has the name of one. */
function look(bytes: Buffer): Picture | null {
  if (bytes.length > SET_LIMITS.file) return null;
  if (bytes.toString('latin1', 1, 4) === 'PNG' && bytes.length > 24)
    return { isVector: false, size: Math.max(1, bytes.readUInt32BE(16), bytes.readUInt32BE(20)) };
  const start = bytes
    .toString('utf8', 0, 512)
    .replace(/^\uFEFF/, '')
    .trimStart();
  return start.startsWith('<') ? { isVector: true, size: 0 } : null;
}

/** Unpacks a ZIP, tar or tar.gz of icons into a folder, as far as its pictures go, and finds the sets in it. */
export async function openIconArchive({
  path,
  folder,
  name,
}: {
  path: string;
  folder: string;
  /** Of the file that it came as. */
  name: string;
}): Promise<OpenedArchive> {
  await mkdir(folder, { recursive: true });
  const contents = new Contents(folder);
  try {
    const kind = await kindOf(path);
    if (kind === 'zip') await readZip(path, contents);
    else if (kind) await readTar(path, kind === 'tar.gz', contents);
    else return { ok: false, reason: 'is neither a ZIP nor a tar archive (.tar, .tar.gz)' };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, reason: error.message };
    // The disk's trouble is not the archive's.
    if ((error as NodeJS.ErrnoException).syscall) throw error;
    return { ok: false, reason: 'is a damaged archive' };
  }
  const { pictures, links, indexes, files } = contents;
  if (files.length === 0) return { ok: false, reason: 'holds no SVG or PNG' };
  const linked = new Map([...links].filter(([at]) => pictures.size > 0 && at.length < 1000));
  const names = namesIn([...pictures.keys()], linked);
  const sets = setsIn(names, pictures, indexes, calledAfter(name)).slice(0, MOST_SETS);
  if (sets.length === 0) return { ok: false, reason: 'has an index that leads to no icons' };
  return { ok: true, sets, files };
}

async function kindOf(path: string): Promise<'zip' | 'tar' | 'tar.gz' | null> {
  const file = await open(path);
  try {
    const { buffer } = await file.read(Buffer.alloc(264), 0, 264, 0);
    if (buffer.toString('latin1', 0, 2) === 'PK') return 'zip';
    if (buffer[0] === 0x1f && buffer[1] === 0x8b) return 'tar.gz';
    return buffer.toString('latin1', 257, 262) === 'ustar' ? 'tar' : null;
  } finally {
    await file.close();
  }
}

/** A file's kind among what Unix says of it, where the archive was packed there. */
const KIND = 0o170000;
const LINK = 0o120000;

async function readZip(path: string, contents: Contents): Promise<void> {
  const zip = await openPromise(path, { lazyEntries: true, strictFileNames: false });
  try {
    await new Promise<void>((resolve, reject) => {
      zip.on('error', reject);
      zip.on('end', () => resolve());
      zip.on('entry', (entry: Entry) => {
        readEntry(zip, entry, contents).then(() => zip.readEntry(), reject);
      });
      zip.readEntry();
    });
  } finally {
    zip.close();
  }
}

async function readEntry(zip: ZipFile, entry: Entry, contents: Contents): Promise<void> {
  const name = entry.fileName;
  contents.count(0);
  if (name.endsWith('/')) return;
  const isLink = ((entry.externalFileAttributes >>> 16) & KIND) === LINK;
  if (!isLink && !isWanted(name)) return;
  // Stops before it is unpacked where the size that it says is too much, and while where that was not true.
  if (entry.uncompressedSize > SET_LIMITS.file) return;
  const bytes = await bytesOf(await zip.openReadStreamPromise(entry), contents);
  if (isLink) contents.link(name, bytes.toString('utf8'));
  else await contents.take(name, bytes);
}

async function readTar(path: string, isPacked: boolean, contents: Contents): Promise<void> {
  const tar = extract();
  const source = createReadStream(path);
  const reading = isPacked ? pipeline(source, createGunzip(), tar) : pipeline(source, tar);
  const read = async () => {
    for await (const entry of tar) {
      const { name, type, linkname } = entry.header;
      contents.count(0);
      if (type === 'symlink' && linkname) contents.link(name, linkname);
      // A link to bytes names them from the top.
      else if (type === 'link' && linkname) contents.link(name, fromTop(name, linkname));
      const isTaken = type === 'file' && isWanted(name) && (entry.header.size ?? 0) <= SET_LIMITS.file;
      const bytes = await bytesOf(entry, contents, isTaken);
      if (isTaken) await contents.take(name, bytes);
    }
  };
  await Promise.all([reading, read()]);
}

function fromTop(name: string, target: string): string {
  const depth = clean(name).split('/').length - 1;
  return `${'../'.repeat(depth)}${clean(target)}`;
}

/** All of a stream, counted as it comes; of what is not kept nothing but that. */
async function bytesOf(stream: AsyncIterable<unknown>, contents: Contents, isKept = true): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    contents.weigh(chunk.length);
    if (isKept) chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}
