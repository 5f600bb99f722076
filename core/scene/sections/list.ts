import type { SceneSections } from '../scene.ts';
import { edges } from './edges.ts';
import { menu } from './menu.ts';
import type { SceneSection } from './section.ts';
import { rest } from './rest.ts';
import { widgets } from './widgets.ts';

/** Every section of a screen, by its key; in this order they are solved and painted. Add a new one here. */
const all: { [Key in keyof SceneSections]: SceneSection<Key> } = { edges, widgets, rest, menu };

/** A section where any may stand. */
type AnySection = Omit<SceneSection<keyof SceneSections>, 'parts'> & {
  parts(solved: unknown): ReturnType<SceneSection<keyof SceneSections>['parts']>;
};

/** The sections one after another, their own types erased. */
export const sceneSections = Object.values(all) as unknown as readonly AnySection[];
