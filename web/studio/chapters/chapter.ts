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

/** A chapter of the studio: what stands in its column, how it is reached, and what can be done in it. */
export interface Chapter {
  id: string;
  title: string;
  icon: LucideIcon;
  /** Titles of the pages that lie deeper in it, by id. */
  pages: Readonly<Record<string, string>>;
  /** Other words for it. */
  also?: string;
  /** The forms on its pages, for whoever looks for a setting by its name. */
  settings?: Readonly<Record<string, z.ZodObject>>;
  /** Its first page, and the deeper ones. */
  Root: ComponentType;
  /** What of it is open in the column; null where its first page is. */
  inside?(desk: Desk, where: Where): Inside | null;
  /** What can be done in it, besides going there. */
  commands?: readonly Command[];
  /** Forgets what it showed of another desk. */
  reset?(): void;
}
