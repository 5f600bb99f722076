import { useSyncExternalStore } from 'react';
import type { Finder } from '../../../core/icons/sets/find.ts';
import type { IconSetIndex } from '../../../core/icons/sets/index-file.ts';
import { api } from '../../api/client.ts';
import { persist } from '../../later.ts';

/** A set from outside, as far as this page knows it; null where the server has none such. */
export interface OwnIconSet {
  index: IconSetIndex;
  finder: Finder;
}

const known = new Map<string, OwnIconSet | null>();
const asked = new Map<string, Promise<void>>();
const hearers = new Set<() => void>();

/** Fetches what a set has, once; where it isn't there, ours are drawn. */
export function loadOwnSet(id: string): Promise<void> {
  let work = asked.get(id);
  if (!work) {
    // What finds its icons is fetched with the first one: most desks need none.
    work = persist(() => Promise.all([api.iconSet(id), import('../../../core/icons/sets/find.ts')]))
      .then(([index, { finderOf }]) => void known.set(id, { index, finder: finderOf(index) }))
      .catch(() => {
        known.set(id, null);
        // It may be taken in yet.
        asked.delete(id);
      })
      .finally(() => hearers.forEach((hear) => hear()));
    asked.set(id, work);
  }
  return work;
}

/** A set that a desk names; undefined until it is known. */
export function useOwnSet(id: string | null): OwnIconSet | null | undefined {
  return useSyncExternalStore(
    (hear) => {
      hearers.add(hear);
      if (id !== null && !known.has(id)) void loadOwnSet(id);
      return () => hearers.delete(hear);
    },
    () => (id === null ? null : known.get(id)),
  );
}
