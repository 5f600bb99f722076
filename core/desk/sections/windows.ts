import { dressedIn, dressOf } from '../../values/dress.ts';
import { Windows } from '../../windows/schema.ts';
import { defineSection, idsIn } from './section.ts';

export const windows = defineSection({
  key: 'windows',
  title: 'Windows',
  schema: Windows,
  kits: [
    {
      key: 'windows',
      title: 'Frames and moves',
      told: ({ windows: { title, buttons } }) => `${title.height} px, ${buttons.shape}`,
      wear(desk, from) {
        desk.windows = dressedIn(Windows, desk.windows, dressOf(Windows, from.windows));
      },
      own: ({ windows: { finish } }) => (finish ? ['the windows’ own finish'] : []),
    },
  ],
  ids: ({ habits }) => idsIn('habits', habits).map(([path, id]) => [['windows', ...path], id] as const),
  check({ windows: { habits } }, _, say) {
    const told = new Set<string>();
    habits.forEach(({ application }, index) => {
      if (told.has(application))
        say(['windows', 'habits', index, 'application'], `has another habit: "${application}"`);
      told.add(application);
    });
  },
});
