import { Day } from '$lib/inventory/day';
import { OrderForm, OrderState } from '$lib/orders/order';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

const OrderRow = z.object({
	id: z.string(),
	number: z.number().int(),
	state: OrderState,
	form: json(OrderForm),
	takenIn: Day,
	version: z.number().int()
});
export type OrderRow = z.output<typeof OrderRow>;

const COLUMNS = ['id', 'number', 'state', 'form', 'takenIn', 'version'];
const living = (db: Knex): Knex.QueryBuilder => db('orders').whereNull('deletedAt');

/** All orders, the oldest first. */
export const listOrders = async (db: Knex): Promise<OrderRow[]> =>
	readRows(db, 'orders', OrderRow, await living(db).select(COLUMNS).orderBy('number'));

export const findOrder = async (db: Knex, id: string): Promise<OrderRow | undefined> =>
	readRow(db, 'orders', OrderRow, await living(db).where({ id }).first(COLUMNS));

/** An order, taken away or not. */
export const findAnyOrder = async (db: Knex, id: string): Promise<OrderRow | undefined> =>
	readRow(db, 'orders', OrderRow, await db('orders').where({ id }).first(COLUMNS));

/** Whether there is, or was, an order. */
export const anyOrder = async (db: Knex): Promise<boolean> => (await living(db).first('id')) !== undefined;

/** Adds an order under the next number; numbers are not used twice, even of orders that were taken away. */
export async function insertOrder(
	trx: Writing,
	order: { id: string; state: OrderState; form: OrderForm; takenIn: string },
	now: string
): Promise<{ number: number }> {
	const [{ last } = { last: null }] = (await trx('orders').max({ last: 'number' })) as {
		last: number | null;
	}[];
	const number = (last ?? 0) + 1;
	await trx('orders').insert({
		...order,
		number,
		form: jsonText(OrderForm, order.form, 'form'),
		version: 1,
		createdAt: now
	});
	return { number };
}

/** Writes an order over the version that was read; that one is kept as a former one. */
export async function updateOrder(
	trx: Writing,
	before: OrderRow,
	form: OrderForm,
	now: string
): Promise<void> {
	const { id, version } = before;
	await keepFormer(trx, 'orders', { id, version, text: JSON.stringify(before.form) }, now);
	await trx('orders')
		.where({ id })
		.update({ form: jsonText(OrderForm, form, 'form'), version: version + 1 });
}

export async function moveTo(trx: Writing, id: string, state: OrderState): Promise<void> {
	await trx('orders').where({ id }).update({ state }).increment('version');
}

/** Takes an order away, or brings it back. */
export async function markOrderDeleted(trx: Writing, id: string, deletedAt: string | null): Promise<void> {
	await trx('orders').where({ id }).update({ deletedAt });
}
