import { aboutAsPlanned, byHandSigmaMm } from '$lib/core';
import type { CutFrom, Winding } from '$lib/inventory/winding';
import type { Workout } from '$lib/setup/evaluate-form';
import { stockEntry } from '$lib/stock/left';
import { readStock, readStockEvent, settleStock } from '$lib/stock/read-stock';
import type { AddStockEvent, StockEntry, StockForm, StoredStockEvent } from '$lib/stock/stock';
import { isBacking, whatOf, whatOfStrand } from '$lib/stock/what';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write, type WriteId, type Writing } from '../db/write';
import { bad, done, gone, stale, type Outcome } from '../outcome';
import {
	findStock,
	findStockEvent,
	insertStock,
	insertStockEvent,
	listStock,
	markStockDeleted,
	markStockEvent,
	putStockPlan,
	stockPlan,
	updateStock,
	updateStockEvent
} from '../repositories/stock';
import { knotsTakeMm, needId } from './stock-needs';

export { anyStock } from '../repositories/stock';

/** What something on the shelf is called where it is not there. */
const STOCK = 'entry in the stock';

/** Puts something on the shelf. */
export const createStock = (
	db: Knex,
	asked: WriteId,
	form: StockForm,
	units: UnitSystem
): Promise<Outcome<{ id: string; version: number }>> =>
	write(db, asked, async (trx, now) => {
		const read = readStock(form, units);
		if (!read.ok) return bad(read.issues.map((issue) => ({ ...issue, path: ['form', ...issue.path] })));
		const id = randomUUID();
		await insertStock(trx, id, settleStock(form, units), now);
		return done({ id, version: 1 });
	});

/** Changes what is said of something on the shelf, over the version that was seen. */
export const saveStock = (
	db: Knex,
	asked: WriteId,
	id: string,
	{ form, version }: { form: StockForm; version: number },
	units: UnitSystem
): Promise<Outcome<{ id: string; version: number }>> =>
	write(db, asked, async (trx, now) => {
		const there = await findStock(trx, id);
		if (!there) return gone(STOCK);
		if (there.version !== version) return stale(there);
		const read = readStock(form, units);
		if (!read.ok) return bad(read.issues.map((issue) => ({ ...issue, path: ['form', ...issue.path] })));
		await updateStock(trx, there, settleStock(form, units), now);
		return done({ id, version: version + 1 });
	});

/** Takes something off the shelf, or puts it back. */
export const removeStock = (db: Knex, asked: WriteId, id: string, removed: boolean): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) =>
		(await markStockDeleted(trx, id, removed ? now : null)) ? done(null) : gone(STOCK)
	);

/** Writes down a cut, a reading, or boxes that came or went. */
export const addStockEvent = (
	db: Knex,
	asked: WriteId,
	id: string,
	event: AddStockEvent,
	units: UnitSystem
): Promise<Outcome<{ id: string }>> =>
	write(db, asked, async (trx) => {
		const there = await findStock(trx, id);
		if (!there) return gone(STOCK);
		const read = readStockEvent(event, there.form, units);
		if (!read.ok) return bad(read.issues);
		const eventId = randomUUID();
		await insertStockEvent(trx, eventId, id, read.value);
		return done({ id: eventId });
	});

/** Undoes an event, or counts it again: a cut that is undone is on the spool again. */
export const takeBackStockEvent = (
	db: Knex,
	asked: WriteId,
	id: string,
	eventId: string,
	back: boolean
): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		if (!(await findStockEvent(trx, id, eventId))) return gone('entry about the stock');
		await markStockEvent(trx, eventId, back ? now : null);
		return done(null);
	});

/** Says that a reading which surprised is right, or asks about it again. */
export const confirmStockEvent = (
	db: Knex,
	asked: WriteId,
	id: string,
	eventId: string,
	changed: boolean
): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		const there = await findStockEvent(trx, id, eventId);
		if (!there) return gone('entry about the stock');
		await updateStockEvent(trx, eventId, { ...there.event, changed });
		return done(null);
	});

/** One of them, with what happened to it; undefined when it is not there. */
export const stockById = async (db: Knex, id: string): Promise<StockEntry | undefined> => {
	const found = (await listStock(db)).find((one) => one.id === id);
	return found && stockEntry(found);
};

/** Keeps which piece is to be cut from which source; what is not on the shelf any more is refused. */
export const keepPlan = (
	db: Knex,
	asked: WriteId,
	cuts: Readonly<Record<string, string>>
): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		const there = new Set((await listStock(trx)).map(({ id }) => id));
		if (Object.values(cuts).some((id) => !there.has(id))) return gone(STOCK);
		await putStockPlan(trx, cuts);
		return done(null);
	});

/** 1σ of a length that the bench counted and measured, as a share of it. Assumption: the arbor and the depth decide. */
const COUNTED_SHARE = 0.03;

/** What is cut of a strand, mm, with its 1σ: as it was measured, or about as much as was planned. */
function cutOf(winding: Winding, workout: Workout, part: string): { value: number; sigma: number } {
	const index = workout.parts.findIndex(({ id }) => id === part);
	const knotsMm = knotsTakeMm(winding.form, workout, part);
	const isStop = index === workout.stopIndex;
	const onMm = isStop ? winding.backingMm : (workout.fit.layers[index]?.lengthMm ?? 0);
	const sigma =
		isStop && winding.backingMeasured
			? Math.max(COUNTED_SHARE * onMm, byHandSigmaMm(0))
			: aboutAsPlanned(index, onMm).lengthSigmaMm!;
	return { value: onMm + knotsMm, sigma };
}

/**
 * Takes off the shelf what a winding used. Where nobody said from where, what was planned is taken.
 *
 * @param from the source of each strand, null for one that does not come from the shelf
 */
export async function cutForWinding(
	trx: Writing,
	winding: Winding,
	workout: Workout,
	from: CutFrom | undefined
): Promise<Outcome<null>> {
	const stock = new Map((await listStock(trx)).map((one) => [one.id, one]));
	if (stock.size === 0 && from === undefined) return done(null);
	const plan = await stockPlan(trx);
	for (const component of winding.form.fill.stack) {
		const part = component.id;
		const source = from ? from[part] : plan[needId(winding.setupId, part)];
		if (source === undefined || source === null) continue;
		const there = stock.get(source);
		const what = whatOfStrand(component);
		if (!there || what === undefined || whatOf(there.form) !== what) {
			// What was planned may be gone; what somebody says is not passed over.
			if (from) return gone(STOCK);
			continue;
		}
		const event: StoredStockEvent = {
			...(isBacking(what)
				? { kind: 'cut' as const, ...cutOf(winding, workout, part) }
				: { kind: 'took' as const, value: 1 }),
			day: winding.woundOn.toString(),
			amount: '',
			places: 1,
			changed: false,
			note: '',
			recordId: winding.id,
			spool: winding.form.spool.name
		};
		await insertStockEvent(trx, randomUUID(), source, event);
	}
	return done(null);
}
