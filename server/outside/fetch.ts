import { request as httpRequest, type IncomingMessage } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { createGunzip, createInflate, createBrotliDecompress } from 'node:zlib';
import { isIP } from 'node:net';
import type { Transform } from 'node:stream';
import { isAddress } from '../../core/sources/outside.ts';
import { FetchProblem, reachable, resolveByName, type Reach } from './addresses.ts';

export const FETCH_LIMITS = {
  /** Bytes, unpacked. */
  bytes: 2 * 2 ** 20,
  /** ms for all of it, redirects included. */
  ms: 15_000,
  redirects: 5,
};

/** What is remembered of an address, so that it need not be sent again while it is the same. */
export interface Stamp {
  etag?: string;
  modified?: string;
}

export type Fetched = { isSame: true } | { isSame: false; text: string; stamp: Stamp };

export interface FetchOptions extends Pick<Reach, 'isAllowed' | 'ownPort'> {
  resolve?: Reach['resolve'];
  stamp?: Stamp;
  limits?: typeof FETCH_LIMITS;
}

/**
 * Fetches a text from the web, within limits of size, time and redirects. Each host on the way, and the address that its
 * name leads to, must lie in the open network or be allowed. Throws FetchProblem.
 */
export async function fetchText(address: string, options: FetchOptions): Promise<Fetched> {
  const { limits = FETCH_LIMITS } = options;
  const signal = AbortSignal.timeout(limits.ms);
  try {
    return await within(signal, follow(address, options, limits, signal));
  } catch (error) {
    if (signal.aborted) throw new FetchProblem('it did not answer in time');
    if (error instanceof FetchProblem) throw error;
    throw new FetchProblem(reasonOf(error));
  }
}

/** What becomes of some work, or a rejection once the time is over: whatever it waits for, nobody waits longer. */
function within<T>(signal: AbortSignal, work: Promise<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    const over = () => reject(new Error('The time is over'));
    signal.addEventListener('abort', over, { once: true });
    work.then(resolve, reject).finally(() => signal.removeEventListener('abort', over));
  });
}

async function follow(
  address: string,
  { isAllowed, ownPort, resolve = resolveByName, stamp = {} }: FetchOptions,
  limits: typeof FETCH_LIMITS,
  signal: AbortSignal,
): Promise<Fetched> {
  let at = address;
  for (let turn = 0; turn <= limits.redirects; turn++) {
    if (!isAddress(at) || !URL.canParse(at))
      throw new FetchProblem('it leads to an address that can’t be read');
    const url = new URL(at);
    const where = { host: url.hostname, port: portOf(url) };
    const addresses = await reachable(where, { isAllowed, ownPort, resolve, signal });
    const response = await ask(url, addresses, stamp, signal);
    const status = response.statusCode ?? 0;
    const next = response.headers.location;
    if (status >= 300 && status < 400 && status !== 304 && next !== undefined) {
      response.destroy();
      at = URL.canParse(next, url) ? new URL(next, url).href : '';
      continue;
    }
    return await take(response, status, stamp, limits);
  }
  throw new FetchProblem('it leads from one address to the next without end');
}

function portOf({ port, protocol }: URL): number {
  return port === '' ? (protocol === 'https:' ? 443 : 80) : Number(port);
}

/** How a connection is made to a host of several addresses: one after the other, each given so many ms. */
const connecting = { autoSelectFamily: true, autoSelectFamilyAttemptTimeout: 2500 };

function ask(
  url: URL,
  addresses: readonly string[],
  { etag, modified }: Stamp,
  signal: AbortSignal,
): Promise<IncomingMessage> {
  const request = url.protocol === 'https:' ? httpsRequest : httpRequest;
  return new Promise((resolve, reject) => {
    const asked = request(
      url,
      {
        signal,
        agent: false,
        ...connecting,
        // The very addresses that were checked. Never answered at once: a connection that fails on the spot would say
        // so before anybody listens.
        lookup: (_host, { all }, done) => {
          const checked = addresses.map((address) => ({ address, family: isIP(address) }));
          const [first] = checked;
          setImmediate(() => {
            if (all || !first) done(null, checked);
            else done(null, first.address, first.family);
          });
        },
        headers: {
          Accept:
            'application/rss+xml, application/atom+xml, application/feed+json, text/calendar, text/plain, */*;q=0.5',
          'Accept-Encoding': 'gzip',
          'User-Agent': 'velvet-ledge',
          ...(etag ? { 'If-None-Match': etag } : {}),
          ...(modified ? { 'If-Modified-Since': modified } : {}),
        },
      },
      resolve,
    );
    asked.on('error', reject);
    asked.on('upgrade', ({ statusCode }, socket) => {
      socket.destroy();
      reject(new FetchProblem(`the server there answers with ${statusCode ?? 'something else'}`));
    });
    // Whatever else may end it: somebody waits for this.
    asked.on('close', () => reject(new FetchProblem('the connection broke off')));
    asked.end();
  });
}

async function take(
  response: IncomingMessage,
  status: number,
  { etag: known, modified: dated }: Stamp,
  limits: typeof FETCH_LIMITS,
): Promise<Fetched> {
  if (status === 304 && (known ?? dated) !== undefined) {
    response.destroy();
    return { isSame: true };
  }
  if (status < 200 || status >= 300) {
    response.destroy();
    throw new FetchProblem(`the server there answers with ${status}`);
  }
  const bytes = await bytesOf(response, limits).finally(() => response.destroy());
  const { etag, 'last-modified': modified } = response.headers;
  return {
    isSame: false,
    text: decoded(bytes, response.headers['content-type'] ?? ''),
    stamp: { ...(etag ? { etag } : {}), ...(modified ? { modified } : {}) },
  };
}

/** What a server may have packed it with. */
const unpackers = new Map<string, () => Transform>([
  ['gzip', createGunzip],
  ['x-gzip', createGunzip],
  ['deflate', createInflate],
  ['br', createBrotliDecompress],
]);

/** What takes apart what was packed; null where nothing was. Throws FetchProblem. */
function unpackerOf(encoding: string): Transform | null {
  const [packing, ...more] = encoding
    .toLowerCase()
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one !== '' && one !== 'identity');
  if (packing === undefined) return null;
  const unpack = unpackers.get(packing);
  if (!unpack || more.length > 0)
    throw new FetchProblem(`it comes packed as “${encoding.slice(0, 40)}”, which can’t be read`);
  return unpack();
}

/** All bytes, unpacked as they come: something small that unpacks to something huge is stopped on the way. */
async function bytesOf(response: IncomingMessage, limits: typeof FETCH_LIMITS): Promise<Buffer> {
  const unpacked = unpackerOf(response.headers['content-encoding'] ?? '');
  if (unpacked) {
    response.on('error', (error) => unpacked.destroy(error));
    response.pipe(unpacked);
  }
  const chunks: Buffer[] = [];
  let length = 0;
  for await (const chunk of (unpacked ?? response) as AsyncIterable<Buffer>) {
    length += chunk.length;
    if (length > limits.bytes)
      throw new FetchProblem(`it is larger than ${Math.round(limits.bytes / 2 ** 20)} MB`);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** In the letters that the server, the text itself or the world at large (UTF-8) says it is written in. */
function decoded(bytes: Buffer, type: string): string {
  const said =
    /charset\s*=\s*"?([\w-]+)/i.exec(type)?.[1] ??
    /^<\?xml[^>]*encoding\s*=\s*["']([\w-]+)/.exec(bytes.subarray(0, 200).toString('latin1'))?.[1] ??
    'utf-8';
  try {
    return new TextDecoder(said).decode(bytes);
  } catch {
    return new TextDecoder().decode(bytes);
  }
}

const reasons = new Map([
  ['ECONNREFUSED', 'nobody answers there'],
  ['ECONNRESET', 'the connection broke off'],
  ['EHOSTUNREACH', 'the host can’t be reached'],
  ['ENETUNREACH', 'the network is not there'],
  ['ETIMEDOUT', 'it did not answer in time'],
]);

function reasonOf(error: unknown): string {
  const { code = '' } = (error ?? {}) as { code?: string };
  if (/CERT|SSL|TLS/.test(code)) return 'its certificate is not to be trusted';
  if (code.startsWith('Z_')) return 'what it sends is damaged';
  return reasons.get(code) ?? 'the connection failed';
}
