import { z } from 'zod';
import { itemKinds, type ItemType } from '../items/list.ts';
import { widgetKinds, type WidgetType } from '../widgets/list.ts';
import { Backdrop } from '../backdrop/schema.ts';
import { Look } from '../look/schema.ts';
import { roleCircle } from '../colour/roles.ts';
import { Alignment, Place, Side } from '../values/place.ts';
import { Finish } from '../values/finish.ts';
import { GeoPlace } from '../values/earth.ts';
import { Id } from '../values/id.ts';
import { halves } from '../values/roles.ts';
import { isOwn } from '../values/family.ts';
import type { TypeOf } from '../values/types.ts';

export type { Backdrop } from '../backdrop/schema.ts';
export type { Look } from '../look/schema.ts';

export const FORMAT = 2;

export const MOST_NAME = 120;
const Name = z.string().trim().min(1).max(MOST_NAME);
const LIMITS = {
  screens: 8,
  edges: 40,
  itemsPerEdge: 200,
  widgets: 4000,
  applications: 400,
  workspaces: 32,
  backdrops: 200,
};

export const Screen = z.looseObject({
  id: Id,
  name: Name,
  width: z.number().int().min(320).max(16384),
  height: z.number().int().min(240).max(16384),
  scaleFactor: z.number().min(0.5).max(4).meta({ description: 'Device pixels for each px' }),
  x: z
    .number()
    .int()
    .min(-65536)
    .max(65536)
    .meta({ description: 'Where the screen stands beside the others, px' }),
  y: z.number().int().min(-65536).max(65536),
});
export type Screen = TypeOf<typeof Screen>;

const OwnFinish = Finish.nullable().meta({ description: "Null follows the desk's finish" });

const itemSchemas = itemKinds.map((kind) =>
  z.looseObject({ id: Id, type: z.literal(kind.type), options: kind.options }),
);
export interface Item {
  id: string;
  type: ItemType;
  options: Record<string, unknown>;
}

const Edge = z.looseObject({
  id: Id,
  kind: z.enum(['panel', 'dock']),
  screen: Id,
  side: Side,
  thickness: z.number().min(16).max(240),
  iconSize: z.number().min(8).max(160),
  length: z.enum(['fill', 'items']).meta({ description: 'As long as its side, or as its items' }),
  align: Alignment,
  margin: z.number().min(0).max(200).meta({ description: "px between the edge and the screen's side" }),
  padding: z.number().min(0).max(200).meta({ description: 'px inside both ends' }),
  spacing: z.number().min(0).max(200).meta({ description: 'px between two items' }),
  keepsWindowsOff: z.boolean(),
  finish: OwnFinish,
  items: z.array(z.discriminatedUnion('type', itemSchemas as never)).max(LIMITS.itemsPerEdge),
});
export type Edge = Omit<TypeOf<typeof Edge>, 'items'> & { items: Item[] };

const widgetBase = {
  id: Id,
  place: Place,
  scale: z.number().min(0.1).max(10),
  finish: OwnFinish,
  locked: z.boolean(),
  clicksThrough: z.boolean(),
};
const widgetSchemas = widgetKinds.map((kind) =>
  z.looseObject({
    ...widgetBase,
    type: z.literal(kind.type),
    face: z.enum(kind.faces.map((face) => face.id) as [string, ...string[]]),
    options: kind.options,
  }),
);
export interface Widget {
  id: string;
  type: WidgetType;
  face: string;
  options: Record<string, unknown>;
  place: Place;
  scale: number;
  finish: Finish | null;
  locked: boolean;
  clicksThrough: boolean;
}

/** Keys as in the freedesktop Desktop Entry specification. */
const Application = z.looseObject({
  id: Id,
  Name,
  Comment: z.string().max(300),
  Icon: z
    .string()
    .max(120)
    .meta({ description: 'freedesktop icon name, or a picture of one’s own as own: and its SHA-256' }),
  Categories: z.array(z.string().max(60)).max(20),
});
export type Application = TypeOf<typeof Application>;

const Workspace = z.looseObject({ id: Id, name: Name });

const Shape = z.looseObject({
  format: z.literal(FORMAT),
  id: Id,
  name: Name,
  place: GeoPlace,
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1)
    .meta({ description: 'Of everything simulated on the desk' }),
  screens: z.array(Screen).min(1).max(LIMITS.screens),
  look: Look,
  backdrops: z.array(Backdrop).min(1).max(LIMITS.backdrops).meta({
    description: 'The first lies everywhere; of the others the one that says most of where it lies',
  }),
  edges: z.array(Edge).max(LIMITS.edges),
  widgets: z
    .array(z.discriminatedUnion('type', widgetSchemas as never))
    .max(LIMITS.widgets)
    .meta({ description: 'The later one stands above' }),
  applications: z.array(Application).max(LIMITS.applications),
  workspaces: z.array(Workspace).min(1).max(LIMITS.workspaces),
});

export type Desk = Omit<TypeOf<typeof Shape>, 'edges' | 'widgets'> & { edges: Edge[]; widgets: Widget[] };

/** What the JSON Schema can't say: ids are unique, and whatever is named is there. */
export const DeskSchema = Shape.superRefine((value, context) => {
  const desk = value as unknown as Desk;
  const say = (path: (string | number)[], message: string) =>
    context.addIssue({ code: 'custom', path, message });
  const screens = new Set(desk.screens.map((screen) => screen.id));
  const seen = new Set<string>();
  function once(path: (string | number)[], id: string) {
    if (seen.has(id)) say([...path, 'id'], `is used twice: "${id}"`);
    seen.add(id);
  }
  desk.screens.forEach((screen, i) => once(['screens', i], screen.id));
  desk.edges.forEach((edge, i) => {
    once(['edges', i], edge.id);
    if (!screens.has(edge.screen))
      say(['edges', i, 'screen'], `names a screen that is not there: "${edge.screen}"`);
    edge.items.forEach((item, j) => once(['edges', i, 'items', j], item.id));
  });
  desk.widgets.forEach((widget, i) => once(['widgets', i], widget.id));

  const workspaces = new Set(desk.workspaces.map((workspace) => workspace.id));
  desk.backdrops.forEach((backdrop, i) => {
    once(['backdrops', i], backdrop.id);
    const { screen, workspace, half } = backdrop.for;
    if (i === 0 && (screen ?? workspace ?? half) !== null)
      say(['backdrops', 0, 'for'], 'must lie everywhere: it is what the others are exceptions from');
    if (screen !== null && !screens.has(screen))
      say(['backdrops', i, 'for', 'screen'], `names a screen that is not there: "${screen}"`);
    if (workspace !== null && !workspaces.has(workspace))
      say(['backdrops', i, 'for', 'workspace'], `names a workspace that is not there: "${workspace}"`);
    if (backdrop.source.kind === 'rotation') {
      backdrop.source.entries.forEach((entry, j) => once(['backdrops', i, 'source', 'entries', j], entry.id));
    }
  });
  for (const half of halves) {
    const role = roleCircle(desk.look.roles[half]);
    if (role) say(['look', 'roles', half, role], 'is a step, in a circle, from itself');
  }
  const ownFonts = new Set<string>(desk.look.ownFonts.map((font) => font.id));
  for (const [use, { family }] of Object.entries(desk.look.fonts)) {
    if (isOwn(family) && !ownFonts.has(family))
      say(['look', 'fonts', use, 'family'], 'names a font of one’s own that is not there');
  }

  const hangers = new Map([...desk.edges, ...desk.widgets].map((part) => [part.id, part]));
  desk.widgets.forEach(({ place: { hangs } }, i) => {
    if (hangs.from !== 'part') {
      if (!screens.has(hangs.screen))
        say(
          ['widgets', i, 'place', 'hangs', 'screen'],
          `names a screen that is not there: "${hangs.screen}"`,
        );
    } else if (!hangers.has(hangs.part)) {
      say(['widgets', i, 'place', 'hangs', 'part'], `names a part that is not there: "${hangs.part}"`);
    }
  });
  const inCircle = widgetsInCircles(desk.widgets);
  desk.widgets.forEach(({ id }, i) => {
    if (inCircle.has(id)) say(['widgets', i, 'place', 'hangs', 'part'], 'hangs, in a circle, from itself');
  });
}) as unknown as z.ZodType<Desk>;

/** Ids of the widgets from which following what they hang from leads back to them. Each is passed once. */
export function widgetsInCircles(widgets: readonly Widget[]): Set<string> {
  const hosts = hostsOf(widgets);
  const done = new Set<string>();
  const inCircle = new Set<string>();
  for (const { id } of widgets) {
    const passed: string[] = [];
    const here = new Set<string>();
    let at: string | undefined = id;
    while (at !== undefined && !done.has(at) && !here.has(at)) {
      passed.push(at);
      here.add(at);
      at = hosts.get(at);
    }
    // Met again on the same way: from there on it is a circle.
    if (at !== undefined && here.has(at))
      for (const one of passed.slice(passed.indexOf(at))) inCircle.add(one);
    for (const one of passed) done.add(one);
  }
  return inCircle;
}

/** What each widget that hangs from a part hangs from. */
function hostsOf(widgets: readonly Widget[]): Map<string, string> {
  return new Map(
    widgets.flatMap(({ id, place: { hangs } }) => (hangs.from === 'part' ? [[id, hangs.part] as const] : [])),
  );
}

/** Ids of a part and of all widgets that hang from it, in however many steps. */
export function hangingFrom(id: string, widgets: readonly Widget[]): Set<string> {
  const guests = new Map<string, string[]>();
  for (const [guest, host] of hostsOf(widgets)) {
    const others = guests.get(host);
    if (others) others.push(guest);
    else guests.set(host, [guest]);
  }
  const found = new Set([id]);
  // A set is walked to its end while it grows.
  for (const part of found) for (const guest of guests.get(part) ?? []) found.add(guest);
  return found;
}

/** The format as JSON Schema (draft 2020-12), as it stands in docs/. */
export function deskJsonSchema(): object {
  return {
    $id: 'desk.schema.json',
    title: 'Velvet Ledge desk',
    ...z.toJSONSchema(Shape, { io: 'input', unrepresentable: 'any' }),
  };
}
