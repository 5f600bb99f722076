import { create } from 'zustand';

/** How eyes may differ. */
const allEyes = ['usual', 'protan', 'deutan', 'tritan', 'low'] as const;
export type Eyes = (typeof allEyes)[number];

/** The colour of one's own that palettes are drawn from; null where they start from the backdrop. */
export const useStartColour = create<{ colour: string | null }>()(() => ({ colour: null }));

export function setStartColour(colour: string | null): void {
  useStartColour.setState({ colour });
}

/** The eyes with which the stage is seen. */
export const useEyes = create<{ eyes: Eyes }>()(() => ({ eyes: 'usual' }));

export function setEyes(eyes: Eyes): void {
  useEyes.setState({ eyes });
}

export function nextEyes(): void {
  const { eyes } = useEyes.getState();
  setEyes(allEyes[(allEyes.indexOf(eyes) + 1) % allEyes.length] ?? 'usual');
}
