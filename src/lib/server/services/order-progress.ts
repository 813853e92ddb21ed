import type { OrderState } from '$lib/orders/order';
import type { Knex } from 'knex';
import { EventEmitter } from 'node:events';
import type { Writing } from '../db/write';
import type { Outcome } from '../outcome';
import { listOrders, moveTo, type OrderRow } from '../repositories/orders';
import { listWindings } from '../repositories/windings';

/** Orders follow the bench: a job that is begun puts its order on the bench, the last winding makes it done. */

/** Tells boards that follow that something changed: one process, so an emitter is enough. */
const changes = new EventEmitter().setMaxListeners(0);
export const ordersChanged = (): void => void changes.emit('changed');
/** Does a write that may change orders, and tells the boards where it was done. */
export async function tellingBoards<T>(work: Promise<Outcome<T>>): Promise<Outcome<T>> {
	const outcome = await work;
	if (outcome.ok) ordersChanged();
	return outcome;
}

/** Calls back whenever an order may have changed; returns how to stop. */
export function followOrders(changed: () => void): () => void {
	changes.on('changed', changed);
	return () => changes.off('changed', changed);
}

const orderOf = async (db: Knex, setupId: string): Promise<OrderRow | undefined> =>
	(await listOrders(db)).find(({ form }) => form.reels.some((reel) => reel.setupId === setupId));

/** Where an order stands once everything of it is wound, or something of it no longer is. */
function settled(state: OrderState, allWound: boolean): OrderState {
	if (state === 'handed-over') return state;
	if (allWound) return 'done';
	return state === 'done' ? 'bench' : state;
}

/** A job of this set-up was begun. */
export async function orderBegun(trx: Writing, setupId: string): Promise<void> {
	const order = await orderOf(trx, setupId);
	if (order && ['taken-in', 'waiting', 'ready'].includes(order.state)) await moveTo(trx, order.id, 'bench');
}

/** A winding of this set-up was saved or undone. */
export async function orderWound(trx: Writing, setupId: string): Promise<void> {
	const order = await orderOf(trx, setupId);
	if (!order) return;
	const wound = new Set((await listWindings(trx)).map((winding) => winding.setupId));
	const state = settled(
		order.state,
		order.form.reels.every((reel) => wound.has(reel.setupId))
	);
	if (state !== order.state) await moveTo(trx, order.id, state);
}
