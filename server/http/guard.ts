import type { RequestHandler } from 'express';
import { HttpProblem } from './problem.ts';

/**
 * Takes requests only under the names that this server goes by, and changes only from its own pages: another
 * site that a browser has open must not reach a server on this machine.
 */
export function guard(hosts: readonly string[]): RequestHandler {
  return (request, _response, next) => {
    const host = (request.headers.host ?? '').replace(/:\d+$/, '');
    if (!hosts.includes(host)) {
      throw new HttpProblem(403, 'Unknown host', 'This server does not go by that name.');
    }
    const { origin } = request.headers;
    if (
      origin !== undefined &&
      request.method !== 'GET' &&
      request.method !== 'HEAD' &&
      hostOf(origin) !== request.headers.host
    ) {
      throw new HttpProblem(403, 'Foreign page', 'Changes are taken only from the application itself.');
    }
    next();
  };
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
