import knex, { type Knex } from 'knex';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { migrationSource } from '../migrations';

/** Waits this long for another writer before giving up, ms. */
const BUSY_TIMEOUT_MS = 5000;

/** Opens (creating it where needed) the one database file under `directory`, migrated to the newest shape. */
export async function openDatabase(directory: string): Promise<Knex> {
	mkdirSync(directory, { recursive: true });
	const db = knex({
		client: 'better-sqlite3',
		connection: { filename: join(directory, 'wendle.sqlite') },
		useNullAsDefault: true,
		pool: {
			min: 1,
			max: 1,
			afterCreate: (
				connection: { pragma: (text: string) => void },
				done: (error: Error | null, connection: unknown) => void
			) => {
				connection.pragma('journal_mode = WAL');
				connection.pragma('synchronous = FULL');
				connection.pragma('foreign_keys = ON');
				connection.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
				done(null, connection);
			}
		}
	});
	await db.migrate.latest({ migrationSource });
	return db;
}
