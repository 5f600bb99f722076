import { z } from 'zod';
import { content } from '../../values/dress.ts';
import { Edge } from '../shapes/edges.ts';
import { defineSection, without } from './section.ts';

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
