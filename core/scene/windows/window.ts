import { mix } from '../../values/colour.ts';
import { surfaceOf, type Palette, type Surface } from '../../colour/look.ts';
import { terminalOf } from '../../colour/terminal.ts';
import type { Paint } from '../../kinds/layout.ts';
import { onNow } from '../../sources/sound/on-now.ts';
import { positionAt } from '../../sources/sound/sound.ts';
import type { Finish } from '../../values/finish.ts';
import { centreOf, type Point, type Rect } from '../../values/geometry.ts';
import type { ContentKind } from '../../windows/contents/content.ts';
import { contentWork } from '../../windows/contents/learn.ts';
import { contentOf, titleOf, type ContentKey } from '../../windows/contents/list.ts';
import type { Content } from '../../windows/contents/page.ts';
import { layFrame } from '../../windows/frame.ts';
import { rectOf } from '../../windows/place.ts';
import type { WindowHabit } from '../../windows/schema.ts';
import { slotRect } from '../../windows/tiling.ts';
import type { TrialWindow } from '../../windows/trial.ts';
import type { Application } from '../../desk/shapes/applications.ts';
import { shareUnchanged } from '../../values/share.ts';
import { remade, sameFields, sameRect, type KeptWindow, type Made } from '../memory.ts';
import type { ScreenContext } from '../sections/section.ts';
import type { WindowHint } from '../../windows/now.ts';
import type { SceneEdge, SceneWindow } from '../scene.ts';
import { solveOverview } from './overview.ts';
import type { Solving } from '../solving.ts';

/** A window as it is drawn: its frame by the desk's, its content in the palette. */
function solveWindow(
  window: TrialWindow,
  application: Application,
  { rect: screen, free, solved, memory }: ScreenContext,
  solving: Solving,
  known: KeptWindow | undefined,
): KeptWindow {
  // Whoever solves once has no memory of its own; a window that is the same object was solved for somebody.
  const before = known ?? lastSolved.get(window);
  const { desk, palette, facts } = solving;
  const { windows } = desk;
  const isFront = solving.front === window.id;
  const habit = windows.habits.find((one) => one.application === window.application) ?? null;
  const surface = surfaceOf(windowFinish(windows.finish, desk.look.finish), palette);
  const rect = sameRect(before?.scene.rect, rectOf(window, free, screen, windows.gaps));
  const back = titleBack(windows.title.back, surface, palette);
  const ink = palette.textOn('ink', back.beneath);
  const colour = (isFront ? ink : dimmed(palette, ink, back.beneath, windows.behind.dims / 100)) as Paint;
  const { kind, title } = toldOf(application);
  const { isFilled } = window;
  const { fonts } = facts;
  const keeps = habit?.frame ?? 'desk';
  const frame = remade(
    before?.frame,
    [windows, rect.width, rect.height, title, isFilled, keeps, colour, fonts],
    () => layFrame(windows, { size: rect, name: title, isFilled, keeps, colour, fonts }),
  );
  const content = contentIn(window, kind, frame.value.body, surface, solving, before?.content);
  const { lines, behind } = windows;
  const scene: SceneWindow = {
    id: window.id,
    application: application.id,
    kind: kind.key,
    title,
    rect,
    surface,
    frame: frame.value,
    content: content.value,
    back: shareUnchanged(
      before?.scene.back,
      back.colour === null ? null : { colour: back.colour, opacity: back.opacity },
    ),
    signs: colour,
    buttons: windows.buttons,
    line: palette.colour(isFront ? lines.front : lines.behind),
    borderColour: palette.colour(isFront ? lines.borderFront : lines.borderBehind),
    glows: isFront && lines.glow,
    radius: isFilled ? 0 : surface.radius,
    opacity: opacityOf(isFront ? 100 : behind.opacity, habit),
    shade: isFront ? 0 : behind.shade / 100,
    isFront,
    isFilled,
    stance: stanceOf(window),
    home: shareUnchanged(before?.scene.home, homeOf(window.application, solved.edges ?? [], screen)),
  };
  const kept = { frame, content, scene: sameFields(before?.scene, scene) };
  memory.windows.set(window.id, kept);
  lastSolved.set(window, kept);
  return kept;
}

const lastSolved = new WeakMap<TrialWindow, KeptWindow>();

interface Told {
  kind: ContentKind<ContentKey>;
  title: string;
}

const told = new WeakMap<Application, Told>();

/** What stands in the windows of an application, and what is written over them. */
function toldOf(application: Application): Told {
  const known = told.get(application);
  if (known) return known;
  const found = { kind: contentOf(application), title: titleOf(application) };
  if (Object.isFrozen(application)) told.set(application, found);
  return found;
}

/** The place that a window would take which is being moved. */
function solveHint(hint: WindowHint, { free }: ScreenContext, { desk }: Solving): Rect {
  return hint.slot ? slotRect(hint.slot, free, desk.windows.gaps) : hint.rect;
}

export const windowSolvers = { window: solveWindow, hint: solveHint, overview: solveOverview };

function stanceOf({ isFilled, slot }: TrialWindow): string {
  if (isFilled) return 'filled';
  return slot ? `${slot.x} ${slot.y} ${slot.width} ${slot.height}` : 'free';
}

const finishes = new WeakMap<Finish, Finish>();

/** A window's own finish, or the desk's: what stands in a window is read for longer than what stands on the desk, so of that little shows through. */
function windowFinish(own: Finish | null, desk: Finish): Finish {
  if (own && own.kind !== 'bare') return own;
  const from = own ?? desk;
  let finish = finishes.get(from);
  if (!finish) {
    const isSurface = from.kind !== 'bare';
    finishes.set(
      from,
      (finish = {
        ...from,
        kind: isSurface ? from.kind : 'matte',
        tint: isSurface ? from.tint : 'surface',
        opacity: Math.max(from.opacity, LEAST_OPACITY),
        shadow: Math.max(from.shadow, LEAST_SHADOW),
      }),
    );
  }
  return finish;
}
const LEAST_OPACITY = 95;
const LEAST_SHADOW = 35;

/** What the title stands on, and the colour that its letters are read on. */
function titleBack(
  back: 'none' | 'veil' | 'body',
  surface: Surface,
  { roles }: Palette,
): { colour: Paint | null; opacity: number; beneath: string } {
  switch (back) {
    case 'none':
      return { colour: null, opacity: 0, beneath: roles.ground };
    case 'veil':
      return { colour: roles.ground as Paint, opacity: VEIL, beneath: roles.ground };
    case 'body':
      return { colour: surface.tint as Paint, opacity: 1, beneath: surface.tint };
  }
}
const VEIL = 0.62;

/** How much there is of a window, of 1: its own percent, and those of its application's habit. */
function opacityOf(own: number, habit: WindowHabit | null): number {
  return (own / 100) * ((habit?.opacity ?? 100) / 100);
}

const dims = new WeakMap<Palette, Map<string, string>>();

/** What is written over the windows behind: all of them dim alike. */
function dimmed(palette: Palette, ink: string, beneath: string, share: number): string {
  let known = dims.get(palette);
  if (!known) dims.set(palette, (known = new Map()));
  const key = `${ink} ${beneath} ${share}`;
  let colour = known.get(key);
  if (colour === undefined) known.set(key, (colour = mix(ink, beneath, share)));
  return colour;
}

const terminals = new WeakMap<Palette['roles'], ReturnType<typeof terminalOf>>();

/** The colours of a terminal that has none of its own; the same for the same roles. */
function terminalUnder(roles: Palette['roles']): ReturnType<typeof terminalOf> {
  let terminal = terminals.get(roles);
  if (!terminal) terminals.set(roles, (terminal = terminalOf(roles)));
  return terminal;
}

function contentIn(
  { chosen, turned }: TrialWindow,
  kind: Told['kind'],
  body: Rect,
  { kind: finish, tint: beneath }: Surface,
  { desk, half, palette, readings, facts: { fonts }, needs, library }: Solving,
  before: Made<Content> | undefined,
): Made<Content> {
  needs.add(kind.reads);
  const hears = kind.reads.some(({ source }) => source === 'sound');
  const sound = hears ? onNow(readings) : SILENCE;
  const position = hears ? positionAt(sound, readings.moment) : 0;
  const terminal = desk.look.terminal[half];
  const { tracks } = desk.sources.sound;
  const [width, height] = [Math.round(body.width), Math.round(body.height)];
  const of = [kind, width, height, palette, beneath, finish, chosen, turned, fonts, terminal, tracks];
  const work = contentWork(kind.key, library);
  return remade(before, [work, ...of, ...Object.values<unknown>({ ...sound }), position], () => {
    if (!work) return NOTHING;
    return work.lay({
      size: { width, height },
      fonts,
      textColour: (colour) => palette.textOn(colour, beneath) as Paint,
      plainColour: (colour) => palette.colour(colour) as Paint,
      terminal: terminal ?? terminalUnder(palette.roles),
      chosen,
      turned,
      sound,
      position,
      tracks,
    });
  });
}

/** What stands in a window of which it is not known how it is laid. */
const NOTHING: Content = { boxes: [], outlines: [], runs: [], presses: [], rows: 0 };
const SILENCE = { track: null, n: 0, began: 0, paused: 0, isHeard: false, volume: 0 };

const homes = new WeakMap<readonly SceneEdge[], Map<string, Point>>();

/** Where on a screen an application is started: a window flies there and from there. */
function homeOf(application: string, edges: readonly SceneEdge[], screen: Rect): Point {
  let known = homes.get(edges);
  if (!known) homes.set(edges, (known = homesOn(edges)));
  return known.get(application) ?? { x: screen.width / 2, y: screen.height };
}

/** By the id of the application; the first item that starts it counts. */
function homesOn(edges: readonly SceneEdge[]): Map<string, Point> {
  const found = new Map<string, Point>();
  for (const { items } of edges)
    for (const { type, view, rect } of items) {
      const application = type === 'application' ? view?.application : undefined;
      if (application !== undefined && !found.has(application)) found.set(application, centreOf(rect));
    }
  return found;
}
