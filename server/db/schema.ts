import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Times are epoch ms. */
export const desks = sqliteTable('desks', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Number of the newest revision. */
  revision: integer('revision').notNull(),
  createdAt: integer('created_at').notNull(),
  savedAt: integer('saved_at').notNull(),
  /** The summary of the newest revision as JSON; null where it can't be read. */
  summary: text('summary'),
  /** Set while the desk is taken off the shelf; it can be put back. */
  removedAt: integer('removed_at'),
});

export const revisions = sqliteTable(
  'revisions',
  {
    deskId: text('desk_id')
      .notNull()
      .references(() => desks.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    savedAt: integer('saved_at').notNull(),
    /** The desk's JSON. */
    desk: text('desk').notNull(),
    /** What it is kept under for good; null where it goes with time. */
    keptAs: text('kept_as'),
    /** What somebody wrote to it. */
    note: text('note'),
  },
  (table) => [
    primaryKey({ columns: [table.deskId, table.number] }),
    index('revisions_saved').on(table.savedAt),
  ],
);

/** Files by content; the bytes lie in the data folder under `pictures/`, named by the id. */
export const pictures = sqliteTable('pictures', {
  /** SHA-256 of the bytes. */
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Media type. */
  type: text('type').notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  bytes: integer('bytes').notNull(),
  addedAt: integer('added_at').notNull(),
});

/** Hosts in the private network that a person has allowed to be read from. */
export const allowedHosts = sqliteTable('allowed_hosts', {
  host: text('host').primaryKey(),
  allowedAt: integer('allowed_at').notNull(),
});

/** Dress for all desks. */
export const kits = sqliteTable('kits', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Rises with every change. */
  version: integer('version').notNull(),
  savedAt: integer('saved_at').notNull(),
  /** What is said of it, as JSON. */
  facts: text('facts').notNull(),
  /** The desk that wears it, as JSON. */
  desk: text('desk').notNull(),
  /** Set while the kit is taken off the shelf; it can be put back. */
  removedAt: integer('removed_at'),
});

/** Looks of single parts, for all desks. */
export const looks = sqliteTable('looks', {
  id: text('id').primaryKey(),
  /** What it is a look of. */
  topic: text('topic').notNull(),
  name: text('name').notNull(),
  /** As JSON. */
  value: text('value').notNull(),
  savedAt: integer('saved_at').notNull(),
});

/** Sets of icons, for all desks; the packs lie in the data folder under `icon-sets/`, named by the id. */
export const iconSets = sqliteTable('icon_sets', {
  /** SHA-256 of the pack. */
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  addedAt: integer('added_at').notNull(),
  /** Set while the set is taken off the list; it can be put back, and desks that wear it go on doing so. */
  removedAt: integer('removed_at'),
});
