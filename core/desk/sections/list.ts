import type { z } from 'zod';
import type { Sections } from '../desk.ts';
import { applications } from './applications.ts';
import { arrangements } from './arrangements.ts';
import { backdrops } from './backdrops.ts';
import { desktopIcons } from './desktop-icons.ts';
import { edges } from './edges.ts';
import { groups } from './groups.ts';
import { keys } from './keys.ts';
import { look } from './look.ts';
import { menus } from './menus.ts';
import { screens } from './screens.ts';
import type { Section } from './section.ts';
import { sources } from './sources.ts';
import { widgets } from './widgets.ts';
import { windows } from './windows.ts';
import { workspaces } from './workspaces.ts';

/** Every section of the document, by its key; in this order its parts are painted. Add a new one here. */
const all: { [Key in keyof Sections]: Section<Key> } = {
  screens,
  look,
  backdrops,
  edges,
  widgets,
  groups,
  menus,
  keys,
  sources,
  applications,
  workspaces,
  arrangements,
  windows,
  desktopIcons,
};

/** The sections one after another. */
export const sections: readonly Section<keyof Sections>[] = Object.values(all);

/** Their schemas, by their keys. */
export const schemas = Object.fromEntries(sections.map(({ key, schema }) => [key, schema])) as {
  [Key in keyof Sections]: z.ZodType<Sections[Key]>;
};
