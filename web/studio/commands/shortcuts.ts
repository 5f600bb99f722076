import { Shortcut } from '../../../core/menus/keys.ts';

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
  if (!(ctrlKey || metaKey || altKey)) return null;
  // With Alt a key may give another sign: the key itself is meant.
  const plain = /^Key[A-Z]$/.test(code) ? code.slice(3) : /^Digit\d$/.test(code) ? code.slice(5) : named(key);
  const keys = [
    ...(ctrlKey || metaKey ? ['Ctrl'] : []),
    ...(altKey ? ['Alt'] : []),
    ...(shiftKey ? ['Shift'] : []),
    plain,
  ].join('+');
  return Shortcut.safeParse(keys).success && !isForText(keys) ? keys : null;
}

const named = (key: string) => (key === ' ' ? 'Space' : key);

/** What edits the text in a field. */
function isForText(keys: string): boolean {
  return /^Ctrl\+(Shift\+)?([ACVXZY]|Arrow(Left|Right))$/.test(keys);
}

/** Says that keys do something in the studio already; null where they are free. */
export function takenSentence(keys: string): string | null {
  const command = taken.find((one) => one.keys?.includes(keys));
  return keys !== '' && command
    ? `Not taken: ${keys} is “${command.title}” while the desk is tried. Choose other keys.`
    : null;
}
