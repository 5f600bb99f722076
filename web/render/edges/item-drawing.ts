import type { FC } from 'react';
import type { ItemLayoutOf, ItemType, ItemViewOf } from '../../../core/items/list.ts';
import type { DockLine, DockMark } from '../../../core/arrange/schema.ts';
import type { Edge } from '../../../core/desk/shapes/edges.ts';
import type { Surface } from '../../../core/colour/look.ts';
import type { Side } from '../../../core/values/geometry.ts';

/** What a drawn item knows of its edge. */
export interface EdgeFacts {
  kind: Edge['kind'];
  side: Side;
  /** Of a dock. */
  line?: DockLine | undefined;
  mark?: DockMark | undefined;
  /** What names stand on that are told while something is pointed at. */
  plate?: Surface | null;
}

/** The drawing half of a kind of item: what its layout can't say. */
export type ItemDrawing<Type extends ItemType> = FC<{
  /** Of the item. */
  id: string;
  view: ItemViewOf<Type>;
  layout: ItemLayoutOf<Type>;
  edge: EdgeFacts;
}>;
