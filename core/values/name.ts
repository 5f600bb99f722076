import { z } from 'zod';

export const MOST_NAME = 120;

/** What a person calls something. */
export const Name = z
  .string()
  .trim()
  .min(1, { message: 'is no name: write at least one letter' })
  .max(MOST_NAME, { message: `is too long: a name has up to ${MOST_NAME} letters` });

/** A name like the wanted one that is not among those taken, by a number at its end; it keeps to a name's length. */
export function nameBeside(wanted: string, taken: ReadonlySet<string>): string {
  const stem = wanted.replace(/ \d+$/, '');
  let name = wanted;
  for (let number = 2; taken.has(name); number++) {
    const ending = ` ${number}`;
    // By whole characters: half of one would be no text.
    let kept = [...stem];
    while (kept.join('').length > MOST_NAME - ending.length) kept = kept.slice(0, -1);
    name = kept.join('').trimEnd() + ending;
  }
  return name;
}
