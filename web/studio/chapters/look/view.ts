import { create } from 'zustand';

/** Whether texts that are hard to read are tinted on the stage. */
export const useLegibilityShown = create<{ isShown: boolean }>()(() => ({ isShown: false }));

export function showLegibility(isShown: boolean): void {
  useLegibilityShown.setState({ isShown });
}

/** Id of the part whose findings are pointed at, in the list or on the stage; and the one whose line was asked for. */
export const useFindingsView = create<{ part: string | null; asked: string | null }>()(() => ({
  part: null,
  asked: null,
}));

export function pointAtFinding(part: string | null): void {
  useFindingsView.setState({ part });
}

export function askForFinding(part: string | null): void {
  useFindingsView.setState({ asked: part });
}
