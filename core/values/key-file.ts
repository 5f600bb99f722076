/** Files of groups, keys and values, as the freedesktop specifications have them (Desktop Entry Specification 1.5, section 3). */

const MOST_LINES = 5000;

/** Groups of keys and values, each with its line. */
export type Groups = Map<string, Map<string, { value: string; line: number }>>;

/** Hears what is wrong, and in which line, from 1; 0 is the file as a whole. */
type Say = (line: number, sentence: string) => void;

/** The text of a file: UTF-8 as it should be, UTF-16 where it says so, or else the letters of western Europe. */
export function decodeText(bytes: Uint8Array, say: Say): string {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    say(0, 'is not UTF-8: read as Windows-1252');
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What a key file says, as far as it can be read; `say` hears of lines that can't. */
export function readGroups(text: string, say: Say): Groups {
  const groups: Groups = new Map();
  let group: Map<string, { value: string; line: number }> | null = null;
  const lines = text.split(/\r\n|\n|\r/, MOST_LINES);
  lines.forEach((raw, index) => {
    const line = index + 1;
    if (/^\s*(#|$)/.test(raw)) return;
    const header = /^\[([^[\]\p{Cc}]+)\]\s*$/u.exec(raw)?.[1];
    if (header !== undefined) {
      if (groups.has(header)) say(line, `has the group [${header}] a second time`);
      group = groups.get(header) ?? new Map();
      groups.set(header, group);
      return;
    }
    // Whatever the value is made of: there are signs that part lines for others than this format.
    const pair = /^([A-Za-z0-9-]+(?:\[[^\]]{1,60}\])?)\s*=\s*(.*)$/s.exec(raw);
    if (!pair || group === null) {
      say(line, group === null ? 'has something before its first group' : 'has a line that is no key=value');
      return;
    }
    const [, key = '', value = ''] = pair;
    if (group.has(key)) say(line, `says ${key} a second time`);
    else group.set(key, { value, line });
  });
  return groups;
}
