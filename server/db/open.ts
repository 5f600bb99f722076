import {
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  readFileSync,
  readSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { diskTrouble } from '../files/trouble.ts';
import { root } from '../root.ts';
import * as schema from './schema.ts';

export type Store = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Something about the machine that the person who started the server must put right. */
export class StartProblem extends Error {}

const MIGRATIONS = join(root, 'server/db/migrations');

/** Opens (or makes) the database in a folder and brings it to the present schema. Throws StartProblem. */
export function openStore(folder: string): Store {
  const path = join(folder, 'velvet-ledge.db');
  prepareFolder(folder);
  refuseForeign(path);
  try {
    const client = new Database(path);
    client.pragma('journal_mode = WAL');
    // A save is acknowledged once it is on the disk, not merely handed to the system.
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    refuseNewer(client, folder);
    const store = drizzle(client, { schema });
    migrate(store, { migrationsFolder: MIGRATIONS });
    return store;
  } catch (error) {
    if (error instanceof StartProblem) throw error;
    throw isDamage(error) ? damaged(path) : unwritable(folder, error);
  }
}

/**
 * Does all of some work on the database, or none of it. (After some failures, a full disk among them, SQLite has undone
 * everything by itself, and to ask for it once more would hide what was wrong.)
 */
export function transact<T>({ $client }: Store, work: () => T): T {
  $client.exec('begin immediate');
  try {
    const result = work();
    $client.exec('commit');
    return result;
  } catch (error) {
    if ($client.inTransaction) $client.exec('rollback');
    throw error;
  }
}

/** Makes what a data folder consists of, and finds out now whether it can be written. */
function prepareFolder(folder: string): void {
  const probe = join(folder, '.probe');
  try {
    for (const name of ['pictures', 'fonts', 'sounds', 'icon-sets', 'cache'])
      mkdirSync(join(folder, name), { recursive: true });
    writeFileSync(probe, 'Can this be written?');
    rmSync(probe);
  } catch (error) {
    throw unwritable(folder, error);
  }
}

function unwritable(folder: string, error: unknown): StartProblem {
  const isFull = diskTrouble(error)?.kind === 'full';
  return new StartProblem(
    isFull
      ? `The disk that the data folder ${folder} lies on is full. Make room, or choose another with --data.`
      : `The data folder ${folder} can't be written (${reason(error)}). Choose another with --data.`,
  );
}

/** What a database begins with; source: the SQLite file format, section 1.3. */
const HEADER = 'SQLite format 3\0';

/** Looks, without changing anything, whether a file that is there already is a database of ours. Throws StartProblem. */
function refuseForeign(path: string): void {
  if (!existsSync(path)) return;
  const head = headOf(path);
  if (head === '') return;
  if (head !== HEADER) throw damaged(path);
  let client: Database.Database | null = null;
  try {
    client = new Database(path, { readonly: true });
    const tables = (
      client.prepare("select name from sqlite_master where type = 'table'").all() as { name: string }[]
    ).map(({ name }) => name);
    if (tables.length > 0 && !(tables.includes('__drizzle_migrations') && tables.includes('desks')))
      throw new StartProblem(
        `The file ${path} is the database of another program; it was left as it is. Choose another folder with --data.`,
      );
  } catch (error) {
    if (isDamage(error)) throw damaged(path);
    throw error instanceof StartProblem ? error : unwritable(path, error);
  } finally {
    client?.close();
  }
}

function headOf(path: string): string {
  const bytes = Buffer.alloc(HEADER.length);
  const file = openSync(path, 'r');
  try {
    return bytes.toString('latin1', 0, readSync(file, bytes, 0, bytes.length, 0));
  } finally {
    closeSync(file);
  }
}

const isDamage = (error: unknown) => diskTrouble(error)?.kind === 'damaged';

const damaged = (path: string) =>
  new StartProblem(
    `The database ${path} is damaged, or no database at all; it was left as it is. Put a copy of it back, or move it away to begin anew.`,
  );

function refuseNewer(client: Database.Database, folder: string): void {
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const newest = Math.max(...journal.entries.map(({ when }) => when));
  const isThere = client.prepare("select 1 from sqlite_master where name = '__drizzle_migrations'").get();
  if (!isThere) return;
  const { applied } = client.prepare('select max(created_at) as applied from __drizzle_migrations').get() as {
    applied: number | null;
  };
  if (applied !== null && applied > newest) {
    client.close();
    throw new StartProblem(
      `The database in ${folder} was made by a newer version of Velvet Ledge. Update the application, or choose another folder with --data.`,
    );
  }
}

function reason(error: unknown): string {
  return error instanceof Error ? ((error as NodeJS.ErrnoException).code ?? error.message) : String(error);
}
