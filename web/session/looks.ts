import { create } from 'zustand';
import type { ReadyLook } from '../../core/desk/ready/ready.ts';
import { api } from '../api/client.ts';
import { persist } from '../later.ts';

/** The ready looks there are: ours, and those that somebody kept, for all desks. */
interface Looks {
  /** Null until they are here. */
  ours: readonly ReadyLook[] | null;
  own: readonly ReadyLook[] | null;
  /** Why those that were kept are not here. */
  failure: string | null;
}

export const useLooks = create<Looks>()(() => ({ ours: null, own: null, failure: null }));

const bringOurs = async () => (await import('../../core/ready/ours.ts')).ourLooks();

/** Asks for what there is now. What is known already stays until it is here. */
export async function loadLooks(): Promise<void> {
  void persist(bringOurs).then((ours) => useLooks.setState({ ours }));
  try {
    useLooks.setState({ own: await persist(() => api.looks()), failure: null });
  } catch (error) {
    useLooks.setState({ failure: (error as Error).message });
  }
}

/** Asks anew, where somebody asked before. */
export async function renewLooks(): Promise<void> {
  if (useLooks.getState().own) await loadLooks();
}
