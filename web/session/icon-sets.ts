import { create } from 'zustand';
import type { ListedIconSet } from '../../core/wire/wire.ts';
import { api } from '../api/client.ts';
import { persist } from '../later.ts';

/** The icon sets of one's own that there are, for all desks. */
interface IconSets {
  /** Null until they are here. */
  list: readonly ListedIconSet[] | null;
  /** Why they are not here. */
  failure: string | null;
}

export const useIconSets = create<IconSets>()(() => ({ list: null, failure: null }));

/** Asks for what there is now. What is known already stays until it is here. */
export async function loadIconSets(): Promise<void> {
  try {
    useIconSets.setState({ list: await persist(() => api.iconSets()), failure: null });
  } catch (error) {
    useIconSets.setState({ failure: (error as Error).message });
  }
}

/** Asks anew, where somebody asked before. */
export async function renewIconSets(): Promise<void> {
  if (useIconSets.getState().list) await loadIconSets();
}
