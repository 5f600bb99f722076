import { useMemo } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { hostsWith } from '../../../core/desk/shapes/widgets.ts';
import { resolveRoles } from '../../../core/colour/roles.ts';
import { terminalOf } from '../../../core/colour/terminal.ts';
import { drawPointer } from '../../../core/pointer/pointer.ts';
import { pointerOf } from '../../../core/scene/look.ts';
import type { SceneScreen } from '../../../core/scene/scene.ts';
import { paletteOf } from '../../../core/colour/look.ts';
import { boundsOf, type Rect } from '../../../core/values/geometry.ts';
import { LEAST as LEAST_WINDOW, type TrialWindow } from '../../../core/windows/trial.ts';
import type { Look } from '../../../core/look/schema.ts';
import { Miniature } from '../../render/screen/miniature.tsx';
import { useConditions } from '../../session/conditions.ts';
import { useHalf } from '../../session/scene.ts';
import { useScreenInView } from '../../stores/screen.ts';
import type { Pages } from './paging.ts';

/** What is in hand, small, on a desk that wears some look: as near as it fills the picture, over what lies behind it. */
export function Glimpse({ desk, pages, roles }: { desk: Desk; pages: Pages; roles: Look['roles'] }) {
  switch (pages.topic) {
    case 'palette':
      return <PaletteGlimpse roles={roles} />;
    case 'pointer':
      return <PointerGlimpse desk={desk} />;
    case 'terminal':
      return <TerminalGlimpse desk={desk} />;
    default:
      return <PartGlimpse desk={desk} pages={pages} />;
  }
}

function PartGlimpse({ desk, pages }: { desk: Desk; pages: Pages }) {
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const open = useConditions((state) => state.open);
  const windows = useConditions((state) => state.windows);
  const workspace = useConditions((state) => state.workspace);
  const screen = useScreenInView();
  const around = screen ? aroundOf(screen, pages) : null;
  const only = useMemo(() => withOnly(desk, pages), [desk, pages]);
  const isOfWindows = pages.topic === 'frame' || pages.target.by === 'windows';
  // Marks are seen under what runs.
  const running = useMemo(() => (pages.topic === 'dock' ? runningOn(desk, pages) : undefined), [desk, pages]);
  return (
    <Miniature
      desk={only}
      moment={minute}
      half={half}
      only={screen?.id}
      open={pages.target.by === 'menu' ? open : null}
      around={around ?? undefined}
      windows={isOfWindows ? windows : pages.topic === 'dock' ? running : undefined}
      workspace={workspace}
    />
  );
}

/** Windows of every other application that a dock starts, out of sight. */
function runningOn(desk: Desk, { target }: Pages): TrialWindow[] {
  const edges = desk.edges.filter(({ id }) => target.by === 'parts' && target.ids.includes(id));
  const started = edges.flatMap(({ items }) => items.flatMap(({ options }) => options['application'] ?? []));
  return started
    .filter((_, index) => index % 2 === 1)
    .map((application, order) => ({
      id: `runs-${order}`,
      application: String(application),
      screen: desk.screens[0]?.id ?? '',
      workspace: desk.workspaces[0]?.id ?? '',
      rect: { x: 0, y: 0, ...LEAST_WINDOW },
      ...{ slot: null, isFilled: false, isMinimised: true, chosen: 0, order, turned: [] },
    }));
}

/** A desk with what is looked at and what that stands by: what else is on it takes time and shows nothing. */
function withOnly(desk: Desk, { topic, target }: Pages): Desk {
  const isWhole = topic === 'icons' || target.by === 'desk' || target.by === 'backdrop';
  if (isWhole) return desk;
  const ids = target.by === 'parts' ? hostsWith(target.ids, desk.widgets) : new Set<string>();
  return {
    ...desk,
    widgets: desk.widgets.filter(({ id }) => ids.has(id)),
    desktopIcons: { ...desk.desktopIcons, shown: 'none' },
  };
}

/** Where what is in hand stands, px of the screen; null for all of that. */
function aroundOf(
  { rect, edges, widgets, windows, menu }: SceneScreen,
  { topic, target }: Pages,
): Rect | null {
  const rects =
    target.by === 'parts'
      ? [...edges, ...widgets].filter(({ id }) => target.ids.includes(id)).map((part) => part.rect)
      : target.by === 'menu'
        ? menu && [menu.rect]
        : topic === 'frame' || target.by === 'windows'
          ? windows.list.slice(-1).map((one) => one.rect)
          : null;
  const part = rects && boundsOf(rects);
  return part && framed(part, rect);
}

/** What is seen of a screen (16 : 9) around some part: never nearer than this, px. */
const LEAST = 420;
const MARGIN = 1.25;

function framed(part: Rect, screen: Rect): Rect {
  const width = Math.min(screen.width, Math.max(LEAST, part.width * MARGIN, (part.height * MARGIN * 16) / 9));
  const height = (width * 9) / 16;
  const within = (at: number, most: number) => Math.max(0, Math.min(at, most));
  return {
    x: within(part.x + part.width / 2 - width / 2, screen.width - width),
    y: within(part.y + part.height / 2 - height / 2, Math.max(0, screen.height - height)),
    width,
    height,
  };
}

/** A palette as it is used: what lies behind in it would be another picture for each. */
function PaletteGlimpse({ roles }: { roles: Look['roles'] }) {
  const { ground, surface, raised, ink, softInk, accent, second, alert } = resolveRoles(roles[useHalf()]);
  return (
    <span
      aria-hidden
      className="flex aspect-video flex-col justify-end gap-1.5 rounded-[5px] p-2"
      style={{ background: ground }}
    >
      <span className="flex flex-1 gap-1.5">
        <span
          className="flex flex-[3] flex-col justify-center gap-1 rounded-[4px] px-2"
          style={{ background: surface }}
        >
          <span className="h-1.5 w-4/5 rounded-full" style={{ background: ink }} />
          <span className="h-1.5 w-3/5 rounded-full" style={{ background: softInk }} />
        </span>
        <span className="grid flex-[2] place-items-center rounded-[4px]" style={{ background: raised }}>
          <span className="size-5 rounded-full border-[3px]" style={{ borderColor: accent }} />
        </span>
      </span>
      <span className="flex gap-1">
        {[accent, second, alert, ink].map((colour, index) => (
          <span key={index} className="h-2.5 flex-1 rounded-[2px]" style={{ background: colour }} />
        ))}
      </span>
    </span>
  );
}

function PointerGlimpse({ desk: { look } }: { desk: Desk }) {
  const half = useHalf();
  const palette = paletteOf(look.roles[half]);
  const solved = pointerOf(look, palette);
  const size = Math.max(20, Math.min(60, look.pointer.size));
  return (
    <span
      aria-hidden
      className="flex aspect-video items-center justify-center gap-3 rounded-[5px]"
      style={{ background: palette.roles.surface }}
    >
      {(['arrow', 'hand'] as const).map((shape) => (
        <img
          key={shape}
          alt=""
          width={size}
          height={size}
          src={`data:image/svg+xml,${encodeURIComponent(drawPointer(shape, { ...solved, size }).svg)}`}
        />
      ))}
    </span>
  );
}

function TerminalGlimpse({ desk: { look } }: { desk: Desk }) {
  const half = useHalf();
  const { ground, ink, colours } = look.terminal[half] ?? terminalOf(resolveRoles(look.roles[half]));
  return (
    <span
      aria-hidden
      className="grid aspect-video content-center gap-1.5 rounded-[5px] px-2 font-mono text-[9px]"
      style={{ background: ground, color: ink }}
    >
      <span>
        <span style={{ color: colours[2] }}>marrow@point</span> <span style={{ color: colours[4] }}>~</span> $
        ls
      </span>
      {[colours.slice(0, 8), colours.slice(8)].map((row, index) => (
        <span key={index} className="flex gap-1">
          {row.map((colour, at) => (
            <span key={at} className="h-2.5 flex-1 rounded-[2px]" style={{ background: colour }} />
          ))}
        </span>
      ))}
    </span>
  );
}
