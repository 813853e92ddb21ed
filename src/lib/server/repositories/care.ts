import type { CareEvent, CareRule } from '$lib/core';
import { asRules, CareRules } from '$lib/schema/care';
import type { Brought } from '$lib/schema/kept';
import { ComponentForm } from '$lib/schema/setup';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

const Gathered = z.object({ kept_id: z.string(), events: z.string(), last: z.number().int() });

/** Events are only ever added: what was read before is kept, and what came since is read. */
interface Read {
	readonly byKept: Map<string, readonly CareEvent[]>;
	arrival: number;
	/** How many of them say that something came or where it is, or take something back. */
	moves: number;
	/** One reading after another, so that nothing is read twice. */
	reading: Promise<unknown>;
}
const MOVES: ReadonlySet<string> = new Set(['came', 'moved', 'undone']);
const readOf = new WeakMap<Knex, Read>();

/** All events, by the thing they are about, in the order they arrived. */
export async function listCareEvents(db: Knex): Promise<Pick<Read, 'byKept' | 'moves'>> {
	const read = readOf.get(db) ?? { byKept: new Map(), arrival: 0, moves: 0, reading: Promise.resolve() };
	readOf.set(db, read);
	const next = read.reading.then(async () => {
		// One row a thing: a hundred thousand of them would take longer to hand over than to read.
		const rows = z.array(Gathered).parse(
			await db
				.select(
					'kept_id',
					db.raw(`'[' || group_concat(event) || ']' as events`),
					db.raw('max(arrival) as last')
				)
				.from(db('care_events').where('arrival', '>', read.arrival).orderBy('arrival').as('fresh'))
				.groupBy('kept_id')
		);
		for (const { kept_id, events, last } of rows) {
			// What is stored was checked when it was written.
			const fresh = JSON.parse(events) as CareEvent[];
			read.moves += fresh.filter(({ kind }) => MOVES.has(kind)).length;
			read.byKept.set(kept_id, [...(read.byKept.get(kept_id) ?? []), ...fresh]);
			read.arrival = Math.max(read.arrival, last);
		}
	});
	read.reading = next.catch(() => undefined);
	await next;
	return read;
}

/** Appends events; one that is there already stays as it is. */
export async function insertCareEvents(
	db: Knex,
	events: readonly { keptId: string; event: CareEvent }[]
): Promise<void> {
	for (const { keptId, event } of events)
		await db('care_events')
			.insert({ id: event.id, kept_id: keptId, event: JSON.stringify(event) })
			.onConflict('id')
			.ignore();
}

const BroughtRow = z.object({ id: z.string(), component: json(ComponentForm) });

/** Everything that was ever brought, in the order it was. */
export const listBrought = async (db: Knex): Promise<Brought[]> =>
	z.array(BroughtRow).parse(await db('brought').orderBy('rowid').select('id', 'component')) as Brought[];

/** One that is there already stays as it is. */
export async function insertBrought(db: Knex, { id, component }: Brought): Promise<void> {
	await db('brought')
		.insert({ id, component: JSON.stringify(component) })
		.onConflict('id')
		.ignore();
}

/** The rules as they were edited; none when nobody did. */
export async function findCareRules(db: Knex): Promise<CareRule[] | undefined> {
	const row = z
		.object({ rules: json(CareRules) })
		.optional()
		.parse(await db('care_rules').where({ id: 1 }).first('rules'));
	return row && asRules(row.rules);
}

export async function putCareRules(db: Knex, rules: readonly CareRule[] | undefined): Promise<void> {
	if (!rules) await db('care_rules').where({ id: 1 }).delete();
	else
		await db('care_rules')
			.insert({ id: 1, rules: JSON.stringify({ rules }) })
			.onConflict('id')
			.merge();
}
