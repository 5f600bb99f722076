import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

let count = 0;
let folder: string | null = null;

/** A file of its own with these bytes; the path of it. */
export function fileOf(bytes: Uint8Array): string {
  folder ??= mkdtempSync(join(tmpdir(), 'velvet-files-'));
  const path = join(folder, String(count++));
  writeFileSync(path, bytes);
  return path;
}

/** A path at which nothing is yet. */
export function newPath(): string {
  return `${fileOf(new Uint8Array())}-new`;
}
