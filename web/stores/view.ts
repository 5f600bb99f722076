import { create } from 'zustand';
import type { Distance, Guide } from '../../core/arrange/snap.ts';
import type { Rect } from '../../core/arrange/geometry.ts';

export const chapters = ['backdrop', 'palette', 'edges', 'widgets'] as const;
export type Chapter = (typeof chapters)[number];
export const chapterTitles: Record<Chapter, string> = {
  backdrop: 'Backdrop',
  palette: 'Palette',
  edges: 'Edges',
  widgets: 'Widgets',
};

export type Sheet =
  'commands' | 'shortcuts' | 'history' | 'rename' | 'place' | 'screen' | 'workspaces' | null;

/** What this page shows: the session and the moment, never the document. */
interface ViewState {
  mode: 'arrange' | 'try';
  chapter: Chapter;
  /** Id of the screen on the stage. */
  screen: string | null;
  /** Ids of widgets, or of one edge, or of one item. */
  selection: readonly string[];
  sheet: Sheet;
  isAppListOpen: boolean;
  /** Shown while something is moved. */
  guides: readonly Guide[];
  distances: readonly Distance[];
  marquee: Rect | null;
  setMode(mode: 'arrange' | 'try'): void;
  goToChapter(chapter: Chapter): void;
  showScreen(screen: string): void;
  select(ids: readonly string[], chapter?: Chapter): void;
  toggle(id: string): void;
  open(sheet: Sheet): void;
  setAppList(isOpen: boolean): void;
  setHints(hints: {
    guides?: readonly Guide[];
    distances?: readonly Distance[];
    marquee?: Rect | null;
  }): void;
}

const none: readonly never[] = [];

export const useView = create<ViewState>()((set) => ({
  mode: 'arrange',
  chapter: 'widgets',
  screen: null,
  selection: none,
  sheet: null,
  isAppListOpen: false,
  guides: none,
  distances: none,
  marquee: null,
  setMode: (mode) => set({ mode, selection: none, isAppListOpen: false }),
  goToChapter: (chapter) => set({ chapter, selection: none }),
  showScreen: (screen) => set({ screen, selection: none, isAppListOpen: false }),
  select: (selection, chapter) => set(chapter ? { selection, chapter } : { selection }),
  toggle: (id) =>
    set(({ selection }) => ({
      selection: selection.includes(id) ? selection.filter((other) => other !== id) : [...selection, id],
      chapter: 'widgets',
    })),
  open: (sheet) => set({ sheet }),
  setAppList: (isAppListOpen) => set({ isAppListOpen }),
  setHints: ({ guides = none, distances = none, marquee = null }) => set({ guides, distances, marquee }),
}));
