/**
 * How the interface is cut into files. By itself the bundler makes one for each set of modules that are needed together,
 * which are hundreds of a few kB: each costs more to ask for than to read. So what is needed at first by any page is one
 * file, what only the studio needs at first another, and all that comes later two: what a desk in use may need, and what
 * only the studio does. What lies over every page comes right after it, and is a file of its own. What is large and seldom
 * needed stays by itself.
 */

interface ModuleInfo {
  importedIds: readonly string[];
  dynamicallyImportedIds: readonly string[];
}
type Graph = { getModuleInfo(id: string): ModuleInfo | null };

/** Large, and needed by few desks or few moments: widths of fonts, sums, expressions and where they are written, icons. */
const LARGE =
  /\/core\/text\/metrics\/|\/core\/expressions\/evaluate\.ts|\/session\/finding\.ts|\/expression-editor\.tsx|\/icon-sets\/|\/place\/place-sheet\.tsx|\/sources\/station\/read\.ts/;

const PAGES = { shelf: '/web/shelf/shelf.tsx', studio: '/web/studio/studio.tsx', live: '/web/live/live.tsx' };

/** The sets of icons: each comes with the first desk that is drawn in it, and must not bring what comes later. */
const ICON_SETS = ['reed', 'slate', 'shell'].map((set) => `/web/render/icon-sets/${set}.tsx`);

/** Over every page: what it says in passing. */
const OVER = ['/web/ui/toaster.tsx', '/web/ui/tips.tsx'];

interface Reach {
  /** What each page needs before it is there. */
  shelf: Set<string>;
  studio: Set<string>;
  live: Set<string>;
  main: Set<string>;
  over: Set<string>;
  /** What sets of icons are made of. */
  sets: Set<string>;
  /** What a shelf or a desk in use may ever need; what any page may. */
  used: Set<string>;
  any: Set<string>;
}

/** Gives each module its file, by its name; null where the bundler decides. */
export function chunksOf(root: string): (id: string, graph: Graph) => string | null {
  let reach: Reach | null = null;
  return (id, graph) => {
    reach ??= reachOf(root, graph);
    const { main, shelf, studio, live, over, sets, used, any } = reach;
    if (main.has(id)) return 'main';
    if (!any.has(id)) return null;
    const isFirst = studio.has(id);
    if (isFirst) return used.has(id) || sets.has(id) ? 'first' : 'studio';
    if (sets.has(id)) return 'signs';
    if (live.has(id) || shelf.has(id)) return 'pages';
    if (over.has(id)) return 'over';
    return used.has(id) ? 'later' : 'studio-later';
  };
}

function reachOf(root: string, graph: Graph): Reach {
  const page = (path: string) => [`${root}${path}`];
  const still = (from: readonly string[]) => closure(from, graph, false);
  return {
    main: still([`${root}/web/main.tsx`]),
    over: still(OVER.map((path) => `${root}${path}`)),
    sets: still(ICON_SETS.map((path) => `${root}${path}`)),
    shelf: still(page(PAGES.shelf)),
    studio: still(page(PAGES.studio)),
    live: still(page(PAGES.live)),
    used: closure([...page(PAGES.shelf), ...page(PAGES.live)], graph, true),
    any: closure([`${root}/web/main.tsx`], graph, true),
  };
}

/** All modules that some import, themselves included; those that come later too, but for large ones, where they are asked for. */
function closure(from: readonly string[], graph: Graph, withLater: boolean): Set<string> {
  const found = new Set(from);
  // A set is gone through with what is added meanwhile.
  for (const id of found) {
    const info = graph.getModuleInfo(id);
    for (const next of info?.importedIds ?? []) found.add(next);
    if (withLater)
      for (const next of info?.dynamicallyImportedIds ?? []) if (!LARGE.test(next)) found.add(next);
  }
  return found;
}
