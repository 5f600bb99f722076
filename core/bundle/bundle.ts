import { Zip, ZipDeflate, ZipPassThrough, strFromU8, strToU8, unzipSync } from 'fflate';
import { z } from 'zod';
import { readDesk } from '../desk/read.ts';
import { MOST_SAID, readKitFacts, type KitFacts } from '../desk/kits/kit.ts';
import { DeskShape } from '../desk/schema.ts';
import { refuse, type Problem, type Result } from '../desk/problem.ts';
import { SET_LIMITS } from '../icons/sets/index-file.ts';
import { MOST_FONTS } from '../look/schema.ts';
import { MOST_TRACKS } from '../sources/sound/schema.ts';
import { DESK_LIMITS } from '../desk/limits.ts';
import type { Desk } from '../desk/desk.ts';
import { namingsIn, type ReferenceTo } from '../values/references.ts';

/**
 * A desk in one file: a ZIP with `manifest.json`, `desk.json`, and the pictures, fonts and sounds that the desk uses. With
 * `kit.json`, which says what of its dress is meant, it is a kit.
 */
export const BUNDLE_TYPE = 'application/zip';
export const BUNDLE_ENDING = '.ledge';
export const KIT_ENDING = '.ledgekit';
const BUNDLE_FORMAT = 1;
/** Sets of icons that a desk can name: one for each half. */
const MOST_SETS = 2;

const MIB = 1024 * 1024;

export const BUNDLE_LIMITS = {
  /** Bytes of the file as it comes: whatever the limits of a desk allow fits in. */
  file: 200 * MIB,
  entries: DESK_LIMITS.pictures + MOST_TRACKS + MOST_FONTS + MOST_SETS + 3,
  /** Bytes of the manifest. */
  manifest: MIB,
  /** Bytes of what is said of a kit. */
  kit: MOST_SAID,
  /** How many times larger than packed a file of more than a mebibyte may be; our own are not packed at all. */
  ratio: 200,
};

const Manifest = z.looseObject({
  format: z.number().int(),
  files: z
    .array(
      z.looseObject({
        name: z.string().max(200),
        size: z.number().int().min(0),
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
      }),
    )
    .max(BUNDLE_LIMITS.entries),
});

/** `id` is the SHA-256 of the bytes. */
interface BundleFile {
  id: string;
  bytes: Uint8Array;
}

export interface Bundle extends Carried {
  pictures: BundleFile[];
  fonts: BundleFile[];
  sounds: BundleFile[];
  iconSets: BundleFile[];
}

/** What a bundle is of: a desk, or a kit and the desk that wears it. */
export interface Carried {
  desk: Desk;
  kit?: KitFacts;
}

/** The SHA-256 of some bytes in hex; every platform has one of its own. */
export type DigestOf = (bytes: Uint8Array) => string;

/** The SHA-256 of each file of a kind that a desk names, once, in the order in which the desk names them. */
export function filesOf(desk: Desk, kind: FileKind): string[] {
  const names = namingsIn(DeskShape, desk, kind).map(({ name }) => name);
  return [...new Set(names.flatMap((name) => DIGEST.exec(name)?.[1] ?? []))];
}

/** A file of one's own, as backdrops and as all others name it; what else is named ships with the project. */
const DIGEST = /^(?:own:)?([0-9a-f]{64})$/;

/** Every file that a desk names, and where it stands in a bundle. */
export function allFilesOf(desk: Desk): { kind: FileKind; id: string; name: string }[] {
  return fileKinds.flatMap((kind) =>
    filesOf(desk, kind).map((id) => ({ kind, id, name: fileName(kind, id) })),
  );
}

/** Bytes of one file of each kind. */
const mostBytes: Record<FileKind, number> = {
  picture: DESK_LIMITS.picture,
  font: DESK_LIMITS.font,
  sound: DESK_LIMITS.sound,
  'icon-set': SET_LIMITS.bytes,
};

export interface FileNote {
  name: string;
  /** Bytes. */
  size: number;
  sha256: string;
}

const fileKinds = ['picture', 'font', 'sound', 'icon-set'] as const satisfies readonly ReferenceTo[];
export type FileKind = (typeof fileKinds)[number];

const fileName = (kind: FileKind, id: string) => `${kind}s/${id}`;

/**
 * Begins a bundle: `put` gets its bytes piece by piece. Every noted file is then added, in order, and nothing else. The
 * same desk and files give the same bytes.
 */
export function startBundle(
  { desk, kit }: Carried,
  files: readonly FileNote[],
  digestOf: DigestOf,
  put: (chunk: Uint8Array) => void,
) {
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    put(chunk);
  });
  function add(name: string, bytes: Uint8Array, isPacked: boolean) {
    const entry = isPacked ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    entry.mtime = '1990-01-01T00:00:00';
    zip.add(entry);
    entry.push(bytes, true);
  }
  // Easy to read where there is room for it.
  const spacious = strToU8(JSON.stringify(desk, null, 2));
  const json = spacious.length <= DESK_LIMITS.json ? spacious : strToU8(JSON.stringify(desk));
  const facts = kit && strToU8(JSON.stringify(kit, null, 2));
  const noted = [
    ...(facts ? [{ name: 'kit.json', size: facts.length, sha256: digestOf(facts) }] : []),
    { name: 'desk.json', size: json.length, sha256: digestOf(json) },
    ...files,
  ];
  add('manifest.json', strToU8(JSON.stringify({ format: BUNDLE_FORMAT, files: noted }, null, 2)), true);
  if (facts) add('kit.json', facts, true);
  add('desk.json', json, true);
  return {
    /** Pictures, fonts and most sounds are packed already. */
    add: (name: string, bytes: Uint8Array) => add(name, bytes, false),
    end: () => zip.end(),
  };
}

/** The bytes of a whole bundle. */
export function writeBundle(
  { pictures, fonts, sounds, iconSets, ...carried }: Bundle,
  digestOf: DigestOf,
): Uint8Array {
  const files = [
    ...pictures.map(({ id, bytes }) => ({ name: fileName('picture', id), bytes })),
    ...fonts.map(({ id, bytes }) => ({ name: fileName('font', id), bytes })),
    ...sounds.map(({ id, bytes }) => ({ name: fileName('sound', id), bytes })),
    ...iconSets.map(({ id, bytes }) => ({ name: fileName('icon-set', id), bytes })),
  ];
  const notes = files.map(({ name, bytes }) => ({ name, size: bytes.length, sha256: digestOf(bytes) }));
  const chunks: Uint8Array[] = [];
  const bundle = startBundle(carried, notes, digestOf, (chunk) => chunks.push(chunk));
  for (const { name, bytes } of files) bundle.add(name, bytes);
  bundle.end();
  const whole = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}

/** A bundle from bytes that nobody vouches for, with all its files. */
export function readBundle(bytes: Uint8Array, digestOf: DigestOf): Result<Bundle> {
  const files: Record<FileKind, BundleFile[]> = { picture: [], font: [], sound: [], 'icon-set': [] };
  const carried = openBundle(bytes, digestOf, (kind, file) => void files[kind].push(file));
  const { picture: pictures, font: fonts, sound: sounds, 'icon-set': iconSets } = files;
  return carried.ok ? { ok: true, value: { ...carried.value, pictures, fonts, sounds, iconSets } } : carried;
}

type Take = (kind: FileKind, file: BundleFile) => void;

/**
 * Reads a bundle and hands over the files that its desk uses, one after another, so that no two need be held at once.
 * Nothing is unpacked beyond the limits. What was handed over counts only once the whole was found to be sound.
 */
export function openBundle(bytes: Uint8Array, digestOf: DigestOf, take: Take): Result<Carried> {
  try {
    return { ok: true, value: openOrThrow(bytes, digestOf, take) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: error.problems };
    return refuse('', 'is a damaged ZIP archive');
  }
}

function openOrThrow(bytes: Uint8Array, digestOf: DigestOf, take: Take): Carried {
  const sizes = entriesOf(bytes);
  const listed = readManifest(bytes, sizes);
  const kit = readKitEntry(bytes, sizes);
  const desk = readDeskEntry(bytes, sizes);
  const wanted = new Map(allFilesOf(desk).map((file) => [file.name, file]));
  if (filesOf(desk, 'picture').length > DESK_LIMITS.pictures)
    throw new Refusal('desk.json', `uses more than ${DESK_LIMITS.pictures} pictures`);
  for (const name of wanted.keys())
    if (!sizes.has(name)) throw new Refusal(name, 'is used by the desk but missing');

  let total = 0;
  for (const [name, digest] of listed) {
    const size = sizes.get(name);
    if (size === undefined) throw new Refusal(name, 'is listed but missing');
    const use = wanted.get(name);
    const most =
      name === 'desk.json'
        ? DESK_LIMITS.json
        : name === 'kit.json'
          ? BUNDLE_LIMITS.kit
          : mostBytes[use?.kind ?? 'picture'];
    if (size > most) throw new Refusal(name, `is larger than ${most / MIB} MiB`);
    total += size;
    if (total > DESK_LIMITS.files + DESK_LIMITS.json)
      throw new Refusal(name, `brings the files over ${DESK_LIMITS.files / MIB} MiB`);
    const content = extract(bytes, name);
    if (digestOf(content) !== digest)
      throw new Refusal(name, 'does not match its digest: it was changed or damaged');
    if (!use) continue;
    if (digest !== use.id) throw new Refusal(name, 'is not the file that its name says');
    take(use.kind, { id: use.id, bytes: content });
  }
  return kit ? { desk, kit } : { desk };
}

class Refusal extends Error {
  readonly problems: Problem[];
  constructor(path: string, message: string, problems: Problem[] = [{ path, message }]) {
    super(message);
    this.problems = problems;
  }
}

/** Every file in an archive with its size unpacked, none of them unpacked yet. */
function entriesOf(bytes: Uint8Array): Map<string, number> {
  if (bytes.length > BUNDLE_LIMITS.file)
    throw new Refusal('', `is larger than ${BUNDLE_LIMITS.file / MIB} MiB`);
  // Local file header, or the end record of an empty archive.
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);
  if (!isZip) throw new Refusal('', 'is not a ZIP archive');
  const sizes = new Map<string, number>();
  let entries = 0;
  unzipSync(bytes, {
    filter({ name, size, originalSize }) {
      if (++entries > BUNDLE_LIMITS.entries)
        throw new Refusal('', `has more than ${BUNDLE_LIMITS.entries} entries`);
      if (isOutside(name)) throw new Refusal(name, 'lies outside the archive');
      if (sizes.has(name)) throw new Refusal(name, 'is there twice');
      // The desk has a size of its own to keep to, and much alike in it may pack well.
      if (name !== 'desk.json' && originalSize > MIB && originalSize > size * BUNDLE_LIMITS.ratio)
        throw new Refusal(name, 'is packed too tightly to be honest');
      if (!name.endsWith('/')) sizes.set(name, originalSize);
      return false;
    },
  });
  return sizes;
}

function extract(bytes: Uint8Array, wanted: string): Uint8Array {
  const content = new Map(Object.entries(unzipSync(bytes, { filter: ({ name }) => name === wanted }))).get(
    wanted,
  );
  if (!content) throw new Refusal(wanted, 'is missing');
  return content;
}

function isOutside(name: string): boolean {
  return (
    /^([a-z]:|[/\\])/i.test(name) ||
    name.includes('\\') ||
    name.includes('\0') ||
    name.split('/').includes('..')
  );
}

/** The digest of each file by its name. Everything in the archive must be listed. */
function readManifest(bytes: Uint8Array, sizes: ReadonlyMap<string, number>): Map<string, string> {
  const path = 'manifest.json';
  const json = readJson(bytes, path, sizes, BUNDLE_LIMITS.manifest);
  const manifest = Manifest.safeParse(json);
  if (!manifest.success) throw new Refusal(path, 'is not a manifest');
  const { format, files } = manifest.data;
  if (format > BUNDLE_FORMAT)
    throw new Refusal(path, `has format ${format}, newer than the ${BUNDLE_FORMAT} that this version reads`);
  const listed = new Map(files.map(({ name, sha256: digest }) => [name, digest]));
  for (const name of sizes.keys())
    if (name !== path && !listed.has(name)) throw new Refusal(name, 'is not listed in the manifest');
  return listed;
}

/** What is said of a kit; null where the bundle is of a desk. */
function readKitEntry(bytes: Uint8Array, sizes: ReadonlyMap<string, number>): KitFacts | null {
  const path = 'kit.json';
  if (!sizes.has(path)) return null;
  const kit = readKitFacts(readJson(bytes, path, sizes, BUNDLE_LIMITS.kit));
  if (kit.ok) return kit.value;
  throw new Refusal(
    path,
    'is not a kit',
    kit.problems.map((problem) => ({ ...problem, path: `${path}: ${problem.path}` })),
  );
}

function readDeskEntry(bytes: Uint8Array, sizes: ReadonlyMap<string, number>): Desk {
  const desk = readDesk(readJson(bytes, 'desk.json', sizes, DESK_LIMITS.json));
  if (desk.ok) return desk.value;
  const problems = desk.problems.map(({ path, message }) => ({ path: `desk.json: ${path}`, message }));
  throw new Refusal('desk.json', 'is not a desk', problems);
}

function readJson(
  bytes: Uint8Array,
  name: string,
  sizes: ReadonlyMap<string, number>,
  most: number,
): unknown {
  const size = sizes.get(name);
  if (size === undefined) throw new Refusal(name, 'is missing');
  if (size > most) throw new Refusal(name, `is larger than ${most / MIB} MiB`);
  const text = strFromU8(extract(bytes, name));
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(name, 'is not JSON');
  }
}
