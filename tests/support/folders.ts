import { rmSync } from 'node:fs';

/** Takes a test's folder away; what was closed just before may still finish a file in it. */
export function removeFolder(folder: string): void {
  rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 50 });
}
