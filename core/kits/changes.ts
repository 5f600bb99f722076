import { produce } from 'immer';
import type { Desk } from '../desk/desk.ts';
import { differencesOf } from '../desk/differences.ts';
import { nameOfPart } from '../desk/part-names.ts';
import { capital } from '../values/words.ts';
import { partsOf } from '../desk/parts.ts';
import type { SceneEdge, SceneWidget } from '../scene/scene.ts';
import { solve } from '../scene/solve.ts';
import { overlaps } from '../values/geometry.ts';
import { kitKindOf, type Kit } from '../desk/kits/kit.ts';

type PartOfScene = Pick<SceneEdge | SceneWidget, 'id' | 'rect'>;

/** What wearing a kit would do to a desk. */
export interface KitChanges {
  /** How many values each kind would change; those that change none are left out. */
  kinds: { key: string; count: number }[];
  /** Parts that would be of another size, or stand over one that they don't stand over now: a sentence each. */
  notes: string[];
}

/** Works out what a desk would be like in some kinds of a kit, at a moment (epoch ms). */
export function changesBy(desk: Desk, kit: Kit, kinds: readonly string[], moment: number): KitChanges {
  const dressed = (keys: readonly string[]) =>
    produce(desk, (draft) => {
      for (const key of keys) kitKindOf(key)?.wear(draft, kit.desk);
    });
  return {
    kinds: kinds.flatMap((key) => {
      const count = differencesOf(desk, dressed([key])).length;
      return count === 0 ? [] : [{ key, count }];
    }),
    notes: notesOf(desk, dressed(kinds), moment),
  };
}

function notesOf(before: Desk, after: Desk, moment: number): string[] {
  const names = new Map(partsOf(before).map((part) => [part.id, nameOfPart(part)]));
  const nameOf = (id: string) => names.get(id) ?? id;
  const old = solve(before, { moment }).screens;
  return solve(after, { moment }).screens.flatMap((screen, index) => {
    const was = new Map(partsIn(old[index]).map((part) => [part.id, part]));
    const sizes = partsIn(screen).flatMap(({ id, rect }) => {
      const previous = was.get(id)?.rect;
      if (!previous) return [];
      const [wider, higher] = [rect.width - previous.width, rect.height - previous.height].map(Math.round);
      const told = [
        wider ? `${Math.abs(wider)} px ${wider > 0 ? 'wider' : 'narrower'}` : '',
        higher ? `${Math.abs(higher)} px ${higher > 0 ? 'higher' : 'lower'}` : '',
      ];
      const said = told.filter((one) => one !== '').join(' and ');
      return said === '' ? [] : [`${capital(nameOf(id))} is ${said}.`];
    });
    const pairs = (list: readonly PartOfScene[]) =>
      new Set(
        list.flatMap((one, at) =>
          list
            .slice(at + 1)
            .flatMap((other) => (overlaps(one.rect, other.rect) ? [`${one.id} ${other.id}`] : [])),
        ),
      );
    const stood = pairs(partsIn(old[index]));
    const over = [...pairs(partsIn(screen))]
      .filter((pair) => !stood.has(pair))
      .map((pair) => {
        const [one = '', other = ''] = pair.split(' ');
        return `${capital(nameOf(one))} and ${nameOf(other)} overlap.`;
      });
    return [...over, ...sizes];
  });
}

const partsIn = (screen: { edges: readonly PartOfScene[]; widgets: readonly PartOfScene[] } | undefined) =>
  screen ? [...screen.edges, ...screen.widgets] : [];
