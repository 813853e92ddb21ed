import { isUnreadableTable, type Unreadable, type UnreadableTable } from '$lib/inventory/unreadable';
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

/** An entry as a person sees it: a set-up and a winding go by their spool's name. What is wrong is told from its text, where that tells it. */
async function described(
	db: Knex,
	table: UnreadableTable,
	id: string,
	{ text, spoolId }: { readonly text: string; readonly spoolId: string | undefined },
	otherwise: Unreadable['issues']
): Promise<Unreadable> {
	const spool = spoolId === undefined ? undefined : await findText(db, 'spools', spoolId);
	const issues = issuesOf(table, text);
	return {
		table,
		id,
		name: nameIn((spool ?? { text }).text),
		issues: issues.length > 0 ? issues : otherwise,
		restorable: (await readableFormer(db, table, id)) !== undefined
	};
}

/** Everything that is kept and was found not to read: the rack and Care, asked before, look at everything. */
export async function unreadable(db: Knex): Promise<Unreadable[]> {
	await listCards(db);
	const found: Unreadable[] = [];
	for (const { table, id, issues } of unreadableRows(db)) {
		const row = isUnreadableTable(table) ? await findText(db, table, id) : undefined;
		if (!isUnreadableTable(table) || !row) continue;
		found.push(await described(db, table, id, row, issues));
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
	return { ...(await described(db, table, id, row, [])), text: row.text };
}

/** What of a set-up does not read, itself or its spool; undefined where both do, or where there is none. */
export async function unreadableBehind(
	db: Knex,
	setupId: string
): Promise<Pick<Unreadable, 'table' | 'id'> | undefined> {
	const setup = await findText(db, 'setups', setupId);
	if (!setup) return undefined;
	if (issuesOf('setups', setup.text).length > 0) return { table: 'setups', id: setupId };
	const spool = setup.spoolId === undefined ? undefined : await findText(db, 'spools', setup.spoolId);
	return spool && issuesOf('spools', spool.text).length > 0
		? { table: 'spools', id: setup.spoolId! }
		: undefined;
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
