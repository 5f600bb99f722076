import { iconCells } from '../../arrange/icon-grid.ts';
import type { DesktopIcons } from '../../icons/desktop.ts';
import type { Application } from '../../desk/shapes/applications.ts';
import { cutLine, putLine, type Run } from '../../kinds/layout.ts';
import type { Point, Rect } from '../../values/geometry.ts';
import type { SceneIcon } from '../scene.ts';
import { bareFinish } from '../../values/finish.ts';
import { behindScreen, surfaceBefore } from '../behind.ts';
import { plainSurface } from '../solving.ts';
import { solidFinish } from './beside.ts';
import { defineSceneSection } from './section.ts';
import { isOwn } from '../../values/family.ts';
import { placedSigns, placedTexts, plateAround } from './texts.ts';

/** Px around an icon in its cell, between it and its name, and off the sides of the free area. */
const AROUND = 10;
const GAP = 8;
const MARGIN = 16;
/** Of an icon: how wide its name may be, and the least that is. */
const WIDE = 1.7;
const LEAST = 102;
const LABEL = 14;
/** What a name leaves of its cell's width. */
const ROOM = 18;
/** Below the line of writing. */
const DEEP = 5;

/** Icons on the bare desk, of applications: on a grid in the free area of their screens, which gives way to what stands there. */
export const icons = defineSceneSection({
  key: 'icons',
  solve({ id, rect: screen, free, rects }, solving) {
    const { desk, facts } = solving;
    const look = desk.desktopIcons;
    const on = look.screens.length > 0 ? look.screens : [desk.screens[0]?.id];
    if (look.shown === 'none' || !on.includes(id)) return [];
    const shown = applicationsShown(look, desk.applications);
    const { size, labels, from, flow, spacing } = look;
    const width = labels ? Math.max(LEAST, Math.round(size * WIDE)) : size + 2 * AROUND;
    const height = size + 2 * AROUND + (labels ? GAP + LABEL + DEEP : 0);
    const grid = { cell: { width, height }, spacing, margin: MARGIN, from, flow };
    const surface = plainSurface(solidFinish(desk.look.finish), solving);
    const behind = behindScreen(id, screen, solving);
    const bare = behind ? plainSurface(bareFinish(desk.look.finish), solving) : surface;
    return iconCells(shown.length, free, grid, [...rects.values()]).flatMap((rect, index): SceneIcon[] => {
      const application = shown[index];
      if (!application) return [];
      const sign = { x: (width - size) / 2, y: AROUND, width: size, height: size };
      const style = { font: 'text' as const, size: LABEL, weight: 500 };
      const line = labels ? cutLine(application.Name, style, facts.fonts, width - ROOM) : null;
      return [
        {
          id: `icon ${id} ${application.id}`,
          application: application.id,
          name: application.Name,
          icon: application.Icon,
          rect,
          surface,
          signSurface: surfaceBefore(
            bare,
            { ...sign, x: rect.x + sign.x, y: rect.y + sign.y },
            behind,
            solving,
          ),
          sign,
          label: line && putLine(line, { centre: width / 2 }, AROUND + size + GAP + LABEL - 2),
        },
      ];
    });
  },
  rects: (list) => list,
  parts: (list) =>
    list.map(({ id, rect, surface, label, name, icon, sign, signSurface }) => ({
      id,
      rect,
      surfaceRect: label ? plateOf(label, rect) : { x: rect.x, y: rect.y, width: 0, height: 0 },
      surface,
      scale: 1,
      texts: () => placedTexts(null, label ? [label] : [], rect),
      signs: (icons) =>
        icons !== 'inked' || isOwn(icon)
          ? []
          : placedSigns(
              null,
              [{ what: `The icon of ${name}`, rect: sign, colour: 'ink' }],
              rect,
              1,
              signSurface,
            ),
    })),
});

/** The plate that a name stands on, whatever the backdrop is there. */
function plateOf({ ink }: Run, { x, y }: Point): Rect {
  return plateAround({ ...ink, x: x + ink.x, y: y + ink.y });
}

function applicationsShown(
  { shown, applications }: DesktopIcons,
  all: readonly Application[],
): readonly Application[] {
  if (shown === 'all') return all;
  const known = new Map(all.map((one) => [one.id, one]));
  return applications.flatMap((id) => known.get(id) ?? []);
}
