import { existsSync, mkdirSync } from 'node:fs';
import { open, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pieceIds } from '../../core/sources/sound/pieces.ts';
import type { Track } from '../../core/sources/sound/schema.ts';
import type { Incoming } from '../files/incoming.ts';
import type { Helpers } from '../helpers/pool.ts';
import { HttpProblem } from '../http/problem.ts';
import type { PictureStore } from '../pictures/store.ts';
import { typeOfSound } from './inspect.ts';

/** Another number makes the pieces anew. */
const PIECES_VERSION = 1;

interface Folders {
  /** Of sounds of one's own. */
  own: string;
  /** Of the project's pieces, which can be made again. */
  pieces: string;
}

/** Sounds: files of one's own under the digest of their bytes, and the project's pieces, each made when it is first asked for. */
export function createSoundStore(
  { own, pieces }: Folders,
  { helpers, incoming, pictures }: { helpers: Helpers; incoming: Incoming; pictures: PictureStore },
) {
  mkdirSync(own, { recursive: true });
  mkdirSync(pieces, { recursive: true });
  const pathOf = (id: string) => join(own, id);
  const has = (id: string) => /^[0-9a-f]{64}$/.test(id) && existsSync(pathOf(id));
  const making = new Map<string, Promise<string>>();

  async function make(piece: string): Promise<string> {
    const path = join(pieces, `${piece}-${PIECES_VERSION}.wav`);
    if (existsSync(path)) return path;
    const out = incoming.newPath();
    try {
      await helpers.run('makePiece', { piece, out });
      await incoming.moveTo(out, path);
    } finally {
      await rm(out, { force: true });
    }
    return path;
  }

  return {
    has,
    pathOf,
    read: (id: string): Promise<Buffer> => readFile(pathOf(id)),
    /** Bytes of a sound that is there. */
    size: async (id: string): Promise<number> => (await stat(pathOf(id))).size,

    async typeOf(id: string): Promise<string> {
      const file = await open(pathOf(id));
      try {
        const { buffer } = await file.read(Buffer.alloc(16), 0, 16, 0);
        return typeOfSound(buffer) ?? 'application/octet-stream';
      } finally {
        await file.close();
      }
    },

    /** Moves the file of an inspected sound to where it belongs. */
    keep: (path: string, id: string): Promise<void> => incoming.moveTo(path, pathOf(id)),

    /** Where one of the project's pieces lies; null where there is none of that name. */
    async piece(name: string): Promise<string | null> {
      if (!pieceIds.some((id) => id === name)) return null;
      let made = making.get(name);
      if (!made) {
        made = make(name).finally(() => making.delete(name));
        making.set(name, made);
      }
      return made;
    },

    /** Takes in a sound with its title and cover. Throws HttpProblem on anything else. */
    async add(path: string, fileName: string): Promise<Omit<Track, 'id'>> {
      const out = incoming.newPath();
      const cover = incoming.newPath();
      try {
        const found = await helpers.run('inspectSound', { path, out, cover });
        if (!found.ok)
          throw new HttpProblem(415, 'Not a usable sound', `This file ${found.reason}; nothing was changed.`);
        await incoming.moveTo(out, pathOf(found.id));
        // A cover that is no picture is no reason to refuse what is heard.
        const picture = found.hasCover ? await pictures.add(cover, 'cover').catch(() => null) : null;
        const { title, by, album, seconds, id } = found;
        return {
          title: title || fileName.replace(/\.\w+$/, '').slice(0, 200),
          by,
          album,
          seconds,
          from: { by: 'file', file: `own:${id}` },
          cover: picture && `own:${picture.id}`,
        };
      } finally {
        await rm(out, { force: true });
        await rm(cover, { force: true });
      }
    },
  };
}

export type SoundStore = ReturnType<typeof createSoundStore>;
