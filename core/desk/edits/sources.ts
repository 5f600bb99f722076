import type { Tide } from '../../sources/tide/tide.ts';
import type { Sound } from '../../sources/sound/schema.ts';
import type { Units } from '../../sources/units.ts';
import type { Outside } from '../../sources/outside.ts';
import { byId, editOf } from './edit.ts';

/** Changes of what readings are shown in and worked out from. */
export const sourceEdits = {
  setUnits: (change: Partial<Units>) =>
    editOf('Units', (desk) => void Object.assign(desk.sources.units, change)),

  setOutside: (change: Partial<Outside>) =>
    editOf('Sources', (desk) => void Object.assign(desk.sources.outside, structuredClone(change))),

  /** Puts another text in the place of a calendar's that stands in the desk: a task in it was ticked, say. */
  setCalendarText: (id: string, text: string) =>
    editOf('Calendar', (desk) => {
      const calendar = byId(desk.sources.outside.calendars, id);
      if (calendar?.from.by === 'file') calendar.from.text = text;
    }),

  setSound: (change: Partial<Sound>) =>
    editOf('Sound', (desk) => void Object.assign(desk.sources.sound, structuredClone(change))),

  setTide: (change: Partial<Tide>) => editOf('Tide', (desk) => void Object.assign(desk.sources.tide, change)),
};
