import type { Tide } from '../../sources/tide/tide.ts';
import type { Units } from '../../sources/units.ts';
import { editOf } from './edit.ts';

/** Changes of what readings are shown in and worked out from. */
export const sourceEdits = {
  setUnits: (change: Partial<Units>) =>
    editOf('Units', (desk) => void Object.assign(desk.sources.units, change)),

  setTide: (change: Partial<Tide>) => editOf('Tide', (desk) => void Object.assign(desk.sources.tide, change)),
};
