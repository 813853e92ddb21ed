import { Day } from '$lib/inventory/day';
import { WindingForm } from '$lib/inventory/winding';
import { OrderForm, OrderState } from '$lib/orders/order';
import { SetupForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRows } from './columns';

/** Rows with a name in them, whether or not they were undone or taken away. */

const NamedWinding = z.object({
	id: z.string(),
	woundOn: Day,
	typed: json(WindingForm),
	form: json(SetupForm),
	turns: z.number().nullable(),
	depthMm: z.number().nullable(),
	gapMm: z.number().nullable(),
	takenBackAt: z.string().nullable()
});
export type NamedWinding = z.output<typeof NamedWinding>;

export const namedWindings = async (db: Knex): Promise<NamedWinding[]> =>
	readRows(
		db,
		'records',
		NamedWinding,
		await db('records')
			.select('id', 'woundOn', 'typed', 'form', 'turns', 'depthMm', 'gapMm', 'takenBackAt')
			.orderBy('woundOn')
	).filter(({ typed }) => typed.who.trim() !== '');

const NamedOrder = z.object({
	id: z.string(),
	number: z.number().int(),
	state: OrderState,
	takenIn: z.string(),
	form: json(OrderForm),
	deletedAt: z.string().nullable()
});
export type NamedOrder = z.output<typeof NamedOrder>;

export const namedOrders = async (db: Knex): Promise<NamedOrder[]> =>
	readRows(
		db,
		'orders',
		NamedOrder,
		await db('orders').select('id', 'number', 'state', 'takenIn', 'form', 'deletedAt').orderBy('number')
	).filter(({ form }) => form.who.trim() !== '');

/** Takes the name off a winding; the winding stays. */
export async function takeNameOff(trx: Writing, { id, typed }: NamedWinding): Promise<void> {
	await trx('records')
		.where({ id })
		.update({ typed: jsonText(WindingForm, { ...typed, who: '' }), version: trx.raw('version + 1') });
	await trx('former').where({ of: 'records', id }).delete();
}

/** Deletes an order for good, with its former versions. */
export async function deleteOrder(trx: Writing, id: string): Promise<void> {
	await trx('orders').where({ id }).delete();
	await trx('former').where({ of: 'orders', id }).delete();
}

/** Forgets what archives brought in where a name stands in it: those can't be undone any more. */
export async function forgetImportsWith(trx: Writing, name: string): Promise<void> {
	const said = JSON.stringify(name);
	await trx('imports').whereRaw('instr(wrote, ?) > 0 or instr(before, ?) > 0', [said, said]).delete();
}
