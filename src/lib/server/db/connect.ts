import knex, { type Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import type { COLUMN_NAMES } from './names';

/** Waits this long for another writer before giving up, ms. */
const BUSY_TIMEOUT_MS = 5000;

/** More than there are different statements; those that name a list have one for each length. */
const MOST_STATEMENTS = 300;

interface Connection {
	pragma: (text: string) => void;
	prepare: (sql: string) => object;
}

/**
 * A statement is prepared once, and not for each time that it is asked. Every transaction here writes: it takes the lock at its
 * start, so that no other process can come between what is read in it and what is written.
 */
function preparingOnce(connection: Connection): void {
	const prepare = connection.prepare.bind(connection);
	const prepared = new LRUCache<string, object>({
		max: MOST_STATEMENTS,
		memoMethod: (sql) => prepare(sql === 'BEGIN;' ? 'BEGIN IMMEDIATE;' : sql)
	});
	connection.prepare = (sql) => prepared.memo(sql);
}

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
			afterCreate: (connection: Connection, ready: (error: Error | null, connection: unknown) => void) => {
				try {
					connection.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
					connection.pragma('journal_mode = WAL');
					connection.pragma('synchronous = FULL');
					connection.pragma('foreign_keys = ON');
					// What is deleted is written over: a name that somebody wanted gone is not left in the file.
					connection.pragma('secure_delete = ON');
					preparingOnce(connection);
					ready(null, connection);
				} catch (error) {
					ready(error as Error, connection);
				}
			}
		}
	});
