import { RunEventShape } from '$lib/bench/run';
import { OrderForm, OrderState } from '$lib/orders/order';
import { StockForm, StoredStockEvent } from '$lib/stock/stock';
import { CareRules, StoredCareEvent } from '$lib/inventory/care';
import { ForeseenGap, RunSummary, WindingForm } from '$lib/inventory/winding';
import { ComponentForm, FillForm, SetupForm, SpoolForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { Card } from './practice';

/** The tables that an archive holds: all that somebody said, and nothing that Wendle only remembers for itself. */

/** A row as it stands in an archive: camelCase, JSON columns as JSON, flags as booleans. */
export type ArchivedRow = Readonly<Record<string, unknown>>;

/** A text that is kept in a JSON column and is no JSON: it goes along as it is. */
const Unreadable = z.strictObject({ unreadable: z.string() });
const orUnreadable = (shape: z.ZodType) => z.union([shape, Unreadable]);

export interface ArchivedTable {
	/** The name of its file in the archive, without `.jsonl`. */
	readonly file: string;
	readonly table: string;
	readonly key: readonly string[];
	/** Columns that hold JSON as text. */
	readonly json: Readonly<Record<string, z.ZodType>>;
	readonly plain: Readonly<Record<string, z.ZodType>>;
	/** The column that rows are read in the order of; it is not taken along, and made anew where they arrive. */
	readonly arrival?: string;
	/** Whatever it is of can be edited, and counts its versions here. */
	readonly versioned?: boolean;
}

const id = z.string().min(1);
const at = z.string();
const version = z.number().int().min(0);
const number = z.number().nullable();
const flag = z.boolean();

/** Those that others refer to come first. */
export const ARCHIVED: readonly ArchivedTable[] = [
	{
		file: 'spools',
		table: 'spools',
		key: ['id'],
		json: { form: SpoolForm },
		plain: { id, createdAt: at, deletedAt: at.nullable(), version },
		versioned: true
	},
	{
		file: 'setups',
		table: 'setups',
		key: ['id'],
		json: { fill: FillForm },
		plain: { id, spoolId: id, version, createdAt: at, updatedAt: at, droppedAt: at.nullable() },
		versioned: true
	},
	{
		file: 'windings',
		table: 'records',
		key: ['id'],
		json: {
			typed: WindingForm,
			form: SetupForm,
			run: RunSummary.nullable(),
			foreseen: ForeseenGap.nullable()
		},
		plain: {
			id,
			setupId: id,
			spoolId: id,
			woundOn: z.string(),
			turns: number,
			depthMm: number,
			gapMm: number,
			backingMm: z.number(),
			backingMeasured: flag,
			createdAt: at,
			takenBackAt: at.nullable(),
			version
		},
		versioned: true
	},
	{
		file: 'runs',
		table: 'runs',
		key: ['id'],
		json: {},
		plain: {
			id,
			setupId: id,
			createdAt: at,
			job: z.string(),
			endedAt: at.nullable(),
			recordId: id.nullable()
		}
	},
	{
		file: 'run-events',
		table: 'run_events',
		key: ['runId', 'id'],
		json: { event: RunEventShape },
		plain: { runId: id, id },
		arrival: 'arrival'
	},
	{
		file: 'strands',
		table: 'brought',
		key: ['id'],
		json: { component: ComponentForm },
		plain: { id, version },
		versioned: true
	},
	{
		file: 'care-events',
		table: 'care_events',
		key: ['id'],
		json: { event: StoredCareEvent },
		plain: { id, keptId: id },
		arrival: 'arrival'
	},
	{
		file: 'care-rules',
		table: 'care_rules',
		key: ['id'],
		json: { rules: CareRules.nullable() },
		plain: { id: z.number().int(), version },
		versioned: true
	},
	{ file: 'knot-cards', table: 'knot_cards', key: ['slug'], json: { card: Card }, plain: { slug: id } },
	{
		file: 'knot-sessions',
		table: 'knot_sessions',
		key: ['id'],
		json: {},
		plain: { id, slug: id, at, right: z.number().int(), asked: z.number().int() }
	},
	{
		file: 'season',
		table: 'season',
		key: ['id'],
		json: {},
		plain: { id: z.number().int(), windsOn: z.string() }
	},
	{
		file: 'left-out-windings',
		table: 'left_out_windings',
		key: ['recordId'],
		json: {},
		plain: { recordId: id }
	},
	{
		file: 'orders',
		table: 'orders',
		key: ['id'],
		json: { form: OrderForm },
		plain: {
			id,
			number: z.number().int(),
			state: OrderState,
			takenIn: z.string(),
			version,
			createdAt: at,
			deletedAt: at.nullable()
		},
		versioned: true
	},
	{
		file: 'stock',
		table: 'stock',
		key: ['id'],
		json: { form: StockForm },
		plain: { id, version, createdAt: at, deletedAt: at.nullable() },
		versioned: true
	},
	{
		file: 'stock-events',
		table: 'stock_events',
		key: ['id'],
		json: { event: StoredStockEvent },
		plain: { id, stockId: id, recordId: id.nullable(), takenBackAt: at.nullable() },
		arrival: 'arrival'
	},
	{ file: 'stock-plan', table: 'stock_plan', key: ['need'], json: {}, plain: { need: id, stockId: id } },
	{
		file: 'former-versions',
		table: 'former',
		key: ['of', 'id', 'version'],
		json: {},
		plain: { of: z.string(), id, version, text: z.string(), replacedAt: at }
	}
];

const FLAGS = new Set(['backingMeasured']);

/** The shape of one line of a table's file. */
export const lineShape = ({ plain, json }: ArchivedTable) =>
	z.strictObject({
		...plain,
		...Object.fromEntries(Object.entries(json).map(([name, shape]) => [name, orUnreadable(shape)]))
	});

/** How a row is told from the others of its table. */
export const keyOf = ({ key }: ArchivedTable, row: ArchivedRow): string =>
	JSON.stringify(key.map((name) => row[name]));

const named = ({ key }: ArchivedTable, row: ArchivedRow): Record<string, unknown> =>
	Object.fromEntries(key.map((name) => [name, row[name]]));

function archivedValue(name: string, held: unknown, isJson: boolean): unknown {
	if (FLAGS.has(name)) return held === 1;
	if (!isJson || held === null) return held;
	try {
		return JSON.parse(String(held)) as unknown;
	} catch {
		return { unreadable: String(held) };
	}
}

function storedValue(value: unknown, isJson: boolean): unknown {
	if (typeof value === 'boolean') return value ? 1 : 0;
	if (!isJson || value === null) return value;
	const raw = Unreadable.safeParse(value);
	return raw.success ? raw.data.unreadable : JSON.stringify(value);
}

/** Columns in one order, so that equal rows have equal text. */
const namesOf = ({ plain, json }: ArchivedTable): string[] => [...Object.keys(plain), ...Object.keys(json)];

export async function readArchived(db: Knex, table: ArchivedTable): Promise<ArchivedRow[]> {
	const rows = (await db(table.table)
		.select(namesOf(table))
		.orderBy(table.arrival ? [table.arrival] : [...table.key])) as Record<string, unknown>[];
	return rows.map((row) =>
		Object.fromEntries(
			namesOf(table).map((name) => [name, archivedValue(name, row[name], name in table.json)])
		)
	);
}

/** A row with its columns in the table's order. */
export const ordered = (table: ArchivedTable, row: ArchivedRow): ArchivedRow =>
	Object.fromEntries(namesOf(table).map((name) => [name, row[name]]));

/** Writes a row over the one with its key, or adds it. */
export async function putArchived(trx: Writing, table: ArchivedTable, row: ArchivedRow): Promise<void> {
	const stored = Object.fromEntries(
		namesOf(table).map((name) => [name, storedValue(row[name], name in table.json)])
	);
	const changed = await trx(table.table).where(named(table, row)).update(stored);
	if (changed === 0) await trx(table.table).insert(stored);
}

/** Deletes a row by its key; whatever hangs on it goes along. */
export async function deleteArchived(trx: Writing, table: ArchivedTable, row: ArchivedRow): Promise<void> {
	await trx(table.table).where(named(table, row)).delete();
}

export const countArchived = async (db: Knex, { table }: ArchivedTable): Promise<number> =>
	Number(((await db(table).count({ rows: '*' }).first()) as { rows: number }).rows);

/** Whether everything that a row refers to is there. */
export const isWhole = async (db: Knex): Promise<boolean> =>
	((await db.raw('pragma foreign_key_check')) as unknown[]).length === 0;

/** What one archive wrote, and what was there before: rows by the names of their files. */
export interface ImportRows {
	readonly wrote: Readonly<Record<string, readonly ArchivedRow[]>>;
	readonly before: Readonly<Record<string, readonly ArchivedRow[]>>;
}

export async function insertImport(
	trx: Writing,
	importId: string,
	rows: ImportRows,
	now: string
): Promise<void> {
	const [wrote, before] = [JSON.stringify(rows.wrote), JSON.stringify(rows.before)];
	await trx('imports').insert({ id: importId, madeAt: now, wrote, before });
}

const Rows = z.record(z.string(), z.array(z.record(z.string(), z.unknown())));
const text = z.string().transform((held) => Rows.parse(JSON.parse(held)));

export const findImport = async (
	db: Knex,
	importId: string
): Promise<(ImportRows & { readonly undoneAt: string | null }) | undefined> =>
	z
		.object({ wrote: text, before: text, undoneAt: z.string().nullable() })
		.optional()
		.parse(await db('imports').where({ id: importId }).first('wrote', 'before', 'undoneAt'));

export async function markImport(trx: Writing, importId: string, undoneAt: string | null): Promise<void> {
	await trx('imports').where({ id: importId }).update({ undoneAt });
}
