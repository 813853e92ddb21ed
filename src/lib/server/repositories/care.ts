import type { CareEvent, CareRule } from '$lib/core';
import { asRules, StoredCareEvent, CareRules } from '$lib/inventory/care';
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
const NO_EVENTS: CareEvents = { byKept: new Map(), arrival: 0, moves: {} };
const readBefore = new ReadBefore<CareEvents>();

const Gathered = z.object({
	keptId: z.string(),
	events: z.string(),
	last: z.number().int(),
	/** How many of them are no JSON at all. */
	broken: z.number().int()
});
const EventRow = z.object({ id: z.string(), event: json(StoredCareEvent) });

/** All events, by the strand they are about, in the order they arrived. What was read before is not read again. */
export async function listCareEvents(db: Knex): Promise<CareEvents> {
	const before = readBefore.get(db) ?? NO_EVENTS;
	const fresh = (): Knex.QueryBuilder => db('care_events').where('arrival', '>', before.arrival);
	// One row a strand: a hundred thousand of them would take longer to hand over than to read.
	const rows = z
		.array(Gathered)
		.parse(
			await db
				.select(
					'keptId',
					db.raw(
						`'[' || coalesce(group_concat(case when json_valid(event) then event end), '') || ']' as events`
					),
					db.raw('max(arrival) as last'),
					db.raw('sum(not json_valid(event)) as broken')
				)
				.from(fresh().orderBy('arrival').as('fresh'))
				.groupBy('keptId')
		);
	if (rows.length === 0) return before;
	if (rows.some(({ broken }) => broken > 0))
		readRows(
			db,
			'care_events',
			EventRow,
			await fresh().whereRaw('not json_valid(event)').select('id', 'event')
		);
	const byKept = new Map(before.byKept);
	let { moves, arrival } = before;
	for (const { keptId, events, last } of rows) {
		const added = eventsIn(db, events);
		if (added.some(({ kind }) => MOVES.has(kind))) moves = {};
		byKept.set(keptId, [...(byKept.get(keptId) ?? []), ...added]);
		arrival = Math.max(arrival, last);
	}
	const now = { byKept, arrival, moves };
	readBefore.set(db, now);
	return now;
}

/** The events that read, of a list of them as text. */
const eventsIn = (db: Knex, text: string): CareEvent[] =>
	(JSON.parse(text) as unknown[]).flatMap((raw) => {
		const read = StoredCareEvent.safeParse(raw);
		if (read.success) return [read.data as CareEvent];
		noteUnreadable(db, { table: 'care_events', id: idOf(raw), issues: wordShape(read.error) });
		return [];
	});

const idOf = (raw: unknown): string => String((raw as { id?: unknown } | null)?.id);

/** Appends events; one that is there already stays as it is. */
export async function insertCareEvents(
	trx: Writing,
	events: readonly { keptId: string; event: CareEvent }[]
): Promise<void> {
	for (const { keptId, event } of events)
		await trx('care_events')
			.insert({ id: event.id, keptId: keptId, event: jsonText(StoredCareEvent, event, 'event') })
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

/** Deletes a brought strand that nothing has happened to since it came, and that no set-up names. Its first events stay, of nothing. */
export async function deleteBrought(trx: Writing, id: string): Promise<void> {
	const first = ['came', 'out', 'lies'].map((kind) => `${id}:${kind}`);
	const since = (await trx('care_events')
		.where({ keptId: id })
		.whereNotIn('id', first)
		.first('id')) as unknown;
	const named = (await trx('setups').whereRaw('instr(fill, ?) > 0', [id]).first('id')) as unknown;
	if (since === undefined && named === undefined) await trx('brought').where({ id }).delete();
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
