import type { z } from 'zod';
import type { Desk, DeskDraft, Part, Sections } from '../desk.ts';
import type { Whereabouts } from '../whereabouts.ts';

/** Where in the document something stands. */
export type Path = readonly (string | number)[];
/** Says what is wrong, and where. */
export type Say = (path: Path, message: string) => void;

/** What some ids are, for whoever names them. */
interface Known {
  screens: ReadonlySet<string>;
  workspaces: ReadonlySet<string>;
  /** Of all parts. */
  parts: ReadonlySet<string>;
}

/** Something of a desk's dress that a kit has, and that is worn or left by itself. */
export interface KitKind {
  /** What it is ticked by. */
  key: string;
  title: string;
  /** What a desk has of it, in a word or two. */
  told(desk: Desk): string;
  /** Lets a desk have of it what another has. What there is, what it shows and where it stands stays. */
  wear(desk: DeskDraft, from: Desk): void;
  /** What a desk has of it that somebody made or brought, by name: what would be covered is told before. */
  own?(desk: Desk): string[];
  /** It is worn only where somebody asks for it. */
  isAside?: true;
}

/** A section of the document: what it holds and what happens to it. */
export interface Section<Key extends keyof Sections> {
  key: Key;
  /** What it is called where people read of it. */
  title: string;
  schema: z.ZodType<Sections[Key]>;
  /** How many must stay. */
  least?: number;
  /** Everything in it that is known by its id, and where. */
  ids?(value: Sections[Key]): Iterable<readonly [Path, string]>;
  /** What the schema can't say; paths from the whole document. */
  check?(desk: Desk, known: Known, say: Say): void;
  /** What of it is dress, as a kit has it; nothing where it is all arrangement and content. */
  kits: readonly KitKind[];
  /** Those of its things that are parts. */
  parts?(value: Sections[Key]): Part[];
  /** Takes out what goes when these ids are gone, and lets go of what is gone. */
  forget?(desk: DeskDraft, gone: ReadonlySet<string>, whereabouts: Whereabouts | null): void;
}

export function defineSection<const Key extends keyof Sections>(section: Section<Key>): Section<Key> {
  return section;
}

/** Ids of a list, with where each stands. */
export function idsIn(key: string, list: readonly { id: string }[]): (readonly [Path, string])[] {
  return list.map(({ id }, index) => [[key, index], id] as const);
}

/** A list without some of it; the very same list when none of them is there. */
export function without<T>(list: T[], isGone: (one: T, index: number) => boolean): T[] {
  return list.some(isGone) ? list.filter((one, index) => !isGone(one, index)) : list;
}
