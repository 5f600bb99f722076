import { freeze } from 'immer';
import { Bench } from 'tinybench';
import { snap } from '../core/arrange/snap.ts';
import type { Rect } from '../core/values/geometry.ts';
import { createApplication, createItem, createPanel, createWidget } from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import { points } from '../core/values/place.ts';
import { sides } from '../core/values/geometry.ts';
import { itemKinds } from '../core/items/list.ts';
import { mainCategories } from '../core/menus/categories.ts';
import { asked, away, presenceAt } from '../core/presence/presence.ts';
import { createRandom } from '../core/sources/noise.ts';
import { learnExpressions } from '../core/expressions/learn.ts';
import { isInTheWay, type Standing } from '../core/presence/in-the-way.ts';
import type { TrialWindow } from '../core/windows/trial.ts';
import { learnWindows } from '../core/scene/windows/learn.ts';
import { learnMenus } from '../core/scene/menus/learn.ts';
import { say } from '../core/expressions/evaluate.ts';
import { tellingOf } from '../core/expressions/telling.ts';
import { createReadings } from '../core/sources/readings.ts';
import { learnSources } from '../core/sources/learn.ts';
import { learnWidgets } from '../core/widgets/learn.ts';
import type { Tones } from '../core/backdrop/tones.ts';
import { bareFinish } from '../core/values/finish.ts';
import { solve } from '../core/scene/solve.ts';
import { createSolver } from '../core/scene/solver.ts';
import { widgetKinds } from '../core/widgets/list.ts';
import { bareDesk } from '../demo/bare-desk.ts';
import type { Row } from './row.ts';

const DAWN = Date.UTC(2026, 10, 24, 7, 12);

/** A desk of so many times 3 screens' worth of 12 edges, 300 items and 300 widgets. */
export function largeDesk(times: number): Desk {
  const base = bareDesk();
  const screens = [0, 1, 2].map((index) => ({
    id: `s${index}`,
    name: `S${index}`,
    width: 2560,
    height: 1440,
    scaleFactor: 1,
    x: index * 2560,
    y: 0,
  }));
  const edges = Array.from({ length: 12 * times }, (_, edge) =>
    createPanel(
      `e${edge}`,
      `s${edge % 3}`,
      sides[edge % 4] ?? 'top',
      Array.from({ length: 25 }, (_item, index) =>
        createItem(`e${edge}i${index}`, itemKinds[(index * 7 + edge) % itemKinds.length]?.type ?? 'clock'),
      ),
    ),
  );
  const faces = widgetKinds.flatMap((kind) => kind.faces.map((face) => ({ type: kind.type, face: face.id })));
  const widgets = Array.from({ length: 300 * times }, (_, index) => {
    const { type, face } = faces[index % faces.length] ?? { type: 'clock' as const, face: 'line' };
    // A third hangs from the widget before it.
    const hangs =
      index % 3 === 2
        ? {
            from: 'part' as const,
            part: `w${index - 1}`,
            side: sides[index % 4] ?? ('top' as const),
            align: 'start' as const,
          }
        : {
            from: 'free' as const,
            screen: `s${Math.floor(index / 3) % 3}`,
            point: points[index % 9] ?? ('centre' as const),
          };
    return createWidget({
      id: `w${index}`,
      type,
      face,
      place: { hangs, x: index % 500, y: index % 300 },
      deskFinish: base.look.finish,
    });
  });
  // As the document of a desk that is open is: it can't change any more.
  return freeze({ ...base, screens, edges, widgets }, true);
}

function manyApplications(count: number): Desk['applications'] {
  return Array.from({ length: count }, (_, index) =>
    createApplication(`a${index}`, `Ringing ledger ${index}`, {
      Comment: 'What was caught, weighed and let go',
      Categories: [mainCategories[index % mainCategories.length] ?? 'Other'],
    }),
  );
}

/** So many windows over all screens of a desk, of every kind of application. */
function manyWindows({ screens, workspaces, applications }: Desk, count: number): TrialWindow[] {
  return Array.from({ length: count }, (_, index) => ({
    id: `window${index}`,
    application: applications[index % applications.length]?.id ?? '',
    screen: screens[index % screens.length]?.id ?? '',
    workspace: workspaces[0]?.id ?? '',
    rect: { x: (index * 97) % 1800, y: (index * 53) % 900, width: 620, height: 420 },
    slot: null,
    isFilled: false,
    isMinimised: false,
    chosen: index % 5,
    turned: [],
    order: index,
  }));
}

/** Ten windows at each of so many moments, about as one would see them move. */
function standingOver(count: number): Standing[][] {
  return Array.from({ length: count }, (_, index) =>
    Array.from({ length: 10 }, (_window, one) => ({
      rect: {
        x: (index * 31 + one * 211) % 2000,
        y: (index * 17 + one * 97) % 1200,
        width: 620,
        height: 420,
      },
      isFront: one === 9,
    })),
  );
}

/** How often an edge that steps aside came and went while they moved. */
function steppingOver(events: readonly PresenceEvent[], standing: readonly Standing[][]): number {
  const delays = { in: 150, out: 250 };
  const edge = { x: 400, y: 1340, width: 1200, height: 100 };
  let state = away;
  let changes = 0;
  events.forEach(({ at }, index) => {
    const now = presenceAt(state, at, delays);
    if (now.isThere !== state.isThere) changes++;
    const isNeeded = isInTheWay(edge, standing[index] ?? [], index % 2 === 0 ? 'any' : 'front', now.isThere);
    state = asked(now, !isNeeded, at, delays);
  });
  return changes;
}

interface PresenceEvent {
  at: number;
  isAsked: boolean;
}

/** The pointer coming to a side and going again, over a day; ms. */
function presenceEvents(count: number): PresenceEvent[] {
  const random = createRandom(11);
  const step = 86_400_000 / count;
  return Array.from({ length: count }, (_, index) => ({
    at: index * step + random() * step,
    isAsked: random() < 0.5,
  }));
}

/** How often an edge came and went. */
function presenceOver(events: readonly PresenceEvent[]): number {
  const delays = { in: 150, out: 500 };
  let state = away;
  let changes = 0;
  for (const { at, isAsked } of events) {
    const now = presenceAt(state, at, delays);
    if (now.isThere !== state.isThere) changes++;
    state = asked(now, isAsked, at, delays);
  }
  return changes;
}

/** What a readout may hold: readings, helpers, a choice and a list that is gone through. */
const TEXT = [
  '{machine.processor.round()} % at {time.format("HH:mm:ss")}',
  '{machine.memory.used.bytes()} of {machine.memory.total.bytes()}',
  '{weather.chance > 30.0 ? "take a coat" : "no coat"}',
  '{machine.cores.filter(c, c > 5.0).size()} cores busy',
].join('\n');

function sayAll({ place, seed, sources, workspaces }: Desk, moment: number): string {
  const readings = createReadings({ moment, place, seed, tide: sources.tide });
  const facts = {
    readings,
    units: sources.units,
    half: 'dark' as const,
    workspaces,
    workspace: 0,
    running: new Set<string>(),
  };
  return say(TEXT, tellingOf(facts)).text;
}

export async function benchArranging(): Promise<Row[]> {
  await Promise.all([learnWidgets(), learnSources(), learnMenus(), learnWindows(), learnExpressions()]);
  const once = largeDesk(1);
  const tenfold = largeDesk(10);
  const mixed = { ...once, edges: [], widgets: once.widgets.slice(0, 60) };
  const random = createRandom(5);
  const others: Rect[] = Array.from({ length: 500 }, () => ({
    x: random() * 3600,
    y: random() * 2000,
    width: 40 + random() * 200,
    height: 30 + random() * 160,
  }));
  const screen: Rect = { x: 0, y: 0, width: 3840, height: 2160 };
  // Each run at another moment and place: nothing may live on what an earlier one worked out.
  let moment = DAWN;
  let minute = DAWN;
  let x = 0;

  const withMenu = { ...once, applications: manyApplications(400) };
  const open = { menu: 'appList' as const, screen: 's0' };
  const events = presenceEvents(5000);
  const windows = manyWindows(once, 40);
  const standing = standingOver(events.length);

  const spent = new Map<string, number>();
  let start = process.cpuUsage();
  let runs = 0;
  const bench = new Bench({
    time: 1500,
    warmupTime: 400,
    setup: () => {
      start = process.cpuUsage();
      runs = 0;
    },
    teardown: (task, mode) => {
      const { user, system } = process.cpuUsage(start);
      if (task && mode === 'run') spent.set(task.name, (user + system) / 1000 / runs);
    },
  });
  const add = (name: string, work: () => unknown) =>
    void bench.add(name, () => {
      runs++;
      work();
    });
  add('reference', referenceWork);
  addPageTasks(add, once, windows);
  add('solve', () => void solve(once, { moment: (moment += 1000) }));
  add('solve with a menu', () => void solve(withMenu, { moment: (moment += 1000), open }));
  // The next minute of sixty widgets of every kind and face: weather, water and moon are worked out anew.
  const [bare, tones] = [bared(once), tonesBehind(once)];
  add('solve over a map', () => void solve(bare, { moment: (moment += 1000), tones }));
  add('mixed', () => void solve(mixed, { moment: (minute += 60_000) }));
  add('expressions', () => void sayAll(once, (moment += 1000)));
  add('presence', () => void presenceOver(events));
  add('stepping', () => void steppingOver(events, standing));
  // One of forty windows goes on by some px.
  add('windows', () => {
    x = (x + 3) % 1500;
    const moved = windows.map((one, index) => (index === 39 ? { ...one, rect: { ...one.rect, x } } : one));
    solve(once, { moment: DAWN, windows: moved });
  });
  add('solve tenfold', () => void solve(tenfold, { moment: (moment += 1000) }));
  add(
    'snap',
    () =>
      void snap({
        moving: { x: (x = (x + 7.3) % 3500), y: 700, width: 220, height: 140 },
        others,
        screen,
        free: screen,
        margin: 24,
        tolerance: 8,
      }),
  );
  await bench.run();
  const mean = (name: string) => {
    const result = bench.getTask(name)?.result;
    return result && 'latency' in result ? result.latency.mean : NaN;
  };
  const processor = (name: string) => {
    const value = spent.get(name) ?? NaN;
    return { value, times: value / (spent.get('reference') ?? NaN) };
  };
  return rowsOf(mean, processor);
}

/** As a page does it that is open: each time one thing is another. */
function addPageTasks(
  add: (name: string, work: () => unknown) => void,
  once: Desk,
  windows: readonly TrialWindow[],
): void {
  let [moment, minute, x] = [DAWN, DAWN, 0];
  const [asPage, ofSecond, ofMinute, raising, unchanged, moving, overMap, bare] = Array.from(
    { length: 8 },
    createSolver,
  );
  const tones = tonesBehind(once);
  const allBare = bared(once);
  add('page moved', () => {
    x = (x + 3) % 1500;
    asPage?.(withMoved(once, x), { moment: DAWN });
  });
  add('page moved over a map', () => {
    x = (x + 3) % 1500;
    overMap?.(withMoved(once, x), { moment: DAWN, tones, isHeld: true });
  });
  add('page moved, bare', () => {
    x = (x + 3) % 1500;
    bare?.(withMoved(allBare, x), { moment: DAWN, tones, isHeld: true });
  });
  add('page second', () => void ofSecond?.(once, { moment: (moment += 1000) }));
  add('page minute', () => void ofMinute?.(once, { moment: (minute += 60_000) }));
  add('page raised', () => {
    x = (x + 1) % windows.length;
    const front = windows[x];
    const raised = [...windows.filter((one) => one !== front), ...(front ? [front] : [])];
    raising?.(once, { moment: DAWN, windows: raised });
  });
  add('page window', () => {
    x = (x + 3) % 1500;
    const moved = windows.map((one, index) => (index === 39 ? { ...one, rect: { ...one.rect, x } } : one));
    moving?.(once, { moment: DAWN, windows: moved });
  });
  add('page unchanged', () => void unchanged?.(once, { moment: DAWN }));
}

/** Maps of as many cells as a backdrop has, no two of which are alike. */
function tonesBehind({ screens }: Desk): Map<string, Tones> {
  const random = createRandom(3);
  const [columns, rows] = [96, 54];
  return new Map(
    screens.map(({ id }) => [
      id,
      { columns, rows, cells: Uint8Array.from({ length: columns * rows * 3 }, () => random() * 255) },
    ]),
  );
}

/** The desk with all of its parts bare. */
function bared(desk: Desk): Desk {
  const finish = bareFinish(desk.look.finish);
  const strip = <Part extends object>(parts: readonly Part[]) => parts.map((part) => ({ ...part, finish }));
  return freeze({ ...desk, edges: strip(desk.edges), widgets: strip(desk.widgets) }, true);
}

/** A fixed piece of work of the same sort: objects made and compared, keys looked up, sums. It tells a slow machine from slow code. */
function referenceWork(): number {
  const known = new Map<string, { at: number; size: number }>();
  let sum = 0;
  for (let index = 0; index < 2000; index++) {
    const one = { at: index % 97, size: (index * 7) % 31 };
    const before = known.get(`part ${index % 400}`);
    if (before?.at === one.at) sum += before.size;
    known.set(`part ${index % 400}`, { ...one, size: one.size + (before?.size ?? 0) });
  }
  return sum;
}

/** The desk with one of its widgets elsewhere, everything else being the same objects. */
function withMoved(desk: Desk, x: number): Desk {
  const widgets = desk.widgets.map((widget, index) =>
    index === 150 ? freeze({ ...widget, place: freeze({ ...widget.place, x }) }) : widget,
  );
  return freeze({ ...desk, widgets: freeze(widgets) });
}

/** What was measured, ms by name, beside what it should reach. */
function rowsOf(
  mean: (name: string) => number,
  processor: (name: string) => NonNullable<Row['processor']>,
): Row[] {
  const row = (what: string, name: string, most: number | null = null): Row => ({
    what,
    value: mean(name),
    unit: 'ms',
    reach: most === null ? '' : `under ${most} ms`,
    isMet: most === null ? null : mean(name) < most,
    processor: processor(name),
  });
  const times = mean('solve tenfold') / mean('solve');
  return [
    row('a fixed piece of work, for comparison', 'reference'),
    row('as the page solves 300 items and 300 widgets: one widget moved', 'page moved', 1),
    row('… the same over a map of what lies behind', 'page moved over a map', 1),
    row('… the same with all parts bare', 'page moved, bare', 1),
    row('… another second', 'page second', 4),
    row('… another minute', 'page minute', 6),
    row('… one of 40 windows raised', 'page raised', 2),
    row('… one of 40 windows moved', 'page window', 2),
    row('… nothing changed', 'page unchanged', 0.5),
    row('solve: 3 screens, 12 edges, 300 items, 300 widgets', 'solve', 3),
    {
      what: 'solve: ten times the parts',
      value: times,
      unit: '× the time',
      reach: 'at most 12 ×',
      isMet: times <= 12,
    },
    row('solve: a new minute of 60 mixed widgets', 'mixed', 6),
    row('solve: the same with a menu of 400 applications open', 'solve with a menu', 5),
    row('a text of six expressions, another second', 'expressions', 0.5),
    row('solve: all of it bare, over a map', 'solve over a map'),
    row('solve: the same with 40 windows, one of them moved', 'windows'),
    row('presence of an edge over a day of 5,000 events', 'presence', 5),
    row('… that steps aside for ten windows', 'stepping'),
    row('snap one move among 500 parts', 'snap', 0.1),
  ];
}
