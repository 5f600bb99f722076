import type { LucideIcon } from 'lucide-react';
import type { ComponentType, ReactNode } from 'react';
import type { z } from 'zod';
import type { Desk } from '../../../core/desk/desk.ts';
import type { Command } from '../commands/command.ts';

/** Leads back from a deeper page. */
export interface Crumb {
  title: string;
  go(): void;
}

/** What stands in the column deeper inside a chapter: a part that is selected, say. */
export interface Inside {
  title: string;
  /** After the chapter's own. */
  crumbs?: readonly Crumb[];
  /** In place of the chapter's own. */
  body?: ReactNode;
}

/** Where the column is. */
export interface Where {
  selection: readonly string[];
  /** Id of one of the chapter's pages; null is its first. */
  page: string | null;
  /** Id of something on that page that is open. */
  spot: string | null;
}

/** A page that lies deeper in a chapter. */
export interface Page {
  id: string;
  title: string;
  icon: LucideIcon;
  /** The heading under which the chapter's first page leads to it; null where that has a way of its own. */
  under: string | null;
  /** Other words for it. */
  also?: string;
  /** The forms on it, so that their fields are found by their names. */
  settings?: readonly z.ZodObject[];
  /** Labels of its other fields, by which they are found. */
  fields?: readonly string[];
  Body: ComponentType<{ desk: Desk }>;
  /** What the way to it says of it now. */
  note?(desk: Desk): ReactNode;
}

/** A chapter of the studio: what stands in its column, how it is reached, and what can be done in it. */
export interface Chapter {
  id: string;
  title: string;
  icon: LucideIcon;
  /** The pages that lie deeper in it, in the order in which its first page leads to them. */
  pages: readonly Page[];
  /** Other words for it. */
  also?: string;
  /** Labels of the fields that stand on its first page now, by which they are found. */
  fields?(desk: Desk): readonly string[];
  /** Forms on its first page; where one is not there now, the field of the label `unless` leads to it. */
  forms?: readonly { title: string; schema: z.ZodObject; unless: string; isThere?(desk: Desk): boolean }[];
  /** Its first page. */
  Root: ComponentType;
  /** What of it is open in the column; null where its first page is. */
  inside?(desk: Desk, where: Where): Inside | null;
  /** What can be done in it, besides going there. */
  commands?: readonly Command[];
  /** Forgets what it showed of another desk. */
  reset?(): void;
}
