import { bottom, boundsOf, clamp, right, type Rect } from '../../values/geometry.ts';
import type { Whereabouts } from '../whereabouts.ts';
import { byId, editOf } from './edit.ts';
import { standAt } from './widgets.ts';

/** Of a widget's scale. */
const [LEAST, MOST] = [0.1, 10];

/** Changes of groups of widgets. */
export const groupEdits = {
  /** Makes some widgets one group; each leaves the group that it was in. */
  group: (ids: readonly string[], id: string, name: string) =>
    editOf('Group', (desk) => {
      const members = ids.filter((one) => byId(desk.widgets, one));
      if (members.length < 2) return;
      for (const group of desk.groups) group.widgets = group.widgets.filter((one) => !members.includes(one));
      desk.groups = desk.groups.filter(({ widgets }) => widgets.length > 1);
      desk.groups.push({ id, name, widgets: [...new Set(members)] });
    }),

  ungroup: (id: string) =>
    editOf('Ungroup', (desk) => {
      desk.groups = desk.groups.filter((group) => group.id !== id);
    }),

  nameGroup: (id: string, name: string) =>
    editOf('Name of the group', (desk) => {
      const group = byId(desk.groups, id);
      if (group) group.name = name;
    }),

  /**
   * Scales widgets as one, with the room between them; `rects` are theirs as they stand. The corner away from where
   * `from` points (-1 or 1 each way) stays where it is.
   */
  scaleTogether: (
    factor: number,
    rects: ReadonlyMap<string, Rect>,
    from: { x: number; y: number },
    whereabouts: Whereabouts,
  ) =>
    editOf('Scale together', (desk) => {
      const around = boundsOf([...rects.values()]);
      if (!around) return;
      const fixed = { x: from.x > 0 ? around.x : right(around), y: from.y > 0 ? around.y : bottom(around) };
      const scaled = new Map(
        [...rects].map(([id, { x, y, width, height }]) => [
          id,
          {
            x: fixed.x + (x - fixed.x) * factor,
            y: fixed.y + (y - fixed.y) * factor,
            width: width * factor,
            height: height * factor,
          },
        ]),
      );
      for (const id of scaled.keys()) {
        const widget = byId(desk.widgets, id);
        if (widget && !widget.locked) widget.scale = clamp(widget.scale * factor, LEAST, MOST);
      }
      standAt(desk, scaled, whereabouts);
    }),
};
