import { createContext } from 'react';

/** What pressing things on a desk in use does. Null where the desk is only looked at. */
export interface DeskActions {
  /** Opens the app list, or closes it where it is open. */
  turnAppList(): void;
  closeAppList(): void;
  /** Opens what of an edge found no room, or closes it where it is open. */
  turnMore(edge: string): void;
  start(application: string): void;
  goTo(workspace: number): void;
}

export const Actions = createContext<DeskActions | null>(null);
