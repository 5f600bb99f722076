import { Zip, ZipPassThrough } from 'fflate';
import { create } from 'zustand';
import { SET_LIMITS } from '../../../core/icons/sets/index-file.ts';
import type { ListedIconSet } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';
import { loadIconSets } from '../../session/icon-sets.ts';
import { toast } from '../../ui/toast.ts';

/** What is taken as a set of icons, by the ending of its name, for file dialogs. */
export const ICON_ARCHIVES = '.zip,.tar,.tgz,.tar.gz,application/zip,application/gzip,application/x-tar';

/** How far what is being taken in has come; null where nothing is. */
interface Taking {
  name: string;
  drawn: number;
  /** 0 until that is known. */
  of: number;
}

export const useTakingIcons = create<{ taking: Taking | null }>()(() => ({ taking: null }));

/** Takes in an archive of icons, and says what came of it; null where nothing did. */
export async function takeIcons(file: Blob, name: string): Promise<readonly ListedIconSet[] | null> {
  if (useTakingIcons.getState().taking) {
    toast.error(`${name}: another set is being taken in; wait until it is here.`);
    return null;
  }
  const tell = (drawn: number, of: number) => useTakingIcons.setState({ taking: { name, drawn, of } });
  tell(0, 0);
  try {
    if (file.size > SET_LIMITS.bytes)
      throw new Error(`is larger than ${SET_LIMITS.bytes / 2 ** 20} MiB; nothing was changed.`);
    const { sets, undrawn } = await api.addIconSets(file, name, tell);
    await loadIconSets();
    const left = undrawn > 0 ? ` ${undrawn} pictures could not be drawn and were left out.` : '';
    toast.success(
      sets
        .map((set) => `${set.name} is here: ${set.found} of ${set.found + set.missing.length} signs found.`)
        .join(' ') + left,
    );
    return sets;
  } catch (error) {
    toast.error(`${name}: ${(error as Error).message}`);
    return null;
  } finally {
    useTakingIcons.setState({ taking: null });
  }
}

/** A file of a folder, by its path in it. */
interface InFolder {
  path: string;
  file: File;
}

/** Takes in a folder, packed as it lies. */
export async function takeIconFolder(
  name: string,
  files: readonly InFolder[],
): Promise<readonly ListedIconSet[] | null> {
  const wanted = files.filter(({ path }) => /\.(svg|png)$|(^|\/)index\.theme$/i.test(path));
  if (wanted.length === 0) {
    toast.error(`${name}: holds no SVG or PNG; nothing was changed.`);
    return null;
  }
  const bytes = wanted.reduce((sum, { file }) => sum + file.size, 0);
  if (wanted.length > SET_LIMITS.files + 100 || bytes > SET_LIMITS.bytes) {
    toast.error(
      `${name}: holds more than ${SET_LIMITS.files} pictures or ${SET_LIMITS.bytes / 2 ** 20} MiB; nothing was changed.`,
    );
    return null;
  }
  const chunks: Uint8Array<ArrayBuffer>[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    chunks.push(chunk as Uint8Array<ArrayBuffer>);
  });
  for (const { path, file } of wanted) {
    const entry = new ZipPassThrough(path);
    zip.add(entry);
    entry.push(new Uint8Array(await file.arrayBuffer()), true);
  }
  zip.end();
  return takeIcons(new Blob(chunks, { type: 'application/zip' }), name);
}

/** The files of a folder that was chosen, each by its path below it. */
export function chosenFolder(files: readonly File[]): { name: string; files: InFolder[] } {
  const name = files[0]?.webkitRelativePath.split('/')[0] ?? 'Icons';
  return {
    name,
    files: files.map((file) => ({ path: file.webkitRelativePath.split('/').slice(1).join('/'), file })),
  };
}

/** How deep folders that are dropped are looked through. */
const MOST_DEEP = 8;

/** The files of a folder that was dropped. */
export async function droppedFolder(folder: FileSystemDirectoryEntry): Promise<InFolder[]> {
  const found: InFolder[] = [];
  async function walk(entry: FileSystemDirectoryEntry, path: string, deep: number): Promise<void> {
    const reader = entry.createReader();
    for (;;) {
      // A browser gives so many at a time, and none at the end.
      const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
        reader.readEntries(resolve, reject),
      );
      if (some.length === 0 || found.length > 4 * SET_LIMITS.files) return;
      for (const one of some) {
        const at = `${path}${one.name}`;
        if (one.isDirectory) {
          if (deep < MOST_DEEP) await walk(one as FileSystemDirectoryEntry, `${at}/`, deep + 1);
          continue;
        }
        const file = await new Promise<File>((resolve, reject) =>
          (one as FileSystemFileEntry).file(resolve, reject),
        );
        found.push({ path: at, file });
      }
    }
  }
  await walk(folder, '', 0);
  return found;
}
