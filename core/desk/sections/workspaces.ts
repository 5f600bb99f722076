import { z } from 'zod';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection, without } from './section.ts';

const Workspace = z.looseObject({ id: Id, name: Name });
export type Workspace = TypeOf<typeof Workspace>;

export const workspaces = defineSection({
  key: 'workspaces',
  schema: z.array(Workspace).min(1).max(32),
  least: 1,
  forget(desk, gone) {
    desk.workspaces = without(desk.workspaces, ({ id }) => gone.has(id));
  },
});
