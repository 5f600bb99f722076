import { useEffect } from 'react';
import { useView } from '../../stores/view.ts';
import { endNudge } from '../parts/acts.ts';
import { commands } from './commands.ts';
import { matchesKeys } from '../../session/keys/key-match.ts';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** A field of a form in which nothing was typed yet has nothing to take back: the desk's steps are meant. */
function isUntyped(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('[data-untyped]');
}

const ofSteps: ReadonlySet<string> = new Set(['undo', 'redo']);

/** Controls that use the arrows, Enter or Escape themselves. */
function ownsKey(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest('[role="dialog"], [role="menu"], [role="listbox"]:not([data-row])')) return true;
  // A row of looks has presses of its own, and leaves the rest to the studio.
  if (target.closest('[data-row]')) return key === 'Enter' || key === ' ' || key === 'Escape';
  return (
    key.startsWith('Arrow') &&
    target.closest(
      '[role="slider"], [role="group"], [role="radiogroup"], [role="combobox"], [role="tablist"]',
    ) !== null
  );
}

/** What is typed while the search is still on its way belongs to it. */
function isForSearch(event: KeyboardEvent): boolean {
  const { sheet, query } = useView.getState();
  if (sheet !== 'commands' || event.ctrlKey || event.metaKey || event.altKey) return false;
  if (event.key === 'Backspace') useView.setState({ query: query.slice(0, -1) });
  else if (event.key === 'Enter') useView.setState({ isEntered: true });
  else if (event.key.length === 1) useView.setState({ query: query + event.key });
  else return false;
  event.preventDefault();
  return true;
}

/** Runs commands by their keys for as long as the studio is shown. */
export function useKeys(): void {
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (event.defaultPrevented) return;
      const withControl = event.ctrlKey || event.metaKey;
      const isAnywhere = event.key === 'F6' || (withControl && event.key.toLowerCase() === 'k');
      const isInField = isTyping(event.target) && !isAnywhere;
      if (isInField && !isUntyped(event.target)) return;
      if (isForSearch(event)) return;
      if (useView.getState().sheet !== null || ownsKey(event.target, event.key)) return;
      const command = commands.find(
        ({ keys, isAvailable }) =>
          keys?.some((combination) => matchesKeys(event, combination)) && (isAvailable?.() ?? true),
      );
      if (!command || (isInField && !ofSteps.has(command.id))) return;
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
