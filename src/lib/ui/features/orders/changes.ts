import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import type { NextReel } from '$lib/orders/board';
import { STATE_NAMES, type OrderState } from '$lib/orders/order';
import { v4 as uuid } from 'uuid';
import { nextReel } from '../../state/answers';
import { isThere, send, troubleOf } from '../../state/api';
import { notify } from '../../state/notices.svelte';
import { listen } from '../../state/stream';
import { Write } from '../../state/write';
import { takenAway, tellChange } from '../../state/undo.svelte';
import { refresh } from '../../state/refresh';

/** What a page with orders on it depends on. */
const ORDERS = 'wendle:orders';
/** Shows the orders as they are now; while the server is away they stay as they were seen. */
export const refreshOrders = async (): Promise<void> => {
	if (await isThere()) await refresh(ORDERS);
};

/** An order as people call it. */
export const orderName = ({ number, who }: { readonly number: number; readonly who: string }): string =>
	who ? `Order ${number}, ${who}` : `Order ${number}`;

interface Told {
	readonly id: string;
	readonly number: number;
	readonly state: OrderState;
}

/** Moves an order on the board, says so, and offers to undo it. */
export async function moveOrder({ id, number, state: from }: Told, to: OrderState): Promise<boolean> {
	if (from === to) return true;
	const put = (state: OrderState) => send('PUT', `/api/orders/${id}/state`, { state });
	const trouble = troubleOf(await put(to), 'The order is where it was');
	await refreshOrders();
	if (trouble !== undefined) {
		await notify(trouble);
		return false;
	}
	await tellChange({
		said: `Order ${number} is now in "${STATE_NAMES[to]}".`,
		undo: () => put(from),
		redo: () => put(to),
		stays: 'The order is where you moved it',
		refresh: refreshOrders
	});
	return true;
}

/** This window among those that take reels from the queue. */
const BENCH = uuid();
const write = new Write();

/**
 * Goes to the bench with the next reel of the queue, for good: whoever asks for one in the same moment gets another.
 *
 * @param shown the reel that the page says is next; while the server is away it is wound unasked
 * @param after the order in hand: what is left of it comes first
 */
export async function takeNext(event: MouseEvent, shown: NextReel, after?: string): Promise<void> {
	// Opened beside this page, the link is a link.
	if (event.ctrlKey || event.metaKey || event.shiftKey) return;
	event.preventDefault();
	const asked = { bench: BENCH, ...(after !== undefined && { after }) };
	const reply = await write.send('POST', '/api/orders/next', asked, nextReel);
	const next = reply.kind === 'unreachable' ? shown : reply.kind === 'ok' ? reply.value : null;
	if (next) return goto(resolve('/bench/[id]', { id: next.setupId }));
	await refreshOrders();
	await notify(
		troubleOf(reply, 'You have no reel yet') ?? 'The last reel of the queue has just gone to another bench.'
	);
}

/** Takes an order away, says so, and offers to undo it. True when it is gone. */
export async function takeOrderAway({ id, number }: Omit<Told, 'state'>): Promise<boolean> {
	const path = `/api/orders/${id}`;
	const trouble = troubleOf(await send('DELETE', path), 'The order is still there');
	if (trouble !== undefined) {
		await notify(trouble);
		return false;
	}
	await tellChange({
		said: `Order ${number} is taken away.`,
		...takenAway(path),
		stays: 'The order is still taken away',
		refresh: refreshOrders
	});
	return true;
}

/** Follows the board for as long as a page shows it: what another window or the bench changes shows here. Returns how to stop. */
export function followBoard(): () => void {
	let busy = false;
	let again = false;
	const look = async (): Promise<void> => {
		again = busy;
		if (busy) return;
		busy = true;
		await refreshOrders();
		busy = false;
		if (again) await look();
	};
	let lost = false;
	return listen(() => '/api/orders/live', {
		hear: () => void look(),
		lost: () => (lost = true),
		// What happened while the line was cut was not heard.
		opened: () => {
			if (lost) void look();
			lost = false;
		}
	});
}
