import type { z } from 'zod';
import type { MachineOrigin, Readings } from '../sources/readings.ts';
import type { Rect, Size } from '../values/geometry.ts';
import type { Surface } from '../colour/look.ts';
import type { Use } from '../text/schema.ts';
import type { Colour } from '../values/roles.ts';
import type { DeskFont } from '../text/measure.ts';

/** How often a part must be looked at again for its view to stay true. */
export type Tick = 'second' | 'minute' | null;

export type Fonts = Record<Use, DeskFont>;

/** A text of a part, for judging whether it can be read. Its box is in px at scale 1, from the part's content box. */
export interface TextSpot {
  text: string;
  box: Rect;
  /** #rrggbb */
  colour: string;
  /** px */
  size: number;
  weight: number;
}

/** What a kind may know when it says where its texts are. */
export interface TextContext {
  fonts: Fonts;
  surface: Surface;
  /** Of the content box. */
  box: Size;
}

/** What the desk says that more than one part may show. */
export interface DeskFacts {
  applications: readonly { id: string; Name: string; Icon: string; Categories: readonly string[] }[];
  workspaces: readonly { id: string; name: string }[];
  /** Ids of the applications that run. */
  running: ReadonlySet<string>;
  /** Index of the workspace in front. */
  workspace: number;
  fonts: Fonts;
}

interface PartContext extends DeskFacts {
  readings: Readings;
  /** A colour as hex, readable as text on the part's surface. */
  textColour(colour: Colour): string;
}

export interface ItemContext extends PartContext {
  /** The edge's depth and the size of icons on it, px. */
  thickness: number;
  iconSize: number;
  isVertical: boolean;
}

export type WidgetContext = PartContext;

type Options = z.ZodObject;

/** A kind of thing on an edge. The drawing half lives in web/render/items under the same name. */
export interface ItemKind<Type extends string, O extends Options, View> {
  type: Type;
  title: string;
  summary: string;
  options: O;
  /** A spring's share of what is left; absent on everything that has a length of its own. */
  weight?(options: z.output<O>): number;
  tick?(options: z.output<O>): Tick;
  /** Where its machine readings come from, when it shows any. */
  machineOrigin?(options: z.output<O>): MachineOrigin;
  /** What the item shows. */
  view(options: z.output<O>, context: ItemContext): View;
  /** Px along the edge. */
  length(view: View, context: ItemContext): number;
  /** Where its texts are; absent when it shows none. */
  texts?(view: View, context: TextContext): TextSpot[];
}

/** A kind of thing on the desk. The drawing half lives in web/render/widgets under the same name. */
export interface WidgetKind<Type extends string, Face extends string, O extends Options, View> {
  type: Type;
  title: string;
  summary: string;
  faces: readonly { id: Face; title: string }[];
  options: O;
  /** Whether a new one stands bare on the backdrop or on a surface. */
  startsBare: (face: Face) => boolean;
  tick(options: z.output<O>, face: Face): Tick;
  /** Where its machine readings come from, when it shows any. */
  machineOrigin?(options: z.output<O>): MachineOrigin;
  /** What the face shows. */
  view(options: z.output<O>, face: Face, context: WidgetContext): View;
  /** Px at scale 1, without the room around it. */
  size(view: View, face: Face, context: WidgetContext): Size;
  /** Where its texts are. */
  texts(view: View, face: Face, context: TextContext): TextSpot[];
}

export function defineItem<const Type extends string, O extends Options, View>(
  kind: ItemKind<Type, O, View>,
): ItemKind<Type, O, View> {
  return kind;
}

export function defineWidget<const Type extends string, const Face extends string, O extends Options, View>(
  kind: WidgetKind<Type, Face, O, View>,
): WidgetKind<Type, Face, O, View> {
  return kind;
}

/** A list of kinds by type. Throws when two share one. */
export function byType<Kind extends { type: string }>(
  what: string,
  kinds: readonly Kind[],
): ReadonlyMap<string, Kind> {
  const map = new Map<string, Kind>();
  for (const kind of kinds) {
    if (map.has(kind.type)) throw new Error(`${what} "${kind.type}" is defined twice`);
    map.set(kind.type, kind);
  }
  return map;
}
