import { Resolver, lookup } from 'node:dns/promises';
import { readFile } from 'node:fs/promises';
import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import ipaddr from 'ipaddr.js';

/** Something could not be fetched; the message is the end of a sentence. */
export class FetchProblem extends Error {
  constructor(
    message: string,
    /** A host in the private network that a person may allow. */
    readonly host?: string,
  ) {
    super(message);
  }
}

/** Whether an address (IPv4 or IPv6) lies in the open network: neither this machine nor the network around it. */
export function isPublic(address: string): boolean {
  if (!ipaddr.isValid(address)) return false;
  // An IPv4 address in IPv6 clothes is what it is underneath.
  const bare = ipaddr.process(address);
  if (bare.range() !== 'unicast') return false;
  // What was ever given out of IPv6 begins with 001 (RFC 4291); `::7f00:1` is an old way to write 127.0.0.1.
  return !(bare instanceof ipaddr.IPv6) || (bare.parts[0] ?? 0) >> 13 === 1;
}

/** Whether an address is one of this very machine. */
function isHere(address: string): boolean {
  if (!ipaddr.isValid(address)) return false;
  const bare = ipaddr.process(address);
  const range = bare.range();
  if (range === 'loopback' || range === 'unspecified') return true;
  const own = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map((one) => one.address));
  return own.some((one) => ipaddr.isValid(one) && ipaddr.process(one).toString() === bare.toString());
}

/** Gives the addresses of a host; rejects where there are none. Aborting `signal` ends the question. */
export type Resolve = (host: string, signal?: AbortSignal) => Promise<string[]>;

/**
 * By this machine's own list of hosts, then by its name servers. The system's own look-up comes last, for names that only
 * it knows of: it can't be called off, and does few at once, so that names without an answer would hold up all others.
 */
export const resolveByName: Resolve = async (host, signal) => {
  const listed = await fromHostsFile(host);
  if (listed.length > 0) return listed;
  const resolver = new Resolver({ timeout: 2000, tries: 2 });
  const cancel = () => resolver.cancel();
  signal?.addEventListener('abort', cancel, { once: true });
  try {
    const asked = await Promise.allSettled([resolver.resolve4(host), resolver.resolve6(host)]);
    const found = asked.flatMap((one) => (one.status === 'fulfilled' ? one.value : []));
    if (found.length > 0) return found;
    if (asked.some((one) => one.status === 'rejected' && isSilence(one.reason))) throw new Error('No answer');
    return (await lookup(host, { all: true, verbatim: true })).map(({ address }) => address);
  } finally {
    signal?.removeEventListener('abort', cancel);
  }
};

const isSilence = (reason: unknown) =>
  ['ETIMEOUT', 'ECANCELLED'].includes((reason as { code?: string }).code ?? '');

const MOST_HOSTS_FILE = 1_000_000;

async function fromHostsFile(host: string): Promise<string[]> {
  const name = host.toLowerCase();
  const text = await readFile('/etc/hosts', 'utf8').catch(() => '');
  return text
    .slice(0, MOST_HOSTS_FILE)
    .split('\n')
    .flatMap((line) => {
      const [address = '', ...names] = (line.split('#')[0] ?? '').trim().split(/\s+/);
      return isIP(address) && names.some((one) => one.toLowerCase() === name) ? [address] : [];
    });
}

/** Where something lies in the network. */
export interface Whereabouts {
  host: string;
  port: number;
}

export interface Reach {
  /** Whether a person allowed it, although it lies in the private network. */
  isAllowed: (where: Whereabouts) => boolean;
  resolve: Resolve;
  /** The port that this server itself listens on: nobody may have it ask itself. */
  ownPort?: (() => number | null) | undefined;
  signal?: AbortSignal;
}

/** The name of a host with its port, as a person reads it and as it is kept. */
export function hostName({ host, port }: Whereabouts): string {
  const bare = host.includes(':') ? `[${host}]` : host;
  return port === 80 || port === 443 ? bare : `${bare}:${port}`;
}

/**
 * Where a host may be reached: the addresses that are then connected to, so that a name can't lead elsewhere between the
 * check and the connection. Throws FetchProblem when any of its addresses is private and nobody allowed the host.
 */
export async function reachable(
  { host, port }: Whereabouts,
  { isAllowed, resolve, ownPort = () => null, signal }: Reach,
): Promise<string[]> {
  const bare = host.replace(/^\[|\]$/g, '');
  const where = { host: bare, port };
  let addresses: string[];
  try {
    addresses = isIP(bare) ? [bare] : await resolve(bare, signal);
  } catch {
    throw new FetchProblem(`there is no host “${bare}”, or the network is not there`);
  }
  if (addresses.length === 0) throw new FetchProblem(`there is no host “${bare}”`);
  if (port === ownPort() && addresses.some(isHere))
    throw new FetchProblem('that is Velvet Ledge itself, which does not read from itself');
  if (!addresses.every(isPublic) && !isAllowed(where))
    throw new FetchProblem(
      `“${hostName(where)}” lies in your own network, which is read only where you allow it`,
      hostName(where),
    );
  return addresses;
}
