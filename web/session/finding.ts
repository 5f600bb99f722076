import { lookUp } from '../../core/values/look-up.ts';
import { sumOf } from '../../core/menus/sums.ts';
import { findIn } from '../../core/scene/menus/find.ts';
import { findableOf, findablesOf } from '../../core/scene/menus/entries.ts';
import type { OpenMenu } from '../../core/scene/conditions.ts';
import { createReadings } from '../../core/sources/readings.ts';
import { useConditions } from './conditions.ts';
import { presentDesk } from './desk.ts';

/** What a typed text comes to in the menu that is open. Its code comes with the first letter. */
export function finding({ menu }: OpenMenu, query: string): Pick<OpenMenu, 'found' | 'sum'> {
  const desk = presentDesk();
  if (!desk || query.trim() === '') return { found: null, sum: null };
  const { moment, lately, feeds, windows } = useConditions.getState();
  if (menu === 'quickFind') {
    const readings = createReadings({
      moment,
      place: desk.place,
      seed: desk.seed,
      tide: desk.sources.tide,
      sound: desk.sources.sound,
      outside: desk.sources.outside,
      feeds,
    });
    return {
      found: findIn(findablesOf(desk, readings, windows), query, lately, true),
      sum: desk.menus.quickFind.sums ? sumOf(query) : null,
    };
  }
  const searchesWords =
    menu !== 'frontMenu' && lookUp<unknown>({ ...desk.menus[menu] }, 'searchesWords') === true;
  return { found: findIn(desk.applications.map(findableOf), query, lately, searchesWords), sum: null };
}
