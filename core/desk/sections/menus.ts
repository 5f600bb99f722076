import { Menus, menuKinds } from '../../menus/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const menus = defineSection({
  key: 'menus',
  schema: Menus,
  ids: (all) =>
    menuKinds.flatMap(({ key, lists }) =>
      Object.entries(lists?.(all[key]) ?? {}).flatMap(([list, things]) =>
        idsIn(list, things).map(([path, id]) => [['menus', key, ...path], id] as const),
      ),
    ),
});
