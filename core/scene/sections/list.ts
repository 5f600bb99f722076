import type { SceneSections } from '../scene.ts';
import { edges } from './edges.ts';
import { icons } from './icons.ts';
import { menu } from './menu.ts';
import { overview } from './overview.ts';
import type { SceneSection } from './section.ts';
import { rest } from './rest.ts';
import { widgets } from './widgets.ts';
import { windows } from './windows.ts';

/** Every section of a screen, by its key, in the order in which they are solved. Add a new one here. */
const all: { [Key in keyof SceneSections]: SceneSection<Key> } = {
  edges,
  widgets,
  icons,
  windows,
  rest,
  overview,
  menu,
};

/** In which order they are painted: windows stand before widgets, edges before windows. */
const order: readonly (keyof SceneSections)[] = [
  'icons',
  'widgets',
  'windows',
  'edges',
  'rest',
  'overview',
  'menu',
];

type AnySection = SceneSection<keyof SceneSections>;

/** The sections one after another. */
export const sceneSections: readonly AnySection[] = Object.values(all);

/** The same in the order in which they are painted. */
export const paintedSections: readonly AnySection[] = order.map((key) => all[key]);
