import { Menus, menuKeys, menuTitles, menuKinds } from '../../menus/schema.ts';
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
  check({ menus: all }, _, say) {
    const taken = new Map<string, string>();
    for (const key of menuKeys) {
      const { shortcut } = all[key];
      const other = taken.get(shortcut);
      if (shortcut && other) say(['menus', key, 'shortcut'], `opens another menu already: ${other}`);
      taken.set(shortcut, menuTitles[key]);
    }
  },
});
