import { existsSync } from 'node:fs';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { digestOf } from '../../core/bundle/bundle.ts';
import type { OwnFont } from '../../core/desk/look-schema.ts';
import { HttpProblem } from '../http/problem.ts';
import { TookTooLong, type Helpers } from '../helpers/pool.ts';

export const MOST_FONT_BYTES = 10 * 1024 * 1024;
const MOST_MS = 8000;

/** What a font file starts with, and its media type. */
const signatures: Record<string, string> = {
  wOF2: 'font/woff2',
  wOFF: 'font/woff',
  OTTO: 'font/otf',
  true: 'font/ttf',
  '\0\x01\0\0': 'font/ttf',
};

/** Fonts of one's own: files in a folder, each under the digest of its bytes. */
export function createFontStore(folder: string, helpers: Helpers) {
  const pathOf = (id: string) => join(folder, id);

  return {
    has: (id: string) => /^[0-9a-f]{64}$/.test(id) && existsSync(pathOf(id)),
    read: (id: string): Promise<Buffer> => readFile(pathOf(id)),

    /** Takes in a font that could be read whole. Throws HttpProblem on anything else. */
    async add(bytes: Buffer, fileName: string): Promise<OwnFont> {
      if (!typeOfFont(bytes)) throw unfit('is not a WOFF2, WOFF, TTF or OTF file');
      const found = await helpers.run('inspectFont', bytes, { mostMs: MOST_MS }).catch((error: unknown) => {
        if (error instanceof TookTooLong) throw unfit('takes too long to read');
        throw error;
      });
      if (!found.ok) throw unfit(found.reason);
      const id = digestOf(bytes);
      if (!existsSync(pathOf(id))) {
        await writeFile(`${pathOf(id)}.part`, bytes);
        await rename(`${pathOf(id)}.part`, pathOf(id));
      }
      const name = found.name || fileName.replace(/\.\w+$/, '').slice(0, 80) || 'Font';
      return { id: `own:${id}`, name, metrics: found.metrics };
    },
  };
}

export type FontStore = ReturnType<typeof createFontStore>;

export function typeOfFont(bytes: Buffer): string | null {
  return signatures[bytes.toString('latin1', 0, 4)] ?? null;
}

function unfit(reason: string): HttpProblem {
  return new HttpProblem(415, 'Not a usable font', `This file ${reason}; nothing was changed.`);
}
