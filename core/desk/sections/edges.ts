import { z } from 'zod';
import { itemKindOf, type ItemType } from '../../items/list.ts';
import { content, dressedIn, dressOf } from '../../values/dress.ts';
import { modelsFor } from '../edits/models.ts';
import { Edge, ItemSchema } from '../shapes/edges.ts';
import { defineSection, without } from './section.ts';

export const edges = defineSection({
  key: 'edges',
  title: 'Panels and docks',
  schema: content(z.array(Edge).max(40)),
  kits: [
    {
      key: 'edges',
      title: 'Edges’ style',
      told: ({ edges: list }) => (list.length === 1 ? '1 edge' : `${list.length} edges`),
      wear(desk, from) {
        for (const edge of desk.edges) {
          const model = modelOf(edge, desk.edges, from.edges);
          if (model) Object.assign(edge, dressedIn(Edge, edge, wornBy(edge, model)));
        }
        const itemsOf = (list: readonly Edge[]) => list.flatMap(({ items }) => items);
        const items = itemsOf(desk.edges);
        const models = modelsFor(items, itemsOf(from.edges), isApart);
        items.forEach((item, index) => {
          const model = models[index];
          if (!model) return;
          // What is around an item and how large it is there is its place.
          const { face, options } = dressOf(ItemSchema, model.of) as Record<string, unknown>;
          Object.assign(item, dressedIn(ItemSchema, item, model.takesFace ? { face, options } : { options }));
        });
      },
    },
  ],
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

/** After which of some others an edge is dressed: one of its kind, at the same side if there is one. */
function modelOf(edge: Edge, edges: readonly Edge[], others: readonly Edge[]): Edge | null {
  const alike = others.filter(({ kind }) => kind === edge.kind);
  const atSide = alike.find(({ side }) => side === edge.side);
  const count = edges.filter(({ kind }) => kind === edge.kind).indexOf(edge);
  return atSide ?? alike[Math.min(count, alike.length - 1)] ?? null;
}

/**
 * What an edge takes on of another: not how thick it is and how far off its side, on which all else depends that stands in
 * the free area; its icons are as large in it as in the other.
 */
function wornBy(edge: Edge, model: Edge): Record<string, unknown> {
  const { thickness: _, margin: _margin, ...worn } = dressOf(Edge, model) as Record<string, unknown>;
  return { ...worn, iconSize: Math.max(8, Math.round((model.iconSize / model.thickness) * edge.thickness)) };
}

/** Whether an item shows something else than others of its kind do. */
function isApart({ type, face }: { type: string; face: string }): boolean {
  return itemKindOf(type as ItemType).faces.find(({ id }) => id === face)?.isApart === true;
}
