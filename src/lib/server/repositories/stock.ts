import type { Shelved } from '$lib/stock/left';
import { StockForm, StoredStockEvent } from '$lib/stock/stock';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

const StockRow = z.object({ id: z.string(), version: z.number().int(), form: json(StockForm) });
export type StockRow = z.output<typeof StockRow>;
const COLUMNS = ['id', 'version', 'form'];

const EventRow = z.object({
	id: z.string(),
	stockId: z.string(),
	takenBackAt: z.string().nullable(),
	event: json(StoredStockEvent)
});
const EVENT_COLUMNS = ['id', 'stockId', 'takenBackAt', 'event'];

const living = (db: Knex): Knex.QueryBuilder => db('stock').whereNull('deletedAt');

/** Whether there is anything on the shelf. */
export const anyStock = async (db: Knex): Promise<boolean> => (await living(db).first('id')) !== undefined;

/** Everything on the shelf, in the order it came, each with what happened to it in the order of time. */
export async function listStock(db: Knex): Promise<Shelved[]> {
	const rows = readRows(db, 'stock', StockRow, await living(db).select(COLUMNS).orderBy('createdAt'));
	const events = readRows(
		db,
		'stock_events',
		EventRow,
		await db('stock_events').whereNull('takenBackAt').select(EVENT_COLUMNS).orderBy('arrival')
	);
	// Of two on one day, the one that was written down first was first.
	events.sort((a, b) => a.event.day.localeCompare(b.event.day));
	const of = new Map<string, (StoredStockEvent & { id: string })[]>();
	for (const { id, stockId, event } of events)
		of.set(stockId, [...(of.get(stockId) ?? []), { ...event, id }]);
	return rows.map((row) => ({ ...row, events: of.get(row.id) ?? [] }));
}

export const findStock = async (db: Knex, id: string): Promise<StockRow | undefined> =>
	readRow(db, 'stock', StockRow, await living(db).where({ id }).first(COLUMNS));

export async function insertStock(trx: Writing, id: string, form: StockForm, now: string): Promise<void> {
	await trx('stock').insert({ id, form: jsonText(StockForm, form, 'form'), version: 1, createdAt: now });
}

/** Writes a form over the version that was read; that one is kept as a former one. */
export async function updateStock(
	trx: Writing,
	{ id, version, form: before }: StockRow,
	form: StockForm,
	now: string
): Promise<void> {
	await keepFormer(trx, 'stock', { id, version, text: JSON.stringify(before) }, now);
	await trx('stock')
		.where({ id })
		.update({ form: jsonText(StockForm, form, 'form'), version: version + 1 });
}

/** Takes something off the shelf, or puts it back. False where there is no such thing. */
export const markStockDeleted = async (
	trx: Writing,
	id: string,
	deletedAt: string | null
): Promise<boolean> => (await trx('stock').where({ id }).update({ deletedAt })) > 0;

export async function insertStockEvent(
	trx: Writing,
	id: string,
	stockId: string,
	event: StoredStockEvent
): Promise<void> {
	await trx('stock_events').insert({
		id,
		stockId,
		recordId: event.recordId ?? null,
		event: jsonText(StoredStockEvent, event, 'event')
	});
}

/** An event of something on the shelf, whether it counts or was undone. */
export const findStockEvent = async (
	db: Knex,
	stockId: string,
	id: string
): Promise<z.output<typeof EventRow> | undefined> =>
	readRow(db, 'stock_events', EventRow, await db('stock_events').where({ id, stockId }).first(EVENT_COLUMNS));

export async function markStockEvent(trx: Writing, id: string, takenBackAt: string | null): Promise<void> {
	await trx('stock_events').where({ id }).update({ takenBackAt });
}

export async function updateStockEvent(trx: Writing, id: string, event: StoredStockEvent): Promise<void> {
	await trx('stock_events')
		.where({ id })
		.update({ event: jsonText(StoredStockEvent, event, 'event') });
}

/** Undoes what was cut for a winding, or counts it again. */
export async function markCutsOf(trx: Writing, recordId: string, takenBackAt: string | null): Promise<void> {
	await trx('stock_events').where({ recordId }).update({ takenBackAt });
}

const PlanRow = z.object({ need: z.string(), stockId: z.string() });

/** Which source each piece is to be cut from. */
export const stockPlan = async (db: Knex): Promise<Record<string, string>> =>
	Object.fromEntries(
		z
			.array(PlanRow)
			.parse(await db('stock_plan').select('need', 'stockId'))
			.map(({ need, stockId }) => [need, stockId])
	);

/** Puts a plan in the place of the one before. */
export async function putStockPlan(trx: Writing, cuts: Readonly<Record<string, string>>): Promise<void> {
	await trx('stock_plan').delete();
	const rows = Object.entries(cuts).map(([need, stockId]) => ({ need, stockId }));
	if (rows.length > 0) await trx('stock_plan').insert(rows);
}
