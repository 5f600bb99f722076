import type { EdgeFrame } from '../arrange/schema.ts';
import type { MotifName } from '../backdrop/names.ts';
import type { SchemeName } from '../colour/schema.ts';
import type { ourIcons } from '../icons/schema.ts';
import type { ItemType } from '../items/list.ts';
import type { Pointer } from '../pointer/schema.ts';
import type { ShippedFamily } from '../values/family.ts';
import type { Finish } from '../values/finish.ts';
import type { Half } from '../values/roles.ts';
import type { WidgetType } from '../widgets/list.ts';
import type { Windows } from '../windows/schema.ts';

/** A kit of ours, as it was thought of. */
export interface Thought {
  id: string;
  name: string;
  notes: string;
  /** The half in which it was thought of; it has both. */
  half: Half;
  /** What its palette is drawn from, each with its share, and how. */
  colours: Readonly<Record<string, number>>;
  way?: SchemeName;
  finish: Finish;
  fonts: readonly [display: ShippedFamily, text: ShippedFamily, figures: ShippedFamily];
  /** Added to the weight, and to the spacing, of what is set in the display type. */
  letters?: { weight?: number; spacing?: number };
  icons: Parameters<typeof ourIcons>[0];
  pointer: Pointer;
  windows: {
    title?: Partial<Windows['title']>;
    lines?: Partial<Windows['lines']>;
    buttons?: Partial<Windows['buttons']>;
    behind?: Partial<Windows['behind']>;
    gaps?: Partial<Windows['gaps']>;
  };
  panel: Partial<EdgeFrame>;
  dock: Partial<EdgeFrame>;
  /** Faces that aren’t the first. */
  faces: Partial<Record<WidgetType, string>>;
  itemFaces: Partial<Record<ItemType, string>>;
  /** Kinds of widgets that stand without a surface. */
  bare: readonly WidgetType[];
  motif: readonly [name: MotifName, seed: number];
}

/** A finish of a surface, with what is usual of one for the rest. */
export const surface = (kind: Finish['kind'], radius: number, more: Partial<Finish> = {}): Finish => ({
  kind,
  tint: 'surface',
  opacity: 78,
  blur: 20,
  radius,
  edgeLine: 0,
  shadow: 16,
  ...more,
});
