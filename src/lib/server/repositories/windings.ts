import { Day } from '$lib/inventory/day';
import { ForeseenGap, WindingForm, RunSummary, type Winding } from '$lib/inventory/winding';
import { SetupForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import { ReadBefore, type Writing } from '../db/write';
import { flag, json, jsonText, readRow, readRows } from './columns';

const Row = z
	.object({
		id: z.string(),
		setupId: z.string(),
		spoolId: z.string(),
		woundOn: Day,
		typed: json(WindingForm),
		turns: z.number().nullable(),
		depthMm: z.number().nullable(),
		gapMm: z.number().nullable(),
		form: json(SetupForm),
		backingMm: z.number(),
		backingMeasured: flag,
		run: json(RunSummary).nullable(),
		foreseen: json(ForeseenGap).nullable(),
		createdAt: z.string()
	})
	.transform(({ createdAt, foreseen, ...row }): Winding => ({
		...row,
		writtenAt: Date.parse(createdAt),
		...(foreseen && { foreseen })
	}));

/** Records that were read before, under their id and version, and the list they made: the same list as long as nothing changed. */
interface ReadWindings {
	readonly byVersion: ReadonlyMap<string, Winding | undefined>;
	readonly list: readonly Winding[];
}
const readBefore = new ReadBefore<ReadWindings>();

const living = (db: Knex): Knex.QueryBuilder => db('records').whereNull('takenBackAt');
/** How many rows one statement names. */
const PORTION = 400;

interface Numbered {
	readonly id: string;
	readonly version: number;
}
const keyOf = ({ id, version }: Numbered): string => `${id}/${version}`;

/** Every record that counts, oldest first. */
export async function listWindings(db: Knex): Promise<readonly Winding[]> {
	const before = readBefore.get(db);
	// Where nothing was read before, all of it comes at once; after that only what is new.
	const rows = (await living(db)
		.select(before ? ['id', 'version'] : '*')
		.orderBy('woundOn')
		.orderBy('createdAt')
		.orderBy('rowid')) as Numbered[];
	const byVersion = new Map(before?.byVersion);
	const fresh = rows.filter((one) => !byVersion.has(keyOf(one)));
	const found = before ? await rowsOf(db, fresh) : fresh;
	const read = new Map(readRows(db, 'records', Row, found).map((record) => [record.id, record]));
	// One that does not read is not tried again until it changes.
	for (const one of fresh) byVersion.set(keyOf(one), read.get(one.id));
	const list = rows.flatMap((one) => byVersion.get(keyOf(one)) ?? []);
	const same = list.length === before?.list.length && list.every((record, i) => record === before.list[i]);
	const now = { byVersion, list: same ? before!.list : list };
	readBefore.set(db, now);
	return now.list;
}

async function rowsOf(db: Knex, records: readonly Numbered[]): Promise<Numbered[]> {
	const found: Numbered[] = [];
	for (let i = 0; i < records.length; i += PORTION) {
		const ids = records.slice(i, i + PORTION).map(({ id }) => id);
		found.push(...((await db('records').whereIn('id', ids).select('*')) as Numbered[]));
	}
	return found;
}

export const findWinding = async (db: Knex, id: string): Promise<Winding | undefined> =>
	readRow(db, 'records', Row, await living(db).where({ id }).first('*'));

/** Undoes a record, or counts it again: nothing of it is lost. False when there is none. */
/** Undoes a winding, or counts it again; gives its set-up, or undefined where there is no such winding. */
export async function markTakenBack(
	trx: Writing,
	id: string,
	at: string | null
): Promise<string | undefined> {
	const rows = (await trx('records').where({ id }).update({ takenBackAt: at }).returning('setupId')) as {
		setupId: string;
	}[];
	return rows[0]?.setupId;
}

/** What a record's run came to, told again because more of it arrived. */
export async function updateSummary(trx: Writing, id: string, run: RunSummary): Promise<void> {
	await trx('records')
		.where({ id })
		.update({ run: jsonText(RunSummary, run, 'run'), version: trx.raw('version + 1') });
}

export async function insertWinding(trx: Writing, record: Winding): Promise<void> {
	const { writtenAt, ...row } = record;
	await trx('records').insert({
		...row,
		woundOn: record.woundOn.toString(),
		typed: jsonText(WindingForm, record.typed),
		form: jsonText(SetupForm, record.form, 'setup'),
		run: record.run && jsonText(RunSummary, record.run, 'run'),
		foreseen: record.foreseen ? jsonText(ForeseenGap, record.foreseen, 'foreseen') : null,
		createdAt: new Date(writtenAt).toISOString()
	});
}
