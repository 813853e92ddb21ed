import type { Day } from '../src/lib/core';
import { valueOf } from '../src/lib/server/outcome';
import type { openDatabase } from '../src/lib/server/db/open';
import { addStockEvent, createStock, keepPlan } from '../src/lib/server/services/stock';
import { cutChoices, needsNow, stockEntries } from '../src/lib/server/services/stock-needs';
import { sourceFor } from '../src/lib/stock/needs';
import { DEFAULT_UNITS } from '../src/lib/wording/units';
import { STOCK } from './stock';

type Database = Awaited<ReturnType<typeof openDatabase>>;

/** Fills the kit room's shelf, with what the warden wrote down about it. */
export async function addStock(db: Database, today: Day): Promise<void> {
	for (const [i, { form, events = [] }] of STOCK.entries()) {
		const { id } = valueOf(await createStock(db, { id: `demo-stock-${i}` }, form, DEFAULT_UNITS));
		for (const [n, [daysAgo, kind, amount, places = 1]] of events.entries()) {
			const day = today.subtract({ days: daysAgo }).toString();
			const event = { kind, amount, day, places, note: '' };
			valueOf(await addStockEvent(db, { id: `demo-stock-${i}-${n}` }, id, event, DEFAULT_UNITS));
		}
	}
}

/** Where the strands of a winding come from: from what most likely serves. */
export const cutFromShelf = async (
	db: Database,
	setupId: string
): Promise<Readonly<Record<string, string | null>>> =>
	Object.fromEntries((await cutChoices(db, setupId)).map(({ part, chosen }) => [part, chosen]));

/** The plan that the warden keeps: of the piece that is due first. */
export async function addPlan(db: Database): Promise<void> {
	const [entries, needs] = [await stockEntries(db), await needsNow(db)];
	const first = needs.find(({ lengthMm }) => lengthMm !== null);
	const source = first && sourceFor(entries, first, {}, needs);
	if (first && source) valueOf(await keepPlan(db, { id: 'demo-plan-1' }, { [first.id]: source.id }));
}
