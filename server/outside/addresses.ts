import { lookup } from 'node:dns/promises';
import { isIP } from 'node:net';
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
  return ipaddr.process(address).range() === 'unicast';
}

export type Resolve = (host: string) => Promise<string[]>;

export const resolveByName: Resolve = async (host) =>
  (await lookup(host, { all: true, verbatim: true })).map(({ address }) => address);

/**
 * Where a host may be reached: the address that is then connected to, so that a name can't lead elsewhere between the
 * check and the connection. Throws FetchProblem when any of its addresses is private and nobody allowed the host.
 */
export async function reachable(
  host: string,
  isAllowed: (host: string) => boolean,
  resolve: Resolve,
): Promise<string> {
  const bare = host.replace(/^\[|\]$/g, '');
  let addresses: string[];
  try {
    addresses = isIP(bare) ? [bare] : await resolve(bare);
  } catch {
    throw new FetchProblem(`there is no host “${bare}”, or the network is not there`);
  }
  const [first] = addresses;
  if (first === undefined) throw new FetchProblem(`there is no host “${bare}”`);
  if (!isAllowed(bare) && !addresses.every(isPublic))
    throw new FetchProblem(`“${bare}” lies in your own network, which is read only where you allow it`, bare);
  return first;
}
