import { renewIconSets } from './icon-sets.ts';
import { renewLooks } from './looks.ts';
import { renewKits } from './kits.ts';
import { useEffect, useRef } from 'react';
import type { Scene } from '../../core/scene/scene.ts';
import { fetchedFor } from '../../core/sources/from-outside.ts';
import type { Outside } from '../../core/sources/outside.ts';
import { SIMULATED } from '../../core/sources/source.ts';
import { api } from '../api/client.ts';
import { persist } from '../later.ts';
import { listen, type Listening } from '../api/events.ts';
import { hearAbout } from '../ui/notices.ts';
import { startClock } from './clock.ts';
import { keepWindows } from './windows/kept-windows.ts';
import { useConditions } from './conditions.ts';
import { useDesk } from './desk.ts';
import { useScene } from './scene.ts';

export interface OpenDeskHandlers {
  /** Before the desk is opened. */
  onOpen(): void;
  /** A newer state from elsewhere was taken. */
  onTaken?(): void;
  /** The desk was taken off the shelf elsewhere. */
  onRemoved?(): void;
}

/**
 * Opens a desk for as long as a page shows it: the clock runs, and the page hears of what is saved elsewhere and of
 * this machine's readings. The handlers must keep their identity.
 */
export function useOpenDesk(id: string, handlers: OpenDeskHandlers): void {
  const also = useConditions(({ alsoWanted }) => alsoWanted);
  const outside = useDesk((state) => state.history?.present.sources.outside);
  const feeds = useScene((state) => feedsOf(state.scene, outside, also));
  const readsCalendars = useScene(
    ({ scene }) => scene?.needs.some(({ source }) => source === 'calendar') ?? false,
  );
  const hasCalendars = readsCalendars || also.includes('calendar');
  useEffect(() => {
    if (!hasCalendars) return;
    let stop: (() => void) | null = null;
    let isOver = false;
    void persist(() => import('./calendars.ts')).then(({ watchCalendars }) => {
      if (!isOver) stop = watchCalendars();
    });
    return () => {
      isOver = true;
      stop?.();
    };
  }, [id, hasCalendars]);
  useEffect(() => {
    handlers.onOpen();
    const stopKeeping = keepWindows(id);
    void useDesk.getState().open(id);
    const stopClock = startClock();
    return () => {
      stopKeeping();
      stopClock();
      useDesk.getState().close();
    };
  }, [id, handlers]);

  const listening = useRef<Listening | null>(null);
  useEffect(() => {
    /** The newest revision that was heard of and could not be taken; 0 for none. */
    let missed = 0;
    async function hearOf(revision: number): Promise<void> {
      const came = await useDesk
        .getState()
        .hearOf(revision)
        // It is heard of again once the stream stands again.
        .catch(() => 'gone');
      if (came === 'taken') handlers.onTaken?.();
      // With work unsaved here, the next save finds out and asks.
      if (came === 'unsaved') missed = Math.max(missed, revision);
    }
    // Where that work is given up, no save finds out.
    const stopCatchingUp = useDesk.subscribe(({ saving }, before) => {
      if (saving === before.saving || saving.state !== 'kept' || saving.revision >= missed) return;
      const newer = missed;
      missed = 0;
      void hearOf(newer);
    });
    /** The stream stands again: whatever was saved meanwhile was not heard. */
    async function catchUp(): Promise<void> {
      useDesk.getState().wake();
      try {
        const [newest] = await api.revisions(id);
        if (newest) await hearOf(newest.number);
      } catch {
        // Still unreachable, or gone from the shelf: saving says so by itself.
      }
    }
    const stream = listen({
      onSaved: (saved, revision, isOwn) => {
        if (saved === id && !isOwn) void hearOf(revision);
      },
      onRemoved: (removed, isOwn) => {
        if (removed === id && !isOwn) handlers.onRemoved?.();
      },
      onKits: () => void renewKits(),
      onLooks: () => void renewLooks(),
      onIconSets: () => void renewIconSets(),
      onSamples: (feed) => useConditions.getState().takeFeed(feed),
      onHello: () => void catchUp(),
      onAbout: hearAbout,
    });
    listening.current = stream;
    return () => {
      stopCatchingUp();
      stream.stop();
    };
  }, [id, handlers]);

  useEffect(() => listening.current?.want(feeds === '' ? [] : feeds.split('\n')), [id, feeds, handlers]);
}

/** The origins outside the page that a desk reads from, a line each: the text changes only when they do. */
function feedsOf(scene: Scene | null, outside: Outside | undefined, also: readonly string[]): string {
  const needs = [...(scene?.needs ?? []), ...also.map((source) => ({ source, origin: SIMULATED as string }))];
  const fed = [
    ...needs.filter(({ origin }) => origin !== SIMULATED),
    ...(outside ? needs.flatMap(({ source }) => fetchedFor(source, outside)) : []),
  ];
  return [...new Set(fed.map(({ source, origin }) => `${source}/${origin}`))].sort().join('\n');
}
