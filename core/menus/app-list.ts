import { z } from 'zod';
import { OwnFinish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { refers } from '../values/references.ts';
import { count, grouping, pixels, place } from './fields.ts';
import { defineMenu } from './menu.ts';
import { content } from '../values/dress.ts';

/** A compact list. */
export const appList = defineMenu({
  key: 'appList',
  title: 'App list',
  opener: {
    act: 'app-list',
    does: 'Open the app list',
    short: 'Applications',
    sign: 'view-app-grid',
    summary: 'Opens the list of applications',
    mark: 'view-app-grid',
    hangs: true,
  },
  schema: z.looseObject({
    place: place(),
    width: pixels(160, 1600, 'Width'),
    rows: count(3, 40, 'Rows at most'),
    columns: count(1, 8, 'Columns'),
    iconSize: pixels(12, 128, 'Icons'),
    labels: field(z.boolean(), { label: 'Names' }),
    words: field(z.boolean(), { label: 'Descriptions', when: ({ labels }) => labels === true }),
    groups: grouping(),
    favourites: content(
      z
        .array(refers(Id.clone(), 'application', 'name'))
        .max(60)
        .meta({ description: 'Ids of applications that stand first' }),
    ),
    recent: content(count(0, 12, 'Lately used')),
    search: field(z.boolean(), { label: 'Search field', is: 'content' }),
    searchesWords: field(z.boolean(), {
      label: 'Search descriptions',
      is: 'content',
      when: ({ search }) => search === true,
    }),
    finish: OwnFinish,
  }),
  plain: {
    place: { by: 'button' },
    width: 380,
    rows: 10,
    columns: 1,
    iconSize: 30,
    labels: true,
    words: true,
    groups: 'none',
    favourites: [],
    recent: 0,
    search: true,
    searchesWords: true,
    finish: null,
  },
  starts: () => true,
});
