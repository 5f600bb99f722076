import { z } from 'zod';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { content } from '../../values/dress.ts';

export const Workspace = z.looseObject({ id: Id, name: field(Name.clone(), { label: 'Name' }) });
export type Workspace = TypeOf<typeof Workspace>;

export const Workspaces = content(z.array(Workspace).min(1).max(32));
