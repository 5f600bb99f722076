import { create } from 'zustand';

/** Whether texts that are hard to read are tinted on the stage. */
export const useLegibilityShown = create<{ isShown: boolean }>()(() => ({ isShown: false }));

export function showLegibility(isShown: boolean): void {
  useLegibilityShown.setState({ isShown });
}
