import { fontBook } from '../text/cuts.ts';
import { arrangementAt } from '../timeline/arrangement/arrangement.ts';
import { halfAt } from '../timeline/half/half.ts';
import { paletteOf } from '../colour/look.ts';
import type { Desk } from '../desk/desk.ts';
import { standingAs } from '../desk/standing.ts';
import type { Screen } from '../desk/shapes/screens.ts';
import type { WindowFacts } from '../kinds/kind.ts';
import { ownLibrary, type Library } from '../values/library.ts';
import { createReadings } from '../sources/readings.ts';
import type { Rect } from '../values/geometry.ts';
import { solveBackdrop } from './backdrop.ts';
import { drawnFonts, fontsOf, iconsOf, pointerOf, rolesNow } from './look.ts';
import { atRest, type Conditions } from './conditions.ts';
import type { Glance, Scene, SceneScreen, SceneSections } from './scene.ts';
import { rectOf } from '../windows/place.ts';
import { factsOf, onDesk, type TrialWindow } from '../windows/trial.ts';
import { shareUnchanged } from '../values/share.ts';
import { baseUnder, nowOf } from './shown.ts';
import { createMemory, sameFields, sameList, sameRect, screenMemory, type Memory } from './memory.ts';
import { Needs, type Solving } from './solving.ts';
import { sceneSections } from './sections/list.ts';
import type { ScreenContext } from './sections/section.ts';
import { groupByScreen } from './sections/widgets.ts';

const MINUTE = 60_000;

/**
 * Works out everything that is on a desk under some conditions. Pure: the same arguments, with as much in the library,
 * give the same scene. What did not change since a memory was last used comes out as the very same object.
 */
export function solve(
  document: Desk,
  conditions: Conditions,
  memory: Memory = createMemory(),
  library: Library = ownLibrary,
): Scene {
  const solving = startSolving(document, conditions, memory, library);
  const { desk, palette, needs, half, facts } = solving;
  const before = memory.scene;
  const screens = desk.screens.map((screen) => solveScreen(screen, solving));
  for (const id of memory.screens.keys())
    if (!desk.screens.some((screen) => screen.id === id)) memory.screens.delete(id);
  const scene: Scene = {
    half,
    isPlain: facts.isPlain,
    isQuiet: facts.isQuiet,
    roles: palette.roles,
    follows: desk.look.follows !== null,
    fonts: drawnFonts(facts.fonts),
    icons: shareUnchanged(before?.icons, iconsOf(desk, half, palette)),
    pointer: shareUnchanged(before?.pointer, pointerOf(desk.look, palette)),
    screens: sameList(before?.screens, screens),
    glances: shareUnchanged(before?.glances, glancesOf(screens, solving)),
    tick: needs.tick,
    needs: shareUnchanged(before?.needs, needs.all),
  };
  return (memory.scene = sameFields(before, scene));
}

function startSolving(document: Desk, given: Conditions, memory: Memory, library: Library): Solving {
  const conditions = { ...atRest, ...given };
  const desk = standingAs(document, arrangementAt(document, conditions));
  const { look, place, seed } = desk;
  const { moment, feeds, isPlain, isQuiet, out } = conditions;
  const workspace = Math.min(conditions.workspace, desk.workspaces.length - 1);
  const atWorkspace = desk.workspaces[workspace]?.id ?? '';
  const windows = onDesk(conditions.windows, desk.screens, desk.workspaces, desk.applications);
  const { known, running } = knownOf(windows, atWorkspace);
  const half = conditions.half ?? halfAt(look.half, moment, place, conditions.isDarkBehind);
  const needs = new Needs();
  if (look.half.by !== 'choice' || desk.arrangements.list.some(({ holds }) => holds.by === 'hours'))
    needs.every('minute');
  const facts = {
    applications: desk.applications,
    workspaces: desk.workspaces,
    folders: desk.menus.appWall.folders,
    running,
    windows: known,
    windowButtons: desk.windows.buttons,
    workspace,
    half,
    isPlain,
    isQuiet,
    fonts: fontsOf(look, library),
    units: desk.sources.units,
  };
  const { tide, outside, sound } = desk.sources;
  const palette = paletteOf(rolesNow(desk, conditions)[half]);
  const reading = { place, seed, feeds, tide, outside, sound, library };
  const readings = createReadings({ moment, ...reading });
  const began = Math.floor(moment / MINUTE) * MINUTE;
  const ofMinute = began === moment ? readings : createReadings({ moment: began, ...reading });
  const now = nowOf({ facts, readings, ofMinute });
  return {
    desk,
    palette,
    // What lies behind is drawn in the desk's own colours: nothing follows from itself.
    behindPalette: paletteOf((conditions.roles ?? look.roles)[half]),
    readings,
    facts,
    conditions,
    half,
    windows,
    atWorkspace,
    front: known.find(({ isFront }) => isFront)?.id ?? null,
    out: out && setOf(out),
    needs,
    base: baseUnder(
      [
        palette,
        facts.fonts,
        facts.units,
        place,
        seed,
        tide,
        outside,
        sound,
        library,
        library.on(fontBook).version,
      ],
      palette,
      now,
    ),
    now,
    memory,
    library,
    widgets: groupByScreen(desk),
  };
}

const sets = new WeakMap<readonly string[], ReadonlySet<string>>();

/** The same set for the same list. */
function setOf(list: readonly string[]): ReadonlySet<string> {
  let set = sets.get(list);
  if (!set) sets.set(list, (set = new Set(list)));
  return set;
}

interface Known {
  known: readonly WindowFacts[];
  running: ReadonlySet<string>;
}
const nothingOpen: Known = { known: [], running: new Set() };
let lastKnown = nothingOpen;

/** What parts may know of windows; the same objects while they say the same, as when a window is only moved. */
function knownOf(windows: readonly TrialWindow[], workspace: string): Known {
  if (windows.length === 0) return nothingOpen;
  const known = shareUnchanged(lastKnown.known, factsOf(windows, workspace));
  if (known !== lastKnown.known) {
    const running = new Set(windows.map(({ application }) => application));
    const isSame =
      running.size === lastKnown.running.size && [...running].every((id) => lastKnown.running.has(id));
    lastKnown = { known, running: isSame ? lastKnown.running : running };
  }
  return lastKnown;
}

/** What is open on every workspace, also on those that are not in front. */
function glancesOf(screens: readonly SceneScreen[], { desk, windows, front }: Solving): Glance[] {
  const known = new Map(screens.map((screen) => [screen.id, screen]));
  return desk.workspaces.map(({ id: workspace }) => ({
    workspace,
    windows: windows
      .filter((one) => one.workspace === workspace && !one.isMinimised)
      .flatMap((one) => {
        const screen = known.get(one.screen);
        if (!screen) return [];
        const { width, height } = screen.rect;
        const rect = rectOf(one, screen.free, screen.rect, desk.windows.gaps);
        return [
          {
            id: one.id,
            screen: one.screen,
            rect: {
              x: hundredth(rect.x / width),
              y: hundredth(rect.y / height),
              width: hundredth(rect.width / width),
              height: hundredth(rect.height / height),
            },
            isFront: one.id === front,
          },
        ];
      }),
  }));
}

/** What is drawn small need not follow every px. */
const hundredth = (share: number) => Math.round(share * 100) / 100;

function solveScreen(screen: Screen, solving: Solving): SceneScreen {
  const memory = screenMemory(solving.memory, screen.id);
  const before = memory.screen;
  const rect: Rect = sameRect(before?.rect, { x: 0, y: 0, width: screen.width, height: screen.height });
  const solved: Partial<SceneSections> = {};
  const context: ScreenContext = { id: screen.id, rect, free: rect, rects: new Map(), solved, memory };
  for (const section of sceneSections) {
    const made = section.solve(context, solving);
    const those = section.remembers ? made : shareUnchanged(before?.[section.key], made);
    Object.assign(solved, { [section.key]: those });
    for (const { id: part, rect: at } of section.rects?.(those) ?? section.parts(those))
      context.rects.set(part, at);
  }
  const { id, name, x, y } = screen;
  return (memory.screen = sameFields(before, {
    id,
    name,
    rect,
    at: shareUnchanged(before?.at, { x, y }),
    free: sameRect(before?.free, context.free),
    backdrop: shareUnchanged(before?.backdrop, solveBackdrop(screen, solving)),
    ...(solved as SceneSections),
  }));
}
