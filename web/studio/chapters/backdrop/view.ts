import { create } from 'zustand';
import { useView } from '../../../stores/view.ts';

/** What the chapter shows, besides its page. */
interface BackdropView {
  /** Id of the backdrop in the column; null is the one in force. */
  backdrop: string | null;
  /** The backdrop is shown without its adjustments. */
  isBefore: boolean;
}

export const useBackdropView = create<BackdropView>()(() => ({ backdrop: null, isBefore: false }));

/** Opens a backdrop in the column, or one entry of its rotation. */
export function goToBackdrop(backdrop: string | null, entry: string | null = null): void {
  useBackdropView.setState({ backdrop });
  useView.getState().goToChapter('backdrop', null, entry);
}

export function setBefore(isBefore: boolean): void {
  useBackdropView.setState({ isBefore });
}

// Whoever goes elsewhere lets go.
useView.subscribe((now, before) => {
  if (now.chapter !== before.chapter || now.page !== before.page) setBefore(false);
});
