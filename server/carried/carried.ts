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
import type { WornIcons } from '../../core/icons/schema.ts';
import { iconsUsed } from '../../core/desk/used-icons.ts';
import { digestOf } from '../files/digest.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import type { FontStore } from '../fonts/store.ts';
import type { Helpers } from '../helpers/pool.ts';
import { refusal } from '../http/problem.ts';
import type { PictureStore } from '../pictures/store.ts';
import type { IconSetStore } from '../icons/store.ts';
import type { SoundStore } from '../sounds/store.ts';

/** What desks and kits bring along and take out: pictures, fonts, sounds and sets of icons, by what they are. */
export interface Stores {
  pictures: PictureStore;
  fonts: FontStore;
  sounds: SoundStore;
  iconSets: IconSetStore;
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
      throw refusal(kind === 'icon-set' ? 'An icon set is missing' : `A ${kind} is missing`, [
        {
          path: placeOf[kind],
          message: `names ${kind === 'icon-set' ? 'an icon set' : `a ${kind}`} that the server does not have: ${id.slice(0, 8)}…`,
        },
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
const placeOf = {
  picture: 'desk',
  font: 'look.ownFonts',
  sound: 'sources.sound',
  'icon-set': 'look.icons',
} as const;

const storeOf = (kind: FileKind, { pictures, fonts, sounds, iconSets }: Stores): OwnFiles =>
  ({ picture: pictures, font: fonts, sound: sounds, 'icon-set': iconSets })[kind];

/**
 * Sends a desk or a kit with its files, one of them in memory at a time. Of sets of icons only what the desk uses goes along,
 * unless they are wanted whole.
 */
export async function sendBundle(
  response: Response,
  given: Carried,
  { areSetsWhole, ...stores }: Stores & { areSetsWhole: boolean },
): Promise<void> {
  const desk = areSetsWhole ? given.desk : await withCutSets(given.desk, stores.iconSets);
  const carried = { ...given, desk };
  const { kit } = carried;
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

/** The same desk with sets that hold no more than it uses. */
async function withCutSets(desk: Desk, iconSets: IconSetStore): Promise<Desk> {
  const cut = new Map<string, string>();
  for (const id of filesOf(desk, 'icon-set'))
    cut.set(id, await iconSets.cut(id, (index) => iconsUsed(desk, index)));
  return withSets(desk, cut);
}

/** The same desk with other sets of icons in place of some, by their SHA-256. */
function withSets(desk: Desk, others: ReadonlyMap<string, string>): Desk {
  if (others.size === 0) return desk;
  const { icons } = desk.look;
  const other = <Worn extends WornIcons>(worn: Worn): Worn => {
    const id = worn.own && others.get(worn.own.set.slice('own:'.length));
    return worn.own && id ? { ...worn, own: { ...worn.own, set: `own:${id}` } } : worn;
  };
  return {
    ...desk,
    look: { ...desk.look, icons: { ...other(icons), dark: icons.dark && other(icons.dark) } },
  };
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
  { helpers, incoming, pictures, fonts, sounds, iconSets }: Stores & Taking,
): Promise<Carried> {
  const folder = incoming.newPath();
  try {
    const taken = await helpers.run('takeBundle', { path, folder });
    if (!taken.ok) throw refusal('Not taken in', taken.problems);
    // Files first: a desk is never on the shelf without what it shows. The desk names them by these very bytes.
    for (const { path: from, name, picture } of taken.pictures) await pictures.keepTaken(picture, from, name);
    for (const { path: from, id } of taken.fonts) await fonts.keep(from, id);
    for (const { path: from, id } of taken.sounds) await sounds.keep(from, id);
    const known = new Map<string, string>();
    for (const { path: from, id } of taken.iconSets) {
      const kept = await iconSets.keepTaken(from, id);
      if (kept !== id) known.set(id, kept);
    }
    const desk = withSets(taken.desk, known);
    return taken.kit ? { desk, kit: taken.kit } : { desk };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

export function fileNameOf(name: string): string {
  return name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'desk';
}
