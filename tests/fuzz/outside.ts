import { once } from 'node:events';
import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { execFileSync, spawnSync } from 'node:child_process';
import type { RunningServer } from '../support/app.ts';
import type { Chance } from './random.ts';
import type { Found, Tally } from './server.ts';

/** What stands at an address does whatever it likes; and the disk fails now and then. */

type Odd = (response: ServerResponse) => void;
const odd: readonly Odd[] = [
  (response) => void response.end('METAR XXMP 241150Z 24008KT CAVOK 05/03 Q1009'),
  (response) => void response.writeHead(304).end(),
  (response) =>
    void response.socket?.end(
      'HTTP/1.1 101 Switching Protocols\r\nUpgrade: x\r\nConnection: Upgrade\r\n\r\n',
    ),
  (response) => void response.socket?.destroy(),
  (response) => void response.socket?.end('nothing like HTTP\r\n\r\n'),
  (response) => void response.setHeader('Content-Encoding', 'x-odd').end('rubbish'),
  (response) => void response.setHeader('Content-Encoding', 'gzip').end('not packed'),
  (response) => void response.setHeader('Content-Length', '99').end('short'),
  (response) => void response.writeHead(302, { Location: 'file:///etc/passwd' }).end(),
  (response) => void response.writeHead(500).end(),
  (response) => void response.end('x'.repeat(3 * 2 ** 20)),
  () => undefined,
];

/** Has the server read from odd addresses: it stays, and says of each that it can't be read or what it read. */
export async function fuzzOutside(
  server: RunningServer,
  chance: Chance,
  notes: { tally: Map<string, Tally>; found: Found[] },
): Promise<void> {
  const others: Server = createServer((_, response) => chance.of(odd)(response)).listen(0, '127.0.0.1');
  await once(others, 'listening');
  const { port } = others.address() as AddressInfo;
  const tally = notes.tally.get('links') ?? { tried: 0, accepted: 0, refused: 0, failed: 0 };
  notes.tally.set('links', tally);
  const put = (path: string, body: unknown, method = 'PUT') =>
    fetch(`${server.address}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  await put('/hosts', { host: `127.0.0.1:${port}` }, 'POST');
  const page = `fuzz-${chance.below(1e9)}`;
  const stop = new AbortController();
  const stream = await fetch(`${server.address}/api/events?page=${page}`, { signal: stop.signal });
  const names = Array.from({ length: 20 }, (_, index) => {
    const address = chance.of([
      `http://127.0.0.1:${port}/${index}-${chance.below(1e6)}`,
      `http://127.0.0.1:1/${index}`,
      `http://[2001:db8::1]/${index}`,
      `http://[::7f00:1]/${index}`,
      `http://no-such-host-${index}.invalid/`,
    ]);
    return `${chance.of(['text', 'headlines'])}/10/${address}`;
  });
  await put(`/events/${page}/feeds`, names);
  const heard = new Set<string>();
  let text = '';
  const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
  const timer = setTimeout(() => stop.abort(), 25_000);
  try {
    while (reader && heard.size < names.length) {
      const { value, done } = await reader.read();
      if (done) break;
      text = (text + value).slice(-100_000);
      for (const name of names)
        if (text.includes(`"origin":${JSON.stringify(name.slice(name.indexOf('/') + 1))}`)) heard.add(name);
    }
  } catch {
    // The time is over: what was not heard of is counted below.
  }
  clearTimeout(timer);
  stop.abort();
  for (const name of names) {
    tally.tried++;
    tally[heard.has(name) ? 'accepted' : 'failed']++;
    if (!heard.has(name)) notes.found.push({ what: 'links: nothing is said of one', detail: name });
  }
  others.closeAllConnections();
  others.close();
  const alive = await fetch(`${server.address}/api/desks`).then(
    ({ ok }) => ok,
    () => false,
  );
  if (!alive) notes.found.push({ what: 'links: the server has gone', detail: names.join('\n') });
}

/** Saves while the system lets the server write so many bytes only: each is refused with a sentence, or kept. */
export async function fuzzStorage(
  server: RunningServer,
  chance: Chance,
  notes: { tally: Map<string, Tally>; found: Found[] },
): Promise<void> {
  if (spawnSync('prlimit', ['--version']).status !== 0) return;
  const tally = notes.tally.get('storage') ?? { tried: 0, accepted: 0, refused: 0, failed: 0 };
  notes.tally.set('storage', tally);
  const limit = (bytes: string) =>
    execFileSync('prlimit', ['--pid', String(server.pid), `--fsize=${bytes}:`]);
  const at = `${server.address}/api/desks/bare-desk`;
  // A connection that rested while texts were gone through may have been let go: it is asked once more.
  const read = async () =>
    (await (await fetch(at).catch(() => fetch(at))).json()) as { desk: { seed: number }; revision: number };
  try {
    for (let turn = 0; turn < 8; turn++) {
      const { desk, revision } = await read();
      limit(chance.of(['unlimited', '1024', String(chance.below(4_000_000))]));
      const seed = chance.below(2 ** 31);
      const answer = await fetch(at, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
        body: JSON.stringify({ ...desk, seed }),
      });
      limit('unlimited');
      const now = await read();
      const isKept = now.desk.seed === seed && now.revision === revision + 1;
      const isRefused = [503, 507].includes(answer.status) && now.revision === revision;
      tally.tried++;
      tally[answer.ok && isKept ? 'accepted' : isRefused ? 'refused' : 'failed']++;
      if (!(answer.ok && isKept) && !isRefused)
        notes.found.push({ what: `storage: ${answer.status}`, detail: await answer.text() });
    }
  } finally {
    limit('unlimited');
  }
}
