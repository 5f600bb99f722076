import { create } from 'zustand';
import type { Distance, Guide } from '../../core/arrange/snap.ts';
import type { Rect } from '../../core/values/geometry.ts';
import { useConditions } from '../session/conditions.ts';

export const chapters = ['backdrop', 'palette', 'look', 'edges', 'widgets'] as const;
export type Chapter = (typeof chapters)[number];
export const chapterTitles: Record<Chapter, string> = {
  backdrop: 'Backdrop',
  palette: 'Palette',
  look: 'Look',
  edges: 'Edges',
  widgets: 'Widgets',
};

/** Pages that lie deeper in a chapter. */
export const pages = {
  backdrop: { adjust: 'Adjust', export: 'Bake and export' },
  palette: { terminal: 'Terminal', exchange: 'Out and in', eyes: 'Other eyes' },
  look: { type: 'Type', icons: 'Icons', pointer: 'Pointer', finish: 'Finish', legibility: 'Legibility' },
  edges: {},
  widgets: {},
} as const satisfies Record<Chapter, Record<string, string>>;

/** How eyes may differ. */
export const allEyes = ['usual', 'protan', 'deutan', 'tritan', 'low'] as const;
export type Eyes = (typeof allEyes)[number];

/** A colour is picked from the stage. */
export interface Picking {
  title: string;
  take(colour: string): void;
}

export type Sheet =
  'commands' | 'shortcuts' | 'history' | 'rename' | 'place' | 'screen' | 'workspaces' | null;

/** What this page shows: the session and the moment, never the document. */
interface ViewState {
  mode: 'arrange' | 'try';
  chapter: Chapter;
  /** A page of the chapter; null is its first. */
  page: string | null;
  /** Id of the backdrop in the column; null is the one in force. */
  backdrop: string | null;
  /** Id of the entry of its rotation in the column. */
  entry: string | null;
  eyes: Eyes;
  picking: Picking | null;
  /** The backdrop is shown without its adjustments. */
  isBefore: boolean;
  /** Texts that are hard to read are tinted on the stage. */
  showsLegibility: boolean;
  /** Id of the screen on the stage. */
  screen: string | null;
  /** Ids of widgets, or of one edge, or of one item. */
  selection: readonly string[];
  sheet: Sheet;
  /** Shown while something is moved. */
  guides: readonly Guide[];
  distances: readonly Distance[];
  marquee: Rect | null;
  setMode(mode: 'arrange' | 'try'): void;
  goToChapter(chapter: Chapter, page?: string | null): void;
  goToBackdrop(backdrop: string | null, entry?: string | null): void;
  setEyes(eyes: Eyes): void;
  pick(picking: Picking | null): void;
  setBefore(isBefore: boolean): void;
  setLegibility(isShown: boolean): void;
  showScreen(screen: string): void;
  select(ids: readonly string[], chapter?: Chapter): void;
  toggle(id: string): void;
  open(sheet: Sheet): void;
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
  page: null,
  backdrop: null,
  entry: null,
  eyes: 'usual',
  picking: null,
  isBefore: false,
  showsLegibility: false,
  screen: null,
  selection: none,
  sheet: null,
  guides: none,
  distances: none,
  marquee: null,
  setMode(mode) {
    useConditions.getState().setAppList(false);
    set({ mode, selection: none });
  },
  goToChapter: (chapter, page = null) =>
    set({ chapter, page, selection: none, entry: null, isBefore: false }),
  goToBackdrop: (backdrop, entry = null) =>
    set({ chapter: 'backdrop', page: null, backdrop, entry, selection: none }),
  setEyes: (eyes) => set({ eyes }),
  pick: (picking) => set({ picking }),
  setBefore: (isBefore) => set({ isBefore }),
  setLegibility: (showsLegibility) => set({ showsLegibility }),
  showScreen(screen) {
    useConditions.getState().setAppList(false);
    set({ screen, selection: none });
  },
  select: (selection, chapter) => set(chapter ? { selection, chapter } : { selection }),
  toggle: (id) =>
    set(({ selection }) => ({
      selection: selection.includes(id) ? selection.filter((other) => other !== id) : [...selection, id],
      chapter: 'widgets',
    })),
  open: (sheet) => set({ sheet }),
  setHints: ({ guides = none, distances = none, marquee = null }) => set({ guides, distances, marquee }),
}));
