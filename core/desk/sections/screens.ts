import { Screens } from '../shapes/screens.ts';
import { defineSection, idsIn, without } from './section.ts';

export const screens = defineSection({
  key: 'screens',
  title: 'Screens',
  schema: Screens,
  kits: [],
  least: 1,
  ids: (list) => idsIn('screens', list),
  forget(desk, gone) {
    desk.screens = without(desk.screens, ({ id }) => gone.has(id));
  },
});
