import { mix } from '../../values/colour.ts';
import type { Palette, Surface } from '../../colour/look.ts';
import { terminalOf } from '../../colour/terminal.ts';
import type { Paint } from '../../kinds/layout.ts';
import { onNow, positionAt } from '../../sources/sound/sound.ts';
import type { Finish } from '../../values/finish.ts';
import { centreOf, type Point, type Rect } from '../../values/geometry.ts';
import { contents } from '../../windows/contents/list.ts';
import type { Content } from '../../windows/contents/content.ts';
import { layFrame } from '../../windows/frame.ts';
import { rectOf } from '../../windows/place.ts';
import type { WindowHabit } from '../../windows/schema.ts';
import { slotRect } from '../../windows/tiling.ts';
import { contentOf, titleOf, type ContentKind, type TrialWindow } from '../../windows/trial.ts';
import type { Application } from '../../desk/sections/applications.ts';
import type { Ground } from '../sections/section.ts';
import type { SceneWindow, WindowHint } from '../scene.ts';
import { solveOverview } from './overview.ts';
import { groundFor, lookOnce, type Solving } from '../solving.ts';

/** A window as it is drawn: its frame by the desk's, its content in the palette. */
function solveWindow(
  window: TrialWindow,
  application: Application,
  { rect: screen, free, solved }: Ground,
  solving: Solving,
): SceneWindow {
  const { desk, palette, facts } = solving;
  const { windows } = desk;
  const isFront = solving.front === window.id;
  const habit = desk.windows.habits.find((one) => one.application === window.application) ?? null;
  const own = windowFinish(windows.finish, desk.look.finish);
  const { surface, beneath } = groundFor(own, solving);
  const rect = rectOf(window, free, screen, windows.gaps);
  const back = titleBack(windows.title.back, surface, palette);
  const ink = palette.textOn('ink', back.beneath);
  const frame = layFrame(windows, {
    size: rect,
    name: titleOf(application),
    isFilled: window.isFilled,
    keeps: habit?.frame ?? 'desk',
    colour: (isFront ? ink : mix(ink, back.beneath, windows.behind.dims / 100)) as Paint,
    fonts: facts.fonts,
  });
  const kind = contentOf(application);
  const { lines, behind } = windows;
  return {
    id: window.id,
    application: application.id,
    kind,
    title: titleOf(application),
    rect,
    surface,
    frame,
    content: contentIn(window, kind, frame.body, beneath, surface, solving),
    back: back.colour === null ? null : { colour: back.colour, opacity: back.opacity },
    signs: (isFront ? ink : mix(ink, back.beneath, windows.behind.dims / 100)) as Paint,
    buttons: windows.buttons,
    line: palette.colour(isFront ? lines.front : lines.behind),
    borderColour: palette.colour(isFront ? lines.borderFront : lines.borderBehind),
    glows: isFront && lines.glow,
    radius: window.isFilled ? 0 : surface.radius,
    opacity: seenThrough(isFront ? 0 : behind.seeThrough, habit),
    shade: isFront ? 0 : behind.shade / 100,
    isFront,
    isFilled: window.isFilled,
    stance: stanceOf(window),
    home: homeOf(window.application, solved.edges ?? [], screen),
  };
}

/** The place that a window would take which is being moved. */
function solveHint(hint: WindowHint, { free }: Ground, { desk }: Solving): Rect {
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
        sheerness: Math.min(from.sheerness, MOST_SHEER),
        shadow: Math.max(from.shadow, LEAST_SHADOW),
      }),
    );
  }
  return finish;
}
const MOST_SHEER = 5;
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

function seenThrough(behind: number, habit: WindowHabit | null): number {
  return (1 - behind / 100) * (1 - (habit?.seeThrough ?? 0) / 100);
}

function contentIn(
  { chosen, turned }: TrialWindow,
  kind: ContentKind,
  body: Rect,
  beneath: string,
  surface: Surface,
  solving: Solving,
): Content {
  const { desk, half, palette, readings, facts } = solving;
  const size = { width: Math.round(body.width), height: Math.round(body.height) };
  const key = `window ${kind} ${size.width} ${size.height} ${beneath} ${surface.kind} ${chosen} ${turned.join()}`;
  const { view } = lookOnce(solving, key, () => {
    const isPlayer = kind === 'player';
    const sound = isPlayer ? onNow(readings) : SILENCE;
    const content = contents[kind]({
      size,
      fonts: facts.fonts,
      textColour: (colour) => palette.textOn(colour, beneath) as Paint,
      plainColour: (colour) => palette.colour(colour) as Paint,
      terminal: desk.look.terminal[half] ?? terminalOf(palette.roles),
      chosen,
      turned,
      sound,
      position: isPlayer ? positionAt(sound, readings.moment) : 0,
      tracks: desk.sources.sound.tracks,
    });
    return {
      view: content,
      layout: NOTHING,
      needs: isPlayer ? [{ source: 'sound' as const, every: 'second' as const }] : [],
    };
  });
  return view as Content;
}

const NOTHING = { size: { width: 0, height: 0 }, runs: [] };
const SILENCE = { track: null, n: 0, began: 0, paused: 0, isHeard: false, volume: 0 };

/** Where on a screen an application is started: a window flies there and from there. */
function homeOf(application: string, edges: NonNullable<Ground['solved']['edges']>, screen: Rect): Point {
  for (const edge of edges) {
    const item = edge.items.find(
      ({ type, view }) =>
        type === 'application' && (view as { application?: unknown } | null)?.application === application,
    );
    if (item) return centreOf(item.rect);
  }
  return { x: screen.width / 2, y: screen.height };
}
