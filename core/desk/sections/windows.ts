import { menuKeys, menuTitles } from '../../menus/schema.ts';
import { deskActTitles } from '../../menus/acts.ts';
import { Windows } from '../../windows/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const windows = defineSection({
  key: 'windows',
  schema: Windows,
  ids: ({ habits }) => idsIn('habits', habits).map(([path, id]) => [['windows', ...path], id] as const),
  check({ windows: { habits, shortcuts }, menus }, _, say) {
    const told = new Set<string>();
    habits.forEach(({ application }, index) => {
      if (told.has(application))
        say(['windows', 'habits', index, 'application'], `has another habit: "${application}"`);
      told.add(application);
    });
    const taken = new Map<string, string>(menuKeys.map((key) => [menus[key].shortcut, menuTitles[key]]));
    shortcuts.forEach(({ act, shortcut }, index) => {
      const other = taken.get(shortcut);
      if (shortcut && other) say(['windows', 'shortcuts', index, 'shortcut'], `is taken already: ${other}`);
      taken.set(shortcut, deskActTitles[act]);
    });
  },
});
