import { useEffect, useMemo, useState } from 'react';
import type { PictureFacts } from '../../../core/wire/wire.ts';
import { ServerProblem, api } from '../../api/client.ts';

/** What is known of pictures, by id; it never changes. Null where the server has none to tell. */
const known = new Map<string, PictureFacts | null>();
/** What is being asked for: each picture once, whoever wants to know. */
const asked = new Map<string, Promise<void>>();

function ask(id: string): Promise<void> {
  let answer = asked.get(id);
  if (!answer) {
    answer = api
      .pictureFacts(id)
      .then(
        (facts) => void known.set(id, facts),
        // Without them nothing is said about the picture; while the server is gone, it is asked again by the next who wants to know.
        (error) => void (error instanceof ServerProblem && known.set(id, null)),
      )
      .finally(() => asked.delete(id));
    asked.set(id, answer);
  }
  return answer;
}

/** What the server knows of a picture; null until it is here, or when it can't be had. */
export function usePictureFacts(id: string): PictureFacts | null {
  const ids = useMemo(() => [id], [id]);
  return useFactsOf(ids).get(id) ?? null;
}

/** The same of several, as far as they are here; another map whenever one more is. */
export function useFactsOf(ids: readonly string[]): ReadonlyMap<string, PictureFacts | null> {
  const [facts, setFacts] = useState<ReadonlyMap<string, PictureFacts | null>>(() => new Map(known));
  useEffect(() => {
    let isStale = false;
    const arrived = () => {
      if (!isStale) setFacts((before) => (before.size === known.size ? before : new Map(known)));
    };
    // Others may have asked for some of them since.
    arrived();
    for (const id of ids) if (!known.has(id)) void ask(id).then(arrived);
    return () => {
      isStale = true;
    };
  }, [ids]);
  return facts;
}
