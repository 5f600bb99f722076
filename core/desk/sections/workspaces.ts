import { Workspaces } from '../shapes/workspaces.ts';
import { defineSection, without } from './section.ts';

export const workspaces = defineSection({
  key: 'workspaces',
  title: 'Workspaces',
  schema: Workspaces,
  kits: [],
  least: 1,
  forget(desk, gone) {
    desk.workspaces = without(desk.workspaces, ({ id }) => gone.has(id));
  },
});
