import { dressedIn, dressOf } from '../../values/dress.ts';
import { Menus, menuKinds } from '../../menus/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const menus = defineSection({
  key: 'menus',
  title: 'Menus',
  schema: Menus,
  kits: [
    {
      key: 'menus',
      title: 'Menus',
      told: ({ menus: all }) =>
        menuKinds.some(({ key }) => all[key].finish !== null) ? 'own finishes' : 'as the desk’s',
      wear(desk, from) {
        desk.menus = dressedIn(Menus, desk.menus, dressOf(Menus, from.menus));
      },
    },
  ],
  ids: (all) =>
    menuKinds.flatMap(({ key, lists }) =>
      Object.entries(lists?.(all[key]) ?? {}).flatMap(([list, things]) =>
        idsIn(list, things).map(([path, id]) => [['menus', key, ...path], id] as const),
      ),
    ),
});
