import {
  plainAdjust,
  type Adjust,
  type Backdrop,
  type Rotation,
  type Source,
} from '../../backdrop/schema.ts';
import { byId, editOf } from './edit.ts';

/** Changes of what lies behind everything. Null as an id means the backdrop that lies everywhere. */
export const backdropEdits = {
  setBackdrop: (id: string | null, change: Partial<Omit<Backdrop, 'id'>>) =>
    editOf('Backdrop', (desk) => {
      const backdrop = id === null ? desk.backdrops[0] : byId(desk.backdrops, id);
      if (backdrop) Object.assign(backdrop, change);
    }),

  setSource: (id: string | null, source: Source) => backdropEdits.setBackdrop(id, { source }),

  setAdjust: (id: string, change: Partial<Adjust>) =>
    editOf('Adjust', (desk) => {
      const backdrop = byId(desk.backdrops, id);
      if (backdrop) Object.assign(backdrop.adjust, change);
    }),

  resetAdjust: (id: string) =>
    editOf('Take off all adjustments', (desk) => {
      const backdrop = byId(desk.backdrops, id);
      if (backdrop) backdrop.adjust = plainAdjust;
    }),

  addEntry: (id: string, entry: Rotation['entries'][number]) =>
    editOf('Add to the rotation', (desk) => {
      const source = byId(desk.backdrops, id)?.source;
      if (source?.kind === 'rotation') source.entries.push(entry);
    }),

  addBackdrop: (backdrop: Backdrop) => editOf('Add backdrop', (desk) => void desk.backdrops.push(backdrop)),
};
