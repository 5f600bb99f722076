import { existsSync, mkdirSync } from 'node:fs';
import { open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pieceIds } from '../../core/sources/sound/pieces.ts';
import type { Track } from '../../core/sources/sound/schema.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import type { Helpers } from '../helpers/pool.ts';
import { HttpProblem } from '../http/problem.ts';
import type { PictureStore } from '../pictures/store.ts';
import { typeOfSound } from './inspect.ts';

/** Another number makes the pieces anew. */
const PIECES_VERSION = 1;

/** Sounds: files of one's own, and the project's pieces in a folder, each made when it is first asked for. */
export function createSoundStore(
  files: OwnFiles,
  pieces: string,
  { helpers, incoming, pictures }: { helpers: Helpers; incoming: Incoming; pictures: PictureStore },
) {
  mkdirSync(pieces, { recursive: true });
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
    ...files,

    async typeOf(id: string): Promise<string> {
      const file = await open(files.pathOf(id));
      try {
        const { buffer } = await file.read(Buffer.alloc(16), 0, 16, 0);
        return typeOfSound(buffer) ?? 'application/octet-stream';
      } finally {
        await file.close();
      }
    },

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
        await files.keep(out, found.id);
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
