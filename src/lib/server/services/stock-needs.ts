import { dueBefore, JOB_NAMES, knotLengthMm, readDay, type Day } from '$lib/core';
import { jobOf } from '$lib/bench/job';
import { shoppingOf } from '$lib/bench/shopping';
import { isOpen } from '$lib/orders/board';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import type { SetupForm } from '$lib/setup/form';
import { stockEntry, type Shelved } from '$lib/stock/left';
import type { CutChoice } from '$lib/stock/cut-choice';
import { sourceFor } from '$lib/stock/needs';
import type { MayNeed, StockEntry, StockForm, StockNeed, StockPage } from '$lib/stock/stock';
import { isBacking, whatOfStrand } from '$lib/stock/what';
import { DEFAULT_UNITS } from '$lib/wording/units';
import type { BenchJob } from '$lib/bench/work';
import type { Knex } from 'knex';
import { listOrders, type OrderRow } from '../repositories/orders';
import { listStock, stockPlan } from '../repositories/stock';
import { listWindings } from '../repositories/windings';
import { benchJob } from './bench';
import { care } from './care';
import { strandsNow } from './inventory';
import { loadSetup } from './saved';

/** A strand of a set-up that comes from the shelf: what it is, and the length to cut; null for a boxed line. */
interface Piece {
	readonly part: string;
	readonly what: string;
	readonly lengthMm: number | null;
}

/** The strands of a set-up that can come from the shelf. */
export function piecesOf(form: SetupForm, workout: Workout): Piece[] {
	const shopping = new Map(shoppingOf(workout, jobOf(form, workout)).map(({ id, cut }) => [id, cut.cutMm]));
	return form.fill.stack.flatMap((component) => {
		const what = whatOfStrand(component);
		if (what === undefined) return [];
		const lengthMm = isBacking(what) ? (shopping.get(component.id) ?? 0) : null;
		return lengthMm === 0 ? [] : [{ part: component.id, what, lengthMm }];
	});
}

/** What the knots of a strand take of it, mm. */
export const knotsTakeMm = (form: SetupForm, workout: Workout, part: string): number => {
	const job = jobOf(form, workout);
	return job.parts.some(({ id }) => id === part) ? knotLengthMm(job, part) : 0;
};

/** A piece's name in a plan: the strand of the set-up that it is for. */
export const needId = (setupId: string, part: string): string => `${setupId}:${part}`;

async function needsOf(
	db: Knex,
	{ id, number, form }: OrderRow,
	wound: ReadonlySet<string>
): Promise<StockNeed[]> {
	const needs: StockNeed[] = [];
	for (const { setupId } of form.reels) {
		const setup = wound.has(setupId) ? undefined : await loadSetup(db, setupId);
		const worked = setup && workOut(setup.form, DEFAULT_UNITS);
		if (!setup || !worked?.ok || !worked.value.fit.fits) continue;
		const of = {
			setupId,
			orderId: id,
			number,
			who: form.who,
			reel: setup.form.spool.name,
			due: readDay(form.due) ?? null
		};
		// A strand that was there before comes along with its reel.
		const kept = new Set(setup.form.fill.stack.flatMap((one) => (one.kept === undefined ? [] : [one.id])));
		for (const piece of piecesOf(setup.form, worked.value))
			if (!kept.has(piece.part))
				needs.push({ ...of, id: needId(setupId, piece.part), what: piece.what, lengthMm: piece.lengthMm });
	}
	return needs;
}

/** What the open orders need, the one that is due first coming first. */
export async function needsNow(db: Knex): Promise<StockNeed[]> {
	const wound = new Set((await listWindings(db)).map(({ setupId }) => setupId));
	const open = (await listOrders(db)).filter(isOpen);
	// A day that nobody agreed on comes last.
	open.sort((a, b) => (a.form.due || '9').localeCompare(b.form.due || '9') || a.number - b.number);
	const needs: StockNeed[] = [];
	for (const order of open) needs.push(...(await needsOf(db, order, wound)));
	return needs;
}

/** How far ahead care is looked at, days. */
const MONTH_DAYS = 31;
/** Checks that may end with something being replaced. */
const MAY_REPLACE = new Set(['judge', 'tug-test']);

/** What falls due in the next month and may have to be replaced then. */
async function mayNeed(db: Knex, today: Day): Promise<MayNeed[]> {
	const { entries } = await care(db, today);
	const { made } = await strandsNow(db);
	const things = entries.map(({ kept, spoolId, where, dues }) => ({
		id: kept.id,
		place: spoolId ?? where,
		dues: dues.filter(({ job }) => MAY_REPLACE.has(job))
	}));
	return dueBefore(things, today.add({ days: MONTH_DAYS })).flatMap(({ thing, job, overdue, expectedOn }) => {
		const { kept, where } = entries.find((entry) => entry.kept.id === thing)!;
		const component = made.get(thing);
		const what = component && whatOfStrand(component);
		if (what === undefined) return [];
		return [
			{
				id: thing,
				what,
				label: kept.label,
				lengthMm: kept.lengthMm,
				job: JOB_NAMES[job],
				where,
				due: overdue ? null : (expectedOn ?? null)
			}
		];
	});
}

/** What is left was estimated from all of its readings: again only where something happened to it. */
const estimated = new WeakMap<StockForm, { readonly of: string; readonly entry: StockEntry }>();

function entryOf(shelved: Shelved): StockEntry {
	const of = JSON.stringify([shelved.id, shelved.version, shelved.events]);
	const before = estimated.get(shelved.form);
	if (before?.of === of) return before.entry;
	const entry = stockEntry(shelved);
	estimated.set(shelved.form, { of, entry });
	return entry;
}

export const stockEntries = async (db: Knex): Promise<StockEntry[]> => (await listStock(db)).map(entryOf);

/** The whole shelf, what the orders need of it, and the plan that was kept. */
export async function stockPage(db: Knex, today: Day): Promise<StockPage> {
	return {
		entries: await stockEntries(db),
		needs: await needsNow(db),
		mayNeed: await mayNeed(db, today),
		plan: await stockPlan(db)
	};
}

/** Strands that a job puts on, each with whether it is new. */
function goingOn(doing: BenchJob, form: SetupForm, rewound: boolean): ReadonlyMap<string, boolean> {
	if (doing.kind === 'wind' || doing.kind === 'reverse')
		return new Map(form.fill.stack.map(({ id, kept }) => [id, kept === undefined && !rewound]));
	if (doing.kind === 'swap') return new Map(doing.on.map(({ part, from }) => [part, from === 'new']));
	return new Map();
}

/** Where the strands of a winding can be taken from; empty for those who keep no stock. */
export async function cutChoices(db: Knex, setupId: string): Promise<CutChoice[]> {
	const entries = await stockEntries(db);
	const setup = entries.length > 0 ? await loadSetup(db, setupId) : undefined;
	const worked = setup && workOut(setup.form, DEFAULT_UNITS);
	if (!setup || !worked?.ok) return [];
	const rewound = (await listWindings(db)).some((winding) => winding.setupId === setupId);
	const going = goingOn(await benchJob(db, setupId, undefined), setup.form, rewound);
	const [plan, needs] = [await stockPlan(db), await needsNow(db)];
	return piecesOf(setup.form, worked.value).flatMap(({ part, what, lengthMm }) => {
		const sources = entries.filter(
			(entry) =>
				entry.what === what && (entry.boxes === null ? entry.leftMm!.range.high > 0 : entry.boxes > 0)
		);
		if (!going.has(part) || sources.length === 0) return [];
		const need = { id: needId(setupId, part), what, lengthMm };
		const chosen = going.get(part) ? (sourceFor(entries, need, plan, needs)?.id ?? null) : null;
		return [{ part, what, lengthMm, sources, chosen }];
	});
}
