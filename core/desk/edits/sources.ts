import type { Tide } from '../../sources/tide/tide.ts';
import type { Sound } from '../../sources/sound/schema.ts';
import type { Units } from '../../sources/units.ts';
import type { Outside } from '../../sources/outside.ts';
import { prune } from '../../values/references.ts';
import { sections } from '../sections/list.ts';
import { byId, editOf } from './edit.ts';

/** What those of a list are referred to as. */
const namedAs = { calendars: 'calendar', headlines: 'headlines' } as const;

/** Changes of what readings are shown in and worked out from. */
export const sourceEdits = {
  setUnits: (change: Partial<Units>) =>
    editOf('Units', (desk) => void Object.assign(desk.sources.units, change)),

  setOutside: (change: Partial<Outside>) =>
    editOf('Sources', (desk) => void Object.assign(desk.sources.outside, structuredClone(change))),

  /** Takes one away, and its name out of whatever shows it alone. */
  removeOutside: (list: keyof typeof namedAs, id: string) =>
    editOf('Sources', (desk) => {
      const { outside } = desk.sources;
      if (list === 'calendars') outside.calendars = outside.calendars.filter((one) => one.id !== id);
      else outside.headlines = outside.headlines.filter((one) => one.id !== id);
      for (const { key, schema } of sections) prune(schema, desk[key], namedAs[list], new Set([id]));
    }),

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
