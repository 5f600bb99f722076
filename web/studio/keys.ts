import { useEffect } from 'react';
import { useView } from '../stores/view.ts';
import { endNudge } from './acts.ts';
import { commands } from './commands.ts';
import { matchesKeys } from './key-match.ts';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Controls that use the arrows, Enter or Escape themselves. */
function ownsKey(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (
    target.closest(
      '[role="dialog"], [role="menu"], [role="listbox"], [aria-roledescription="sortable"][aria-pressed="true"]',
    )
  )
    return true;
  return (
    key.startsWith('Arrow') &&
    target.closest(
      '[role="slider"], [role="group"], [role="radiogroup"], [role="combobox"], [role="tablist"]',
    ) !== null
  );
}

/** Runs commands by their keys for as long as the studio is shown. */
export function useKeys(): void {
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (event.defaultPrevented) return;
      const withControl = event.ctrlKey || event.metaKey;
      if (isTyping(event.target) && !(withControl && event.key.toLowerCase() === 'k')) return;
      if (useView.getState().sheet !== null || ownsKey(event.target, event.key)) return;
      const command = commands.find(
        ({ keys, isAvailable }) =>
          keys?.some((combination) => matchesKeys(event, combination)) && (isAvailable?.() ?? true),
      );
      if (!command) return;
      event.preventDefault();
      command.run();
    }
    function onKeyUp(event: KeyboardEvent) {
      if (event.key.startsWith('Arrow')) endNudge();
    }
    document.addEventListener('keydown', onKeyDown);
    document.addEventListener('keyup', onKeyUp);
    return () => {
      document.removeEventListener('keydown', onKeyDown);
      document.removeEventListener('keyup', onKeyUp);
      endNudge();
    };
  }, []);
}
