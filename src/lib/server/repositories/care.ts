import type { CareEvent, CareRule } from '$lib/core';
import { asRules, KeptCareEvent, CareRules } from '$lib/inventory/care';
import type { Brought } from '$lib/inventory/strands';
import { ComponentForm } from '$lib/setup/form';
import { wordShape } from '$lib/wording/issues';
import type { Knex } from 'knex';
import { z } from 'zod';
import { ReadBefore, type Writing } from '../db/write';
import { json, jsonText, noteUnreadable, readRow, readRows } from './columns';
import { keepFormer } from './former';

/** Events that were read, by the strand they are about; events are only ever added. */
export interface CareEvents {
	readonly byKept: ReadonlyMap<string, readonly CareEvent[]>;
	readonly arrival: number;
	/** The same object as long as no event was added that says that something came or where it is, or undoes one. */
	readonly moves: object;
}
const MOVES: ReadonlySet<string> = new Set(['came', 'moved', 'undone']);
const readBefore = new ReadBefore<CareEvents>();

const Gathered = z.object({ kept_id: z.string(), events: z.string() });
const EventRow = z.object({ id: z.string(), event: json(KeptCareEvent) });

/** All events, by the strand they are about, in the order they arrived. What was read before is not read again. */
export async function listCareEvents(db: Knex): Promise<CareEvents> {
	const before = readBefore.get(db) ?? { byKept: new Map(), arrival: 0, moves: {} };
	const last = z
		.object({ last: z.number().int().nullable() })
		.parse(await db('care_events').max({ last: 'arrival' }).first()).last;
	if (last === null || last <= before.arrival) return before;
	const fresh = (): Knex.QueryBuilder =>
		db('care_events').where('arrival', '>', before.arrival).where('arrival', '<=', last);
	// One row a strand: a hundred thousand of them would take longer to hand over than to read.
	const rows = z
		.array(Gathered)
		.parse(
			await db
				.select('kept_id', db.raw(`'[' || group_concat(event) || ']' as events`))
				.from(fresh().whereRaw('json_valid(event)').orderBy('arrival').as('fresh'))
				.groupBy('kept_id')
		);
	readRows(
		db,
		'care_events',
		EventRow,
		await fresh().whereRaw('not json_valid(event)').select('id', 'event')
	);
	const byKept = new Map(before.byKept);
	let moves = before.moves;
	for (const { kept_id, events } of rows) {
		const added: CareEvent[] = [];
		for (const raw of JSON.parse(events) as unknown[]) {
			const read = KeptCareEvent.safeParse(raw);
			if (read.success) added.push(read.data as CareEvent);
			else noteUnreadable(db, { table: 'care_events', id: idOf(raw), issues: wordShape(read.error) });
		}
		if (added.some(({ kind }) => MOVES.has(kind))) moves = {};
		byKept.set(kept_id, [...(byKept.get(kept_id) ?? []), ...added]);
	}
	const now = { byKept, arrival: last, moves };
	readBefore.set(db, now);
	return now;
}

const idOf = (raw: unknown): string => String((raw as { id?: unknown } | null)?.id);

/** Appends events; one that is there already stays as it is. */
export async function insertCareEvents(
	trx: Writing,
	events: readonly { keptId: string; event: CareEvent }[]
): Promise<void> {
	for (const { keptId, event } of events)
		await trx('care_events')
			.insert({ id: event.id, kept_id: keptId, event: jsonText(KeptCareEvent, event, 'event') })
			.onConflict('id')
			.ignore();
}

const BroughtRow = z.object({ id: z.string(), component: json(ComponentForm), version: z.number().int() });
export type BroughtRow = z.output<typeof BroughtRow>;

/** Every strand that was ever brought, in the order it was. */
export const listBrought = async (db: Knex): Promise<BroughtRow[]> =>
	readRows(
		db,
		'brought',
		BroughtRow,
		await db('brought').orderBy('rowid').select('id', 'component', 'version')
	);

/** One that is there already stays as it is. */
export async function insertBrought(trx: Writing, { id, component }: Brought): Promise<void> {
	await trx('brought')
		.insert({ id, component: jsonText(ComponentForm, component, 'component') })
		.onConflict('id')
		.ignore();
}

/** Describes a brought strand otherwise; how it was described is kept as a former version. */
export async function updateBrought(
	trx: Writing,
	before: BroughtRow,
	component: ComponentForm,
	now: string
): Promise<void> {
	const { id, version } = before;
	await keepFormer(trx, 'brought', { id, version, text: JSON.stringify(before.component) }, now);
	await trx('brought')
		.where({ id })
		.update({ component: jsonText(ComponentForm, component, 'component'), version: version + 1 });
}

const RulesRow = z.object({ id: z.number(), rules: json(CareRules.nullable()), version: z.number().int() });

/** The rules as they were edited, with their version; none when nobody did, or when the usual ones were restored. */
export async function findCareRules(
	db: Knex
): Promise<{ readonly rules: CareRule[] | undefined; readonly version: number }> {
	const row = await db('care_rules').where({ id: 1 }).first('id', 'rules', 'version');
	const read = readRow(db, 'care_rules', RulesRow, row);
	if (!read) return { rules: undefined, version: (row as { version: number } | undefined)?.version ?? 0 };
	return { rules: read.rules ? asRules(read.rules) : undefined, version: read.version };
}

/** Writes the rules over the version that was read; that one is kept as a former one. */
export async function putCareRules(
	trx: Writing,
	before: { readonly rules: readonly CareRule[] | undefined; readonly version: number },
	rules: readonly CareRule[] | undefined,
	now: string
): Promise<void> {
	const { version } = before;
	const textOf = (some: readonly CareRule[] | undefined): string =>
		jsonText(CareRules.nullable(), some ? { rules: some } : null, 'rules');
	if (version > 0) await keepFormer(trx, 'care_rules', { id: '1', version, text: textOf(before.rules) }, now);
	await trx('care_rules')
		.insert({ id: 1, rules: textOf(rules), version: version + 1 })
		.onConflict('id')
		.merge();
}
