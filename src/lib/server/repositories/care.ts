import type { CareEvent, CareRule } from '$lib/core';
import { asRules, CareRules } from '$lib/schema/care';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

/** Events are only ever added: what was read before is kept, and what came since is read. */
interface Read {
	readonly byKept: Map<string, CareEvent[]>;
	arrival: number;
	/** One reading after another, so that nothing is read twice. */
	reading: Promise<unknown>;
}
const readOf = new WeakMap<Knex, Read>();

/** All events, by the thing they are about, in the order they arrived. */
export async function listCareEvents(db: Knex): Promise<ReadonlyMap<string, readonly CareEvent[]>> {
	const read = readOf.get(db) ?? { byKept: new Map(), arrival: 0, reading: Promise.resolve() };
	readOf.set(db, read);
	const next = read.reading.then(async () => {
		const rows = (await db('care_events')
			.select('arrival', 'kept_id', 'event')
			.where('arrival', '>', read.arrival)
			.orderBy('arrival')) as { arrival: number; kept_id: string; event: string }[];
		for (const { arrival, kept_id, event } of rows) {
			const list = read.byKept.get(kept_id);
			// What is stored was checked when it was written.
			const parsed = JSON.parse(event) as CareEvent;
			if (list) list.push(parsed);
			else read.byKept.set(kept_id, [parsed]);
			read.arrival = arrival;
		}
	});
	read.reading = next.catch(() => undefined);
	await next;
	return read.byKept;
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
