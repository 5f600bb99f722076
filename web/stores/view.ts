import { create } from 'zustand';
import type { Distance, Guide } from '../../core/arrange/snap.ts';
import type { Point, Rect } from '../../core/values/geometry.ts';
import { useConditions } from '../session/conditions.ts';

/** A colour is picked from the stage. */
export interface Picking {
  title: string;
  take(colour: string): void;
}

export type Sheet =
  'commands' | 'shortcuts' | 'history' | 'keeps' | 'rename' | 'place' | 'screen' | 'workspaces' | null;

/** What this page shows: the session and the moment, never the document. */
interface ViewState {
  mode: 'arrange' | 'try';
  /** Id of the chapter in the column, of one of its pages (null is its first), and of what is open on that. */
  chapter: string;
  page: string | null;
  spot: string | null;
  picking: Picking | null;
  /** Windows are seen while the desk is arranged, in other chapters than their own too. */
  seesWindows: boolean;
  /** Id of the part whose words are typed in place. */
  typing: string | null;
  /** Id of the screen on the stage. */
  screen: string | null;
  /** Ids of widgets, or of one edge, or of one item. */
  selection: readonly string[];
  sheet: Sheet;
  /** What is typed into the search. */
  query: string;
  /** Enter was pressed there before the search was drawn. */
  isEntered: boolean;
  /** Shown while something is moved. */
  guides: readonly Guide[];
  distances: readonly Distance[];
  marquee: Rect | null;
  /** Id of the screen that what is dragged would go to. */
  target: string | null;
  /** Where an item is that would be taken off, px of the screen, and what it is. */
  off: { at: Point; title: string } | null;
  setMode(mode: 'arrange' | 'try'): void;
  goToChapter(chapter: string, page?: string | null, spot?: string | null): void;
  pick(picking: Picking | null): void;
  showScreen(screen: string): void;
  select(ids: readonly string[], chapter?: string): void;
  /** For a desk that is opened: nothing is selected, and its widgets are at hand. */
  startAnew(): void;
  toggle(id: string): void;
  open(sheet: Sheet): void;
  setHints(hints: {
    off?: { at: Point; title: string } | null;
    target?: string | null;
    guides?: readonly Guide[];
    distances?: readonly Distance[];
    marquee?: Rect | null;
  }): void;
}

/** Whether the kits stand in place of the ledge. */
export const amongKits = ({ chapter, page }: Pick<ViewState, 'chapter' | 'page'>): boolean =>
  chapter === 'look' && page === 'kits';

/** Whether the desk is compared with another state. */
export const amongCompared = ({ chapter, page }: Pick<ViewState, 'chapter' | 'page'>): boolean =>
  chapter === 'look' && page === 'compare';

const none: readonly never[] = [];

const fresh = {
  mode: 'arrange' as const,
  chapter: 'widgets',
  page: null,
  spot: null,
  picking: null,
  typing: null,
  screen: null,
  selection: none,
  sheet: null,
};

export const useView = create<ViewState>()((set) => ({
  ...fresh,
  query: '',
  isEntered: false,
  seesWindows: true,
  guides: none,
  distances: none,
  marquee: null,
  target: null,
  off: null,
  setMode(mode) {
    useConditions.setState({ open: null, openMore: null, handled: null, windowHint: null, overview: null });
    set({ mode, selection: none });
  },
  goToChapter: (chapter, page = null, spot = null) => set({ chapter, page, spot, selection: none }),
  pick: (picking) => set({ picking }),
  startAnew: () => set(fresh),
  showScreen(screen) {
    useConditions.getState().setOpen(null);
    set({ screen, selection: none });
  },
  select: (selection, chapter) =>
    set(chapter ? { selection, chapter, typing: null } : { selection, typing: null }),
  toggle: (id) =>
    set(({ selection }) => ({
      selection: selection.includes(id) ? selection.filter((other) => other !== id) : [...selection, id],
      chapter: 'widgets',
    })),
  open: (sheet) => set({ sheet }),
  setHints: ({ guides = none, distances = none, marquee = null, target = null, off = null }) =>
    set({ guides, distances, marquee, target, off }),
}));
