import type { StockEntry, StockKind } from '$lib/stock/stock';
import { send, troubleOf } from '../../state/api';
import { notify } from '../../state/notices.svelte';
import { takenAway, tellChange } from '../../state/undo.svelte';
import { refresh } from '../../state/refresh';

/** What a page with stock on it depends on. */
const STOCK = 'wendle:stock';
export const refreshStock = (): Promise<void> => refresh(STOCK);

const STANDING: Readonly<Record<StockKind, string>> = {
	bulk: 'This bulk spool is',
	end: 'This short end is',
	boxed: 'These boxed lines are'
};
/** How a sentence about something on the shelf begins. */
export const standing = (kind: StockKind): string => STANDING[kind];

/** Takes something out of the stock, says so, and offers to undo it. True when it is gone. */
export async function takeOutOfStock({
	id,
	form: { kind }
}: Pick<StockEntry, 'id' | 'form'>): Promise<boolean> {
	const path = `/api/stock/${id}`;
	const trouble = troubleOf(await send('DELETE', path), 'It is still in the stock');
	if (trouble !== undefined) {
		await notify(trouble);
		return false;
	}
	await tellChange({
		said: `${standing(kind)} out of the stock.`,
		...takenAway(path),
		stays: 'It is still out of the stock',
		refresh: refreshStock
	});
	return true;
}

/** Keeps which piece is cut from which source, says so, and offers to undo it. */
export async function keepPlan(
	cuts: Readonly<Record<string, string>>,
	before: Readonly<Record<string, string>>
): Promise<void> {
	const put = (plan: Readonly<Record<string, string>>) => send('PUT', '/api/stock/plan', { cuts: plan });
	const trouble = troubleOf(await put(cuts), 'The plan from before still holds');
	await refreshStock();
	if (trouble !== undefined) return notify(trouble);
	await tellChange({
		said: 'Wendle keeps this plan: the bench offers these spools first.',
		undo: () => put(before),
		redo: () => put(cuts),
		stays: 'The plan is still the new one',
		refresh: refreshStock
	});
}

/** Undoes an entry about something on the shelf, says so, and offers to count it again. */
export async function undoEvent(stockId: string, eventId: string, said: string): Promise<void> {
	const path = `/api/stock/${stockId}/events/${eventId}`;
	const trouble = troubleOf(await send('DELETE', path), 'The entry still counts');
	await refreshStock();
	if (trouble !== undefined) return notify(trouble);
	await tellChange({ said, ...takenAway(path), stays: 'The entry is still undone', refresh: refreshStock });
}

/** Says that a reading which doesn't fit is right, and offers to undo that. */
export async function confirmEvent(stockId: string, eventId: string): Promise<void> {
	const put = (changed: boolean) => send('PUT', `/api/stock/${stockId}/events/${eventId}`, { changed });
	const trouble = troubleOf(await put(true), 'The reading is still left out');
	await refreshStock();
	if (trouble !== undefined) return notify(trouble);
	await tellChange({
		said: 'The reading counts now.',
		undo: () => put(false),
		redo: () => put(true),
		stays: 'The reading still counts',
		refresh: refreshStock
	});
}
