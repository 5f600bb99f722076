import express, { type Request } from 'express';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import { HttpProblem } from './problem.ts';

/** Takes the bytes of a request that carries a desk, as they are: packed ones could be anything. */
export const deskBytes = express.raw({ type: () => true, limit: DESK_LIMITS.json, inflate: false });

const utf8 = new TextDecoder('utf-8', { fatal: true });

/** The text of a request that carries JSON. Throws HttpProblem. */
export function jsonText(request: Request): string {
  const type = request.headers['content-type'] ?? '';
  if (!/^application\/([\w.-]+\+)?json\s*(;|$)/i.test(type))
    throw new HttpProblem(415, 'Not JSON', 'The server takes this as application/json.');
  const charset = /charset\s*=\s*"?([^";\s]+)/i.exec(type)?.[1] ?? 'utf-8';
  const isUtf8 = /^(utf-?8|us-ascii)$/i.test(charset);
  try {
    if (isUtf8) return utf8.decode(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
  } catch {
    // Falls through to the refusal.
  }
  throw new HttpProblem(isUtf8 ? 400 : 415, 'Not UTF-8', 'The server reads UTF-8 only.');
}

/** Takes a small request. */
export const smallJson = express.raw({ type: () => true, limit: '64kb', inflate: false });

/** The object that a request carries. Throws HttpProblem. */
export function jsonOf(request: Request): Record<string, unknown> {
  try {
    const json: unknown = JSON.parse(jsonText(request));
    if (typeof json === 'object' && json !== null && !Array.isArray(json)) return { ...json };
  } catch (error) {
    if (error instanceof HttpProblem) throw error;
  }
  throw new HttpProblem(400, 'Not JSON', 'The request is not a JSON object.');
}
