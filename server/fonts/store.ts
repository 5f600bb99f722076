import { open, rm } from 'node:fs/promises';
import type { OwnFont } from '../../core/text/schema.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import { HttpProblem } from '../http/problem.ts';
import type { Helpers } from '../helpers/pool.ts';
import type { Inspected } from './inspect.ts';

/** What a font file starts with, and its media type. */
const signatures = new Map([
  ['wOF2', 'font/woff2'],
  ['wOFF', 'font/woff'],
  ['OTTO', 'font/otf'],
  ['true', 'font/ttf'],
  ['\0\x01\0\0', 'font/ttf'],
]);

/** Fonts of one's own. */
export function createFontStore(files: OwnFiles, helpers: Helpers, incoming: Incoming) {
  return {
    ...files,

    async typeOf(id: string): Promise<string> {
      return (await typeOfFile(files.pathOf(id))) ?? 'application/octet-stream';
    },

    /** Takes in a font that could be read whole. Throws HttpProblem on anything else. */
    async add(path: string, fileName: string): Promise<OwnFont> {
      if (!(await typeOfFile(path))) throw unfit('is not a WOFF2, WOFF, TTF or OTF file');
      const out = incoming.newPath();
      try {
        const found: Inspected = await helpers.run('inspectFont', { path, out });
        if (!found.ok) throw unfit(found.reason);
        await files.keep(out, found.id);
        const name = found.name || fileName.replace(/\.\w+$/, '').slice(0, 80) || 'Font';
        return { id: `own:${found.id}`, name, metrics: found.metrics };
      } finally {
        await rm(out, { force: true });
      }
    },
  };
}

export type FontStore = ReturnType<typeof createFontStore>;

async function typeOfFile(path: string): Promise<string | null> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(4), 0, 4, 0);
    return signatures.get(buffer.toString('latin1', 0, bytesRead)) ?? null;
  } finally {
    await file.close();
  }
}

function unfit(reason: string): HttpProblem {
  return new HttpProblem(415, 'Not a usable font', `This file ${reason}; nothing was changed.`);
}
