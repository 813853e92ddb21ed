import type { CareEvent, CareRule } from '$lib/core';
import { asCareEvent, asRules, CareEventBody, CareRules } from '$lib/schema/care';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

const Row = z
	.object({ kept_id: z.string(), event: json(CareEventBody) })
	.transform(({ kept_id, event }) => ({ keptId: kept_id, event: asCareEvent(event) }));

/** All events, by the thing they are about, in the order they arrived. */
export async function listCareEvents(db: Knex): Promise<Map<string, CareEvent[]>> {
	const rows = z.array(Row).parse(await db('care_events').select('kept_id', 'event').orderBy('arrival'));
	const byKept = new Map<string, CareEvent[]>();
	for (const { keptId, event } of rows) byKept.set(keptId, [...(byKept.get(keptId) ?? []), event]);
	return byKept;
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
