import { Day } from '$lib/inventory/day';
import { z } from 'zod';
import { Order } from './order';

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
	/** Steps that are done at the bench. */
	stepsDone: z.number().int(),
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

/** Everything on the board, each state in the order of the work; and which reel is wound next. */
export const Board = z.object({
	orders: z.array(BoardOrder),
	next: z.object({ orderId: z.string(), setupId: z.string() }).nullable()
});
export type Board = z.output<typeof Board>;

/** Seconds of work that are left of some orders. */
export const secondsLeft = (orders: readonly Pick<BoardOrder, 'reels'>[]): number =>
	orders.reduce((sum, { reels }) => sum + reels.reduce((own, reel) => own + (reel.secondsLeft ?? 0), 0), 0);

/** States in which there is winding left to do. */
const OPEN: ReadonlySet<BoardOrder['state']> = new Set(['taken-in', 'waiting', 'ready', 'bench']);
export const isOpen = ({ state }: Pick<BoardOrder, 'state'>): boolean => OPEN.has(state);
