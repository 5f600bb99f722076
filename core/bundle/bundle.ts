import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';
import { sourcesOf } from '../desk/backdrop-schema.ts';
import { isOwn } from '../desk/values.ts';
import { readDesk, refuse, type Problem, type Result } from '../desk/read.ts';
import type { Desk } from '../desk/schema.ts';

/** A desk in one file: a ZIP with `manifest.json`, `desk.json`, and the pictures and fonts that the desk uses. */
export const BUNDLE_TYPE = 'application/zip';
export const BUNDLE_ENDING = '.ledge';
const BUNDLE_FORMAT = 1;

const MIB = 1024 * 1024;
export const BUNDLE_LIMITS = {
  /** Bytes of the file as it comes. */
  file: 200 * MIB,
  entries: 64,
  /** Bytes of one entry, and of all, unpacked. */
  entry: 60 * MIB,
  total: 400 * MIB,
  /** How many times larger than packed an entry of more than a mebibyte may be. */
  ratio: 200,
};

const Manifest = z.looseObject({
  format: z.number().int(),
  files: z.array(
    z.looseObject({
      name: z.string(),
      size: z.number().int().min(0),
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
    }),
  ),
});

/** `id` is the SHA-256 of the bytes. */
export interface BundleFile {
  id: string;
  bytes: Uint8Array;
}

export interface Bundle {
  desk: Desk;
  pictures: BundleFile[];
  fonts: BundleFile[];
}

export function digestOf(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}

/** Ids of the pictures that a desk uses: backdrops, and icons of one's own. */
export function picturesOf(desk: Desk): string[] {
  const backdrops = desk.backdrops
    .flatMap(sourcesOf)
    .flatMap((source) => (source.kind === 'picture' ? [source.picture] : []));
  const icons = desk.applications
    .map(({ Icon }) => Icon)
    .filter(isOwn)
    .map(fileOf);
  return [...new Set([...backdrops, ...icons])];
}

/** Ids of the font files that a desk uses. */
export function fontsOf(desk: Desk): string[] {
  return desk.look.ownFonts.map(({ id }) => fileOf(id));
}

/** The SHA-256 in the name of a file of one's own. */
export function fileOf(own: string): string {
  return own.slice('own:'.length);
}

/** The bytes of a bundle. The same desk and pictures give the same bytes. */
export function writeBundle({ desk, pictures, fonts }: Bundle): Uint8Array {
  const files: Record<string, Uint8Array> = { 'desk.json': strToU8(JSON.stringify(desk, null, 2)) };
  for (const { id, bytes } of pictures) files[`pictures/${id}`] = bytes;
  for (const { id, bytes } of fonts) files[`fonts/${id}`] = bytes;
  const manifest = {
    format: BUNDLE_FORMAT,
    files: Object.entries(files).map(([name, bytes]) => ({
      name,
      size: bytes.length,
      sha256: digestOf(bytes),
    })),
  };
  const entries = { 'manifest.json': strToU8(JSON.stringify(manifest, null, 2)), ...files };
  // Pictures are packed already; a fixed date keeps the bytes the same.
  return zipSync(
    Object.fromEntries(
      Object.entries(entries).map(([name, bytes]) => [
        name,
        [bytes, { level: name.startsWith('pictures/') ? 0 : 6 }],
      ]),
    ) as Parameters<typeof zipSync>[0],
    { mtime: '1990-01-01T00:00:00' },
  );
}

/** A bundle from bytes that nobody vouches for. Nothing is unpacked beyond the limits. */
export function readBundle(bytes: Uint8Array): Result<Bundle> {
  const unpacked = unpack(bytes);
  if (!unpacked.ok) return unpacked;
  const files = unpacked.value;
  const problem = checkManifest(files);
  if (problem) return { ok: false, problems: [problem] };

  const text = files.get('desk.json');
  if (!text) return refuse('desk.json', 'is missing');
  let json: unknown;
  try {
    json = JSON.parse(strFromU8(text));
  } catch {
    return refuse('desk.json', 'is not JSON');
  }
  const desk = readDesk(json);
  if (!desk.ok) {
    return {
      ok: false,
      problems: desk.problems.map(({ path, message }) => ({ path: `desk.json: ${path}`, message })),
    };
  }
  const pictures = takeFiles(files, 'pictures', picturesOf(desk.value));
  if (!pictures.ok) return pictures;
  const fonts = takeFiles(files, 'fonts', fontsOf(desk.value));
  if (!fonts.ok) return fonts;
  return { ok: true, value: { desk: desk.value, pictures: pictures.value, fonts: fonts.value } };
}

function takeFiles(
  files: ReadonlyMap<string, Uint8Array>,
  folder: 'pictures' | 'fonts',
  ids: readonly string[],
): Result<BundleFile[]> {
  const taken: BundleFile[] = [];
  for (const id of ids) {
    const bytes = files.get(`${folder}/${id}`);
    if (!bytes) return refuse(`${folder}/${id}`, 'is used by the desk but missing');
    if (digestOf(bytes) !== id) return refuse(`${folder}/${id}`, 'is not the file that its name says');
    taken.push({ id, bytes });
  }
  return { ok: true, value: taken };
}

class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

function unpack(bytes: Uint8Array): Result<Map<string, Uint8Array>> {
  if (bytes.length > BUNDLE_LIMITS.file) return refuse('', `is larger than ${BUNDLE_LIMITS.file / MIB} MiB`);
  // Local file header, or the end record of an empty archive.
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);
  if (!isZip) return refuse('', 'is not a ZIP archive');
  let entries = 0;
  let total = 0;
  const names = new Set<string>();
  try {
    const files = unzipSync(bytes, {
      filter({ name, size, originalSize }) {
        const stop = (message: string) => new Refusal({ path: name, message });
        if (++entries > BUNDLE_LIMITS.entries)
          throw new Refusal({ path: '', message: `has more than ${BUNDLE_LIMITS.entries} entries` });
        if (isOutside(name)) throw stop('lies outside the archive');
        if (names.has(name)) throw stop('is there twice');
        names.add(name);
        total += originalSize;
        if (originalSize > BUNDLE_LIMITS.entry) throw stop(`is larger than ${BUNDLE_LIMITS.entry / MIB} MiB`);
        if (total > BUNDLE_LIMITS.total)
          throw stop(`brings the archive over ${BUNDLE_LIMITS.total / MIB} MiB`);
        if (originalSize > MIB && originalSize > size * BUNDLE_LIMITS.ratio)
          throw stop('is packed too tightly to be honest');
        return !name.endsWith('/');
      },
    });
    return { ok: true, value: new Map(Object.entries(files)) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: [error.problem] };
    return refuse('', 'is a damaged ZIP archive');
  }
}

function isOutside(name: string): boolean {
  return (
    /^([a-z]:|[/\\])/i.test(name) ||
    name.includes('\\') ||
    name.includes('\0') ||
    name.split('/').includes('..')
  );
}

function checkManifest(files: ReadonlyMap<string, Uint8Array>): Problem | null {
  const text = files.get('manifest.json');
  if (!text) return { path: 'manifest.json', message: 'is missing' };
  let manifest: z.infer<typeof Manifest>;
  try {
    manifest = Manifest.parse(JSON.parse(strFromU8(text)));
  } catch {
    return { path: 'manifest.json', message: 'is not a manifest' };
  }
  if (manifest.format > BUNDLE_FORMAT) {
    return {
      path: 'manifest.json',
      message: `has format ${manifest.format}, newer than the ${BUNDLE_FORMAT} that this version reads`,
    };
  }
  const listed = new Map(manifest.files.map((file) => [file.name, file]));
  for (const [name, { sha256: digest }] of listed) {
    const bytes = files.get(name);
    if (!bytes) return { path: name, message: 'is listed but missing' };
    if (digestOf(bytes) !== digest)
      return { path: name, message: 'does not match its digest: it was changed or damaged' };
  }
  for (const name of files.keys()) {
    if (name !== 'manifest.json' && !listed.has(name))
      return { path: name, message: 'is not listed in the manifest' };
  }
  return null;
}
