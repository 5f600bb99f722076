/** Something of a kind that wears one of several faces. */
interface Faced {
  type: string;
  face: string;
}

/** After which of some others something is dressed, and whether it takes the face too. */
export interface Model<T> {
  of: T;
  takesFace: boolean;
}

/**
 * After whom each of some things is dressed: the first of a kind after the first of the others, and so on, the last again
 * once there are no more. Those that show something else than others of their kind do are counted by themselves, face by
 * face; where there is no such one, the face stays. Null where there is none of its kind. What they wear now makes no
 * difference: dressed twice they are as dressed once, whatever they wore between.
 */
export function modelsFor<T extends Faced>(
  wearers: readonly Faced[],
  others: readonly T[],
  isApart: (one: Faced) => boolean,
): (Model<T> | null)[] {
  const groupOf = (one: Faced) => `${one.type} ${isApart(one) ? one.face : ''}`;
  const met = new Map<string, number>();
  return wearers.map((wearer) => {
    const group = groupOf(wearer);
    const count = met.get(group) ?? 0;
    met.set(group, count + 1);
    const alike = others.filter((one) => groupOf(one) === group);
    const model = alike[Math.min(count, alike.length - 1)];
    if (model) return { of: model, takesFace: true };
    const first = others.find(({ type }) => type === wearer.type);
    return first ? { of: first, takesFace: false } : null;
  });
}
