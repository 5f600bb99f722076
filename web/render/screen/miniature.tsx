import { memo, useMemo, useRef, useState } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import type { OpenMenu } from '../../../core/scene/conditions.ts';
import type { Feed } from '../../../core/sources/feeds.ts';
import { createSolver } from '../../../core/scene/solver.ts';
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
        open: menu && on ? { menu, screen: on } : null,
      }),
    [solver, desk, isBare, moment, half, feeds, behind, menu, on],
  );
  const screens = shared.screens.filter(({ id }) => only === undefined || id === only);

  const left = Math.min(...screens.map(({ at }) => at.x));
  const top = Math.min(...screens.map(({ at }) => at.y));
  const right = Math.max(...screens.map(({ at, rect }) => at.x + rect.width));
  const bottom = Math.max(...screens.map(({ at, rect }) => at.y + rect.height));
  // Every miniature stands on its ledge, whatever its shape.
  const scale = Math.min(width / (right - left), (width * 9) / 16 / (bottom - top));
  return (
    <div ref={box} aria-hidden className="pointer-events-none relative aspect-video w-full" inert>
      {width > 0 &&
        screens.map((screen) => (
          <div
            key={screen.id}
            className="absolute overflow-hidden rounded-[5px] shadow-[0_10px_30px_rgb(0_0_0/.35)]"
            style={{
              left: (width - (right - left) * scale) / 2 + (screen.at.x - left) * scale,
              bottom: (bottom - screen.at.y - screen.rect.height) * scale,
              width: screen.rect.width * scale,
              height: screen.rect.height * scale,
            }}
          >
            <div
              className="origin-top-left"
              style={{ transform: `scale(${scale})`, width: screen.rect.width, height: screen.rect.height }}
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
