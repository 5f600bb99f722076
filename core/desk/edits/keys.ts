import type { DeskAct } from '../../menus/acts.ts';
import type { DeskKey } from '../../menus/keys.ts';
import { editOf } from './edit.ts';

/** Changes of what is done by which keys while a desk is in use. */
export const keyEdits = {
  setKeys: (keys: readonly DeskKey[]) =>
    editOf('Shortcuts', (desk) => void (desk.keys = structuredClone([...keys]))),

  /** The keys that do one thing, in place of those that did it (see keysFor); empty for none at all. */
  setKeysFor: (act: DeskAct, shortcut: string) =>
    editOf('Shortcut', (desk) => {
      const own = desk.keys.filter((one) => one.act === act);
      const known = own.find((one) => one.shortcut !== '') ?? own[0];
      if (shortcut === '') for (const one of own) one.shortcut = '';
      else if (known) known.shortcut = shortcut;
      else desk.keys.push({ act, shortcut });
    }),
};
