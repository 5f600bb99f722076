import type { Feed } from '../../core/sources/feeds.ts';
import { clientId } from './client.ts';

export interface EventHandlers {
  /** A desk was saved, by this page or another one. */
  onSaved?(id: string, revision: number, isOwn: boolean): void;
  onRemoved?(id: string, isOwn: boolean): void;
  /** New readings of what was asked for. */
  onSamples?(feed: Feed): void;
  /** The stream stands (again). */
  onHello?(): void;
}

/**
 * Listens to the server; the browser takes a broken stream up again by itself. `feeds` names the readings that are
 * wanted, each as source/origin, encoded, with commas between. Gives back how to stop.
 */
export function listen(feeds: string, handlers: EventHandlers): () => void {
  const stream = new EventSource(`/api/events${feeds ? `?feeds=${feeds}` : ''}`);
  function on<T>(event: string, handle: (data: T) => void): void {
    stream.addEventListener(event, (message) =>
      handle(JSON.parse((message as MessageEvent<string>).data) as T),
    );
  }
  on<{ id: string; revision: number; by: string | null }>('saved', ({ id, revision, by }) => {
    handlers.onSaved?.(id, revision, by === clientId);
  });
  on<{ id: string; by: string | null }>('removed', ({ id, by }) => {
    handlers.onRemoved?.(id, by === clientId);
  });
  on<Feed>('samples', (feed) => handlers.onSamples?.(feed));
  on('hello', () => handlers.onHello?.());
  return () => stream.close();
}
