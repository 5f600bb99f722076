import { menuKeys, menuTitles } from '../../menus/schema.ts';
import { deskActTitles } from '../../values/acts.ts';
import { Windows } from '../../windows/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const windows = defineSection({
  key: 'windows',
  schema: Windows,
  ids: ({ rules }) => idsIn('rules', rules).map(([path, id]) => [['windows', ...path], id] as const),
  check({ windows: { rules, shortcuts }, menus }, _, say) {
    const ruled = new Set<string>();
    rules.forEach(({ application }, index) => {
      if (ruled.has(application))
        say(['windows', 'rules', index, 'application'], `has another rule: "${application}"`);
      ruled.add(application);
    });
    const taken = new Map<string, string>(menuKeys.map((key) => [menus[key].shortcut, menuTitles[key]]));
    shortcuts.forEach(({ act, shortcut }, index) => {
      const other = taken.get(shortcut);
      if (shortcut && other) say(['windows', 'shortcuts', index, 'shortcut'], `is taken already: ${other}`);
      taken.set(shortcut, deskActTitles[act]);
    });
  },
});
