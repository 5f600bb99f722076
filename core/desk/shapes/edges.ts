import { atLeastOne } from '../../values/types.ts';
import { z } from 'zod';
import { EdgeFrame, ItemFrame } from '../../arrange/schema.ts';
import { itemKinds, type ItemType } from '../../items/list.ts';
import { content, dress } from '../../values/dress.ts';

const itemSchemas = itemKinds.map((kind) =>
  dress(
    ItemFrame.extend({
      type: content(z.literal(kind.type)),
      face: z.enum(kind.faces.map(({ id }) => id) as [string, ...string[]]),
      options: kind.options,
    }),
  ),
);
export interface Item extends ItemFrame {
  type: ItemType;
  face: string;
  options: Record<string, unknown>;
}

/** The schema of an item, whatever its kind. */
export const ItemSchema = z.discriminatedUnion('type', atLeastOne(itemSchemas));

/** The schema of an edge, for forms too. */
export const Edge = dress(
  EdgeFrame.extend({
    items: content(z.array(ItemSchema).max(200)),
  }),
);
export type Edge = EdgeFrame & { items: Item[] };
