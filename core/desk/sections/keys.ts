import { deskActTitles } from '../../menus/acts.ts';
import { DeskKeys } from '../../menus/keys.ts';
import { defineSection } from './section.ts';

export const keys = defineSection({
  key: 'keys',
  title: 'Keys',
  schema: DeskKeys,
  kits: [
    {
      key: 'keys',
      title: 'Shortcuts',
      told: ({ keys: list }) => `${list.filter(({ shortcut }) => shortcut !== '').length} set`,
      wear(desk, from) {
        desk.keys = structuredClone(from.keys);
      },
      isAside: true,
    },
  ],
  check({ keys: list }, _, say) {
    const taken = new Map<string, string>();
    list.forEach(({ act, shortcut }, index) => {
      const other = taken.get(shortcut);
      if (shortcut && other) say(['keys', index, 'shortcut'], `is taken already: ${other}`);
      taken.set(shortcut, deskActTitles[act]);
    });
  },
});
