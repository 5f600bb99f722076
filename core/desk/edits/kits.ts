import type { Kit } from '../kits/kit.ts';
import { kitKindOf } from '../kits/kit.ts';
import type { Desk } from '../desk.ts';
import { editOf } from './edit.ts';

/** Wearing the dress of others. */
export const kitEdits = {
  /** Puts on what a kit has of some kinds, and remembers it. */
  wearKit: ({ id, name, version, desk: from }: Kit, kinds: readonly string[]) =>
    editOf(`Wear ${name}`, (desk) => {
      const worn = kinds.filter((key) => kitKindOf(key));
      if (worn.length === 0) return;
      for (const key of worn) kitKindOf(key)?.wear(desk, from as Desk);
      desk.wears = { kit: id, name, version, kinds: worn };
    }),
};
