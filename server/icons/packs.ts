import type { OwnFiles } from '../files/own-files.ts';
import { openPack, type Pack } from './pack.ts';

/** Packs that are kept open. */
const MOST_OPEN = 6;

/** Packs that are read from, some of them kept open. */
export function createPacks(files: Pick<OwnFiles, 'pathOf'>) {
  const packs = new Map<string, Promise<Pack>>();
  const end = (pack: Promise<Pack>) => void pack.then((one) => one.close()).catch(() => undefined);
  return {
    opened(id: string): Promise<Pack> {
      let pack = packs.get(id);
      if (!pack) {
        packs.set(id, (pack = openPack(files.pathOf(id))));
        pack.catch(() => packs.delete(id));
        for (const [other, held] of packs) {
          if (packs.size <= MOST_OPEN) break;
          packs.delete(other);
          end(held);
        }
      }
      return pack;
    },
    close(): void {
      for (const pack of packs.values()) end(pack);
    },
  };
}
