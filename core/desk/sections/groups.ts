import { z } from 'zod';
import { content } from '../../values/dress.ts';
import { Group, MOST_GROUPS } from '../shapes/groups.ts';
import { defineSection, idsIn, without } from './section.ts';

export const groups = defineSection({
  key: 'groups',
  title: 'Groups',
  schema: content(z.array(Group).max(MOST_GROUPS)),
  kits: [],
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
