import type { DeskAct } from '../../menus/acts.ts';
import type { DeskKey } from '../../menus/keys.ts';
import { editOf } from './edit.ts';

/** Changes of what is done by which keys while a desk is in use. */
export const keyEdits = {
  setKeys: (keys: readonly DeskKey[]) =>
    editOf('Shortcuts', (desk) => void (desk.keys = structuredClone([...keys]))),

  /** The keys that do one thing; none of its own where they are empty. */
  setKeysFor: (act: DeskAct, shortcut: string) =>
    editOf('Shortcut', (desk) => {
      const known = desk.keys.find((one) => one.act === act);
      if (known) known.shortcut = shortcut;
      else desk.keys.push({ act, shortcut });
    }),
};
