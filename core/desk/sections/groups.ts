import { z } from 'zod';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection, idsIn, without } from './section.ts';
import { content } from '../../values/dress.ts';

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

const MOST_GROUPS = 200;

export const groups = defineSection({
  key: 'groups',
  schema: content(z.array(Group).max(MOST_GROUPS)),
  ids: (list) => idsIn('groups', list),
  check({ groups: list, widgets }, _known, say) {
    const there = new Set(widgets.map(({ id }) => id));
    const taken = new Set<string>();
    list.forEach((group, index) =>
      group.widgets.forEach((id, at) => {
        const path = ['groups', index, 'widgets', at];
        if (!there.has(id)) say(path, `names a widget that is not there: "${id}"`);
        if (taken.has(id)) say(path, `stands in two groups: "${id}"`);
        taken.add(id);
      }),
    );
  },
  /** A group of which one is left is none. */
  forget(desk, gone) {
    const there = new Set(desk.widgets.map(({ id }) => id));
    for (const group of desk.groups)
      group.widgets = without(group.widgets, (id) => gone.has(id) || !there.has(id));
    desk.groups = without(desk.groups, ({ id, widgets }) => gone.has(id) || widgets.length < 2);
  },
});
