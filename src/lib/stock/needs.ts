import { toMm, type CutQuestion, type CutSource, type Cuts, type WantedCut } from '$lib/core';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { readStock } from './read-stock';
import type { MayNeed, StockEntry, StockNeed } from './stock';
import { byKind, isBacking, USEFUL_MM } from './what';

/** What is surely left of a source: the low end of its range, so that what is planned can be cut. */
const sources = (entries: readonly StockEntry[]): CutSource[] =>
	entries.flatMap(({ id, what, leftMm }) =>
		leftMm && leftMm.range.low > 0 ? [{ id, what, leftMm: leftMm.range.low }] : []
	);

const wanted = (needs: readonly StockNeed[]): WantedCut[] =>
	needs.flatMap(({ id, what, lengthMm }) => (lengthMm === null ? [] : [{ id, what, lengthMm }]));

/** The question of which piece is cut from which source. */
export const cutQuestion = (
	entries: readonly StockEntry[],
	needs: readonly StockNeed[],
	plan: Readonly<Record<string, string>>
): CutQuestion => ({
	wanted: wanted(needs),
	sources: sources(entries),
	usefulMm: USEFUL_MM,
	before: new Map(Object.entries(plan))
});

/** One kind of thing on the shelf: how much there is, and how much is wanted. */
export interface KindTotal {
	readonly what: string;
	/** Backing in mm, or boxes. */
	readonly left: number;
	readonly needed: number;
	/** There is little of it below this; undefined where nobody said. */
	readonly few: number | undefined;
	readonly low: boolean;
}

const fewOf = ({ form }: StockEntry): number | undefined => {
	if (form.kind === 'boxed') return form.fewBoxes === '' ? undefined : Number(form.fewBoxes);
	const read = readStock(form, DEFAULT_UNITS);
	return read.ok ? read.value.fewMm : undefined;
};

/** Every kind that is on the shelf or needed, with how much of it is there. */
export function kindTotals(entries: readonly StockEntry[], needs: readonly StockNeed[]): KindTotal[] {
	const whats = [...new Set([...entries, ...needs].map(({ what }) => what))].sort(byKind);
	return whats.map((what) => {
		const own = entries.filter((entry) => entry.what === what);
		const left = own.reduce((sum, { leftMm, boxes }) => sum + (leftMm?.value ?? boxes ?? 0), 0);
		const needed = needs.reduce((sum, need) => (need.what === what ? sum + (need.lengthMm ?? 1) : sum), 0);
		const limits = own.flatMap((entry) => fewOf(entry) ?? []);
		const few = limits.length > 0 ? Math.max(...limits) : undefined;
		return { what, left, needed, few, low: few !== undefined && left - needed < few };
	});
}

/** A line of the shopping list. */
export interface ToBuy {
	readonly what: string;
	/** Backing in one piece, mm, or boxes. */
	readonly amount: number;
	readonly why: 'orders' | 'low' | 'care';
	/** The orders that it is for. */
	readonly numbers: readonly number[];
}

/** Lengths that are bought are a multiple of this: what is sold. */
const STEP_MM = toMm(50, 'yd');
const toBuyMm = (mm: number): number => Math.ceil(mm / STEP_MM - 1e-9) * STEP_MM;

/** Boxed lines that the orders need and that are not there, the ones due first served first. */
function missingBoxes(entries: readonly StockEntry[], needs: readonly StockNeed[]): StockNeed[] {
	const left = new Map<string, number>();
	for (const { what, boxes } of entries) left.set(what, (left.get(what) ?? 0) + (boxes ?? 0));
	return needs.filter(({ what, lengthMm }) => {
		if (lengthMm !== null) return false;
		const there = left.get(what) ?? 0;
		left.set(what, there - 1);
		return there < 1;
	});
}

/**
 * What has to be bought: what the orders need and the shelf does not give, what is low, and, apart from both, what the next month's care
 * may ask for.
 *
 * @param cuts the plan: what is in it is there
 */
export function shoppingList(
	entries: readonly StockEntry[],
	needs: readonly StockNeed[],
	mayNeed: readonly MayNeed[],
	cuts: Cuts
): ToBuy[] {
	const missing = [
		...needs.filter(({ id, lengthMm }) => lengthMm !== null && !cuts.has(id)),
		...missingBoxes(entries, needs)
	];
	const whats = [...new Set(missing.map(({ what }) => what))];
	const forOrders = whats.map((what): ToBuy => {
		const own = missing.filter((need) => need.what === what);
		const sum = own.reduce((total, { lengthMm }) => total + (lengthMm ?? 1), 0);
		return {
			what,
			amount: isBacking(what) ? toBuyMm(sum) : sum,
			why: 'orders',
			numbers: [...new Set(own.map(({ number }) => number))]
		};
	});
	const bought = new Map(forOrders.map(({ what, amount }) => [what, amount]));
	const low = kindTotals(entries, needs).flatMap(({ what, left, needed, few, low }): ToBuy[] => {
		const there = left + (bought.get(what) ?? 0) - needed;
		if (!low || few === undefined || there >= few) return [];
		return [{ what, amount: isBacking(what) ? toBuyMm(few - there) : few - there, why: 'low', numbers: [] }];
	});
	const care = [...new Set(mayNeed.map(({ what }) => what))].map((what): ToBuy => {
		const own = mayNeed.filter((one) => one.what === what);
		return {
			what,
			amount: isBacking(what) ? toBuyMm(Math.max(...own.map(({ lengthMm }) => lengthMm))) : own.length,
			why: 'care',
			numbers: []
		};
	});
	return [...forOrders, ...low, ...care];
}

/**
 * The source for a piece: the one in the plan, or else the shortest that is surely long enough beside what is planned to be cut from it
 * for others. Undefined where there is none.
 */
export function sourceFor(
	entries: readonly StockEntry[],
	{ id, what, lengthMm }: Pick<StockNeed, 'id' | 'what' | 'lengthMm'>,
	plan: Readonly<Record<string, string>>,
	needs: readonly StockNeed[]
): StockEntry | undefined {
	const own = entries.filter((entry) => entry.what === what);
	if (lengthMm === null) return own.find(({ boxes }) => (boxes ?? 0) > 0);
	const plannedMm = (entry: StockEntry): number =>
		needs.reduce(
			(sum, need) => (need.id !== id && plan[need.id] === entry.id ? sum + (need.lengthMm ?? 0) : sum),
			0
		);
	const surelyMm = ({ leftMm }: StockEntry): number => leftMm?.range.low ?? 0;
	return (
		own.find((entry) => entry.id === plan[id] && surelyMm(entry) >= lengthMm) ??
		own
			.filter((entry) => surelyMm(entry) - plannedMm(entry) >= lengthMm)
			.sort((a, b) => surelyMm(a) - surelyMm(b))[0]
	);
}
