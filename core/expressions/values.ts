import { celMap, type CelInput, type CelMap } from '@bufbuild/cel';
import { isReflectMessage } from '@bufbuild/protobuf/reflect';
import { durationMs, timestampMs, type Duration, type Timestamp } from '@bufbuild/protobuf/wkt';
import type { Branch } from './catalogue.ts';
import { catalogueTree, Moment, type Telling } from './catalogue.ts';

/** Readings as expressions hold them. */

/** The moments among maps: each is one with the wall clock's fields. */
const moments = new WeakMap<object, number>();

/** The moment that a value is, epoch ms; null where it is none. */
export function momentOf(value: unknown): number | null {
  if (typeof value !== 'object' || value === null) return null;
  const known = moments.get(value);
  if (known !== undefined) return known;
  const isTimestamp = isReflectMessage(value) && value.desc.typeName === 'google.protobuf.Timestamp';
  return isTimestamp ? timestampMs(value.message as Timestamp) : null;
}

/** A length of time in seconds; null where a value is none. */
export function secondsOf(value: unknown): number | null {
  const isDuration = isReflectMessage(value) && value.desc.typeName === 'google.protobuf.Duration';
  return isDuration ? durationMs(value.message as Duration) / 1000 : null;
}

function mapOf(entries: Iterable<readonly [string, unknown]>): CelMap {
  return celMap(new Map([...entries].map(([key, value]) => [key, held(value) as CelInput])));
}

function heldMoment(moment: Moment): CelMap {
  const map = mapOf(Object.entries(moment).map(([key, value]) => [key, BigInt(value as number)]));
  moments.set(map, moment.ms);
  return map;
}

/** A reading as an expression holds it: fractions, texts, lists and maps; null where it isn't known. */
function held(value: unknown): unknown {
  if (value instanceof Moment) return heldMoment(value);
  if (Array.isArray(value)) return value.map(held);
  if (typeof value === 'object' && value !== null) return mapOf(Object.entries(value));
  return value ?? null;
}

/** A map whose values are worked out when they are asked for. */
class LazyMap extends Map<string, CelInput> {
  readonly #read: (key: string) => CelInput;
  constructor(keys: Iterable<string>, read: (key: string) => CelInput) {
    super([...keys].map((key) => [key, null]));
    this.#read = read;
  }
  override get(key: string): CelInput | undefined {
    return super.has(key) ? this.#read(key) : undefined;
  }
  override *entries(): MapIterator<[string, CelInput]> {
    for (const key of super.keys()) yield [key, this.#read(key)];
  }
  override *values(): MapIterator<CelInput> {
    for (const key of super.keys()) yield this.#read(key);
  }
}

/**
 * All names that expressions know, each read when it is asked for. `onUnknown` is told of what was asked for and can't
 * be known: it is null.
 */
export function valuesOf(telling: Telling, onUnknown: () => void): Record<string, CelInput> {
  const build = ({ entry, inner }: Branch): CelInput => {
    if (entry) return held(entry.read(telling)) as CelInput;
    const known = new Map<string, CelInput>();
    return celMap(
      new LazyMap(inner.keys(), (name) => {
        const branch = inner.get(name);
        let value = known.get(name);
        if (value === undefined) known.set(name, (value = branch ? build(branch) : null));
        if (value === null) onUnknown();
        return value;
      }),
    );
  };
  // Nothing but these: no object that all objects come from stands behind them.
  const values = Object.create(null) as Record<string, CelInput>;
  for (const [name, branch] of catalogueTree.inner) {
    let value: CelInput | undefined;
    Object.defineProperty(values, name, { get: () => (value ??= build(branch)) });
  }
  return values;
}
