import { create } from 'zustand';
import { useConditions } from '../../../session/conditions.ts';
import { presentDesk } from '../../../session/desk.ts';
import { lookAtHalf } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';

/** The field that says what lies there: a motif, a picture, a gradient or a rotation. */
export const KIND_OF_BACKDROP = 'Kind of backdrop';

/** What the chapter shows, besides its page. */
interface BackdropView {
  /** Id of the backdrop in the column; null is the one in force. */
  backdrop: string | null;
  /** The backdrop is shown without its adjustments. */
  isBefore: boolean;
}

export const useBackdropView = create<BackdropView>()(() => ({ backdrop: null, isBefore: false }));

/** Opens a backdrop in the column, or one entry of its rotation; the stage shows where it lies. */
export function goToBackdrop(backdrop: string | null, entry: string | null = null): void {
  useBackdropView.setState({ backdrop });
  const desk = presentDesk();
  const lies = desk?.backdrops.find(({ id }) => id === backdrop)?.for;
  if (lies?.half) lookAtHalf(lies.half);
  if (lies?.screen) useView.getState().showScreen(lies.screen);
  const workspace = desk?.workspaces.findIndex(({ id }) => id === lies?.workspace) ?? -1;
  if (workspace >= 0) useConditions.getState().goTo(workspace);
  useView.getState().goToChapter('backdrop', null, entry);
}

export function setBefore(isBefore: boolean): void {
  useBackdropView.setState({ isBefore });
}

// Whoever goes elsewhere lets go.
useView.subscribe((now, before) => {
  if (now.chapter !== before.chapter || now.page !== before.page) setBefore(false);
});
