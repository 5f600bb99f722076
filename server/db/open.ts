import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema.ts';

export type Store = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Something about the machine that the person who started the server must put right. */
export class StartProblem extends Error {}

const MIGRATIONS = fileURLToPath(new URL('./migrations', import.meta.url));

/** Opens (or makes) the database in a folder and brings it to the present schema. Throws StartProblem. */
export function openStore(folder: string): Store {
  let client: Database.Database;
  try {
    for (const name of ['pictures', 'fonts', 'cache']) mkdirSync(join(folder, name), { recursive: true });
    client = new Database(join(folder, 'velvet-ledge.db'));
    client.pragma('journal_mode = WAL');
  } catch (error) {
    throw new StartProblem(
      `The data folder ${folder} can't be written (${reason(error)}). Choose another with --data.`,
    );
  }
  // A save is acknowledged once it is on the disk, not merely handed to the system.
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  refuseNewer(client, folder);
  const store = drizzle(client, { schema });
  migrate(store, { migrationsFolder: MIGRATIONS });
  return store;
}

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
