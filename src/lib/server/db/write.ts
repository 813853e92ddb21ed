import type { Knex } from 'knex';
import { refused, type Outcome } from '../outcome';
import { refuseIfGone } from './file';
import { Unkeepable } from './unkeepable';

declare const writing: unique symbol;

/** A transaction that may write. Only {@link write} makes one, so a repository cannot be asked to write outside it. */
export type Writing = Knex.Transaction & { readonly [writing]: true };

/** How a write is told from every other: by an id that whoever asked for it made. */
export interface WriteId {
	readonly id: string;
	/** A digest of what was asked, so that an id that is used again for something else is noticed. */
	readonly digest?: string;
}

/** For rows that each carry an id of their own and are inserted once (events, photos): the write itself needs none. */
export const ROWS_HAVE_IDS = undefined;

/** Undoes a transaction and says why. */
class TakenBack extends Error {
	constructor(readonly outcome: Outcome<never>) {
		super('refused');
	}
}

const databaseOf = new WeakMap<Knex, Knex>();

/** The database behind a transaction, or the database itself. */
export const rootOf = (db: Knex): Knex => databaseOf.get(db) ?? db;

const isWriting = (db: Knex): boolean => databaseOf.has(db);

/** What was read holds for an era of a database: a new one begins when rows were replaced under the same versions. */
const eras = new WeakMap<Knex, object>();
function eraOf(db: Knex): object {
	const root = rootOf(db);
	const era = eras.get(root) ?? {};
	eras.set(root, era);
	return era;
}
/** Forgets everything that was read of a database. */
export const forgetReads = (db: Knex): void => void eras.delete(rootOf(db));

/** Remembers what was read of a database; what a transaction reads is not remembered, since the transaction may yet be rolled back. */
export class ReadBefore<T extends object> {
	readonly #of = new WeakMap<object, T>();

	get(db: Knex): T | undefined {
		return this.#of.get(eraOf(db));
	}
	set(db: Knex, value: T): void {
		if (!isWriting(db)) this.#of.set(eraOf(db), value);
	}
}

/** What the write with this id came to, where there was one; else the id is taken, and with it the lock for writing. */
async function answeredBefore<T>(
	trx: Knex.Transaction,
	asked: WriteId,
	now: string
): Promise<Outcome<T> | undefined> {
	const { id, digest = '' } = asked;
	const fresh: unknown[] = await trx('writes')
		.insert({ id, digest, answer: 'null', writtenAt: now })
		.onConflict('id')
		.ignore()
		.returning('id');
	if (fresh.length > 0) return undefined;
	const row = (await trx('writes').where({ id }).first('digest', 'answer')) as {
		digest: string;
		answer: string;
	};
	const answer = JSON.parse(row.answer) as T;
	return row.digest === digest ? { ok: true, value: answer } : refused({ kind: 'used', answer });
}

/**
 * The one way to write: everything in one transaction, all of it or nothing. Asked twice under the same id it answers the
 * same and changes nothing; a refusal undoes everything and is not remembered.
 *
 * @param asked the write's id; {@link ROWS_HAVE_IDS} where every row that is written has one
 * @param work reads and writes through the transaction it is given, and gives its answer, which has to be JSON
 */
export async function write<T>(
	db: Knex,
	asked: WriteId | typeof ROWS_HAVE_IDS,
	work: (trx: Writing, now: string) => Promise<Outcome<T>>
): Promise<Outcome<T>> {
	refuseIfGone(db);
	const now = new Date().toISOString();
	/** What went wrong first: a full disk ends the transaction, and rolling it back then fails for that. */
	let first: unknown;
	try {
		return await db.transaction(async (trx) => {
			databaseOf.set(trx, rootOf(db));
			try {
				return await within(trx as Writing, now, asked, work);
			} catch (error) {
				first = error;
				throw error;
			}
		});
	} catch (error) {
		const cause = first ?? error;
		if (cause instanceof TakenBack) return cause.outcome;
		if (cause instanceof Unkeepable) return refused({ kind: 'bad', issues: cause.issues });
		throw cause;
	}
}

async function within<T>(
	trx: Writing,
	now: string,
	asked: WriteId | typeof ROWS_HAVE_IDS,
	work: (trx: Writing, now: string) => Promise<Outcome<T>>
): Promise<Outcome<T>> {
	const before = asked && (await answeredBefore<T>(trx, asked, now));
	if (before) return before;
	const outcome = await work(trx, now);
	if (!outcome.ok) throw new TakenBack(outcome as Outcome<never>);
	if (asked)
		await trx('writes')
			.where({ id: asked.id })
			.update({ answer: JSON.stringify(outcome.value ?? null) });
	// The file may have been taken away meanwhile: what is written into it then is not saved.
	refuseIfGone(rootOf(trx));
	return outcome;
}
