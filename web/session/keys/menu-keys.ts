import { matchesKeys } from './key-match.ts';
import { useConditions } from '../conditions.ts';
import { deskActions, onWindows } from '../actions.ts';
import { presentDesk } from '../desk.ts';

/** Opens menus and works windows by their keys while a desk is in use; gives back what stops it. */
export function hearMenuKeys(): () => void {
  function onKeyDown(event: KeyboardEvent): void {
    if (isTypedAhead(event)) {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    if (isForHandled(event)) {
      event.preventDefault();
      event.stopPropagation();
      onWindows(({ handleKey }) => handleKey(event));
      return;
    }
    const key = presentDesk()?.keys.find(({ shortcut }) => shortcut && matchesKeys(event, shortcut));
    if (!key) return;
    event.preventDefault();
    event.stopPropagation();
    deskActions.perform(key.act);
  }
  addEventListener('keydown', onKeyDown, { capture: true });
  return () => removeEventListener('keydown', onKeyDown, { capture: true });
}

/** Keys by which a window is moved or sized, while one is. */
function isForHandled({ key, ctrlKey, altKey, metaKey }: KeyboardEvent): boolean {
  const { handled, windows } = useConditions.getState();
  if (!windows.some(({ id }) => id === handled?.window) || ctrlKey || altKey || metaKey) return false;
  return key === 'Enter' || key === 'Escape' || key.startsWith('Arrow');
}

/** What is typed while a menu is still on its way belongs to it. */
function isTypedAhead({ key, ctrlKey, altKey, metaKey }: KeyboardEvent): boolean {
  const { open } = useConditions.getState();
  if (!open || ctrlKey || altKey || metaKey || document.querySelector('[data-menu] [role="dialog"]'))
    return false;
  const typed = open.query ?? '';
  if (key.length === 1) deskActions.stepMenu({ query: typed + key });
  else if (key === 'Backspace') deskActions.stepMenu({ query: typed.slice(0, -1) });
  else return false;
  return true;
}
