import { CareRules, StoredCareEvent } from '$lib/inventory/care';
import { RunEventShape } from '$lib/bench/run';
import { OrderForm } from '$lib/orders/order';
import { StockForm, StoredStockEvent } from '$lib/stock/stock';
import { WindingForm, RunSummary } from '$lib/inventory/winding';
import { ComponentForm, FillForm, SetupForm, SpoolForm } from '$lib/setup/form';
import type { UnreadableTable } from '$lib/inventory/unreadable';
import { wordShape, type WordedIssue } from '$lib/wording/issues';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { forgetUnreadable } from './columns';
import { keepFormer } from './former';
import { Card } from './practice';

/** What a table keeps as text: the shape of each column, by which column its rows are told, and how one is taken off. */
interface TextTable {
	readonly columns: Readonly<Record<string, z.ZodType>>;
	readonly key: string;
	/** The column that says since when a row is off; rows of the other tables are taken out, and kept as former ones. */
	readonly off?: string;
}

const TABLES: Record<UnreadableTable, TextTable> = {
	spools: { columns: { form: SpoolForm }, key: 'id', off: 'deletedAt' },
	setups: { columns: { fill: FillForm }, key: 'id', off: 'droppedAt' },
	records: {
		columns: { typed: WindingForm, form: SetupForm, run: RunSummary.nullable() },
		key: 'id',
		off: 'takenBackAt'
	},
	brought: { columns: { component: ComponentForm }, key: 'id' },
	care_rules: { columns: { rules: CareRules.nullable() }, key: 'id' },
	care_events: { columns: { event: StoredCareEvent }, key: 'id' },
	run_events: { columns: { event: RunEventShape }, key: 'arrival' },
	knot_cards: { columns: { card: Card }, key: 'slug' },
	orders: { columns: { form: OrderForm }, key: 'id', off: 'deletedAt' },
	stock: { columns: { form: StockForm }, key: 'id', off: 'deletedAt' },
	stock_events: { columns: { event: StoredStockEvent }, key: 'id', off: 'takenBackAt' }
};

type Row = Record<string, string | number | null>;

const readText = (text: string): unknown => {
	try {
		return JSON.parse(text) as unknown;
	} catch {
		return text;
	}
};

/** The text of a row: of its one column, or of all that it keeps together. */
function textOf({ columns }: TextTable, row: Row): string {
	const names = Object.keys(columns);
	const valueOf = (name: string): unknown => (row[name] === null ? null : readText(String(row[name])));
	const value =
		names.length === 1 ? valueOf(names[0]!) : Object.fromEntries(names.map((n) => [n, valueOf(n)]));
	return typeof value === 'string' ? value : JSON.stringify(value, null, '\t');
}

/** A row as text, with the columns that it is made of; undefined where there is none. */
export async function findText(
	db: Knex,
	table: UnreadableTable,
	id: string
): Promise<{ text: string; version: number; spoolId: string | undefined } | undefined> {
	const kept = TABLES[table];
	const row = (await db(table)
		.where({ [kept.key]: id })
		.first('*')) as Row | undefined;
	if (!row) return undefined;
	const spoolId = row['spoolId'];
	return {
		text: textOf(kept, row),
		version: Number(row['version'] ?? 1),
		spoolId: typeof spoolId === 'string' ? spoolId : undefined
	};
}

/** What is wrong with a text that should be a row of a table; nothing when it reads. */
export function issuesOf(table: UnreadableTable, text: string): readonly WordedIssue[] {
	const read = columnsOf(table, text);
	return 'issues' in read ? read.issues : [];
}

function columnsOf(
	table: UnreadableTable,
	text: string
): { columns: Record<string, string> } | { issues: readonly WordedIssue[] } {
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch {
		return {
			issues: [{ code: 'not_json', path: [], message: "This isn't JSON. Check brackets, quotes and commas." }]
		};
	}
	const { columns } = TABLES[table];
	const names = Object.keys(columns);
	const shape = names.length === 1 ? columns[names[0]!]! : z.strictObject(columns);
	const read = shape.safeParse(value);
	if (!read.success) return { issues: wordShape(read.error) };
	const held = (names.length === 1 ? { [names[0]!]: value } : value) as Record<string, unknown>;
	return { columns: Object.fromEntries(names.map((name) => [name, JSON.stringify(held[name])])) };
}

/** The names of the columns that a table has beside its own. */
const VERSIONED: readonly UnreadableTable[] = [
	'spools',
	'setups',
	'records',
	'brought',
	'care_rules',
	'orders',
	'stock'
];

/** Writes a text over a row; what was there is kept as a former version. Issues when the text does not read either. */
export async function putText(
	trx: Writing,
	table: UnreadableTable,
	id: string,
	text: string,
	now: string
): Promise<readonly WordedIssue[]> {
	const read = columnsOf(table, text);
	if ('issues' in read) return read.issues;
	const before = await findText(trx, table, id);
	if (before) await keepFormer(trx, table, { id, version: before.version, text: before.text }, now);
	const row = trx(table).where({ [TABLES[table].key]: id });
	await row.update({
		...read.columns,
		...(VERSIONED.includes(table) && { version: trx.raw('version + 1') })
	});
	// Events are read once as they arrive: one that was mended arrives again.
	if (table === 'care_events')
		await trx(table)
			.where({ id })
			.update({ arrival: trx.raw('(select max(arrival) + 1 from care_events)') });
	forgetUnreadable(trx, table, id);
	return [];
}

/** Takes a row off: nothing of it is lost. */
export async function takeOff(trx: Writing, table: UnreadableTable, id: string, now: string): Promise<void> {
	const { key, off } = TABLES[table];
	if (off)
		await trx(table)
			.where({ [key]: id })
			.update({ [off]: now });
	else {
		const before = await findText(trx, table, id);
		if (before) await keepFormer(trx, table, { id, version: before.version, text: before.text }, now);
		await trx(table)
			.where({ [key]: id })
			.delete();
	}
	forgetUnreadable(trx, table, id);
}
