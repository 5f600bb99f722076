import { createRandom } from '../../core/sources/noise.ts';

/** Chance that a seed decides. */
export interface Chance {
  /** 0 to below 1. */
  share(): number;
  /** A whole number from 0 to below `count`. */
  below(count: number): number;
  of<T>(list: readonly T[]): T;
}

export function chanceFrom(seed: number): Chance {
  const share = createRandom(seed >>> 0);
  const below = (count: number) => Math.floor(share() * count);
  return { share, below, of: (list) => list[below(list.length)] as never };
}

/** Bytes as they come out of bad hands: bits turned, pieces cut, doubled, filled or swapped. */
export function damaged(bytes: Buffer, chance: Chance): Buffer {
  let left = Buffer.from(bytes);
  for (let wound = chance.below(4) + 1; wound > 0; wound--) {
    const at = chance.below(left.length + 1);
    const long = chance.below(Math.min(64, left.length - at) + 1);
    switch (chance.below(6)) {
      case 0:
      case 1:
        if (at < left.length) left[at] = (left[at] ?? 0) ^ (1 << chance.below(8));
        break;
      case 2:
        left = left.subarray(0, at);
        break;
      case 3:
        left = Buffer.concat([left.subarray(0, at), left.subarray(at, at + long), left.subarray(at)]);
        break;
      case 4:
        left.fill(chance.below(256), at, at + long);
        break;
      default:
        left = Buffer.concat([left.subarray(0, at), left.subarray(at + long)]);
    }
  }
  return left;
}

const oddities: readonly unknown[] = [
  null,
  true,
  -1,
  0.5,
  1e308,
  -1e308,
  2 ** 53,
  '',
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  'oklch(0.5 1e999 0)',
  'oklch(none none none)',
  '#12',
  '\u0000',
  '\ud800',
  '../../x',
  'own:' + 'a'.repeat(64),
  [],
  {},
  [[[[]]]],
  { constructor: { prototype: 1 } },
];

/** JSON with some of its values replaced, taken away, doubled or misnamed. */
export function misshapen(json: unknown, chance: Chance): unknown {
  let copy = structuredClone(json);
  for (let wound = chance.below(3) + 1; wound > 0; wound--) {
    let at = copy as Record<string, unknown>;
    for (let depth = chance.below(7); depth > 0; depth--) {
      const inner = Object.values(at).filter((value) => typeof value === 'object' && value !== null);
      if (inner.length === 0) break;
      at = chance.of(inner) as Record<string, unknown>;
    }
    const keys = Object.keys(at);
    const key = keys.length > 0 ? chance.of(keys) : 'x';
    switch (chance.below(5)) {
      case 0:
        if (Array.isArray(at)) at.splice(chance.below(at.length + 1), 1);
        else Reflect.deleteProperty(at, key);
        break;
      case 1:
        if (Array.isArray(at)) for (let copies = chance.below(300); copies > 0; copies--) at.push(at[0]);
        else at[`${key}x`] = at[key];
        break;
      case 2:
        Object.defineProperty(at, chance.of(['__proto__', 'constructor', 'x'.repeat(300)]), {
          value: { a: 1 },
          enumerable: true,
          configurable: true,
          writable: true,
        });
        break;
      default:
        at[key] = chance.of(oddities);
    }
    copy = structuredClone(copy);
  }
  return copy;
}
