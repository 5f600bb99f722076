import { z } from 'zod';
import { EdgeFrame, ItemFrame } from '../../arrange/schema.ts';
import { itemKinds, type ItemType } from '../../items/list.ts';
import { defineSection, without } from './section.ts';
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
export const ItemSchema = z.discriminatedUnion('type', itemSchemas as never);

/** The schema of an edge, for forms too. */
export const Edge = dress(
  EdgeFrame.extend({
    items: content(z.array(ItemSchema).max(200)),
  }),
);
export type Edge = EdgeFrame & { items: Item[] };

export const edges = defineSection({
  key: 'edges',
  schema: content(z.array(Edge).max(40)),
  ids: (list) =>
    list.flatMap(({ id, items }, index) => [
      [['edges', index], id] as const,
      ...items.map((item, at) => [['edges', index, 'items', at], item.id] as const),
    ]),
  check({ edges: list }, { screens }, say) {
    list.forEach(({ screen }, i) => {
      if (!screens.has(screen)) say(['edges', i, 'screen'], `names a screen that is not there: "${screen}"`);
    });
  },
  parts: (list) => list,
  forget(desk, gone) {
    desk.edges = without(desk.edges, ({ id, screen }) => gone.has(id) || gone.has(screen));
    for (const edge of desk.edges) edge.items = without(edge.items, ({ id }) => gone.has(id));
  },
});
