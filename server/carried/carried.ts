import { rm } from 'node:fs/promises';
import type { Response } from 'express';
import {
  allFilesOf,
  BUNDLE_ENDING,
  BUNDLE_TYPE,
  filesOf,
  KIT_ENDING,
  startBundle,
  type Carried,
  type FileKind,
} from '../../core/bundle/bundle.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import { digestOf } from '../files/digest.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import type { FontStore } from '../fonts/store.ts';
import type { Helpers } from '../helpers/pool.ts';
import { refusal } from '../http/problem.ts';
import type { PictureStore } from '../pictures/store.ts';
import type { SoundStore } from '../sounds/store.ts';

/** What desks and kits bring along and take out: pictures, fonts and sounds, by what they are. */
export interface Stores {
  pictures: PictureStore;
  fonts: FontStore;
  sounds: SoundStore;
}

export interface Taking {
  helpers: Helpers;
  incoming: Incoming;
}

/** Whether the server has what a desk names, and whether a file could carry it. Throws HttpProblem. */
export async function checkFiles(desk: Desk, stores: Stores): Promise<void> {
  if (filesOf(desk, 'picture').length > DESK_LIMITS.pictures)
    throw refusal('Too many pictures', [
      { path: 'backdrops', message: `use more than ${DESK_LIMITS.pictures} pictures` },
    ]);
  let bytes = 0;
  for (const { kind, id } of allFilesOf(desk)) {
    const files = storeOf(kind, stores);
    if (!files.has(id))
      throw refusal(`A ${kind} is missing`, [
        { path: placeOf[kind], message: `names a ${kind} that the server does not have: ${id.slice(0, 8)}…` },
      ]);
    bytes += await files.size(id);
  }
  if (bytes > DESK_LIMITS.files)
    throw refusal('Too large', [
      {
        path: '',
        message: `The pictures, fonts and sounds of this desk have ${Math.ceil(bytes / 2 ** 20)} MiB together; up to ${DESK_LIMITS.files / 2 ** 20} fit in a file.`,
      },
    ]);
}

/** Where a desk names files of a kind. */
const placeOf = { picture: 'desk', font: 'look.ownFonts', sound: 'sources.sound' } as const;

const storeOf = (kind: FileKind, { pictures, fonts, sounds }: Stores): OwnFiles =>
  ({ picture: pictures, font: fonts, sound: sounds })[kind];

/** Sends a desk or a kit with its files, one of them in memory at a time. */
export async function sendBundle(response: Response, carried: Carried, stores: Stores): Promise<void> {
  const { desk, kit } = carried;
  const files = await Promise.all(
    allFilesOf(desk).map(async ({ kind, id, name }) => {
      const store = storeOf(kind, stores);
      return { name, sha256: id, size: await store.size(id), read: () => store.read(id) };
    }),
  );
  response
    .type(BUNDLE_TYPE)
    .attachment(`${fileNameOf((kit ?? desk).name)}${kit ? KIT_ENDING : BUNDLE_ENDING}`);
  const notes = files.map(({ name, size, sha256 }) => ({ name, size, sha256 }));
  const bundle = startBundle(carried, notes, digestOf, (chunk) => void response.write(chunk));
  for (const { name, read } of files) {
    bundle.add(name, await read());
    await drained(response);
    if (response.destroyed) return;
  }
  bundle.end();
  response.end();
}

function drained(response: Response): Promise<void> {
  return new Promise((resolve) => {
    if (response.destroyed || !response.writableNeedDrain) {
      resolve();
      return;
    }
    response.once('drain', resolve);
    response.once('close', resolve);
  });
}

/** Takes in the files of a bundle and gives back what it is of. Throws HttpProblem; then nothing was taken. */
export async function takeIn(
  path: string,
  { helpers, incoming, pictures, fonts, sounds }: Stores & Taking,
): Promise<Carried> {
  const folder = incoming.newPath();
  try {
    const taken = await helpers.run('takeBundle', { path, folder });
    if (!taken.ok) throw refusal('Not taken in', taken.problems);
    // Files first: a desk is never on the shelf without what it shows. The desk names them by these very bytes.
    for (const { path: from, name, picture } of taken.pictures) await pictures.keepTaken(picture, from, name);
    for (const { path: from, id } of taken.fonts) await fonts.keep(from, id);
    for (const { path: from, id } of taken.sounds) await sounds.keep(from, id);
    return taken.kit ? { desk: taken.desk, kit: taken.kit } : { desk: taken.desk };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

export function fileNameOf(name: string): string {
  return name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'desk';
}
