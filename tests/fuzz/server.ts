import { ourLooks } from '../../core/ready/ours.ts';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import sharp from 'sharp';
import { zipSync, strToU8, type Zippable } from 'fflate';
import { writeBundle } from '../../core/bundle/bundle.ts';
import { sampleOf } from '../../core/backdrop/drawn.ts';
import { motifNames } from '../../core/backdrop/names.ts';
import { createBackdrop, createPicture, createMotif } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Track } from '../../core/sources/sound/schema.ts';
import { demoDesks } from '../../demo/desks.ts';
import type { RunningServer } from '../support/app.ts';
import { digestOf } from '../support/digest.ts';
import { heads, tagged, tone } from '../support/sounds.ts';
import { damaged, misshapen, type Chance } from './random.ts';

/** One class of what is sent: how often tried, and what came of it. */
export interface Tally {
  tried: number;
  accepted: number;
  refused: number;
  failed: number;
}

/** What must never happen, with the case that made it happen. */
export interface Found {
  what: string;
  detail: string;
}

export interface Samples {
  pictures: Buffer[];
  fonts: Buffer[];
  svgs: string[];
  sounds: Buffer[];
  desks: Desk[];
}

interface Answer {
  ok: boolean;
  status: number;
  bytes: Buffer;
  json(): unknown;
}

/**
 * ms that an answer may take, both by the clock and of the processor: others may be busy on this machine, and what works
 * on all cores at once spends more of the processor than anybody waits.
 */
const MOST_ANSWER_MS = 5000;
/** The same by the clock, where something only waits. */
const MOST_WAIT_MS = 60_000;
export const MOST_MIB = 600;

export async function makeSamples(): Promise<Samples> {
  const noise = Buffer.from(
    Array.from({ length: 160 * 100 * 3 }, (_, i) => (i * 7919 + (i >> 6) * 13) % 256),
  );
  const plain = () => sharp(noise, { raw: { width: 160, height: 100, channels: 3 } });
  const frames = sharp(Buffer.alloc(40 * 40 * 12 * 3, 0x55), {
    raw: { width: 40, height: 480, channels: 3, pageHeight: 40 },
  });
  const told = { exif: { IFD0: { Artist: 'A warden' } } };
  const require = createRequire(import.meta.url);
  return {
    pictures: await Promise.all([
      plain().jpeg({ quality: 85 }).toBuffer(),
      plain().jpeg({ progressive: true }).withMetadata({ orientation: 6 }).toBuffer(),
      plain().withExif(told.exif).jpeg().toBuffer(),
      plain().png().toBuffer(),
      plain().png({ palette: true, progressive: true }).toBuffer(),
      plain().withExif(told.exif).png().toBuffer(),
      plain().webp({ lossless: true }).toBuffer(),
      plain().withExif(told.exif).webp().toBuffer(),
      plain().avif({ effort: 0 }).toBuffer(),
      plain().gif().toBuffer(),
      frames.clone().webp({ loop: 0 }).withExif(told.exif).toBuffer(),
      frames.clone().gif().toBuffer(),
      plain().toColourspace('rgb16').png().toBuffer(),
    ]),
    fonts: ['outfit', 'figtree', 'spline-sans-mono'].map((family) =>
      readFileSync(require.resolve(`@fontsource-variable/${family}/files/${family}-latin-wght-normal.woff2`)),
    ),
    svgs: [
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20"><circle cx="10" cy="10" r="8" fill="#c03020"/></svg>',
      '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"><defs><filter id="f"><feGaussianBlur stdDeviation="40"/></filter><g id="a"><rect width="9" height="9"/></g></defs><use href="#a" filter="url(#f)"/><text x="4" y="9">reed</text></svg>',
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${'<g>'.repeat(60)}<path d="M0 0h9v9z"/>${'</g>'.repeat(60)}</svg>`,
    ],
    sounds: [Buffer.from(tone(1)), await tagged(), ...heads()],
    desks: demoDesks(),
  };
}

/** Sends one round of hostile things to a server and notes what must not happen. */
export async function fuzzServer(
  server: RunningServer,
  samples: Samples,
  chance: Chance,
  notes: { tally: Map<string, Tally>; found: Found[] },
): Promise<void> {
  const count = (kind: string, outcome: keyof Omit<Tally, 'tried'>) => {
    const tally = notes.tally.get(kind) ?? { tried: 0, accepted: 0, refused: 0, failed: 0 };
    tally.tried++;
    tally[outcome]++;
    notes.tally.set(kind, tally);
  };

  /** One request; what it must never be is noted, with enough to send it again. */
  async function send(kind: string, path: string, init: RequestInit = {}, what = path): Promise<Answer> {
    const start = performance.now();
    const before = busyMs(server.pid);
    const response = await fetch(server.address + path, init);
    const bytes = Buffer.from(await response.arrayBuffer());
    const ms = performance.now() - start;
    const work = busyMs(server.pid) - before;
    const wrong =
      response.status >= 500
        ? `answers ${response.status}`
        : Math.min(work, ms) > MOST_ANSWER_MS || ms > MOST_WAIT_MS
          ? `takes ${Math.round(work)} ms of the processor, ${Math.round(ms)} ms in all`
          : null;
    if (wrong) {
      const said = response.status >= 500 ? `${bytes.toString().slice(0, 400)}\n` : '';
      notes.found.push({ what: `${kind}: ${wrong}`, detail: said + what.slice(0, 2000) });
    }
    count(kind, wrong ? 'failed' : response.status < 300 ? 'accepted' : 'refused');
    return {
      ok: response.ok,
      status: response.status,
      bytes,
      json: () => JSON.parse(bytes.toString()) as unknown,
    };
  }
  const bytesOf = (bytes: Uint8Array) => `base64 ${Buffer.from(bytes).toString('base64')}`;
  const post = (kind: string, path: string, bytes: Uint8Array, type = 'application/octet-stream') =>
    send(
      kind,
      path,
      { method: 'POST', body: bytes as BodyInit, headers: { 'Content-Type': type } },
      `${path} ${bytesOf(bytes)}`,
    );
  const must = (response: Answer, what: string, detail: string) => {
    if (!response.ok)
      notes.found.push({ what: `${what}: ${response.status}`, detail: detail.slice(0, 2000) });
  };

  async function pictures(): Promise<void> {
    const bytes =
      chance.share() < 0.15 ? chance.of(samples.pictures) : damaged(chance.of(samples.pictures), chance);
    const taken = await post('pictures', '/api/pictures?name=x', bytes);
    if (!taken.ok) return;
    const { id } = taken.json() as { id: string };
    must(
      await send('pictures shown', `/api/pictures/${id}?width=480`),
      'accepted, not shown',
      bytesOf(bytes),
    );
    must(await send('pictures shown', `/api/pictures/${id}/facts`), 'accepted, no facts', bytesOf(bytes));
    const drawn = sampleOf(
      createPicture(id, 'x', { fit: chance.of(['cover', 'tile', 'centre', 'contain']) }),
    );
    const address = `/api/backdrops?width=240&drawn=${encodeURIComponent(JSON.stringify(drawn))}`;
    must(await send('pictures shown', address), 'accepted, not laid', bytesOf(bytes));
  }

  async function icons(): Promise<void> {
    const svg = Buffer.from(chance.of(samples.svgs));
    await post('icons', '/api/icons', chance.share() < 0.2 ? svg : damaged(svg, chance), 'image/svg+xml');
  }

  async function fonts(): Promise<void> {
    const taken = await post('fonts', '/api/fonts?name=x', damaged(chance.of(samples.fonts), chance));
    if (!taken.ok) return;
    const { id } = taken.json() as { id: string };
    must(await send('fonts', `/api/fonts/${id.slice(4)}`), 'font taken, not given', id);
  }

  async function sounds(): Promise<void> {
    const bytes = damaged(chance.of(samples.sounds), chance);
    const taken = await post('sounds', '/api/sounds?name=x', bytes);
    if (!taken.ok) return;
    const track = taken.json() as Omit<Track, 'id'>;
    const id = track.from.by === 'file' ? track.from.file.slice(4) : '';
    must(await send('sounds', `/api/sounds/${id}`), 'sound taken, not given', bytesOf(bytes));
    if (track.cover)
      must(
        await send('sounds', `/api/pictures/${track.cover.slice(4)}?width=240`),
        'cover not shown',
        bytesOf(bytes),
      );
    // What it says of itself has to pass into a desk.
    const [desk] = samples.desks;
    if (!desk) return;
    const sound = { ...desk.sources.sound, tracks: [{ id: 'one', ...track }] };
    const text = JSON.stringify({ ...desk, sources: { ...desk.sources, sound } });
    const headers = { 'Content-Type': 'application/json' };
    const made = await send('sounds', '/api/desks', { method: 'POST', body: text, headers }, bytesOf(bytes));
    must(made, 'sound taken, not in a desk', bytesOf(bytes));
    const there = made.ok ? (made.json() as { desk: Desk }).desk.id : null;
    if (there) await send('shelf', `/api/desks/${there}`, { method: 'DELETE' });
  }

  async function desks(): Promise<void> {
    const json = JSON.stringify(
      chance.share() < 0.1 ? chance.of(samples.desks) : misshapen(chance.of(samples.desks), chance),
    );
    const text = chance.share() < 0.1 ? json.replace(/:\s*\d+/, ':1e999') : json;
    const taken = await send(
      'desks',
      '/api/desks',
      { method: 'POST', body: text, headers: { 'Content-Type': 'application/json' } },
      text,
    );
    if (!taken.ok) return;
    const { desk } = taken.json() as { desk: Desk };
    must(await send('desks given', `/api/desks/${desk.id}`), 'taken, not given', text);
    const out = await send('desks given', `/api/desks/${desk.id}/bundle`);
    must(out, 'taken, no file', text);
    const back = await post('bundles', '/api/bundles', new Uint8Array(out.bytes));
    must(back, 'own file refused', text);
    const second = back.ok ? (back.json() as { desk: Desk }).desk.id : null;
    must(await send('shelf', '/api/desks'), 'no list', text);
    for (const id of [desk.id, second]) if (id) await send('shelf', `/api/desks/${id}`, { method: 'DELETE' });
  }

  async function bundles(): Promise<void> {
    const picture = chance.of(samples.pictures);
    const desk = {
      ...chance.of(samples.desks),
      backdrops: [createBackdrop('backdrop', createPicture(digestOf(picture), 'x'))],
    };
    const whole = writeBundle(
      { desk, pictures: [{ id: digestOf(picture), bytes: picture }], fonts: [], sounds: [], iconSets: [] },
      digestOf,
    );
    const made = chance.share();
    let bytes: Uint8Array = damaged(Buffer.from(whole), chance);
    if (made < 0.15) {
      // The digest is right, the picture is not.
      const bad = damaged(picture, chance);
      const named = { ...desk, backdrops: [createBackdrop('backdrop', createPicture(digestOf(bad), 'x'))] };
      bytes = writeBundle(
        { desk: named, pictures: [{ id: digestOf(bad), bytes: bad }], fonts: [], sounds: [], iconSets: [] },
        digestOf,
      );
    } else if (made < 0.25) {
      const many = Object.fromEntries(
        Array.from({ length: chance.below(3000) }, (_, index) => [`f${index}`, strToU8('x')]),
      );
      bytes = zipSync({ ...many, 'manifest.json': strToU8('{}') } as Zippable, { level: 1 });
    }
    await post('bundles', '/api/bundles', bytes);
  }

  /** Archives that are damaged, or hold what is, or lead out of themselves; what is taken can be listed and drawn. */
  async function iconSets(): Promise<void> {
    const index = `[Icon Theme]\nName=Fuzz\nInherits=${chance.of(['fuzz', '../..', 'hicolor'])}\nDirectories=${chance.of(['a', '..', '.,a'])}\n[a]\nSize=${chance.of(['48', '-1', '1e9', 'NaN'])}\nType=${chance.of(['Fixed', 'Scalable', 'Other'])}`;
    const name = () =>
      chance.of(['folder', '../folder', '__proto__', 'a/b/c', 'x'.repeat(300), 'home-symbolic']);
    const files = Object.fromEntries(
      Array.from({ length: 1 + chance.below(12) }, (_, at) => [
        `${chance.of(['', 'a/', 'fuzz/a/'])}${name()}${at}.${chance.of(['svg', 'png'])}`,
        chance.share() < 0.5
          ? strToU8(chance.of(samples.svgs))
          : damaged(chance.of(samples.pictures), chance),
      ]),
    );
    const link = { os: 3, attrs: 0o120777 * 2 ** 16 };
    const zip = zipSync({
      ...files,
      ...(chance.share() < 0.4 ? { 'fuzz/index.theme': strToU8(index) } : {}),
      ...(chance.share() < 0.4
        ? { 'a/link.svg': [strToU8(chance.of(['../../etc/passwd', 'link.svg', '..', 'folder0.svg'])), link] }
        : {}),
    } as Zippable);
    const bytes = chance.share() < 0.5 ? damaged(Buffer.from(zip), chance) : Buffer.from(zip);
    const taken = await post('icon sets', '/api/icon-sets?name=fuzz.zip', bytes);
    const last = Buffer.from(taken.bytes).toString().trim().split('\n').at(-1) ?? '';
    if (!last.startsWith('{"sets"')) return;
    const { sets } = JSON.parse(last) as { sets: { id: string; pictures: number }[] };
    must(await send('icon sets', '/api/icon-sets'), 'taken, not listed', bytesOf(bytes));
    for (const { id, pictures } of sets) {
      must(await send('icon sets', `/api/icon-sets/${id}`), 'taken, not given', bytesOf(bytes));
      const at = `/api/icon-sets/${id}/${pictures - 1}`;
      must(await send('icon sets', at), 'taken, not drawn', bytesOf(bytes));
      await send('icon sets', `/api/icon-sets/${id}`, { method: 'DELETE' });
    }
  }

  /** What is taken as a kit can be listed, given, carried out and in again. */
  async function kits(): Promise<void> {
    const facts = { id: 'fuzz', name: 'Fuzz', version: 1, by: '', notes: '', kinds: ['palette', 'edges'] };
    const odd = misshapen({ ...facts, desk: chance.of(samples.desks) }, chance);
    const text = JSON.stringify(odd);
    const taken = await send('kits', '/api/kits', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: text,
    });
    if (!taken.ok) return;
    const { id } = taken.json() as { id: string };
    const address = `/api/kits/${encodeURIComponent(id)}`;
    must(await send('kits', address), 'taken, not given', text);
    const out = await send('kits', `${address}/bundle`);
    must(out, 'taken, no file', text);
    const back = await post('kits', '/api/kit-bundles', new Uint8Array(out.bytes));
    must(back, 'own file refused', text);
    must(await send('kits', '/api/kits'), 'no list', text);
    await send('kits', address, { method: 'DELETE' });
    if (back.ok)
      await send('kits', `/api/kits/${encodeURIComponent((back.json() as { id: string }).id)}`, {
        method: 'DELETE',
      });
  }

  /** What is taken as a look is listed, and can be let go of. */
  async function looks(): Promise<void> {
    const text = JSON.stringify(misshapen(chance.of(ourLooks()), chance));
    const taken = await send('looks', '/api/looks', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: text,
    });
    const listed = await send('looks', '/api/looks');
    must(listed, 'no list', text);
    if (!taken.ok) return;
    const { id } = taken.json() as { id: string };
    if (!(listed.json() as { id: string }[]).some((look) => look.id === id))
      throw new Error(`taken, not listed: ${text}`);
    await send('looks', `/api/looks/${encodeURIComponent(id)}`, { method: 'DELETE' });
  }

  async function backdrops(): Promise<void> {
    const drawn = sampleOf(createMotif(chance.of(motifNames), chance.below(4)));
    const odd = misshapen(drawn, chance);
    const query = encodeURIComponent(JSON.stringify(odd));
    await send('backdrops', `/api/backdrops?width=${chance.of([240, 480, 1e9, -1])}&drawn=${query}`);
    if (chance.share() < 0.2)
      await send(
        'exports',
        `/api/backdrops/export?width=${chance.of([64, 900, 1920])}&height=${chance.of([64, 500, 1080])}&format=${chance.of(['png', 'webp', 'avif', 'jpeg', 'bmp'])}&drawn=${encodeURIComponent(JSON.stringify(drawn))}`,
      );
  }

  async function requests(): Promise<void> {
    const path = chance.of([
      '/api/desks/%E0%A4%A',
      '/api/desks/__proto__',
      '/assets/../../x',
      '/api/fonts/%2e%2e%2fvelvet-ledge.db',
      '/api/pictures/constructor/facts',
      '/api/desks/dawn-count/revisions/NaN',
      '/api/backdrops?drawn[x][y]=1',
      '/%00',
      '/',
      `/api/desks/${'x'.repeat(4000)}`,
    ]);
    const headers = chance.of<Record<string, string>>([
      {},
      { Range: 'bytes=9999999-' },
      { 'If-Match': '"x"' },
      { 'Content-Type': 'application/json; charset=utf-7' },
      { 'Content-Encoding': 'gzip', 'Content-Type': 'application/json' },
    ]);
    const method = chance.of(['GET', 'PUT', 'POST', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS']);
    const body = method === 'GET' || method === 'HEAD' ? {} : { body: '\u0000{' };
    await send(
      'requests',
      path,
      { method, headers, ...body },
      `${method} ${path} ${JSON.stringify(headers)}`,
    );
  }

  for (const act of [
    pictures,
    icons,
    iconSets,
    fonts,
    sounds,
    desks,
    bundles,
    kits,
    looks,
    backdrops,
    requests,
  ])
    for (let times = 0; times < 6; times++) await act();
}

/** A process and all that it started, as long as they are there. */
function familyOf(pid: number): number[] {
  const children = new Map<number, number[]>();
  for (const name of existsSync('/proc') ? readdirSync('/proc') : []) {
    if (!/^\d+$/.test(name)) continue;
    const parent = Number(statOf(Number(name))?.[1]);
    children.set(parent, [...(children.get(parent) ?? []), Number(name)]);
  }
  const all = [pid];
  for (const one of all) all.push(...(children.get(one) ?? []));
  return all;
}

/** What the system tells of a process, from its state on (proc(5), stat); null where it has ended meanwhile. */
function statOf(pid: number): string[] | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  } catch {
    return null;
  }
}

/** ms of the processor that a process, those it started, and those that have ended took so far. */
function busyMs(pid: number): number {
  const ticks = familyOf(pid).flatMap((one) => (statOf(one) ?? []).slice(11, 15).map(Number));
  return 10 * ticks.reduce((sum, some) => sum + some, 0);
}

/** MiB that a process and all that it started hold; Linux only, elsewhere 0. */
export const heldBy = (pid: number): number => familyOf(pid).reduce((sum, one) => sum + residentOf(one), 0);

/** Its share of what it holds with others is counted once, not for each. */
function residentOf(pid: number): number {
  try {
    const text = readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8');
    return Number(/^Pss:\s+(\d+)/m.exec(text)?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}
