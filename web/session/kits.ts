import { create } from 'zustand';
import type { Kit } from '../../core/desk/kits/kit.ts';
import { api } from '../api/client.ts';
import { persist } from '../later.ts';

/** The kits there are: ours, and those that were kept, for all desks. */
interface Kits {
  /** Null until they are here. */
  ours: readonly Kit[] | null;
  kept: readonly Kit[] | null;
  /** Why those that were kept are not here. */
  failure: string | null;
}

export const useKits = create<Kits>()(() => ({ ours: null, kept: null, failure: null }));

const bringOurs = async () => (await import('../../core/kits/ours.ts')).ourKits();

/** Asks for what there is now. What is known already stays until it is here. */
export async function loadKits(): Promise<void> {
  void persist(bringOurs).then((ours) => useKits.setState({ ours }));
  try {
    const before = new Map(useKits.getState().kept?.map((kit) => [kit.id, kit]));
    const listed = await persist(() => api.kits());
    const kept = await Promise.all(
      listed.map(({ id, version }) => {
        const known = before.get(id);
        // One that can't be read is left out: the list says what there is.
        return known?.version === version ? known : api.kit(id).catch(() => null);
      }),
    );
    useKits.setState({ kept: kept.filter((kit) => kit !== null), failure: null });
  } catch (error) {
    useKits.setState({ failure: (error as Error).message });
  }
}

/** Asks anew, where somebody asked before. */
export async function renewKits(): Promise<void> {
  if (useKits.getState().kept) await loadKits();
}

/** All of them, those that were kept first. */
export function allKits({ ours, kept }: Pick<Kits, 'ours' | 'kept'>): readonly Kit[] {
  return [...(kept ?? []), ...(ours ?? [])];
}
