import { create } from 'zustand';
import { browserKeep } from '../browser-keep.ts';

export const themes = ['system', 'velvet', 'linen'] as const;
export type Theme = (typeof themes)[number];

const KEY = 'velvet-ledge:theme';
const prefersLight = matchMedia('(prefers-color-scheme: light)');

function stored(): Theme {
  const value = browserKeep.getItem(KEY);
  return themes.find((theme) => theme === value) ?? 'system';
}

/** The look of the interface itself: dark velvet, light linen, or as the system is. */
export const useTheme = create<{ theme: Theme; setTheme(theme: Theme): void }>()((set) => ({
  theme: stored(),
  setTheme(theme) {
    browserKeep.tryItem(KEY, theme);
    set({ theme });
    apply(theme);
  },
}));

function apply(theme: Theme): void {
  const shown = theme === 'system' ? (prefersLight.matches ? 'linen' : 'velvet') : theme;
  document.documentElement.dataset['theme'] = shown;
}

export function startTheme(): void {
  apply(stored());
  prefersLight.addEventListener('change', () => apply(useTheme.getState().theme));
}
