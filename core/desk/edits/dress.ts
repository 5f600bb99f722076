import { dressedIn, dressOf } from '../../values/dress.ts';
import { Edge, ItemSchema, type Item } from '../shapes/edges.ts';
import { WidgetSchema, type Widget } from '../shapes/widgets.ts';
import { editOf } from './edit.ts';

/** How a part or an item looks: those of its fields that are dress, fields within fields too. */
export type Dress = Readonly<Record<string, unknown>>;

export const dressOfWidget = (widget: Widget) => dressOf(WidgetSchema, widget) as Dress;
export const dressOfEdge = (edge: Edge) => dressOf(Edge, edge) as Dress;
export const dressOfItem = (item: Item) => dressOf(ItemSchema, item) as Dress;

export const dressEdits = {
  /** Lets widgets, edges and items look so, as far as each can: what they show and where they stand stays. */
  dress: (ids: readonly string[], worn: Dress) =>
    editOf('Dress', (desk) => {
      const chosen = new Set(ids);
      for (const widget of desk.widgets)
        if (chosen.has(widget.id)) Object.assign(widget, dressedIn(WidgetSchema, widget, worn));
      for (const edge of desk.edges) {
        if (chosen.has(edge.id)) Object.assign(edge, dressedIn(Edge, edge, worn));
        for (const item of edge.items)
          if (chosen.has(item.id)) Object.assign(item, dressedIn(ItemSchema, item, worn));
      }
    }),
};
