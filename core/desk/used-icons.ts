import { signNames } from '../icons/names.ts';
import type { IconSetIndex } from '../icons/sets/index-file.ts';
import { finderOf } from '../icons/sets/find.ts';
import { wordsOfApplication } from '../icons/words-of-application.ts';
import { isOwn } from '../values/family.ts';
import type { Desk } from './desk.ts';

/** The names of a set's icons that a desk may show: for every sign, and for its applications. */
export function iconsUsed({ applications }: Pick<Desk, 'applications'>, index: IconSetIndex): string[] {
  const { nameFor } = finderOf(index);
  const wanted = [
    ...signNames.map((name) => nameFor(name)),
    ...applications.flatMap(({ Icon, Name, Keywords }) =>
      isOwn(Icon) ? [] : [nameFor(Icon, wordsOfApplication({ Name, Keywords }))],
    ),
  ];
  return [...new Set(wanted.filter((name) => name !== null))];
}
