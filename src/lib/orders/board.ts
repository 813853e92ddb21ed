import { Day } from '$lib/inventory/day';
import { z } from 'zod';
import { Order, OrderState } from './order';

/** A reel of an order as the board shows it: what became of its wish. */
const BoardReel = z.object({
	id: z.string(),
	wish: z.string(),
	setupId: z.string(),
	/** The name of its spool; empty where nobody named it. */
	name: z.string(),
	/** Its spool on the rack; null when it was taken off. */
	spoolId: z.string().nullable(),
	/** Its newest winding. */
	windingId: z.string().nullable(),
	/** Why it can't be wound yet: its set-up isn't finished, or what is wanted doesn't fit. */
	trouble: z.enum(['unfinished', 'too-much']).nullable(),
	/** Somebody winds it: a job at the bench is begun and not over. */
	begun: z.boolean(),
	/** Seconds of work that are left, as fast as people work here; null where that can't be told. */
	secondsLeft: z.number().nullable(),
	/** What the bench needs for it. */
	backing: z.string(),
	hand: z.enum(['left', 'right'])
});
export type BoardReel = z.output<typeof BoardReel>;

/** An order as the board shows it. */
export const BoardOrder = Order.extend({
	/** The day it is due; null where it has none. */
	due: Day.nullable(),
	reels: z.array(BoardReel)
});
export type BoardOrder = z.output<typeof BoardOrder>;

/** The reel to wind next: of an order that is ready, or of one that is on the bench already. */
export const NextReel = z.object({
	orderId: z.string(),
	number: z.number().int(),
	state: OrderState,
	setupId: z.string(),
	name: z.string()
});
export type NextReel = z.output<typeof NextReel>;

/** Everything on the board, each state in the order of the work; and which reel is wound next. */
export const Board = z.object({
	orders: z.array(BoardOrder),
	next: NextReel.nullable()
});
export type Board = z.output<typeof Board>;

/** Seconds of work that are left of some orders. */
export const secondsLeft = (orders: readonly Pick<BoardOrder, 'reels'>[]): number =>
	orders.reduce((sum, { reels }) => sum + reels.reduce((own, reel) => own + (reel.secondsLeft ?? 0), 0), 0);

/** A reel that can be wound and that nobody winds yet. */
const waits = ({ windingId, trouble, begun }: BoardReel): boolean =>
	windingId === null && trouble === null && !begun;

const reelsThatWait = ({ id, number, state, reels }: BoardOrder): NextReel[] =>
	reels.filter(waits).map(({ setupId, name }) => ({ orderId: id, number, state, setupId, name }));

/** The reel that is wound next: of the orders that are ready, in their order, or else what is left of those on the bench. */
export const nextReel = (orders: readonly BoardOrder[]): NextReel | null =>
	(['ready', 'bench'] as const).flatMap((state) =>
		orders.filter((order) => order.state === state).flatMap(reelsThatWait)
	)[0] ?? null;

/** The same from the page of an order: whoever works on it goes on with it. */
export const nextAfter = (orders: readonly BoardOrder[], own: BoardOrder): NextReel | null =>
	(isOpen(own) ? reelsThatWait(own)[0] : undefined) ?? nextReel(orders);

/** States in which there is winding left to do. */
const OPEN: ReadonlySet<BoardOrder['state']> = new Set(['taken-in', 'waiting', 'ready', 'bench']);
export const isOpen = ({ state }: Pick<BoardOrder, 'state'>): boolean => OPEN.has(state);
