import type { Draft } from 'immer';
import type { Rect } from '../../values/geometry.ts';
import type { Hanging, Place } from '../../values/place.ts';
import type { DeskDraft } from '../desk.ts';
import { freePlace, placeAt, type Whereabouts } from '../whereabouts.ts';
import { widgetsInCircles, type Widget } from '../shapes/widgets.ts';
import { copyGroups } from './copies.ts';
import { byId, editOf } from './edit.ts';

/** Lets widgets stand at rectangles; each keeps what it hangs from. Locked ones stay. */
export function standAt(desk: DeskDraft, rects: ReadonlyMap<string, Rect>, whereabouts: Whereabouts): void {
  // A neighbour may be among what moves: offsets are measured to where it will be.
  const after: Whereabouts = { ...whereabouts, rects: new Map([...whereabouts.rects, ...rects]) };
  for (const [id, rect] of rects) {
    const widget = byId(desk.widgets, id);
    if (!widget || widget.locked) continue;
    // What it hangs from stays; only the offsets are written.
    const { hangs, x, y } = placeAt(widget.place.hangs, rect, after);
    if (hangs === widget.place.hangs) Object.assign(widget.place, { x, y });
    else widget.place = { hangs, x, y };
  }
}

/** Changes of widgets. */
export const widgetEdits = {
  addWidget: (widget: Widget) => editOf('Add widget', (desk) => void desk.widgets.push(widget)),

  setWidgets: (ids: readonly string[], change: Partial<Omit<Widget, 'id' | 'type' | 'options'>>) =>
    editOf('Widget', (desk) => {
      for (const id of ids) {
        const widget = byId(desk.widgets, id);
        if (widget) Object.assign(widget, change);
      }
    }),

  setWidgetOptions: (id: string, options: Record<string, unknown>) =>
    editOf('Option', (desk) => {
      const widget = byId(desk.widgets, id);
      if (widget) Object.assign(widget.options, options);
    }),

  /** Puts widgets at solved rectangles; each keeps what it hangs from. Locked ones stay. */
  moveWidgets: (rects: ReadonlyMap<string, Rect>, whereabouts: Whereabouts) =>
    editOf('Move', (desk) => standAt(desk, rects, whereabouts)),

  /** Takes widgets to another screen, to rectangles on it; what hangs from them, or from one another, goes along. */
  moveToScreen: (rects: ReadonlyMap<string, Rect>, whereabouts: Whereabouts) =>
    editOf('To another screen', (desk) => {
      for (const [id, rect] of rects) {
        const widget = byId(desk.widgets, id);
        const hangs = widget?.place.hangs;
        if (!widget || widget.locked || (hangs?.from === 'part' && rects.has(hangs.part))) continue;
        widget.place = freePlace(rect, whereabouts);
      }
    }),

  /** Hangs a widget from something else; it stays where it stands. */
  /** Puts a widget where a place says. */
  placeWidget: (id: string, place: Place) =>
    editOf('Place', (desk) => {
      const widget = byId(desk.widgets, id);
      if (widget) widget.place = structuredClone(place);
    }),

  hangWidget: (id: string, hangs: Hanging, whereabouts: Whereabouts) =>
    editOf('Hang', (desk) => {
      const widget = byId(desk.widgets, id);
      const rect = whereabouts.rects.get(id);
      if (!widget || !rect) return;
      const before = widget.place;
      // Exact: what changes is what it hangs from, not where it stands.
      widget.place = placeAt(hangs, rect, whereabouts, 0.01);
      if (widgetsInCircles(desk.widgets).has(id)) widget.place = before;
    }),

  /** Copies stand a step away from what they copy; a copy of something hanging from a copied part hangs from the copy. */
  duplicateWidgets: (copies: ReadonlyMap<string, string>, newId: () => string, step = 24) =>
    editOf('Duplicate', (desk) => {
      for (const original of desk.widgets.filter((widget) => copies.has(widget.id))) {
        const copy = structuredClone(plain(original)) as Draft<Widget>;
        copy.id = copies.get(original.id) ?? copy.id;
        copy.locked = false;
        const { hangs } = copy.place;
        if (hangs.from === 'part' && copies.has(hangs.part)) {
          hangs.part = copies.get(hangs.part) ?? hangs.part;
        } else {
          copy.place.x += step;
          copy.place.y += step;
        }
        desk.widgets.push(copy);
      }
      copyGroups(desk, desk.groups, copies, newId);
    }),

  /** Moves widgets in the order of what stands above what: one step, or all the way. */
  orderWidgets: (ids: readonly string[], to: 'front' | 'forward' | 'back' | 'behind') =>
    editOf('Order', (desk) => {
      const chosen = new Set(ids);
      const isChosen = (widget: Widget) => chosen.has(widget.id);
      if (to === 'front' || to === 'back') {
        const moved = desk.widgets.filter(isChosen);
        const rest = desk.widgets.filter((widget) => !isChosen(widget));
        desk.widgets = to === 'front' ? [...rest, ...moved] : [...moved, ...rest];
        return;
      }
      stepOver(desk.widgets, isChosen, to === 'forward' ? 1 : -1);
    }),
};

/** Moves what is chosen over its next neighbour that is not. */
function stepOver<T>(list: T[], isChosen: (one: T) => boolean, by: 1 | -1): void {
  const order = list.map((_, index) => (by === 1 ? list.length - 1 - index : index));
  for (const index of order) {
    const [mine, theirs] = [list[index], list[index + by]];
    if (mine && theirs && isChosen(mine) && !isChosen(theirs)) {
      list[index] = theirs;
      list[index + by] = mine;
    }
  }
}

function plain<T>(draft: T): T {
  return JSON.parse(JSON.stringify(draft)) as T;
}
