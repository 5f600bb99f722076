import { bringUpToDate, standAs } from '../standing.ts';
import type { Desk } from '../desk.ts';
import type { Arrangement } from '../shapes/arrangements.ts';
import { byId, editOf } from './edit.ts';

/** Arrangements: named sets of what stands where. */
export const arrangementEdits = {
  /** Keeps how the desk stands as an arrangement of its own, which is on from now on. */
  keepArrangement: (arrangement: Arrangement) =>
    editOf(`Keep the arrangement ${arrangement.name}`, (desk) => {
      const { arrangements: all } = desk;
      const left = byId(all.list, all.standing ?? '');
      if (left) bringUpToDate(left as Arrangement, desk as Desk);
      const made = { ...arrangement };
      bringUpToDate(made, desk as Desk);
      all.list.push(made);
      all.chosen = all.standing = arrangement.id;
    }),

  /** Lets the desk stand as an arrangement says, where none is on by itself. */
  chooseArrangement: (id: string) =>
    editOf('Arrangement', (desk) => {
      if (!byId(desk.arrangements.list, id)) return;
      desk.arrangements.chosen = id;
      standAs(desk, id);
    }),

  /** What an arrangement is called, when it is on by itself, and what is open in it. */
  setArrangement: (id: string, change: Partial<Pick<Arrangement, 'name' | 'holds' | 'windows'>>) =>
    editOf('Arrangement', (desk) => {
      const one = byId(desk.arrangements.list, id);
      if (one) Object.assign(one, change);
    }),

  /** Another place among those that hold: the first that does is on. */
  moveArrangement: (id: string, index: number) =>
    editOf('Order of arrangements', ({ arrangements: { list } }) => {
      const from = list.findIndex((one) => one.id === id);
      const [one] = from < 0 ? [] : list.splice(from, 1);
      if (one) list.splice(index, 0, one);
    }),

  /** Parts stay where they are. */
  removeArrangement: (id: string) =>
    editOf('Remove an arrangement', ({ arrangements: all }) => {
      all.list = all.list.filter((one) => one.id !== id);
      if (all.chosen === id) all.chosen = all.list[0]?.id ?? null;
      if (all.standing === id) all.standing = null;
    }),
};
