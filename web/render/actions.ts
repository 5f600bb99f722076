import { createContext } from 'react';
import type { PressAct } from '../../core/values/presses.ts';

/** What pressing things on a desk in use does. Null where the desk is only looked at. */
export interface DeskActions {
  /** Opens the app list, or closes it where it is open. */
  turnAppList(): void;
  closeAppList(): void;
  /** Opens what of an edge found no room, or closes it where it is open. */
  turnMore(edge: string): void;
  start(application: string): void;
  goTo(workspace: number): void;
  /** What a button of the pointer was given to do. */
  perform(act: Exclude<PressAct, 'own' | 'none'>): void;
  /** Says what would happen, where nothing really does. */
  say(sentence: string): void;
}

export const Actions = createContext<DeskActions | null>(null);
