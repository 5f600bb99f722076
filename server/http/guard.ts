import type { Request, RequestHandler } from 'express';
import { HttpProblem } from './problem.ts';

/**
 * Takes requests only under the names that this server goes by, and serves its programs' interface only to its own
 * pages: another site that a browser has open must neither change nor read anything here, nor give this machine work.
 */
export function guard(hosts: readonly string[]): RequestHandler {
  return (request, _response, next) => {
    const host = (request.headers.host ?? '').replace(/:\d+$/, '');
    if (!hosts.includes(host)) {
      throw new HttpProblem(403, 'Unknown host', 'This server does not go by that name.');
    }
    if (isForeign(request)) {
      throw new HttpProblem(403, 'Foreign page', 'Only the application itself may ask for this.');
    }
    next();
  };
}

/**
 * Browsers say where a request comes from. A page on another port of this machine counts as the same site, not as the
 * same origin. Whoever says nothing is no browser, or a very old one; Origin then guards changes at least.
 */
function isForeign(request: Request): boolean {
  const isInterface = request.path.startsWith('/api');
  const isChange = request.method !== 'GET' && request.method !== 'HEAD';
  const { origin } = request.headers;
  if (origin !== undefined && (isInterface || isChange) && hostOf(origin) !== request.headers.host)
    return true;
  const site = request.headers['sec-fetch-site'];
  if (site === undefined || site === 'same-origin' || site === 'none') return false;
  // Somebody may follow a link to a page of ours from anywhere.
  return isInterface || isChange || request.headers['sec-fetch-mode'] !== 'navigate';
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
