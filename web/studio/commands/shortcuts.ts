import { deskActTitles } from '../../../core/menus/acts.ts';
import { Shortcut, type DeskKey } from '../../../core/menus/keys.ts';

/** What is done by keys in the studio: commands.ts says so, which knows all chapters and their forms. */
let taken: readonly { title: string; keys?: readonly string[] }[] = [];

export function knowTaken(commands: typeof taken): void {
  taken = commands;
}

/** The keys of a press as a shortcut is written; null where they are none, or ones that text fields need. */
export function keysOf({
  key,
  code,
  ctrlKey,
  metaKey,
  altKey,
  shiftKey,
}: Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>): string | null {
  if (!(ctrlKey || altKey) || metaKey) return null;
  const keys = written({ key, code, ctrlKey, altKey, shiftKey });
  return Shortcut.safeParse(keys).success && !isForText(keys) ? keys : null;
}

function written({
  key,
  code,
  ctrlKey,
  altKey,
  shiftKey,
}: Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'altKey' | 'shiftKey'>): string {
  // With Alt a key may give another sign: the key itself is meant.
  const plain = /^Key[A-Z]$/.test(code) ? code.slice(3) : /^Digit\d$/.test(code) ? code.slice(5) : named(key);
  return [
    ...(ctrlKey ? ['Ctrl'] : []),
    ...(altKey ? ['Alt'] : []),
    ...(shiftKey ? ['Shift'] : []),
    plain,
  ].join('+');
}

const named = (key: string) => (key === ' ' ? 'Space' : key);

/** What edits the text in a field. */
function isForText(keys: string): boolean {
  return /^Ctrl\+(Shift\+)?([ACVXZY]|Arrow(Left|Right))$/.test(keys);
}

const lone = new Set(['Control', 'Shift', 'Alt', 'AltGraph', 'Meta', 'OS', 'Dead', 'Unidentified']);

/** Why a press with Ctrl, Alt or the logo key can't be a shortcut; null where it can, or is for the text in a field. */
export function refusedSentence(event: Parameters<typeof keysOf>[0]): string | null {
  const { key, ctrlKey, metaKey, altKey } = event;
  if (!(ctrlKey || metaKey || altKey) || lone.has(key)) return null;
  if (metaKey) return 'Not taken: keys with the logo key are the system’s own. Hold Ctrl or Alt instead.';
  if (keysOf(event) || isForText(written(event))) return null;
  const told =
    key === 'Tab' || key === 'Escape'
      ? `${key} is the browser’s or the system’s own`
      : `${named(key)} can’t be one`;
  return `Not taken: ${told}. Choose a letter, a figure, Space, Enter, an arrow, or F1 to F12.`;
}

/** Says that keys do something in the studio, or on the desk, already; null where they are free. */
export function takenSentence(keys: string, onDesk: readonly DeskKey[] = []): string | null {
  const other = onDesk.find(({ shortcut }) => keys !== '' && shortcut === keys);
  if (other) return `Not taken: ${keys} is “${deskActTitles[other.act]}” already. Choose other keys.`;
  const command = taken.find((one) => one.keys?.includes(keys));
  return keys !== '' && command
    ? `Not taken: ${keys} is “${command.title}” while the desk is tried. Choose other keys.`
    : null;
}
