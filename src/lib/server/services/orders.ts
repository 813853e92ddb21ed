import { expectedSeconds, readDay, type Day, type Tempo } from '$lib/core';
import { jobOf } from '$lib/bench/job';
import { firstFillOf } from '$lib/bench/reverse';
import { workOf, type BenchJob } from '$lib/bench/work';
import type { Winding } from '$lib/inventory/winding';
import {
	isOpen,
	nextAfter,
	nextReel,
	type Board,
	type BoardOrder,
	type BoardReel,
	type NextReel
} from '$lib/orders/board';
import type {
	CreateOrder,
	OrderedReel,
	OrderForm,
	OrderState,
	SavedOrder,
	SaveOrder,
	TakeNext
} from '$lib/orders/order';
import { queueOrder } from '$lib/orders/queue';
import { readWish } from '$lib/orders/wish';
import { setupOfWish } from '$lib/orders/wish-setup';
import { workOut } from '$lib/setup/evaluate-form';
import type { SetupForm } from '$lib/setup/form';
import { settleSetup } from '$lib/setup/settle';
import { DEFAULT_UNITS, type UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write, type WriteId, type Writing } from '../db/write';
import { done, gone, stale, type Outcome } from '../outcome';
import {
	findAnyOrder,
	findOrder,
	insertOrder,
	listOrders,
	markOrderDeleted,
	moveTo,
	updateOrder,
	type OrderRow
} from '../repositories/orders';
import { openRuns, WINDINGS } from '../repositories/runs';
import { insertSetup, markDropped, spoolOfSetup } from '../repositories/setups';
import { insertSpool, listSpools, markSpoolDeleted } from '../repositories/spools';
import { listWindings } from '../repositories/windings';
import { orderBegun, tellingBoards } from './order-progress';
import { tempo } from './runs';
import { loadSetup } from './saved';
import { rack, type RackSpool } from './setups';

export { anyOrder } from '../repositories/orders';

type AskedReel = CreateOrder['reels'][number];

/** Takes a reel in: its wish becomes a set-up, for its spool on the rack or for a new one. */
async function takeInReel(
	trx: Writing,
	{ wish: text, spoolId }: AskedReel,
	{ units, today, now }: { units: UnitSystem; today: Day; now: string }
): Promise<Outcome<{ reel: OrderedReel; due: string }>> {
	const spools = await listSpools(trx);
	const wish = readWish(text, {
		today,
		spools: spools.map(({ id, form }) => ({ id, name: form.name, hand: form.hand }))
	});
	const named = spoolId === undefined ? wish.said.reel?.spoolId : (spoolId ?? undefined);
	const spool = spools.find(({ id }) => id === named);
	if (named !== undefined && !spool) return gone('spool');
	const setup = settleSetup(setupOfWish(wish, units, spool?.form), units);
	const own = spool?.id ?? randomUUID();
	if (!spool) await insertSpool(trx, own, setup.spool, now);
	const setupId = randomUUID();
	await insertSetup(trx, { id: setupId, spoolId: own, fill: setup.fill }, now);
	return done({
		reel: { id: randomUUID(), wish: text, setupId, brought: !spool },
		due: wish.said.due?.day.toString() ?? ''
	});
}

/** Takes an order in. A day that only a wish says is the day it is due. */
export const createOrder = (
	db: Knex,
	asked: WriteId,
	{ reels, ...said }: CreateOrder,
	units: UnitSystem,
	today: Day
): Promise<Outcome<SavedOrder>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const taken = [];
			for (const reel of reels) {
				const read = await takeInReel(trx, reel, { units, today, now });
				if (!read.ok) return read;
				taken.push(read.value);
			}
			const days = taken.map(({ due }) => due).filter(Boolean);
			const form: OrderForm = {
				...said,
				due: said.due || (days.toSorted()[0] ?? ''),
				reels: taken.map(({ reel }) => reel)
			};
			const id = randomUUID();
			const order = { id, state: 'taken-in', form, takenIn: today.toString() } as const;
			const { number } = await insertOrder(trx, order, now);
			return done({ id, number, version: 1 });
		})
	);

/** Drops what came onto the rack with a reel and was not wound, or brings it back. */
async function markReel(trx: Writing, { setupId, brought }: OrderedReel, at: string | null): Promise<void> {
	if ((await listWindings(trx)).some((winding) => winding.setupId === setupId)) return;
	await markDropped(trx, setupId, at);
	const spool = await spoolOfSetup(trx, setupId);
	if (brought && spool?.others === 0) await markSpoolDeleted(trx, spool.spoolId, at);
}

/** Drops all that came onto the rack with an order and was not wound. */
export async function dropReels(trx: Writing, { reels }: OrderForm, now: string): Promise<void> {
	for (const reel of reels) await markReel(trx, reel, now);
}

/** Changes an order over the version that was seen. Reels that it no longer names are dropped, unless they were wound. */
export const saveOrder = (
	db: Knex,
	asked: WriteId,
	id: string,
	{ version, reels, ...said }: SaveOrder,
	units: UnitSystem,
	today: Day
): Promise<Outcome<SavedOrder>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const order = await findOrder(trx, id);
			if (!order) return gone('order');
			if (order.version !== version) return stale(order);
			const next: OrderedReel[] = [];
			for (const reel of reels) {
				if ('id' in reel) {
					const there = order.form.reels.find((one) => one.id === reel.id);
					if (!there) return gone('reel of this order');
					next.push({ ...there, wish: reel.wish });
					continue;
				}
				const read = await takeInReel(trx, reel, { units, today, now });
				if (!read.ok) return read;
				next.push(read.value.reel);
			}
			const left = order.form.reels.filter((reel) => !next.some((one) => one.id === reel.id));
			for (const reel of left) await markReel(trx, reel, now);
			await updateOrder(trx, order, { ...said, reels: next }, now);
			return done({ id, number: order.number, version: version + 1 });
		})
	);

/** A reel that came with an order is its owner's: handed over it leaves the rack, and brought back it stands there again. */
async function markHandedOver(trx: Writing, { form }: OrderRow, at: string | null): Promise<void> {
	for (const { setupId, brought } of form.reels) {
		const spool = brought ? await spoolOfSetup(trx, setupId) : undefined;
		if (spool) await markSpoolDeleted(trx, spool.spoolId, at);
	}
}

/** Moves an order on the board. */
export const moveOrder = (db: Knex, asked: WriteId, id: string, state: OrderState): Promise<Outcome<null>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const order = await findOrder(trx, id);
			if (!order) return gone('order');
			const [was, is] = [order.state === 'handed-over', state === 'handed-over'];
			if (was !== is) await markHandedOver(trx, order, is ? now : null);
			if (order.state !== state) await moveTo(trx, id, state);
			return done(null);
		})
	);

/** The reels that were taken from the queue, by whom and when: until something is done at the bench, nothing else tells of it. */
const taken = new Map<string, { readonly bench: string; readonly at: number }>();
/** How long a reel is left to the bench that took it and has begun nothing, ms. */
const TAKEN_MS = 5 * 60_000;

/** Takes the next reel of the queue to a bench, and its order with it. Two that ask at once get two reels; none is left: null. */
export const takeNext = (
	db: Knex,
	asked: WriteId,
	{ bench, after }: TakeNext
): Promise<Outcome<NextReel | null>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const at = Date.parse(now);
			for (const [setupId, by] of taken) if (at - by.at > TAKEN_MS) taken.delete(setupId);
			const isFree = ({ setupId }: BoardReel): boolean => (taken.get(setupId)?.bench ?? bench) === bench;
			const orders = (await board(trx)).orders.map((order) => ({
				...order,
				reels: order.reels.filter(isFree)
			}));
			const own = orders.find(({ id }) => id === after);
			const next = own ? nextAfter(orders, own) : nextReel(orders);
			if (next) {
				taken.set(next.setupId, { bench, at });
				await orderBegun(trx, next.setupId);
			}
			return done(next);
		})
	);

/** Takes an order away, with what came onto the rack with it and was not wound; or brings it back. */
export const removeOrder = (db: Knex, asked: WriteId, id: string, removed: boolean): Promise<Outcome<null>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const order = await findAnyOrder(trx, id);
			if (!order) return gone('order');
			const at = removed ? now : null;
			await markOrderDeleted(trx, id, at);
			for (const reel of order.form.reels) await markReel(trx, reel, at);
			return done(null);
		})
	);

/** The seconds of work that a set-up still needs at the bench, or why it can't be wound. */
function openWork(
	form: SetupForm,
	done: ReadonlySet<string>,
	bench: BenchJob,
	speed: Tempo
): Pick<BoardReel, 'trouble' | 'secondsLeft'> {
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) return { trouble: 'unfinished', secondsLeft: null };
	if (!worked.value.fit.fits) return { trouble: 'too-much', secondsLeft: null };
	const job = jobOf(form, worked.value);
	const { steps } = workOf(job, bench, firstFillOf(form, worked.value, bench, DEFAULT_UNITS)?.job);
	const open = steps.filter((step) => !done.has(step.id));
	return { trouble: null, secondsLeft: open.reduce((sum, step) => sum + expectedSeconds(step, speed), 0) };
}

const backingOf = ({ fill }: SetupForm): string => {
	const made = fill.stack.find(({ role }) => role === 'backing')?.made;
	return made?.way === 'material' ? made.material : '';
};

/** The rack, the windings and the jobs at the bench, read once for all orders. */
interface Around {
	readonly rack: readonly RackSpool[];
	/** The newest of each set-up. */
	readonly windings: ReadonlyMap<string, Winding>;
	/** Set-ups that are being wound. */
	readonly begun: ReadonlySet<string>;
	readonly speed: Tempo;
}
const around = async (db: Knex): Promise<Around> => ({
	rack: await rack(db),
	windings: new Map((await listWindings(db)).map((winding) => [winding.setupId, winding])),
	begun: new Set(
		(await openRuns(db)).filter(({ job }) => WINDINGS.includes(job)).map(({ setupId }) => setupId)
	),
	speed: await tempo(db)
});

/** What is told of a reel whether or not it can be wound. */
function reelFacts(
	{ id, wish, setupId }: OrderedReel,
	form: SetupForm | undefined,
	{ spool, winding, begun }: { spool: RackSpool | undefined; winding: Winding | undefined; begun: boolean }
): Omit<BoardReel, 'trouble' | 'secondsLeft'> {
	return {
		id,
		wish,
		setupId,
		name: form?.spool.name ?? '',
		spoolId: spool?.id ?? null,
		windingId: winding?.id ?? null,
		begun,
		backing: form ? backingOf(form) : '',
		hand: form?.spool.hand ?? 'left'
	};
}

async function boardReel(
	db: Knex,
	reel: OrderedReel,
	{ rack, windings, begun, speed }: Around
): Promise<BoardReel> {
	const { setupId } = reel;
	const setup = await loadSetup(db, setupId);
	const winding = windings.get(setupId);
	const spool = rack.find((one) => one.id === setup?.spoolId);
	const planned = spool?.planned?.id === setupId ? spool.planned : undefined;
	const done = new Set(planned?.done);
	// A reel that left the rack keeps the name it had when it was wound.
	const facts = reelFacts(reel, setup?.form ?? winding?.form, { spool, winding, begun: begun.has(setupId) });
	if (winding && !begun.has(setupId)) return { ...facts, trouble: null, secondsLeft: 0 };
	if (!setup) return { ...facts, trouble: 'unfinished', secondsLeft: null };
	return { ...facts, ...openWork(setup.form, done, planned?.bench ?? { kind: 'wind' }, speed) };
}

async function boardOrder(db: Knex, order: OrderRow, seen: Around): Promise<BoardOrder> {
	const reels: BoardReel[] = [];
	for (const reel of order.form.reels) reels.push(await boardReel(db, reel, seen));
	return { ...order, due: readDay(order.form.due) ?? null, reels };
}

/** Orders in the order of the work: see `orders/queue.ts`. */
const queued = (orders: readonly BoardOrder[]): BoardOrder[] =>
	queueOrder(
		orders.map((order) => {
			const open = order.reels.find(({ windingId }) => windingId === null) ?? order.reels[0];
			return { order, number: order.number, due: order.due ?? undefined, needs: open };
		})
	).map(({ order }) => order);

/** All orders as the board shows them, and the reel to wind next. */
export async function board(db: Knex): Promise<Board> {
	const seen = await around(db);
	const all: BoardOrder[] = [];
	for (const order of await listOrders(db)) all.push(await boardOrder(db, order, seen));
	const orders = [...queued(all.filter(isOpen)), ...queued(all.filter((order) => !isOpen(order)))];
	return { orders, next: nextReel(orders) };
}

/** One order as the board shows it; undefined when there is none (any more). */
export async function orderById(db: Knex, id: string): Promise<BoardOrder | undefined> {
	const order = await findOrder(db, id);
	return order && boardOrder(db, order, await around(db));
}

/** The order that a set-up belongs to; undefined for those of no order. */
export async function orderOfSetup(
	db: Knex,
	setupId: string
): Promise<{ id: string; number: number; who: string } | undefined> {
	const order = (await listOrders(db)).find(({ form }) =>
		form.reels.some((reel) => reel.setupId === setupId)
	);
	return order && { id: order.id, number: order.number, who: order.form.who };
}
