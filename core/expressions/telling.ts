import type { Readings } from '../sources/readings.ts';
import type { Telling } from './catalogue.ts';
import { expressionWork } from './learn.ts';
import { piecesOf, type Origins } from './text.ts';

/** Where a part's readings come from, by its options. */
export function originsOf({ from, weather }: Readonly<Record<string, unknown>>): Origins {
  return {
    ...(from === 'this-machine' ? { machine: from } : {}),
    ...(from === 'station' || weather === 'station' ? { weather: 'station' } : {}),
  };
}

/** What the expressions of a part know. */
export function tellingOf(
  facts: Telling['facts'] & { readings: Readings },
  options: Readonly<Record<string, unknown>> = {},
  at = facts.readings.moment,
): Telling {
  return { readings: facts.readings, facts, origins: originsOf(options), at };
}

/** A text with its expressions worked out; as it stands where it has none. */
export function saidOf(
  text: string,
  facts: Telling['facts'] & { readings: Readings },
  options: Readonly<Record<string, unknown>>,
): string {
  const pieces = piecesOf(text);
  if (pieces.every(({ kind }) => kind === 'plain'))
    return pieces.map((piece) => (piece.kind === 'plain' ? piece.text : '')).join('');
  return expressionWork(facts.readings.library)?.say(text, tellingOf(facts, options)).text ?? '…';
}
