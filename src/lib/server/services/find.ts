import type { Found, FoundAnswer } from '$lib/inventory/found';
import { readShortCode, shortCode } from '$lib/inventory/short-code';
import { whatName, whatOf } from '$lib/stock/what';
import { stockName } from '$lib/stock/words';
import type { Knex } from 'knex';
import { listOrders } from '../repositories/orders';
import { listRack } from '../repositories/rack';
import { listStock } from '../repositories/stock';
import { listWindings } from '../repositories/windings';
import { strandsNow } from './inventory';

/** Everything that has a label, with the ids that stand behind its codes. */
async function everything(db: Knex): Promise<(Found & { readonly codes: readonly string[] })[]> {
	const { spools, setups } = await listRack(db);
	const wound = new Map((await listWindings(db)).map(({ spoolId, setupId }) => [spoolId, setupId]));
	const { kept, states } = await strandsNow(db);
	return [
		...spools.map(({ id, form }) => {
			const own = setups.filter(({ spoolId }) => spoolId === id).map((setup) => setup.id);
			return {
				kind: 'spool' as const,
				name: form.name || 'Unnamed spool',
				beside: `${form.hand}-hand wind`,
				href: `/spool/${id}`,
				code: shortCode(wound.get(id) ?? own.at(-1) ?? id),
				codes: own.map(shortCode)
			};
		}),
		...kept.flatMap(({ id, label }) => {
			const at = states.get(id)?.whereabouts;
			if (at?.on !== 'coil') return [];
			const href = `/care?thing=${encodeURIComponent(id)}`;
			return [
				{
					kind: 'line' as const,
					name: label,
					beside: at.label,
					href,
					code: shortCode(id),
					codes: [shortCode(id)]
				}
			];
		}),
		...(await listOrders(db)).map(({ id, number, form }) => ({
			kind: 'order' as const,
			name: form.who ? `Order ${number}, ${form.who}` : `Order ${number}`,
			beside: form.reels.map(({ wish }) => wish).join('; '),
			href: `/orders/${id}`,
			code: shortCode(id),
			codes: [shortCode(id)]
		})),
		...(await listStock(db)).map(({ id, form }) => ({
			kind: 'stock' as const,
			name: stockName({ form, what: whatOf(form) }),
			beside: [whatName(whatOf(form)), form.where].filter(Boolean).join(', '),
			href: `/stock/${id}`,
			code: shortCode(id),
			codes: [shortCode(id)]
		}))
	];
}

/** Most that are shown: whoever sees so many types more. */
const MOST_FOUND = 50;

/**
 * What fits a text: the code on a label, or else a part of a name, of what is beside it, or an order's number. A code finds only what
 * has it.
 */
export async function find(db: Knex, text: string): Promise<FoundAnswer> {
	const sought = text.trim().toLowerCase();
	if (sought === '') return { found: [], byCode: false };
	const all = await everything(db);
	const told = (things: typeof all): Found[] => things.map(({ codes: _own, ...found }) => found);
	const code = readShortCode(text);
	const coded = code === undefined ? [] : all.filter(({ codes }) => codes.includes(code));
	if (coded.length > 0) return { found: told(coded), byCode: true };
	const named = all.filter(({ name, beside }) => `${name} ${beside}`.toLowerCase().includes(sought));
	return { found: told(named.slice(0, MOST_FOUND)), byCode: false };
}
