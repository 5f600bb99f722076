import { z } from 'zod';
import { OwnFinish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { Name } from '../values/name.ts';
import { refers } from '../values/references.ts';
import type { TypeOf } from '../values/types.ts';
import { count, grouping, pixels } from './fields.ts';
import { defineMenu } from './menu.ts';
import { content } from '../values/dress.ts';

/** Some applications behind one. */
export const Folder = z.looseObject({
  id: Id,
  name: Name,
  applications: z.array(refers(Id.clone(), 'application', 'name')).max(200),
});
export type Folder = TypeOf<typeof Folder>;

/** A full screen of shelves. */
export const appWall = defineMenu({
  key: 'appWall',
  title: 'App wall',
  opener: {
    act: 'app-wall',
    does: 'Open the app wall',
    short: 'All of them',
    sign: 'view-app-grid',
    summary: 'Opens the wall of applications',
    mark: 'start-here',
  },
  schema: z.looseObject({
    way: field(z.enum(['scroll', 'pages']), {
      label: 'Paging',
      choices: { scroll: 'By scrolling', pages: 'In pages' },
    }),
    columns: count(2, 16, 'Columns'),
    iconSize: pixels(24, 200, 'Icon size'),
    labels: field(z.boolean(), { label: 'Names' }),
    groups: grouping(),
    search: field(z.boolean(), { label: 'Search field', is: 'content' }),
    searchesWords: field(z.boolean(), {
      label: 'Search descriptions',
      is: 'content',
      when: ({ search }) => search === true,
    }),
    folders: content(z.array(Folder).max(40)),
    finish: OwnFinish,
  }),
  plain: {
    way: 'scroll',
    columns: 6,
    iconSize: 56,
    labels: true,
    groups: 'categories',
    search: true,
    searchesWords: true,
    folders: [],
    finish: null,
  },
  lists: ({ folders }) => ({ folders }),
  comesWith: 'a veil of the ground',
  starts: () => true,
});
