import type { z } from 'zod';
import { dress } from '../values/dress.ts';

/** What opens a menu, besides its keys: an act of the desk and a button on an edge, which have one name. */
export interface Opener<Act extends string = string> {
  act: Act;
  /** As an act, and as a small button for it. */
  does: string;
  short: string;
  sign: string;
  /** Of the button: what it is for, and its sign. */
  summary: string;
  mark: 'view-app-grid' | 'start-here' | 'system-search';
  /** It hangs from its button, also where it is opened by keys. */
  hangs?: true;
}

/** A menu of the desk: there is one of each kind, and each has its place in the document. */
export interface MenuFacts<Key extends string, Schema extends z.ZodObject, By extends Opener | null> {
  key: Key;
  title: string;
  opener: By;
  /** The act that opens it, where it has no opener that says so. */
  act?: 'desk-menu';
  /** What opens it where nothing else does. */
  opensBy?: string;
  schema: Schema;
  /** As it is where nobody has changed it. */
  plain: z.output<Schema>;
  /** Lists of it whose things have ids, by where they stand. */
  lists?(values: z.output<Schema>): Readonly<Record<string, readonly { id: string }[]>>;
  /** What it stands on where it has no finish of its own, and that is not the desk's. */
  comesWith?: string;
  /** Whether applications can be started on it, as it is set. */
  starts(values: z.output<Schema>): boolean;
}

/** A menu where any may stand. What a document holds was checked against its own schema when it came in. */
export type AnyMenuFacts<Key extends string> = MenuFacts<Key, z.ZodObject, Opener | null>;

export function defineMenu<
  const Key extends string,
  Schema extends z.ZodObject,
  const By extends Opener | null,
>(facts: MenuFacts<Key, Schema, By>): MenuFacts<Key, Schema, By> {
  dress(facts.schema);
  return facts;
}
