import type { Knex } from 'knex';
import { openDatabase } from './open';

let opened: Promise<Knex> | undefined;

/** The person's data: one SQLite file under WENDLE_DATA (./data unless set). Opened at first use. */
export const database = (): Promise<Knex> => (opened ??= openDatabase(process.env['WENDLE_DATA'] ?? 'data'));

/** Lets the process end: Knex's pool would keep it alive. */
export async function closeDatabase(): Promise<void> {
	const db = opened;
	opened = undefined;
	await (await db)?.destroy();
}
