import { isUnreadableTable, type Unreadable, type UnreadableTable } from '$lib/schema/unreadable';
import type { Knex } from 'knex';
import { write, type WriteId } from '../db/write';
import { done, gone, refused, type Outcome } from '../outcome';
import { unreadableRows } from '../repositories/columns';
import { listFormer } from '../repositories/former';
import { listCards } from '../repositories/practice';
import { findText, issuesOf, putText, takeOff } from '../repositories/unreadable';

/** A name in a text, as far as it can still be made out: of a spool, or of a strand. */
const nameIn = (text: string): string => /"(?:name|note)":\s*"([^"\\]{1,80})"/.exec(text)?.[1] ?? '';

/** The newest former version that reads. */
const readableFormer = async (db: Knex, table: UnreadableTable, id: string): Promise<string | undefined> =>
	(await listFormer(db, table, id)).find(({ text }) => issuesOf(table, text).length === 0)?.text;

/** Everything that is kept and was found not to read: the rack and Care, asked before, look at everything. */
export async function unreadable(db: Knex): Promise<Unreadable[]> {
	await listCards(db);
	const found: Unreadable[] = [];
	for (const { table, id, issues } of unreadableRows(db)) {
		const row = isUnreadableTable(table) ? await findText(db, table, id) : undefined;
		if (!isUnreadableTable(table) || !row) continue;
		const restorable = (await readableFormer(db, table, id)) !== undefined;
		found.push({ table, id, name: nameIn(row.text), issues, restorable });
	}
	return found;
}

/** One of them, with its text; undefined when it is not there. */
export async function unreadableText(
	db: Knex,
	table: UnreadableTable,
	id: string
): Promise<(Unreadable & { readonly text: string }) | undefined> {
	const row = await findText(db, table, id);
	if (!row) return undefined;
	const { text } = row;
	const restorable = (await readableFormer(db, table, id)) !== undefined;
	return { table, id, name: nameIn(text), issues: issuesOf(table, text), restorable, text };
}

/** Keeps a text in the place of one that does not read. */
export const mend = (
	db: Knex,
	asked: WriteId,
	table: UnreadableTable,
	id: string,
	text: string
): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		if (!(await findText(trx, table, id))) return gone('entry');
		const issues = await putText(trx, table, id, text, now);
		return issues.length > 0 ? refused({ kind: 'bad', issues }) : done(null);
	});

/** Puts the newest former version that reads back in its place. */
export const restoreFormer = (
	db: Knex,
	asked: WriteId,
	table: UnreadableTable,
	id: string
): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		const text = await readableFormer(trx, table, id);
		if (text === undefined) return gone('earlier version that can be read');
		await putText(trx, table, id, text, now);
		return done(null);
	});

/** Takes it off: out of the way of the rest, and kept. */
export const setAside = (
	db: Knex,
	asked: WriteId,
	table: UnreadableTable,
	id: string
): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		if (!(await findText(trx, table, id))) return gone('entry');
		await takeOff(trx, table, id, now);
		return done(null);
	});
