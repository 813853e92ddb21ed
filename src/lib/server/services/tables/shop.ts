import { stockEntry } from '$lib/stock/left';
import { stockName } from '$lib/stock/words';
import { whatName, whatOf } from '$lib/stock/what';
import type { Knex } from 'knex';
import { listOrders } from '../../repositories/orders';
import { listStock } from '../../repositories/stock';
import { listWindings } from '../../repositories/windings';
import { nameOf, type Lengths, type Table } from './table';

/** Every reel of every order. */
export async function ordersTable(db: Knex): Promise<Table> {
	const windings = new Map((await listWindings(db)).map((winding) => [winding.setupId, winding]));
	return {
		columns: [
			'order_id',
			'number',
			'state',
			'who',
			'taken_in',
			'due',
			'wish',
			'setup_id',
			'spool',
			'wound_on',
			'notes'
		],
		rows: (await listOrders(db)).flatMap(({ id, number, state, form, takenIn }) =>
			form.reels.map(({ wish, setupId }) => {
				const winding = windings.get(setupId);
				return [
					id,
					number,
					state,
					form.who,
					takenIn.toString(),
					form.due || null,
					wish,
					setupId,
					winding ? nameOf(winding.form.spool.name) : null,
					winding?.woundOn.toString() ?? null,
					form.notes
				];
			})
		)
	};
}

/** Everything on the shelf, with what is left of it. */
export async function stockTable(db: Knex, { long, inLong }: Lengths): Promise<Table> {
	return {
		columns: [
			'stock_id',
			'kind',
			'what',
			'name',
			'where',
			'length_when_new',
			`left_${long}`,
			`left_low_${long}`,
			`left_high_${long}`,
			'boxes',
			'note'
		],
		rows: (await listStock(db)).map((shelved) => {
			const entry = stockEntry(shelved);
			const { id, form, what, leftMm, boxes } = entry;
			return [
				id,
				form.kind,
				whatName(what),
				stockName(entry),
				form.where,
				form.kind === 'boxed' ? null : form.length,
				inLong(leftMm?.value ?? null),
				inLong(leftMm?.range.low ?? null),
				inLong(leftMm?.range.high ?? null),
				boxes,
				form.note
			];
		})
	};
}

/** Every cut, reading and box that was written down about the stock: lengths and depths in mm, weights in g. */
export async function stockEventsTable(db: Knex): Promise<Table> {
	return {
		columns: [
			'event_id',
			'stock_id',
			'stock',
			'day',
			'what',
			'amount',
			'unit',
			'winding_id',
			'spool',
			'note'
		],
		rows: (await listStock(db)).flatMap(({ id: stockId, form, events }) =>
			events.map(({ id, kind, day, value, recordId, spool, note }) => [
				id,
				stockId,
				stockName({ form, what: whatOf(form) }),
				day,
				kind,
				Math.round(10 * value) / 10,
				kind === 'weighed' ? 'g' : form.kind === 'boxed' ? 'boxes' : 'mm',
				recordId ?? null,
				spool ?? null,
				note
			])
		)
	};
}
