import { Day } from '$lib/inventory/day';
import { readDay } from '$lib/core';
import { z } from 'zod';

/** Where an order stands, in the order of the work. */
export const ORDER_STATES = ['taken-in', 'waiting', 'ready', 'bench', 'done', 'handed-over'] as const;
export const OrderState = z.enum(ORDER_STATES);
export type OrderState = z.infer<typeof OrderState>;

/** As an order's state is called. */
export const STATE_NAMES: Readonly<Record<OrderState, string>> = {
	'taken-in': 'Taken in',
	waiting: 'Waiting for stock',
	ready: 'Ready to wind',
	bench: 'On the bench',
	done: 'Done',
	'handed-over': 'Handed over'
};

const MOST_REELS = 12;
const MOST_PRICES = 12;
/** A wish is a line or two. */
export const MOST_WISH = 240;

const wish = z.string().max(MOST_WISH);
const Price = z.strictObject({ what: z.string().max(80), amount: z.string().max(20) });
const due = z.string().refine((text) => text === '' || readDay(text) !== undefined, {
	error: 'Give a day, such as 2026-12-05, or leave it blank.'
});

/** What is said of an order beside its reels. */
const said = {
	/** A name or a number, as little as is needed to hand it over. */
	who: z.string().max(60),
	due,
	notes: z.string().max(2000),
	prices: z.array(Price).max(MOST_PRICES)
};

/** A reel of an order: what is wanted, and the set-up that it was read into. */
const OrderedReel = z.strictObject({
	id: z.string().min(1).max(40),
	wish,
	setupId: z.string().min(1).max(40),
	/** Its spool came onto the rack with this order, and leaves with it while nothing was wound. */
	brought: z.boolean()
});
export type OrderedReel = z.infer<typeof OrderedReel>;

/** An order, as it is kept. */
export const OrderForm = z.strictObject({
	...said,
	reels: z.array(OrderedReel).min(1, { error: 'An order has a reel at least.' }).max(MOST_REELS)
});
export type OrderForm = z.infer<typeof OrderForm>;

/**
 * A reel as it is taken in: what is wanted, and the spool on the rack that it is. Left out it is the one that the wish names, null
 * is a reel that is not on the rack.
 */
const AskedReel = z.strictObject({
	wish: wish.refine((text) => text.trim() !== '', {
		error: 'Say what is wanted, such as WF6F, left hand, 20 lb.'
	}),
	spoolId: z.string().min(1).max(40).nullish()
});
export const CreateOrder = z.strictObject({
	...said,
	reels: z.array(AskedReel).min(1, { error: 'An order has a reel at least.' }).max(MOST_REELS)
});
export type CreateOrder = z.infer<typeof CreateOrder>;

/** A change of an order over the version that was seen: what is said of it; reels that stay by their ids, and new ones. */
export const SaveOrder = z.strictObject({
	...said,
	version: z.number().int().min(1),
	reels: z
		.array(z.union([z.strictObject({ id: z.string().min(1).max(40), wish }), AskedReel]))
		.min(1, { error: 'An order has a reel at least.' })
		.max(MOST_REELS)
});
export type SaveOrder = z.infer<typeof SaveOrder>;

export const MoveOrder = z.strictObject({ state: OrderState });

/** Somebody takes the next reel of the queue. */
export const TakeNext = z.strictObject({
	/** Whose hands it gets into: an id that a window makes for itself. */
	bench: z.uuid(),
	/** The order in hand: what is left of it comes first. */
	after: z.string().max(64).optional()
});
export type TakeNext = z.infer<typeof TakeNext>;

/** An order as it is answered. */
export const Order = z.object({
	id: z.string(),
	/** Counts from 1; it is what people call the order. */
	number: z.number().int(),
	state: OrderState,
	version: z.number().int(),
	form: OrderForm,
	takenIn: Day
});
export type Order = z.output<typeof Order>;

export const SavedOrder = z.object({ id: z.string(), number: z.number().int(), version: z.number().int() });
export type SavedOrder = z.infer<typeof SavedOrder>;
