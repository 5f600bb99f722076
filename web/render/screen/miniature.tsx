import { memo, useMemo, useRef, useState } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { atRest, type OpenMenu } from '../../../core/scene/conditions.ts';
import type { Feed } from '../../../core/sources/feeds.ts';
import { createSolver } from '../../../core/scene/solver.ts';
import type { Rect } from '../../../core/values/geometry.ts';
import type { TrialWindow } from '../../../core/windows/trial.ts';
import type { Half } from '../../../core/values/roles.ts';
import { useWidth } from '../../ui/use-width.ts';
import { ScreenView } from './screen-view.tsx';
import { useBehind } from './use-behind.ts';

/** A desk without all that stands on it. */
const bared = (desk: Desk): Desk => ({
  ...desk,
  edges: [],
  widgets: [],
  desktopIcons: { ...desk.desktopIcons, shown: 'none' },
});

/** A desk, live and small: all of its screens, as they stand beside each other. */
export const Miniature = memo(function Miniature({
  desk,
  moment,
  half,
  open = null,
  only,
  feeds,
  isBare = false,
  around,
  windows = atRest.windows,
  workspace = 0,
}: {
  desk: Desk;
  moment: number;
  /** A half to look at, whatever the desk itself would show. */
  half?: Half;
  /** A menu that is open. */
  open?: OpenMenu | null;
  /** Id of the one screen to show. */
  only?: string;
  /** What came from outside. */
  feeds?: readonly Feed[];
  /** Nothing but what lies behind: what the parts need is not here yet. */
  isBare?: boolean;
  /** The part of that one screen that is seen, px. */
  around?: Rect;
  /** Windows that are open on it, and the workspace in front. */
  windows?: readonly TrialWindow[];
  workspace?: number;
}) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const [solver] = useState(createSolver);
  const behind = useBehind(desk, moment, half);
  const menu = open?.menu;
  const on = open?.screen;
  const shared = useMemo(
    () =>
      solver(isBare ? bared(desk) : desk, {
        moment,
        half,
        feeds,
        ...behind,
        windows,
        workspace,
        open: menu && on ? { menu, screen: on } : null,
      }),
    [solver, desk, isBare, moment, half, feeds, behind, menu, on, windows, workspace],
  );
  const screens = shared.screens.filter(({ id }) => only === undefined || id === only);

  const seen = screens.map(({ at, rect }) => ({
    x: at.x + (around?.x ?? 0),
    y: at.y + (around?.y ?? 0),
    width: around?.width ?? rect.width,
    height: around?.height ?? rect.height,
  }));
  const left = Math.min(...seen.map(({ x }) => x));
  const top = Math.min(...seen.map(({ y }) => y));
  const right = Math.max(...seen.map((one) => one.x + one.width));
  const bottom = Math.max(...seen.map((one) => one.y + one.height));
  // Every miniature stands on its ledge, whatever its shape.
  const scale = Math.min(width / (right - left), (width * 9) / 16 / (bottom - top));
  return (
    <div ref={box} aria-hidden className="pointer-events-none relative aspect-video w-full" inert>
      {width > 0 &&
        screens.map((screen, index) => (
          <div
            key={screen.id}
            className="absolute overflow-hidden rounded-[5px] shadow-[0_10px_30px_rgb(0_0_0/.35)]"
            style={{
              left: (width - (right - left) * scale) / 2 + ((seen[index]?.x ?? 0) - left) * scale,
              bottom: (bottom - (seen[index]?.y ?? 0) - (seen[index]?.height ?? 0)) * scale,
              width: (seen[index]?.width ?? 0) * scale,
              height: (seen[index]?.height ?? 0) * scale,
            }}
          >
            <div
              className="origin-top-left"
              style={{
                transform: `scale(${scale}) translate(${-(around?.x ?? 0)}px, ${-(around?.y ?? 0)}px)`,
                width: screen.rect.width,
                height: screen.rect.height,
              }}
            >
              <ScreenView
                scene={shared}
                screen={screen}
                pictureWidth={screen.rect.width * scale * devicePixelRatio}
              />
            </div>
          </div>
        ))}
    </div>
  );
});
