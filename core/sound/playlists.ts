import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { z } from 'zod';
import { MOST_SECONDS, MOST_TRACKS, type Track } from '../sources/sound/schema.ts';

/**
 * Playlists, in and out: XSPF (version 1) and M3U8. What a playlist names is never opened: a name is matched with sounds
 * that are there already, or that are given along with it.
 */

/** One entry: what it is called, and the name of its file without the way to it. */
export interface PlaylistEntry {
  title: string;
  by: string;
  album: string;
  seconds: number | null;
  file: string;
  /** SHA-256 of its sound, or a piece of the project's own; null where it says neither. */
  known: { by: 'file'; id: string } | { by: 'piece'; piece: string } | null;
}

export type ReadPlaylist = { ok: true; entries: PlaylistEntry[] } | { ok: false; reason: string };

export const MOST_PLAYLIST_BYTES = 2 * 2 ** 20;
export const PLAYLIST_ENDING = /\.(xspf|m3u8?)$/i;

const DIGEST = 'urn:sha256:';
const PIECE = 'urn:velvet-ledge:piece:';

const words = (text: unknown) =>
  (typeof text === 'string' || typeof text === 'number' ? String(text) : '')
    .replace(/\p{Cc}+/gu, ' ')
    .trim()
    .slice(0, 200);

/** Reads either kind, told apart by what stands in it. */
export function readPlaylist(bytes: Uint8Array): ReadPlaylist {
  if (bytes.length > MOST_PLAYLIST_BYTES) return { ok: false, reason: 'is larger than a playlist can be' };
  const text = decode(bytes);
  const read = /^\s*</.test(text) ? readXspf(text) : readM3u(text);
  if (!read.ok) return read;
  if (read.entries.length === 0) return { ok: false, reason: 'names nothing to play' };
  if (read.entries.length > MOST_TRACKS)
    return { ok: false, reason: `names more than ${MOST_TRACKS} pieces` };
  return read;
}

/** UTF-16 by its mark, UTF-8 where it is sound, else as old programs wrote it. */
function decode(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** The last part of a path or an address: of a way that leads elsewhere nothing is left. */
function fileName(location: string): string {
  const bare = location.split(/[?#]/)[0] ?? '';
  const last = bare.split(/[/\\]/).at(-1) ?? '';
  if (!/%[0-9a-f]{2}/i.test(last)) return last.slice(0, 200);
  try {
    return (decodeURIComponent(last).split(/[/\\]/).at(-1) ?? '').slice(0, 200);
  } catch {
    return last.slice(0, 200);
  }
}

function knownFrom(identifier: string): PlaylistEntry['known'] {
  const digest = identifier.startsWith(DIGEST) ? identifier.slice(DIGEST.length) : '';
  if (/^[0-9a-f]{64}$/.test(digest)) return { by: 'file', id: digest };
  return identifier.startsWith(PIECE)
    ? { by: 'piece', piece: identifier.slice(PIECE.length, PIECE.length + 40) }
    : null;
}

const listOf = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined ? [] : [value];
const Playlist = z.looseObject({
  playlist: z.looseObject({
    trackList: z.union([z.looseObject({ track: z.unknown() }), z.string()]).optional(),
  }),
});
const Entry = z.looseObject({});

function readXspf(text: string): ReadPlaylist {
  if (/<!DOCTYPE|<!ENTITY/i.test(text))
    return { ok: false, reason: 'brings definitions of its own, which a playlist has no use for' };
  if (XMLValidator.validate(text) !== true) return { ok: false, reason: 'is damaged: it is not XML' };
  const parser = new XMLParser({
    removeNSPrefix: true,
    parseTagValue: false,
    htmlEntities: true,
    trimValues: true,
    maxNestedTags: 60,
  });
  let parsed: unknown;
  try {
    parsed = parser.parse(text);
  } catch {
    return { ok: false, reason: 'is damaged: it is not XML' };
  }
  const found = Playlist.safeParse(parsed);
  if (!found.success) return { ok: false, reason: 'is not a playlist (XSPF)' };
  const { trackList } = found.data.playlist;
  const tracks = typeof trackList === 'object' ? listOf(trackList['track']) : [];
  return {
    ok: true,
    entries: tracks.slice(0, MOST_TRACKS + 1).flatMap((track) => {
      const entry = Entry.safeParse(track);
      if (!entry.success) return [];
      const first = (key: string) => words(listOf(new Map(Object.entries(entry.data)).get(key))[0]);
      const ms = Number(first('duration'));
      return [
        {
          title: first('title'),
          by: first('creator'),
          album: first('album'),
          seconds: ms > 0 && ms <= MOST_SECONDS * 1000 ? ms / 1000 : null,
          file: fileName(first('location')),
          known: knownFrom(first('identifier')),
        },
      ];
    }),
  };
}

function readM3u(text: string): ReadPlaylist {
  const entries: PlaylistEntry[] = [];
  let told: Pick<PlaylistEntry, 'title' | 'by' | 'seconds'> = { title: '', by: '', seconds: null };
  let known: PlaylistEntry['known'] = null;
  for (const line of text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)) {
    const said = line.trim();
    if (said === '') continue;
    const info = infoOf(said);
    if (info) {
      const { seconds } = info;
      const name = words(info.name);
      // By and title are told apart by the first dash with blanks around it.
      const [, by = '', title = name] = /^(.*?) - (.+)$/.exec(name) ?? [];
      told = { title, by, seconds: seconds > 0 && seconds <= MOST_SECONDS ? seconds : null };
    } else if (said.startsWith(`#${DIGEST}`) || said.startsWith(`#${PIECE}`)) {
      known = knownFrom(said.slice(1));
    } else if (!said.startsWith('#')) {
      entries.push({ ...told, album: '', file: fileName(said), known });
      told = { title: '', by: '', seconds: null };
      known = null;
      if (entries.length > MOST_TRACKS) break;
    }
  }
  return { ok: true, entries };
}

const INFO = '#EXTINF:';
/** Signs before the comma: a length, and what some programs write behind it. */
const MOST_LENGTH = 2000;

/** The length and the name of `#EXTINF:LENGTH,NAME`; null for any other line. */
function infoOf(line: string): { seconds: number; name: string } | null {
  if (line.slice(0, INFO.length).toUpperCase() !== INFO) return null;
  const comma = line.slice(0, MOST_LENGTH).indexOf(',');
  if (comma < 0) return null;
  const seconds = parseFloat(line.slice(INFO.length, comma));
  return Number.isNaN(seconds) ? null : { seconds, name: line.slice(comma + 1) };
}

const named = new Map([
  ['&', '&amp;'],
  ['<', '&lt;'],
  ['>', '&gt;'],
  ['"', '&quot;'],
  ["'", '&apos;'],
]);
const escaped = (text: string) =>
  text.replace(/[&<>"']/g, (sign) => named.get(sign) ?? sign).replace(/[^\P{Cc}\t]/gu, ' ');

function identifierOf({ from }: Track): string {
  return from.by === 'piece' ? PIECE + from.piece : DIGEST + from.file.slice('own:'.length);
}

/** A name for the file of a track: every reader wants one. */
export function fileNameOf({ by, title, from }: Track): string {
  const name = [by, title]
    .filter(Boolean)
    .join(' - ')
    .replace(/[^\p{L}\p{N}.,'()-]+/gu, ' ')
    .trim();
  return `${name || 'sound'}${from.by === 'piece' ? '.wav' : ''}`;
}

export function writeXspf(name: string, tracks: readonly Track[]): string {
  const element = (tag: string, text: string) =>
    text === '' ? [] : [`      <${tag}>${escaped(text)}</${tag}>`];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<playlist version="1" xmlns="http://xspf.org/ns/0/">',
    `  <title>${escaped(name)}</title>`,
    '  <trackList>',
    ...tracks.flatMap((track) => [
      '    <track>',
      ...element('location', encodeURIComponent(fileNameOf(track))),
      ...element('identifier', identifierOf(track)),
      ...element('title', track.title),
      ...element('creator', track.by),
      ...element('album', track.album),
      ...element('duration', String(Math.round(track.seconds * 1000))),
      '    </track>',
    ]),
    '  </trackList>',
    '</playlist>',
    '',
  ].join('\n');
}

export function writeM3u8(tracks: readonly Track[]): string {
  const line = (text: string) => text.replace(/\p{Cc}+/gu, ' ');
  return [
    '#EXTM3U',
    ...tracks.flatMap((track) => [
      `#EXTINF:${Math.round(track.seconds)},${line([track.by, track.title].filter(Boolean).join(' - '))}`,
      `#${identifierOf(track)}`,
      fileNameOf(track),
    ]),
    '',
  ].join('\n');
}
