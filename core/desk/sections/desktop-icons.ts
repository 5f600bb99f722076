import { DesktopIcons } from '../../icons/desktop.ts';
import { defineSection, without } from './section.ts';

export const desktopIcons = defineSection({
  key: 'desktopIcons',
  title: 'Icons on the desk',
  schema: DesktopIcons,
  // Their size and what is between them say where they stand.
  kits: [],
  check({ desktopIcons: { screens: on } }, { screens }, say) {
    on.forEach((id, index) => {
      if (!screens.has(id))
        say(['desktopIcons', 'screens', index], `names a screen that is not there: "${id}"`);
    });
  },
  forget(desk, gone) {
    desk.desktopIcons.screens = without(desk.desktopIcons.screens, (id) => gone.has(id));
  },
});
