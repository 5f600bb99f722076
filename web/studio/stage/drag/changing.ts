import { create } from 'zustand';
import { useDesk } from '../../../session/desk.ts';

/** The name of what was changed last, and how many changes there were; whoever shows it clears it. */
export const useChanging = create<{ label: string | null; count: number }>()(() => ({
  label: null,
  count: 0,
}));

useDesk.subscribe(({ history }, before) => {
  if (!history || !before.history || history.present === before.history.present) return;
  const label = history.gesture?.label ?? history.past.at(-1)?.label ?? null;
  useChanging.setState(({ count }) => ({ label, count: count + 1 }));
});
