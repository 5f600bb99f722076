import type { z } from 'zod';
import type { Need, Readings } from '../sources/readings.ts';
import type { Units } from '../sources/units.ts';
import type { ButtonLook } from '../values/window-buttons.ts';
import type { Side } from '../values/geometry.ts';
import type { Colour, Half } from '../values/roles.ts';
import type { Fonts, Inked, Layout, Paint } from './layout.ts';
import { dress } from '../values/dress.ts';

/** What of a window other parts may know; it changes less often than where the window is. */
export interface WindowFacts {
  id: string;
  application: string;
  screen: string;
  workspace: string;
  isFront: boolean;
  isFilled: boolean;
  isMinimised: boolean;
  /** The later it was opened, the larger. */
  order: number;
}

/** What the desk says that more than one part may show. */
export interface DeskFacts {
  applications: readonly { id: string; Name: string; Icon: string; Categories: readonly string[] }[];
  workspaces: readonly { id: string; name: string }[];
  /** Of the app wall. */
  folders: readonly { id: string; name: string }[];
  /** Ids of the applications that run. */
  running: ReadonlySet<string>;
  /** The windows that are open, from the back to the front. */
  windows: readonly WindowFacts[];
  windowButtons: ButtonLook;
  /** Index of the workspace in front. */
  workspace: number;
  half: Half;
  /** Surfaces stand without blur and shadow. */
  isPlain: boolean;
  /** Nothing sounds, and nothing moves by itself. */
  isQuiet: boolean;
  fonts: Fonts;
  /** What readings are shown in. */
  units: Units;
}

interface PartContext extends DeskFacts {
  readings: Readings;
  /** A colour as a paint: a role is made readable on whatever surface the part stands on. */
  textColour(colour: Colour): Paint;
  /** A colour as #rrggbb, and what can be read on one. */
  plainColour(colour: Colour): `#${string}`;
  inkOn(ground: string): `#${string}`;
}

/** How much room an item has: as much as it wants, little around it, or too little for its label. */
export type Room = 'full' | 'tight' | 'bare';

export interface ItemContext extends PartContext {
  /** Id of the screen that the edge is on. */
  screen: string;
  edge: 'panel' | 'dock';
  side: Side;
  isVertical: boolean;
  /** The edge's depth and the size of icons on it, px. */
  thickness: number;
  iconSize: number;
  /** Px off the edge at which names are told; null where none are. */
  tellsAt: number | null;
  room: Room;
}

export type WidgetContext = PartContext;

type Options = z.ZodObject;

/** One of the looks of a kind. */
interface FaceFacts<Face extends string> {
  id: Face;
  title: string;
  /** It shows something else than others of its kind do: what dresses a desk doesn't turn it into them, nor them into it. */
  isApart?: boolean;
}

/** A kind of thing on an edge. What its layout can't say is drawn in web/render/items under the same name. */
export interface ItemKind<
  Type extends string,
  Face extends string,
  O extends Options,
  View,
  Laid extends Layout,
> {
  type: Type;
  title: string;
  summary: string;
  /** What it can look like; a new one has the first. */
  faces: readonly FaceFacts<Face>[];
  options: O;
  /** A spring's share of what is left; absent on everything that has a length of its own. */
  weight?(options: z.output<O>): number;
  /** The option that is typed in place, where it stands on the stage. */
  typed?: string;
  /** A blank: no spacing is added beside it. */
  isBlank?: boolean;
  /** What it reads; absent when it reads nothing. */
  needs?(options: z.output<O>, face: Face): readonly Need[];
  /** What the face shows. */
  view(options: z.output<O>, face: Face, context: ItemContext): View;
  /** Its inside. Along the edge it is as long as the item wants to be, across it as deep as the edge. */
  layout(view: View, face: Face, context: ItemContext): Laid;
  /** What of it is judged beside its texts; where it is absent, the icon of its layout is. */
  inked?(view: NoInfer<View>, layout: NoInfer<Laid>): readonly Inked[];
}

/** How a kind of widget is worked out. It stands in a file of its own, which is fetched with the first desk that needs it. */
interface WidgetWork<Face extends string, O extends Options, View, Laid extends Layout> {
  /** What the face shows. */
  view(options: z.output<O>, face: Face, context: WidgetContext): View;
  /** Its inside, without the room that a surface keeps around it. */
  layout(view: View, face: Face, context: WidgetContext): Laid;
  /** What of it is judged beside its texts. */
  inked?(view: NoInfer<View>, layout: NoInfer<Laid>): readonly Inked[];
}

/**
 * What can be done with a widget while the desk is used and changes it, by name: under which label its options become
 * others. `index` is which of its things it was done with; `moment` in epoch ms.
 */
export type WidgetActs<Values> = Readonly<
  Record<
    string,
    (options: Values, at: { moment: number; index: number }) => { label: string; options: Partial<Values> }
  >
>;

/** A kind of thing on the desk. What its layout can't say is drawn in web/render/widgets under the same name. */
export interface WidgetKind<
  Type extends string,
  Face extends string,
  O extends Options,
  View,
  Laid extends Layout,
> {
  type: Type;
  title: string;
  summary: string;
  /** Other words that people look for it by. */
  also: string;
  faces: readonly FaceFacts<Face>[];
  options: O;
  /** The option that is typed in place, where it stands on the stage. */
  typed?: string;
  /** Whether a new one stands bare on the backdrop or on a surface. */
  startsBare(face: Face): boolean;
  needs(options: z.output<O>, face: Face): readonly Need[];
  load(): Promise<WidgetWork<Face, O, View, Laid>>;
  /** Absent where nothing done in use changes it. */
  acts?(): Promise<{ acts: WidgetActs<z.output<O>> }>;
}

export function defineItem<
  const Type extends string,
  const Face extends string,
  O extends Options,
  View,
  Laid extends Layout,
>(kind: ItemKind<Type, Face, O, View, Laid>): ItemKind<Type, Face, O, View, Laid> {
  dress(kind.options);
  return kind;
}

export function defineWidget<
  const Type extends string,
  const Face extends string,
  O extends Options,
  View,
  Laid extends Layout,
>(kind: WidgetKind<Type, Face, O, View, Laid>): WidgetKind<Type, Face, O, View, Laid> {
  dress(kind.options);
  return kind;
}

/** An item's kind where any may stand. What a part holds was checked against its own kind when it came in. */
export type AnyItemKind = ItemKind<string, string, Options, unknown, Layout>;
export type AnyWidgetKind = WidgetKind<string, string, Options, unknown, Layout>;
export type AnyWidgetWork = WidgetWork<string, Options, unknown, Layout>;

/** A list of kinds by type, their own types erased. Throws when two share one. */
export function byType<Any extends { type: string }>(
  what: string,
  kinds: readonly { type: string }[],
): (type: string) => Any {
  const map = new Map<string, Any>();
  for (const kind of kinds) {
    if (map.has(kind.type)) throw new Error(`${what} "${kind.type}" is defined twice`);
    map.set(kind.type, kind as Any);
  }
  return (type) => {
    const kind = map.get(type);
    if (!kind) throw new Error(`No ${what.toLowerCase()} "${type}"`);
    return kind;
  };
}
