import type { ItemFrame } from '../../arrange/schema.ts';
import { itemKindOf } from '../../items/list.ts';
import type { Side } from '../../values/geometry.ts';
import type { Edge, Item } from '../shapes/edges.ts';
import { byId, editOf } from './edit.ts';

function setItemFrames(ids: readonly string[], change: Partial<Omit<ItemFrame, 'id'>>) {
  return editOf('Item', (desk) => {
    for (const { items } of desk.edges)
      for (const item of items) if (ids.includes(item.id)) Object.assign(item, change);
  });
}

/** A face that the item's kind has; otherwise nothing happens. */
function wearFace(item: Item, face: string): void {
  if (itemKindOf(item.type).faces.some(({ id }) => id === face)) item.face = face;
}

/** Changes of panels and docks, and of the items on them. */
export const edgeEdits = {
  addEdge: (edge: Edge) => editOf(`Add ${edge.kind}`, (desk) => void desk.edges.push(edge)),

  /** All edges, as they are to be. */
  setEdges: (edges: Edge[]) => editOf('A way to start applications', (desk) => void (desk.edges = edges)),

  setEdge: (id: string, change: Partial<Omit<Edge, 'id' | 'items'>>) =>
    editOf('Edge', (desk) => {
      const edge = byId(desk.edges, id);
      if (edge) Object.assign(edge, change);
    }),

  /** To a side of its screen, or of another one. */
  moveEdge: (id: string, side: Side, screen?: string) =>
    editOf('Move edge', (desk) => {
      const edge = byId(desk.edges, id);
      if (edge) Object.assign(edge, { side, screen: screen ?? edge.screen });
    }),

  addItem: (edge: string, item: Item, index: number) =>
    editOf('Add item', (desk) => void byId(desk.edges, edge)?.items.splice(index, 0, item)),

  setItem: (edge: string, id: string, options: Record<string, unknown>) =>
    editOf('Item', (desk) => {
      const item = byId(byId(desk.edges, edge)?.items ?? [], id);
      if (item) Object.assign(item.options, options);
    }),

  /** Options of several items, and their face. */
  setItems: (ids: readonly string[], options: Record<string, unknown>, face?: string) =>
    editOf('Items', (desk) => {
      for (const { items } of desk.edges)
        for (const item of items)
          if (ids.includes(item.id)) {
            Object.assign(item.options, structuredClone(options));
            if (face !== undefined) wearFace(item, face);
          }
    }),

  /** What items look like; only those whose kind has the face. */
  setItemFaces: (ids: readonly string[], face: string) =>
    editOf('Face', (desk) => {
      for (const { items } of desk.edges)
        for (const item of items) if (ids.includes(item.id)) wearFace(item, face);
    }),

  setItemFrame: (id: string, change: Partial<Omit<ItemFrame, 'id'>>) => setItemFrames([id], change),

  setItemFrames,

  /** To an index among the edges of its screen: the first owns the corners. */
  orderEdge: (id: string, index: number) =>
    editOf('Order of the edges', (desk) => {
      const edge = byId(desk.edges, id);
      if (!edge) return;
      const here = desk.edges.filter(({ screen, id: other }) => screen === edge.screen && other !== id);
      const next = here[index];
      desk.edges.splice(desk.edges.indexOf(edge), 1);
      desk.edges.splice(next ? desk.edges.indexOf(next) : desk.edges.length, 0, edge);
    }),

  /** Another kind of item in the place of one, with what both understand. */
  swapItem: (id: string, item: Item) =>
    editOf('Swap item', (desk) => {
      for (const { items } of desk.edges) {
        const at = items.findIndex((one) => one.id === id);
        if (at >= 0) items[at] = { ...item, id };
      }
    }),

  /** Moves an item to an index among the items of its edge or of another one. */
  moveItem: (id: string, toEdge: string, index: number) =>
    editOf('Reorder', (desk) => {
      const from = desk.edges.find((edge) => edge.items.some((item) => item.id === id));
      const to = byId(desk.edges, toEdge);
      const at = from?.items.findIndex((item) => item.id === id) ?? -1;
      if (!from || !to || at < 0 || (from === to && at === index)) return;
      const [item] = from.items.splice(at, 1);
      if (item) to.items.splice(index, 0, item);
    }),
};
