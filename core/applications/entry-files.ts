import { strToU8, unzipSync, zipSync } from 'fflate';
import type { Application } from '../desk/shapes/applications.ts';
import { MOST_BYTES, readDesktopEntry, writeDesktopEntry, type EntryProblem } from './desktop-entry.ts';

/** Several .desktop files, by themselves or in a ZIP. */

/** Files in one go, and bytes of a ZIP. */
const MOST_FILES = 1000;
export const MOST_ZIP = 20 * 1024 * 1024;
/** Bytes that come out of one ZIP. */
const MOST_UNPACKED = 32 * 1024 * 1024;

export interface NamedFile {
  name: string;
  /** Null where the file is larger than MOST_ZIP: it need not be read to be refused. */
  bytes: Uint8Array | null;
}

/** What came of one file. */
export interface FileRead {
  file: string;
  application: Application | null;
  hidden: string | null;
  problems: EntryProblem[];
}

/** Reads files and ZIPs of them. `taken` are ids that are in use. */
export function readEntryFiles(
  files: readonly NamedFile[],
  languages: readonly string[],
  taken: Iterable<string>,
): FileRead[] {
  const ids = new Set(taken);
  return files.slice(0, MOST_FILES).flatMap(({ name, bytes }) => {
    if (bytes === null || bytes.length > MOST_ZIP)
      return [refused(name, `is larger than ${MOST_ZIP / 1024 / 1024} MB`)];
    return isZip(bytes) ? readZip(name, bytes, languages, ids) : [readOne(name, bytes, languages, ids)];
  });
}

function readOne(name: string, bytes: Uint8Array, languages: readonly string[], ids: Set<string>): FileRead {
  const { application, ...rest } = readDesktopEntry(bytes, languages);
  return { file: name, application: application && { id: newId(name, ids), ...application }, ...rest };
}

/** A file of which nothing is taken. */
function refused(file: string, sentence: string): FileRead {
  return { file, application: null, hidden: null, problems: [{ line: 0, sentence }] };
}

function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;
}

/** What of a ZIP ends in .desktop; nothing larger than an entry may be is unpacked. */
function readZip(
  name: string,
  bytes: Uint8Array,
  languages: readonly string[],
  ids: Set<string>,
): FileRead[] {
  const wrong = (sentence: string) => [refused(name, sentence)];
  let [count, unpacked] = [0, 0];
  const large: string[] = [];
  try {
    const inside = unzipSync(bytes, {
      filter({ name: path, originalSize }) {
        if (!path.toLowerCase().endsWith('.desktop') || ++count > MOST_FILES) return false;
        if (originalSize > MOST_BYTES) large.push(path);
        if (originalSize > MOST_BYTES || unpacked + originalSize > MOST_UNPACKED) return false;
        unpacked += originalSize;
        return true;
      },
    });
    const read = Object.entries(inside).map(([path, content]) => readOne(path, content, languages, ids));
    const tooLarge = large.flatMap((path) => wrong(`holds ${path.slice(-80)}, which is too large`));
    const isCut = count > MOST_FILES || Object.keys(inside).length + large.length < count;
    const tooMany = isCut ? wrong('holds more than is taken in one go: the rest was left') : [];
    return read.length + large.length === 0
      ? wrong('holds no .desktop file')
      : [...read, ...tooLarge, ...tooMany];
  } catch {
    return wrong('is no ZIP that can be read');
  }
}

/** An id from the name of a file, told apart from those in use. */
function newId(name: string, ids: Set<string>): string {
  const base =
    (name.split('/').at(-1) ?? '')
      .replace(/\.desktop$/i, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 56) || 'application';
  let id = base;
  for (let number = 2; ids.has(id); number++) id = `${base}-${number}`;
  ids.add(id);
  return id;
}

/** The applications as .desktop files in a ZIP. */
export function zipEntries(applications: readonly Application[]): Uint8Array {
  return zipSync(
    Object.fromEntries(
      applications.map((application) => [
        `${fileName(application)}`,
        strToU8(writeDesktopEntry(application)),
      ]),
    ),
  );
}

export function fileName({ id }: Pick<Application, 'id'>): string {
  return `${id.replace(/[^A-Za-z0-9._-]+/g, '-')}.desktop`;
}
