import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder, whether this file is read as it stands or stands in a built one. */
export const root = projectOf(dirname(fileURLToPath(import.meta.url)));

function projectOf(folder: string): string {
  if (existsSync(join(folder, 'package.json'))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error('The server stands in no project');
  return projectOf(parent);
}
