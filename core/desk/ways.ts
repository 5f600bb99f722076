import { menuOpenedBy } from '../menus/openers.ts';
import { keysFor } from '../menus/keys.ts';
import { actThatOpens, menuKinds } from '../menus/schema.ts';
import { createItem, createPanel } from './defaults.ts';
import type { Desk } from './desk.ts';
import type { Edge } from './shapes/edges.ts';

const isOpener = (act: string) => menuOpenedBy(act) !== null;

/**
 * Whether anything on a desk starts an application: one on an edge, a button for a menu, keys for one, or a line of the
 * desk menu, or an icon on the bare desk.
 */
export function hasWayToStart({
  edges,
  menus,
  keys,
  desktopIcons: icons,
  applications,
}: Pick<Desk, 'edges' | 'menus' | 'keys' | 'desktopIcons' | 'applications'>): boolean {
  return (
    menuKinds.some(
      (kind) =>
        kind.starts(menus[kind.key]) &&
        (kind.opensBy !== undefined || keysFor(keys, actThatOpens(kind)) !== ''),
    ) ||
    (icons.shown === 'all' && applications.length > 0) ||
    (icons.shown === 'some' && icons.applications.length > 0) ||
    edges.some(({ items }) =>
      items.some(
        ({ type, presses }) =>
          type === 'application' ||
          isOpener(type) ||
          [presses.left, presses.middle, presses.right].some(isOpener),
      ),
    )
  );
}

/** The edges of a desk with a way to start applications: a button at the start of the first one, or a strip for it. */
export function edgesWithWay(desk: Desk, screen: string, newId: () => string): Edge[] {
  const button = createItem(newId(), 'app-list');
  const here = desk.edges.find((edge) => edge.screen === screen);
  if (!here) return [...desk.edges, createPanel(newId(), screen, 'top', [button])];
  return desk.edges.map((edge) => (edge === here ? { ...edge, items: [button, ...edge.items] } : edge));
}
