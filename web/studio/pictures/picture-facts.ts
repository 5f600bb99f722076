import { useEffect, useState } from 'react';
import type { PictureFacts } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';

/** What is known of pictures, by id; it never changes. */
const known = new Map<string, PictureFacts>();

/** What the server knows of a picture; null until it is here, or when it can't be had. */
export function usePictureFacts(id: string): PictureFacts | null {
  const [, setArrived] = useState(0);
  useEffect(() => {
    if (known.has(id)) return;
    let isStale = false;
    api.pictureFacts(id).then(
      (facts) => {
        known.set(id, facts);
        if (!isStale) setArrived((count) => count + 1);
      },
      // Without them nothing is said about the picture.
      () => {},
    );
    return () => {
      isStale = true;
    };
  }, [id]);
  return known.get(id) ?? null;
}
