import { spawnSync } from 'node:child_process';
import { mkdirSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';

/** A square of one colour with a hole, as an SVG of so many units. */
export const svgOf = (colour: string, side = 24): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}" viewBox="0 0 24 24"><path fill="${colour}" fill-rule="evenodd" d="M2 2h20v20H2zM9 9h6v6H9z"/></svg>`;

/** Left half of one colour, right half of another. */
export const twoColoured = (left: string, right: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="24" height="24" viewBox="0 0 24 24"><path fill="${left}" d="M0 0h12v24H0z"/><path fill="${right}" d="M12 0h12v24H12z"/></svg>`;

/** A PNG of one colour, px square. */
export const pngOf = (colour: string, side: number): Promise<Buffer> =>
  sharp({ create: { width: side, height: side, channels: 4, background: colour } })
    .png()
    .toBuffer();

/** A ZIP of texts and bytes by their paths. */
export function zipOf(files: Readonly<Record<string, string | Uint8Array>>): Buffer {
  return Buffer.from(
    zipSync(
      Object.fromEntries(
        Object.entries(files).map(([path, content]) => [
          path,
          typeof content === 'string' ? strToU8(content) : content,
        ]),
      ),
    ),
  );
}

/** A tar.gz, packed by the system's own tar: files, and symbolic links as `link -> target`. */
export function tarOf(folder: string, files: Readonly<Record<string, string | Uint8Array>>): string {
  const content = join(folder, 'content');
  for (const [path, what] of Object.entries(files)) {
    const at = join(content, path);
    mkdirSync(dirname(at), { recursive: true });
    if (typeof what === 'string' && what.startsWith('-> ')) symlinkSync(what.slice(3), at);
    else writeFileSync(at, what);
  }
  const out = join(folder, 'icons.tar.gz');
  const made = spawnSync('tar', ['-czf', out, '-C', content, '.']);
  if (made.status !== 0) throw new Error(made.stderr.toString());
  return out;
}
