import type { IconSetIndex } from '../../core/icons/sets/index-file.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Track } from '../../core/sources/sound/schema.ts';
import type { OwnFont } from '../../core/text/schema.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Keep } from '../../core/desk/keep.ts';
import type { ReadyLook } from '../../core/desk/ready/ready.ts';
import type { Kit } from '../../core/desk/kits/kit.ts';
import type { ListedDesk } from '../../core/desk/summary.ts';
import type {
  BakeFormat,
  ListedIconSet,
  ListedKit,
  PictureFacts,
  PictureNote,
  RevisionNote,
  Saved,
  StoredDesk,
  TakingIcons,
} from '../../core/wire/wire.ts';

/** The server's interface, typed. Everything that fails ends in one of two errors. */

/** The server answered that something is wrong; the message is a sentence for a person. */
export class ServerProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Record<string, unknown>,
  ) {
    super(message);
  }
}

/** The server did not answer. */
export class ServerGone extends Error {
  constructor() {
    super('The server does not answer. It is tried again; what was done here is not lost.');
  }
}

/** Names this page, so that it does not hear of its own changes. */
export const clientId = crypto.randomUUID();

async function ask(path: string, init: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { ...init, headers: { 'X-Client': clientId, ...init.headers } });
  } catch (error) {
    if (init.signal?.aborted) throw error;
    throw new ServerGone();
  }
  // A proxy before a stopped server answers with one of these.
  if (response.status === 502 || response.status === 504) throw new ServerGone();
  if (!response.ok) {
    const body = (await response.json().catch(() => ({}))) as Record<string, unknown>;
    throw new ServerProblem(response.status, String(body['detail'] ?? 'The server refused this.'), body);
  }
  return response;
}

async function askJson<T>(path: string, init?: RequestInit): Promise<T> {
  return (await (await ask(path, init)).json()) as T;
}

function json(method: string, body: unknown, headers: Record<string, string> = {}): RequestInit {
  return { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json', ...headers } };
}

/** Browsers let requests up to so many bytes (64 KiB, all of them together) go on after their page has gone. */
const MOST_OUTLIVING = 60_000;
/** Bytes of such requests that are under way. */
let outliving = 0;

/** Asks so that the request goes on after its page has gone, where it may: the browser refuses one that is larger. */
async function askOutliving<T>(path: string, init: RequestInit): Promise<T> {
  const bytes = new TextEncoder().encode(String(init.body)).length;
  if (outliving + bytes > MOST_OUTLIVING) return askJson<T>(path, init);
  outliving += bytes;
  try {
    return await askJson<T>(path, { ...init, keepalive: true });
  } finally {
    outliving -= bytes;
  }
}

/** What comes of an archive of icons, which is told line by line. */
async function askForSets(
  path: string,
  init: RequestInit,
  onDrawn: (drawn: number, of: number) => void,
): Promise<{ sets: ListedIconSet[]; undrawn: number }> {
  const { body } = await ask(path, init);
  let rest = '';
  const reader = body?.pipeThrough(new TextDecoderStream()).getReader();
  for (let read = await reader?.read(); read && !read.done; read = await reader?.read()) {
    const lines = (rest + read.value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      const told = JSON.parse(line) as TakingIcons;
      if ('problem' in told) throw new Error(told.problem);
      if ('sets' in told) return told;
      onDrawn(told.drawn, told.of);
    }
  }
  throw new Error('The server stopped before all was drawn; nothing was changed.');
}

export const api = {
  desks: () => askJson<ListedDesk[]>('/desks'),
  desk: (id: string) => askJson<StoredDesk>(`/desks/${encodeURIComponent(id)}`),
  create: (desk: Desk) => askJson<StoredDesk>('/desks', json('POST', desk)),
  copy: (id: string) => askJson<StoredDesk>(`/desks/${encodeURIComponent(id)}/copy`, { method: 'POST' }),
  save: (desk: Desk, basedOn: number) =>
    askOutliving<Saved>(
      `/desks/${encodeURIComponent(desk.id)}`,
      json('PUT', desk, { 'If-Match': `"${basedOn}"` }),
    ),
  /** Saves by what changed since that revision, as JSON Patch. */
  saveChanges: (id: string, changes: readonly unknown[], basedOn: number) =>
    askOutliving<Saved>(
      `/desks/${encodeURIComponent(id)}`,
      json('PATCH', changes, {
        'If-Match': `"${basedOn}"`,
        'Content-Type': 'application/json-patch+json',
      }),
    ),
  remove: (id: string) => ask(`/desks/${encodeURIComponent(id)}`, { method: 'DELETE' }),
  restore: (id: string) => ask(`/desks/${encodeURIComponent(id)}/restore`, { method: 'POST' }),
  revisions: (id: string) => askJson<RevisionNote[]>(`/desks/${encodeURIComponent(id)}/revisions`),
  revision: (id: string, number: number) =>
    askJson<StoredDesk>(`/desks/${encodeURIComponent(id)}/revisions/${number}`),
  /** Keeps a revision for good. */
  keepRevision: (id: string, number: number, keep: Keep) =>
    ask(`/desks/${encodeURIComponent(id)}/revisions/${number}/keep`, json('PUT', keep)),
  /** Lets a revision go with time again. */
  letGoOfKeep: (id: string, number: number) =>
    ask(`/desks/${encodeURIComponent(id)}/revisions/${number}/keep`, { method: 'DELETE' }),
  looks: () => askJson<ReadyLook[]>('/looks'),
  addLook: (look: Omit<ReadyLook, 'id'>) => askJson<ReadyLook>('/looks', json('POST', look)),
  renameLook: (id: string, name: string) =>
    ask(`/looks/${encodeURIComponent(id)}/name`, json('PUT', { name })),
  removeLook: (id: string) => ask(`/looks/${encodeURIComponent(id)}`, { method: 'DELETE' }),
  kits: () => askJson<ListedKit[]>('/kits'),
  kit: (id: string) => askJson<Kit>(`/kits/${encodeURIComponent(id)}`),
  addKit: (kit: Kit) => askJson<Kit>('/kits', json('POST', kit)),
  changeKit: (kit: Kit) => askJson<Kit>(`/kits/${encodeURIComponent(kit.id)}`, json('PUT', kit)),
  removeKit: (id: string) => ask(`/kits/${encodeURIComponent(id)}`, { method: 'DELETE' }),
  restoreKit: (id: string) => ask(`/kits/${encodeURIComponent(id)}/restore`, { method: 'POST' }),
  importKit: (file: Blob) => askJson<Kit>('/kit-bundles', { method: 'POST', body: file }),
  kitBundleAddress: (id: string) => `/api/kits/${encodeURIComponent(id)}/bundle`,
  importBundle: (file: Blob) => askJson<StoredDesk>('/bundles', { method: 'POST', body: file }),
  /** Those that are large enough to lie behind a desk, the newest first. */
  pictures: () => askJson<PictureNote[]>('/pictures'),
  addPicture: (file: File) =>
    askJson<PictureNote>(`/pictures?name=${encodeURIComponent(file.name)}`, { method: 'POST', body: file }),
  iconSets: () => askJson<ListedIconSet[]>('/icon-sets'),
  iconSet: (id: string) => askJson<IconSetIndex>(`/icon-sets/${id}`),
  /** Takes in an archive of icons; `onDrawn` hears how far that is. Throws with what is wrong. */
  addIconSets: (file: Blob, name: string, onDrawn: (drawn: number, of: number) => void) =>
    askForSets(`/icon-sets?name=${encodeURIComponent(name)}`, { method: 'POST', body: file }, onDrawn),
  removeIconSet: (id: string) => ask(`/icon-sets/${id}`, { method: 'DELETE' }),
  restoreIconSet: (id: string) => ask(`/icon-sets/${id}/restore`, { method: 'POST' }),
  addIcon: (file: File) =>
    askJson<PictureNote>(`/icons?name=${encodeURIComponent(file.name)}`, { method: 'POST', body: file }),
  addFont: (file: File) =>
    askJson<OwnFont>(`/fonts?name=${encodeURIComponent(file.name)}`, { method: 'POST', body: file }),
  addSound: (file: File) =>
    askJson<Omit<Track, 'id'>>(`/sounds?name=${encodeURIComponent(file.name)}`, {
      method: 'POST',
      body: file,
    }),
  /** Whether the server has a sound by its digest. */
  hasSound: async (id: string): Promise<boolean> => {
    try {
      await ask(`/sounds/${id}`, { method: 'HEAD' });
      return true;
    } catch (error) {
      if (error instanceof ServerProblem && error.status === 404) return false;
      throw error;
    }
  },
  /** Lets the server read from a host in the private network. */
  allowHost: (host: string) => askJson<string[]>('/hosts', json('POST', { host })),
  hosts: () => askJson<string[]>('/hosts'),
  refuseHost: (host: string) => askJson<string[]>(`/hosts/${encodeURIComponent(host)}`, { method: 'DELETE' }),
  /** Says which readings a page that listens to events wants, each as source/origin. */
  wantFeeds: (page: string, names: readonly string[]) => ask(`/events/${page}/feeds`, json('PUT', names)),
  pictureFacts: (id: string) => askJson<PictureFacts>(`/pictures/${id}/facts`),
  /** A backdrop in exactly these pixels; aborting ends the work on the server too. */
  exportBackdrop: async (
    drawn: Drawn,
    { width, height, format }: { width: number; height: number; format: BakeFormat },
    signal: AbortSignal,
  ): Promise<Blob> => {
    const query = new URLSearchParams({
      drawn: JSON.stringify(drawn),
      width: String(width),
      height: String(height),
      format,
    });
    return (await ask(`/backdrops/export?${query.toString()}`, { signal })).blob();
  },
  /** What stands in the database, where it is no desk that can be read. */
  rawAddress: (id: string) => `/api/desks/${encodeURIComponent(id)}/raw`,
  bundleAddress: (id: string) => `/api/desks/${encodeURIComponent(id)}/bundle`,
};
