import { useEffect } from 'react';
import { useView } from '../stores/view.ts';
import { endNudge } from './acts.ts';
import { commands } from './commands.ts';

/** Whether a key press is the one written as `Ctrl+Shift+Z`, `?` or `Shift+ArrowUp`. */
export function matchesKeys(
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'>,
  keys: string,
): boolean {
  const parts = keys.split('+');
  const key = parts.at(-1) ?? '';
  const wants = new Set(parts.slice(0, -1));
  // A sign such as ? or ] needs Shift on some keyboards and not on others: the sign itself decides.
  const isSign = key.length === 1 && !/[a-z0-9]/i.test(key);
  const pressed = isSign ? signOf(event.key, wants.has('Shift')) : event.key.toLowerCase();
  return (
    pressed === key.toLowerCase() &&
    (event.ctrlKey || event.metaKey) === wants.has('Ctrl') &&
    event.altKey === wants.has('Alt') &&
    (isSign ? !wants.has('Shift') || event.shiftKey : event.shiftKey === wants.has('Shift'))
  );
}

function signOf(key: string, wantsShift: boolean): string {
  if (!wantsShift) return key;
  return { '{': '[', '}': ']' }[key] ?? key;
}

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
