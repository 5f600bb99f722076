import type { MachineReading } from '../../core/sources/machine/machine.ts';
import { clientId } from './client.ts';

export interface EventHandlers {
  /** A desk was saved, by this page or another one. */
  onSaved?(id: string, revision: number, isOwn: boolean): void;
  onRemoved?(id: string, isOwn: boolean): void;
  onMachine?(samples: { moment: number; reading: MachineReading }[]): void;
  /** The stream stands (again). */
  onHello?(): void;
}

/** Listens to the server; the browser takes a broken stream up again by itself. Gives back how to stop. */
export function listen(wantsMachine: boolean, handlers: EventHandlers): () => void {
  const stream = new EventSource(`/api/events${wantsMachine ? '?machine=1' : ''}`);
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
  on<{ moment: number; reading: MachineReading }[]>('machine', (samples) => handlers.onMachine?.(samples));
  on('hello', () => handlers.onHello?.());
  return () => stream.close();
}
