import { clamp, type Rect } from '../../values/geometry.ts';
import { placeAt, type Ground } from '../ground.ts';
import { byId, editOf } from './edit.ts';

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
    ground: Ground,
  ) =>
    editOf('Scale together', (desk) => {
      const all = [...rects.values()];
      const left = Math.min(...all.map(({ x }) => x));
      const top = Math.min(...all.map(({ y }) => y));
      const fixed = {
        x: from.x > 0 ? left : Math.max(...all.map(({ x, width }) => x + width)),
        y: from.y > 0 ? top : Math.max(...all.map(({ y, height }) => y + height)),
      };
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
      const after: Ground = { ...ground, rects: new Map([...ground.rects, ...scaled]) };
      for (const [id, rect] of scaled) {
        const widget = byId(desk.widgets, id);
        if (!widget || widget.locked) continue;
        widget.scale = clamp(widget.scale * factor, LEAST, MOST);
        const { hangs, x, y } = placeAt(widget.place.hangs, rect, after);
        if (hangs === widget.place.hangs) Object.assign(widget.place, { x, y });
        else widget.place = { hangs, x, y };
      }
    }),
};
