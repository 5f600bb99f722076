import fc from 'fast-check';
import { createItem, createPanel, createWidget } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Edge } from '../../core/desk/shapes/edges.ts';
import type { Widget } from '../../core/desk/shapes/widgets.ts';
import { alignments, points, type Place } from '../../core/values/place.ts';
import { finishKinds, type Finish } from '../../core/values/finish.ts';
import { sides } from '../../core/values/geometry.ts';
import { plainMenus } from '../../core/menus/schema.ts';
import { itemKinds } from '../../core/items/list.ts';
import { widgetKinds, type WidgetType } from '../../core/widgets/list.ts';
import { bareDesk } from '../../demo/bare-desk.ts';
import { demoDesks } from '../../demo/desks.ts';

export { bareDesk };

/** 24 November 2026, 07:12 at Marrow Point. */
export const DAWN = Date.UTC(2026, 10, 24, 7, 12);

export function dawnCount(): Desk {
  const [desk] = demoDesks();
  if (!desk) throw new Error('The demo has no desk');
  return desk;
}

/** A desk with one screen of 1000 × 600 and nothing on it, that stays light. */
export function emptyDesk(): Desk {
  const desk = bareDesk();
  return {
    ...desk,
    look: { ...desk.look, half: { by: 'choice', half: 'light' } },
    screens: [{ id: 'main', name: 'Main', width: 1000, height: 600, scaleFactor: 1, x: 0, y: 0 }],
  };
}

/** Menus on which nothing can be started, or that nothing opens. */
export function closedMenus(): Pick<Desk, 'menus' | 'keys'> {
  const deskMenu = {
    ...plainMenus.deskMenu,
    entries: [{ id: 'half', by: 'act' as const, act: 'half' as const }],
  };
  return { menus: { ...plainMenus, deskMenu }, keys: [] };
}

export function clockAt(id: string, place: Place, options: Record<string, unknown> = {}): Widget {
  return createWidget({
    id,
    type: 'clock',
    face: 'line',
    place,
    deskFinish: bareDesk().look.finish,
    options,
  });
}

export const fromCorner = (x: number, y: number): Place => ({
  hangs: { from: 'screen', screen: 'main', point: 'top-left' },
  x,
  y,
});

const finish: fc.Arbitrary<Finish> = fc.record({
  kind: fc.constantFrom(...finishKinds),
  tint: fc.constantFrom('ground', 'surface', 'raised', 'accent', '#40606f') as fc.Arbitrary<Finish['tint']>,
  opacity: fc.integer({ min: 0, max: 100 }),
  blur: fc.integer({ min: 0, max: 60 }),
  radius: fc.integer({ min: 0, max: 80 }),
  edgeLine: fc.integer({ min: 0, max: 8 }),
  shadow: fc.integer({ min: 0, max: 100 }),
});

function arbitraryEdge(id: string, screen: string): fc.Arbitrary<Edge> {
  return fc
    .record({
      kind: fc.constantFrom('panel', 'dock') as fc.Arbitrary<Edge['kind']>,
      side: fc.constantFrom(...sides),
      thickness: fc.integer({ min: 16, max: 240 }),
      iconSize: fc.integer({ min: 8, max: 160 }),
      length: fc.constantFrom<Edge['length']>(
        { by: 'side' },
        { by: 'items' },
        { by: 'fixed', px: 420 },
        { by: 'share', percent: 40 },
      ),
      align: fc.constantFrom(...alignments),
      margin: fc.integer({ min: 0, max: 200 }),
      padding: fc.integer({ min: 0, max: 200 }),
      spacing: fc.integer({ min: 0, max: 60 }),
      keepsWindowsOff: fc.boolean(),
      finish: fc.option(finish),
      types: fc.array(fc.constantFrom(...itemKinds.map((kind) => kind.type)), { maxLength: 14 }),
    })
    .map(({ types, ...rest }) => ({
      ...createPanel(
        id,
        screen,
        rest.side,
        types.map((type, index) => createItem(`${id}-${index}`, type)),
      ),
      ...rest,
    }));
}

const widgetChoices = widgetKinds.flatMap((kind) =>
  kind.faces.map((face): [WidgetType, string] => [kind.type, face.id]),
);

function arbitraryWidget(index: number, screen: string, neighbours: readonly string[]): fc.Arbitrary<Widget> {
  const point = fc.record({
    from: fc.constantFrom('free' as const, 'screen' as const),
    screen: fc.constant(screen),
    point: fc.constantFrom(...points),
  });
  const part = fc.record({
    from: fc.constant('part' as const),
    part: fc.constantFrom(...neighbours, ''),
    side: fc.constantFrom(...sides),
    align: fc.constantFrom(...alignments),
  });
  return fc
    .record({
      choice: fc.constantFrom(...widgetChoices),
      hangs:
        neighbours.length > 0
          ? fc.oneof(
              point,
              part.filter((p) => p.part !== ''),
            )
          : point,
      x: fc.integer({ min: -3000, max: 3000 }),
      y: fc.integer({ min: -3000, max: 3000 }),
      scale: fc.double({ min: 0.1, max: 10, noNaN: true }),
      finish: fc.option(finish),
    })
    .map(({ choice: [type, face], hangs, x, y, scale, finish: own }) => ({
      ...createWidget({
        id: `widget-${index}`,
        type,
        face,
        place: { hangs, x, y },
        deskFinish: bareDesk().look.finish,
      }),
      scale,
      finish: own,
    }));
}

/** Any desk on one screen: parts hang from points, from edges, and from widgets before them. */
export const arbitraryDesk: fc.Arbitrary<Desk> = fc
  .record({
    width: fc.integer({ min: 320, max: 5000 }),
    height: fc.integer({ min: 240, max: 4000 }),
    edges: fc.integer({ min: 0, max: 5 }),
    widgets: fc.integer({ min: 0, max: 8 }),
  })
  .chain(({ width, height, edges, widgets }) => {
    const edgeIds = Array.from({ length: edges }, (_, index) => `edge-${index}`);
    const edgeList = fc.tuple(...edgeIds.map((id) => arbitraryEdge(id, 'main')));
    const widgetList = fc.tuple(
      ...Array.from({ length: widgets }, (_, index) =>
        arbitraryWidget(index, 'main', [
          ...edgeIds,
          ...Array.from({ length: index }, (_, before) => `widget-${before}`),
        ]),
      ),
    );
    return fc.tuple(edgeList, widgetList).map(([edgeParts, widgetParts]): Desk => ({
      ...emptyDesk(),
      screens: [{ id: 'main', name: 'Main', width, height, scaleFactor: 1, x: 0, y: 0 }],
      edges: edgeParts,
      widgets: widgetParts,
    }));
  });

/** A moment within some years, ms. */
export const arbitraryMoment = fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2029, 0, 1) });
