import type { Feed } from '../../core/sources/feeds.ts';
import type { About, EventData, EventName } from '../../core/wire/wire.ts';
import { api, clientId, ServerProblem } from './client.ts';

export interface EventHandlers {
  /** A desk was saved, by this page or another one. */
  onSaved?(id: string, revision: number, isOwn: boolean): void;
  onRemoved?(id: string, isOwn: boolean): void;
  /** Something has become of the kits. */
  onKits?(): void;
  /** … or of the looks of single parts. */
  onLooks?(): void;
  onIconSets?(): void;
  /** Something has become of what is kept of a desk. */
  onKeeps?(id: string): void;
  /** New readings of what was asked for. */
  onSamples?(feed: Feed): void;
  /** The stream stands (again). */
  onHello?(): void;
  /** As it begins to stand, and when it changes. */
  onAbout?(about: About): void;
}

export interface Listening {
  /** Names the readings that are wanted from now on, each as source/origin. */
  want(names: readonly string[]): void;
  stop(): void;
}

/** ms until something that the server refused is tried again. */
const AGAIN_MS = 5000;

/** Listens to the server for as long as wanted, whatever becomes of the line between them. */
export function listen(handlers: EventHandlers): Listening {
  const page = crypto.randomUUID();
  let stream: EventSource | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  let isOver = false;
  const wants = createWants(page);

  function open(): void {
    const opened = new EventSource(`/api/events?page=${page}`);
    stream = opened;
    function on<Name extends EventName>(name: Name, handle: (data: EventData[Name]) => void): void {
      opened.addEventListener(name, (message) =>
        handle(JSON.parse((message as MessageEvent<string>).data) as EventData[Name]),
      );
    }
    on('saved', ({ id, revision, by }) => handlers.onSaved?.(id, revision, by === clientId));
    on('removed', ({ id, by }) => handlers.onRemoved?.(id, by === clientId));
    on('kits', () => handlers.onKits?.());
    on('looks', () => handlers.onLooks?.());
    on('icon-sets', () => handlers.onIconSets?.());
    on('keeps', ({ id }) => handlers.onKeeps?.(id));
    on('samples', (feed) => handlers.onSamples?.(feed));
    on('hello', (about) => {
      wants.stands();
      handlers.onAbout?.(about);
      handlers.onHello?.();
    });
    on('about', (about) => handlers.onAbout?.(about));
    opened.addEventListener('error', () => {
      wants.broke();
      // The browser takes a broken stream up again by itself, but not one that was refused.
      if (opened.readyState === EventSource.CLOSED && !isOver) again = setTimeout(open, AGAIN_MS);
    });
  }
  open();

  return {
    want: wants.set,
    stop() {
      isOver = true;
      clearTimeout(again);
      wants.broke();
      stream?.close();
    },
  };
}

/** What a page wants to be told of: said anew each time that its stream stands, and whenever it changes. */
function createWants(page: string) {
  let names: readonly string[] = [];
  let said: readonly string[] = [];
  let isStanding = false;
  let isAsking = false;

  async function tell(): Promise<void> {
    if (isAsking) return;
    isAsking = true;
    while (isStanding && said !== names) {
      const asked = names;
      try {
        await api.wantFeeds(page, asked);
        said = asked;
      } catch (error) {
        // With the server gone, or this page unknown to it, the stream breaks too and is taken up again.
        if (!(error instanceof ServerProblem) || error.status === 404) break;
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      }
    }
    isAsking = false;
  }

  return {
    set(wanted: readonly string[]): void {
      names = wanted;
      void tell();
    },
    stands(): void {
      isStanding = true;
      // A new stream wants nothing yet.
      said = [];
      void tell();
    },
    broke: () => void (isStanding = false),
  };
}
