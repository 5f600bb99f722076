import { nanoid } from 'nanoid';
import { named } from '../../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../../core/desk/edits/edits.ts';
import {
  MOST_PLAYLIST_BYTES,
  PLAYLIST_ENDING,
  type PlaylistEntry,
  type ReadPlaylist,
} from '../../../../../core/sound/playlists.ts';
import { MOST_TRACKS, plainSound, type Track } from '../../../../../core/sources/sound/schema.ts';
import { api } from '../../../../api/client.ts';
import { presentDesk, useDesk } from '../../../../session/desk.ts';
import { readInWorker } from '../../../../workers/files.ts';
import { WorkProblem } from '../../../../workers/remote.ts';
import { toast } from '../../../../ui/toast.ts';

export const SOUND_TYPES = 'audio/*,.mp3,.ogg,.opus,.flac,.wav,.m4a,.xspf,.m3u,.m3u8';

const listed = (names: readonly string[]) =>
  names.length > 4 ? `${names.slice(0, 4).join(', ')} and ${names.length - 4} more` : names.join(', ');

/** Takes files into the desk's list: sounds as they come, and playlists as the order of what is there. */
export async function takeSounds(files: readonly File[]): Promise<void> {
  const added: Track[] = [];
  const given = new Map<string, Track>();
  const refused: string[] = [];
  const playlists = files.filter(({ name }) => PLAYLIST_ENDING.test(name));
  for (const file of files.filter((one) => !playlists.includes(one))) {
    try {
      const track: Track = { id: nanoid(8), ...(await api.addSound(file)) };
      added.push(track);
      given.set(file.name.toLowerCase(), track);
    } catch (error) {
      refused.push(`“${file.name}”: ${(error as Error).message}`);
    }
  }
  for (const file of playlists) {
    const read = await readPlaylist(file);
    if (!read.ok) {
      refused.push(`“${file.name}” ${read.reason}.`);
      continue;
    }
    const { found, missing } = await match(read.entries, given);
    // In the order of the playlist, and each once.
    const rest = added.filter((track) => !found.includes(track));
    added.splice(0, added.length, ...found, ...rest);
    if (missing.length > 0)
      refused.push(
        `Of “${file.name}” these are not here: ${listed(missing)}. Choose their files together with it.`,
      );
  }
  const before = presentDesk()?.sources.sound.tracks ?? [];
  const fresh = added.filter(({ id }) => before.every((one) => one.id !== id));
  const tracks = [...before, ...fresh];
  if (fresh.length > 0) {
    if (tracks.length > MOST_TRACKS)
      refused.push(`A list holds ${MOST_TRACKS} pieces; the rest was left out.`);
    useDesk
      .getState()
      .edit(
        named(
          fresh.length === 1 ? `Add “${fresh[0]?.title}”`.slice(0, 80) : `Add ${fresh.length} pieces`,
          edits.setSound({ tracks: tracks.slice(0, MOST_TRACKS) }),
        ),
      );
  } else if (added.length > 0) toast('All of that is on the list already.');
  if (refused.length > 0) toast.warning(listed(refused), { duration: 15_000 });
}

/** What a playlist names, among the pieces of the project, the desk's own list, files given along, and what the server has. */
async function match(
  entries: readonly PlaylistEntry[],
  given: ReadonlyMap<string, Track>,
): Promise<{ found: Track[]; missing: string[] }> {
  const mine = presentDesk()?.sources.sound.tracks ?? [];
  const found: Track[] = [];
  const missing: string[] = [];
  for (const entry of entries) {
    const track =
      given.get(entry.file.toLowerCase()) ??
      mine.find((one) => isSame(one, entry)) ??
      pieceOf(entry) ??
      (await fromServer(entry));
    if (track) found.push(found.includes(track) ? { ...track, id: nanoid(8) } : track);
    else missing.push(entry.title || entry.file || 'one without a name');
  }
  return { found, missing };
}

function isSame({ from, title, by }: Track, { known, ...entry }: PlaylistEntry): boolean {
  if (known?.by === 'file') return from.by === 'file' && from.file === `own:${known.id}`;
  if (known?.by === 'piece') return from.by === 'piece' && from.piece === known.piece;
  if (entry.title !== '' && title === entry.title && by === entry.by) return true;
  // Where a file said nothing of itself, its name became its title.
  return entry.file !== '' && by === '' && title === entry.file.replace(/\.[^.]+$/, '');
}

function pieceOf({ known }: PlaylistEntry): Track | undefined {
  const piece = plainSound.tracks.find(
    ({ from }) => known?.by === 'piece' && from.by === 'piece' && from.piece === known.piece,
  );
  return piece && { ...piece, id: nanoid(8) };
}

async function fromServer({ known, title, by, album, seconds }: PlaylistEntry): Promise<Track | undefined> {
  if (known?.by !== 'file' || !seconds || !(await api.hasSound(known.id))) return undefined;
  return {
    id: nanoid(8),
    title,
    by,
    album,
    seconds,
    from: { by: 'file', file: `own:${known.id}` },
    cover: null,
  };
}

async function readPlaylist(file: File): Promise<ReadPlaylist> {
  if (file.size > MOST_PLAYLIST_BYTES) return { ok: false, reason: 'is larger than a playlist can be' };
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    return await readInWorker<ReadPlaylist>((readers) => readers.readPlaylist(bytes));
  } catch (error) {
    const why = error instanceof WorkProblem ? error.message : 'it can’t be read';
    return { ok: false, reason: `was not taken: ${why}` };
  }
}
