import { useEffect, useMemo, useState } from 'react';
import type { PictureFacts } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';

/** What is known of pictures, by id; it never changes. */
const known = new Map<string, PictureFacts>();

/** What the server knows of a picture; null until it is here, or when it can't be had. */
export function usePictureFacts(id: string): PictureFacts | null {
  const ids = useMemo(() => [id], [id]);
  return useFactsOf(ids).get(id) ?? null;
}

/** The same of several, as far as they are here; another map whenever one more is. */
export function useFactsOf(ids: readonly string[]): ReadonlyMap<string, PictureFacts> {
  const [facts, setFacts] = useState<ReadonlyMap<string, PictureFacts>>(() => new Map(known));
  useEffect(() => {
    let isStale = false;
    const arrived = () => {
      if (!isStale) setFacts(new Map(known));
    };
    for (const id of ids) {
      if (known.has(id)) continue;
      api.pictureFacts(id).then(
        (found) => {
          known.set(id, found);
          arrived();
        },
        // Without them nothing is said about the picture.
        () => {},
      );
    }
    // Others may have asked for some of them since.
    if (ids.length > 0) arrived();
    return () => {
      isStale = true;
    };
  }, [ids]);
  return facts;
}
