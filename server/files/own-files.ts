import { existsSync, readdirSync, statSync, unlinkSync } from 'node:fs';
import { readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Incoming } from './incoming.ts';

/** Files of one's own of one kind: in a folder, each under the SHA-256 of its bytes. */
export function createOwnFiles(folder: string, incoming: Incoming, now: () => number = Date.now) {
  const pathOf = (id: string) => join(folder, id);
  /** When each was last kept or asked for, since the server started; epoch ms. */
  const asked = new Map<string, number>();

  /** Whether a file was neither kept nor asked for since a moment. */
  function isUnused(id: string, since: number): boolean {
    try {
      return Math.max(statSync(pathOf(id)).mtimeMs, asked.get(id) ?? 0) < since;
    } catch {
      return false;
    }
  }

  return {
    pathOf,
    isUnused,
    has(id: string): boolean {
      const isThere = /^[0-9a-f]{64}$/.test(id) && existsSync(pathOf(id));
      if (isThere) asked.set(id, now());
      return isThere;
    },
    read: (id: string): Promise<Buffer> => readFile(pathOf(id)),
    /** Bytes of one that is there. */
    size: async (id: string): Promise<number> => (await stat(pathOf(id))).size,
    /** Moves a file that was found to be sound to where it belongs. */
    async keep(path: string, id: string): Promise<void> {
      asked.set(id, now());
      await incoming.moveTo(path, pathOf(id));
    },
    /** Those that were neither kept nor asked for since a moment. */
    unused: (since: number): string[] => readdirSync(folder).filter((id) => isUnused(id, since)),
    remove(id: string): void {
      asked.delete(id);
      unlinkSync(pathOf(id));
    },
  };
}

export type OwnFiles = ReturnType<typeof createOwnFiles>;
