import { halfAt } from '../look/half.ts';
import { paletteOf } from '../colour/look.ts';
import type { Desk } from '../desk/desk.ts';
import type { Screen } from '../desk/sections/screens.ts';
import { createReadings } from '../sources/readings.ts';
import { lessonsLearned } from '../text/cuts.ts';
import type { Rect } from '../values/geometry.ts';
import { solveBackdrop } from './backdrop.ts';
import { fontsOf, iconsOf, pointerOf } from './look.ts';
import type { Conditions, Glance, Scene, SceneScreen, SceneSections } from './scene.ts';
import { rectOf } from '../windows/place.ts';
import { factsOf, onDesk, type TrialWindow } from '../windows/trial.ts';
import { Needs, looksUnder, type Solving } from './solving.ts';
import { sceneSections } from './sections/list.ts';
import type { Ground } from './sections/section.ts';
import { groupByScreen } from './sections/widgets.ts';

const MINUTE = 60_000;
const NO_WINDOWS: readonly TrialWindow[] = [];

/** Works out everything that is on a desk under some conditions. Pure: the same arguments give the same scene. */
export function solve(desk: Desk, conditions: Conditions): Scene {
  const solving = startSolving(desk, conditions);
  const { palette, needs, half, facts } = solving;
  const screens = desk.screens.map((screen) => solveScreen(screen, solving));
  return {
    half,
    isPlain: facts.isPlain,
    isQuiet: facts.isQuiet,
    roles: palette.roles,
    fonts: facts.fonts,
    icons: iconsOf(desk, palette),
    pointer: pointerOf(desk.look, palette),
    screens,
    glances: glancesOf(screens, solving),
    tick: needs.tick,
    needs: needs.all,
  };
}

function startSolving(desk: Desk, conditions: Conditions): Solving {
  const { look, place, seed } = desk;
  const { moment, feeds, lately = [] } = conditions;
  const workspace = Math.min(conditions.workspace ?? 0, desk.workspaces.length - 1);
  const atWorkspace = desk.workspaces[workspace]?.id ?? '';
  const windows = onDesk(conditions.windows ?? NO_WINDOWS, desk.screens, desk.workspaces, desk.applications);
  const known = factsOf(windows, atWorkspace);
  const { open = null, openMore = null, out = null } = conditions;
  const half = conditions.half ?? halfAt(look.half, moment, place);
  const needs = new Needs();
  if (look.half.by !== 'choice') needs.every('minute');
  const facts = {
    applications: desk.applications,
    workspaces: desk.workspaces,
    folders: desk.menus.appWall.folders,
    running: new Set(windows.map(({ application }) => application)),
    windows: known,
    windowButtons: desk.windows.buttons,
    workspace,
    half,
    isPlain: conditions.isPlain ?? false,
    isQuiet: conditions.isQuiet ?? false,
    fonts: fontsOf(look),
    units: desk.sources.units,
  };
  const { applications, workspaces, sources } = desk;
  const minute = Math.floor(moment / MINUTE);
  // All that a view may know, but for its options and what it stands on.
  const under = [
    minute,
    place,
    seed,
    sources,
    applications,
    workspaces,
    facts.folders,
    // By what it says: the list is another one with every turn of a window that is moved.
    JSON.stringify(known),
    desk.windows.buttons,
    facts.workspace,
    half,
    conditions.roles,
    facts.isPlain,
    facts.isQuiet,
    look,
  ];
  return {
    desk,
    palette: paletteOf((conditions.roles ?? look.roles)[half]),
    readings: createReadings({
      moment,
      place,
      seed,
      feeds,
      tide: sources.tide,
      outside: sources.outside,
      sound: sources.sound,
    }),
    facts,
    moment,
    half,
    open,
    lately,
    windows,
    overview: conditions.overview ?? null,
    windowHint: conditions.windowHint ?? null,
    atWorkspace,
    front: known.find(({ isFront }) => isFront)?.id ?? null,
    openMore,
    backdropStep: conditions.backdropStep ?? 0,
    out: out && new Set(out),
    needs,
    contexts: new Map(),
    looked: new Map(),
    ofMinute: looksUnder([...under, facts.fonts, feeds, lessonsLearned()]),
    widgets: groupByScreen(desk),
  };
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
  const rect: Rect = { x: 0, y: 0, width: screen.width, height: screen.height };
  const solved: Partial<SceneSections> = {};
  const ground: Ground = { id: screen.id, rect, free: rect, rects: new Map(), solved };
  for (const section of sceneSections) {
    const those = section.solve(ground, solving);
    Object.assign(solved, { [section.key]: those });
    for (const part of section.parts(those)) ground.rects.set(part.id, part.rect);
  }
  return {
    id: screen.id,
    name: screen.name,
    rect,
    at: { x: screen.x, y: screen.y },
    free: ground.free,
    backdrop: solveBackdrop(screen, solving),
    ...(solved as SceneSections),
  };
}
