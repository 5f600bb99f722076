import { SET_LIMITS } from './index-file.ts';

/** A path in an archive, and the file that its bytes are of. */
export interface Named {
  path: string;
  file: string;
}

/** How many links one name may lead through. */
const MOST_HOPS = 12;
/** How many names are looked at: links to folders of links may grow without end. */
const MOST_STEPS = 60_000;

/** What lies in a folder of an archive. */
type Folder = Map<string, Node>;
type Node = { file: string } | { link: string } | { folder: Folder };

/**
 * Every name that an archive has for its files, links followed: to files and to folders, never out of the archive and never
 * in circles. `links` are paths and what they point at, as their own folder sees it.
 */
export function namesIn(files: readonly string[], links: ReadonlyMap<string, string>): Named[] {
  const root: Folder = new Map();
  for (const file of files) put(root, partsOf(file), { file });
  for (const [path, link] of links) put(root, partsOf(path), { link });
  const found: Named[] = [];
  let steps = 0;

  function walk(folder: Folder, path: readonly string[], within: ReadonlySet<Folder>): void {
    for (const [name, node] of folder) {
      if (++steps > MOST_STEPS || found.length >= SET_LIMITS.icons) return;
      const at = [...path, name];
      const real = 'link' in node ? follow(root, at, MOST_HOPS) : node;
      if (!real) continue;
      if ('file' in real) found.push({ path: at.join('/'), file: real.file });
      else if ('folder' in real && !within.has(real.folder) && at.length < MOST_HOPS)
        walk(real.folder, at, new Set([...within, real.folder]));
    }
  }
  walk(root, [], new Set([root]));
  return found;
}

function put(root: Folder, parts: readonly string[], node: Node): void {
  let folder = root;
  for (const part of parts.slice(0, -1)) {
    let next = folder.get(part);
    if (!next) folder.set(part, (next = { folder: new Map() }));
    // A file or a link stands where a folder would be: what lies beneath is nowhere.
    if (!('folder' in next)) return;
    folder = next.folder;
  }
  const last = parts.at(-1);
  if (last !== undefined && !folder.has(last)) folder.set(last, node);
}

/** What a path leads to in the end; null where that is nowhere, outside, or too far. */
function follow(root: Folder, path: readonly string[], hops: number): Exclude<Node, { link: string }> | null {
  let node: Node = { folder: root };
  for (const [index, part] of path.entries()) {
    if (!('folder' in node)) return null;
    const next: Node | undefined = node.folder.get(part);
    if (!next) return null;
    if ('link' in next) {
      const led = hops > 0 ? targetOf(path.slice(0, index), next.link) : null;
      return led && follow(root, [...led, ...path.slice(index + 1)], hops - 1);
    }
    node = next;
  }
  return 'link' in node ? null : node;
}

/** Where a link in a folder points; null where that is out of the archive. */
function targetOf(folder: readonly string[], link: string): string[] | null {
  if (link.startsWith('/') || link.includes('\0') || link.length > 1000) return null;
  const path = [...folder];
  for (const part of link.split('/')) {
    if (part === '..') {
      if (path.pop() === undefined) return null;
    } else if (part !== '' && part !== '.') path.push(part);
  }
  return path;
}

/** The parts of a path that stays within its archive; none of one that doesn't. */
function partsOf(path: string): string[] {
  const parts = path.split('/').filter((part) => part !== '' && part !== '.');
  return path.startsWith('/') || path.includes('\\') || path.includes('\0') || parts.includes('..')
    ? []
    : parts;
}
