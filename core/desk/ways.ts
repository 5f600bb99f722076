import { createItem, createPanel } from './defaults.ts';
import type { Desk } from './desk.ts';
import type { Edge } from './sections/edges.ts';

/** Whether anything on a desk starts an application: an application on an edge, its list, or a button that opens that. */
export function hasWayToStart({ edges }: Pick<Desk, 'edges'>): boolean {
  return edges.some(({ items }) =>
    items.some(
      ({ type, presses }) =>
        type === 'app-list' ||
        type === 'application' ||
        [presses.left, presses.middle, presses.right].includes('app-list'),
    ),
  );
}

/** The edges of a desk with a way to start applications: a button at the start of the first one, or a strip for it. */
export function edgesWithWay(desk: Desk, screen: string, newId: () => string): Edge[] {
  const button = createItem(newId(), 'app-list');
  const here = desk.edges.find((edge) => edge.screen === screen);
  if (!here) return [...desk.edges, createPanel(newId(), screen, 'top', [button])];
  return desk.edges.map((edge) => (edge === here ? { ...edge, items: [button, ...edge.items] } : edge));
}
