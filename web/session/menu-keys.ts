import { menuKeys } from '../../core/menus/schema.ts';
import { matchesKeys } from './key-match.ts';
import { deskActions } from './actions.ts';
import { presentDesk } from './desk.ts';

/** Opens menus by their keys while a desk is in use; gives back what stops it. */
export function hearMenuKeys(): () => void {
  function onKeyDown(event: KeyboardEvent): void {
    const menus = presentDesk()?.menus;
    const menu =
      menus && menuKeys.find((key) => menus[key].shortcut && matchesKeys(event, menus[key].shortcut));
    if (!menu) return;
    event.preventDefault();
    event.stopPropagation();
    deskActions.turnMenu(menu);
  }
  addEventListener('keydown', onKeyDown, { capture: true });
  return () => removeEventListener('keydown', onKeyDown, { capture: true });
}
