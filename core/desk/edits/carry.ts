import type { CarriedParts } from '../parts-text.ts';
import type { Hanging } from '../../values/place.ts';
import { byId, editOf } from './edit.ts';
import { copyGroups } from './copies.ts';

export interface Landing {
  screen: string;
  /** The edge that items without one go to; null leaves them. */
  edge: string | null;
  /** Px by which widgets stand off from where they stood. */
  off: number;
  newId(): string;
}

/** Changes that bring parts from elsewhere. */
export const carryEdits = {
  /** Puts carried parts on a screen, under ids of their own; gives `landed` the ids that they have there. */
  paste: ({ edges, widgets, items, groups = [] }: CarriedParts, landing: Landing, landed: string[] = []) =>
    editOf('Paste', (desk) => {
      landed.length = 0;
      const ids = new Map([...edges, ...widgets, ...items].map(({ id }) => [id, landing.newId()]));
      const idOf = (id: string) => ids.get(id) ?? landing.newId();
      for (const edge of edges) {
        const own = edge.items.map((item) => ({ ...item, id: landing.newId() }));
        desk.edges.push({ ...edge, id: idOf(edge.id), screen: landing.screen, items: own });
      }
      for (const widget of widgets) {
        const { hangs, x, y } = widget.place;
        const isFree = hangs.from !== 'part';
        const off = isFree ? landing.off : 0;
        desk.widgets.push({
          ...widget,
          id: idOf(widget.id),
          locked: false,
          // Another desk has workspaces of its own.
          workspaces: widget.workspaces.filter((on) => byId(desk.workspaces, on)),
          place: { ...widget.place, hangs: hangingOn(hangs, landing.screen, ids), x: x + off, y: y + off },
        });
      }
      copyGroups(desk, groups, ids, landing.newId);
      const edge = landing.edge === null ? undefined : byId(desk.edges, landing.edge);
      if (edge) edge.items.push(...items.map((item) => ({ ...item, id: idOf(item.id) })));
      const gone = edge ? [] : items;
      landed.push(...[...ids].filter(([id]) => !gone.some((item) => item.id === id)).map(([, id]) => id));
    }),
};

function hangingOn(hangs: Hanging, screen: string, ids: ReadonlyMap<string, string>): Hanging {
  if (hangs.from !== 'part') return { ...hangs, screen };
  const part = ids.get(hangs.part);
  return part ? { ...hangs, part } : { from: 'free', screen, point: 'centre' };
}
