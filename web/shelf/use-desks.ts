import { useEffect, useMemo, useState } from 'react';
import type { ListedDesk } from '../../core/desk/summary.ts';
import { api } from '../api/client.ts';
import { listen } from '../api/events.ts';
import { hearAbout } from '../ui/notices.ts';

/** The list of desks on the shelf, kept up to date. */
export function useDesks() {
  const [desks, setDesks] = useState<ListedDesk[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const reload = useMemo(() => {
    let newest = 0;
    return async () => {
      const mine = ++newest;
      const found = await api.desks().then(
        (desks) => ({ desks, failure: null }),
        (error: Error) => ({ desks: null, failure: error.message }),
      );
      // One asked for later may have been answered sooner: an older answer doesn't undo it.
      if (mine !== newest) return;
      if (found.desks) setDesks(found.desks);
      setFailure(found.failure);
    };
  }, []);
  useEffect(() => {
    void reload();
    return listen({
      onSaved: () => void reload(),
      onRemoved: () => void reload(),
      onHello: () => void reload(),
      onAbout: hearAbout,
    }).stop;
  }, [reload]);
  return { desks, failure, reload };
}
