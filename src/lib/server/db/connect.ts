import knex, { type Knex } from 'knex';
import type { COLUMN_NAMES } from './names';

/** Waits this long for another writer before giving up, ms. */
const BUSY_TIMEOUT_MS = 5000;

/**
 * One connection to an SQLite file, every write of which is on the disk before it is done.
 *
 * @param names how columns are named; migrations speak of them as they are in the file
 */
export const connect = (filename: string, names?: typeof COLUMN_NAMES): Knex =>
	knex({
		...names,
		client: 'better-sqlite3',
		connection: { filename },
		useNullAsDefault: true,
		pool: {
			min: 1,
			max: 1,
			afterCreate: (
				connection: { pragma: (text: string) => void },
				ready: (error: Error | null, connection: unknown) => void
			) => {
				try {
					connection.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
					connection.pragma('journal_mode = WAL');
					connection.pragma('synchronous = FULL');
					connection.pragma('foreign_keys = ON');
					// What is deleted is written over: a name that somebody wanted gone is not left in the file.
					connection.pragma('secure_delete = ON');
					ready(null, connection);
				} catch (error) {
					ready(error as Error, connection);
				}
			}
		}
	});
