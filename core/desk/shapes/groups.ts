import { z } from 'zod';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';

/** Widgets that are selected, moved and scaled as one. */
export const Group = z.looseObject({
  id: Id,
  name: field(Name.clone(), { label: 'Name' }),
  widgets: z.array(Id).min(2).max(400).meta({ description: 'Ids of its widgets; each stands in one group' }),
});
export type Group = TypeOf<typeof Group>;

/** Those of which every widget is among some. */
export function wholeGroups(list: readonly Group[], some: { has(id: string): boolean }): readonly Group[] {
  return list.filter(({ widgets }) => widgets.every((id) => some.has(id)));
}

export const MOST_GROUPS = 200;
