import { sources, type OriginOf, type SourceId } from '../sources/list.ts';
import { SIMULATED } from '../sources/source.ts';
import type { Readings } from '../sources/readings.ts';
import type { Telling } from './catalogue.ts';
import { expressionWork } from './learn.ts';
import { piecesOf, type Origins } from './text.ts';

/** Which sources a part reads from outside, by its options: each origin belongs to one source. */
export function originsOf(options: Readonly<Record<string, unknown>>): Origins {
  const chosen = [options['from'], options['weather']].filter(
    (one) => one !== undefined && one !== SIMULATED,
  );
  if (chosen.length === 0) return {};
  return Object.fromEntries(
    (Object.keys(sources) as SourceId[]).flatMap((id) => {
      const origin = Object.keys(sources[id].fed ?? {}).find((one) => chosen.includes(one));
      return origin ? [[id, origin as OriginOf<SourceId>]] : [];
    }),
  );
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
  return expressionWork()?.say(text, tellingOf(facts, options)).text ?? '…';
}
