import { Menus, menuKeys, menuTitles } from '../../menus/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const menus = defineSection({
  key: 'menus',
  schema: Menus,
  ids: ({ appWall, deskMenu }) => [
    ...idsIn('folders', appWall.folders).map(([path, id]) => [['menus', 'appWall', ...path], id] as const),
    ...idsIn('entries', deskMenu.entries).map(([path, id]) => [['menus', 'deskMenu', ...path], id] as const),
  ],
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
