import { BACKING_MATERIALS, readDay } from '$lib/core';
import { Day } from '$lib/inventory/day';
import { LineClassForm, Typed } from '$lib/setup/form';
import { z } from 'zod';

/** What stands on the shelf: a spool that backing is cut from, a short end of one, or lines in their boxes. */
export const STOCK_KINDS = ['bulk', 'end', 'boxed'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];
export const KIND_NAMES: Readonly<Record<StockKind, string>> = {
	bulk: 'Bulk spool',
	end: 'Short end',
	boxed: 'Boxed lines'
};

const count = z.string().regex(/^\d{0,3}$/, { error: 'Give a whole number, such as 4.' });

/** Something on the shelf, as it was typed. What does not belong to its kind stays as it was. */
export const StockForm = z.strictObject({
	kind: z.enum(STOCK_KINDS),
	/** What the backing is. */
	material: z.enum(BACKING_MATERIALS.map(({ slug }) => slug) as [string, ...string[]]),
	/** What the boxed lines are. */
	line: LineClassForm,
	/** What it is called here: "orange", "the big one". */
	name: z.string().max(60),
	colour: z.union([z.literal(''), z.string().regex(/^#[0-9a-f]{6}$/i)]),
	/** Length when it came; empty where nobody knows. */
	length: Typed,
	/** Empty: as usual for the material. */
	diameter: Typed,
	/** The bulk spool itself: across its flanges, across its core, between the flanges, and what it weighs empty. */
	rim: Typed,
	arbor: Typed,
	width: Typed,
	empty: Typed,
	/** Boxes when they came. */
	boxes: count,
	/** There is little left of its kind below this: a length of backing. */
	few: Typed,
	/** The same for boxes. */
	fewBoxes: count,
	where: z.string().max(60),
	note: z.string().max(2000)
});
export type StockForm = z.infer<typeof StockForm>;

export const SaveStock = z.strictObject({ form: StockForm, version: z.number().int().min(1) });
export const CreateStock = z.strictObject({ form: StockForm });

/** What happens to stock: backing is cut off, weighed, its depth or its length is read; boxes come, go, or are counted. */
export const STOCK_EVENTS = ['cut', 'weighed', 'depth', 'length', 'came', 'took', 'counted'] as const;
export type StockEventKind = (typeof STOCK_EVENTS)[number];

const day = z
	.string()
	.refine((text) => readDay(text) !== undefined, { error: 'Give a day, such as 2026-12-01.' });

/** What is sent of an event: its amount as it was typed. */
export const AddStockEvent = z.strictObject({
	kind: z.enum(STOCK_EVENTS),
	day,
	amount: Typed,
	/** Places that a depth is the mean of. */
	places: z.number().int().min(1).max(12).default(1),
	note: z.string().max(200).default('')
});
export type AddStockEvent = z.infer<typeof AddStockEvent>;

/** An event as it is kept: mm, g, or boxes. */
export const StoredStockEvent = z.strictObject({
	kind: z.enum(STOCK_EVENTS),
	day,
	/** As typed; empty where the bench took it off. */
	amount: Typed,
	value: z.number().min(0).max(100_000_000),
	/** 1σ of a cut, mm. */
	sigma: z.number().min(0).max(100_000_000).optional(),
	places: z.number().int().min(1).max(12),
	/** A reading that surprised, and that somebody says is right: something was cut that nobody wrote down. */
	changed: z.boolean(),
	note: z.string().max(200),
	/** The winding that it was cut for, and what it is called. */
	recordId: z.string().max(40).optional(),
	spool: z.string().max(80).optional()
});
export type StoredStockEvent = z.infer<typeof StoredStockEvent>;

export const ConfirmStockEvent = z.strictObject({ changed: z.boolean() });

const Ranged = z.object({
	value: z.number(),
	range: z.object({ low: z.number(), high: z.number() })
});

const AnsweredEvent = StoredStockEvent.extend({
	id: z.string(),
	day: Day,
	/** A reading that is far from what was expected, and left out until somebody says that it is right. */
	surprise: z.boolean()
});

/** Something on the shelf as it is answered: what is left of it, by everything that is known. */
export const StockEntry = z.object({
	id: z.string(),
	version: z.number().int(),
	form: StockForm,
	/** What it can be used for: `backing:polyester-20`, `line:WF6F`. */
	what: z.string(),
	/** Backing that is left, mm; null for boxes. */
	leftMm: Ranged.nullable(),
	/** Boxes that are left; null for backing. */
	boxes: z.number().int().nullable(),
	/** The bulk spool, mm; null where nobody measured it. */
	spool: z.object({ rimDiameterMm: z.number(), arborDiameterMm: z.number(), widthMm: z.number() }).nullable(),
	/** Space that a millimetre of it takes on the spool, mm². */
	spaceMm2: z.number(),
	/** What happened, the newest first. */
	events: z.array(AnsweredEvent)
});
export type StockEntry = z.output<typeof StockEntry>;

/** A piece that an order needs whole: backing of a length, or a line in its box. */
export const StockNeed = z.object({
	/** The strand of the set-up that it is for. */
	id: z.string(),
	setupId: z.string(),
	what: z.string(),
	/** Length to cut, with its knots, mm; null for a boxed line. */
	lengthMm: z.number().nullable(),
	orderId: z.string(),
	number: z.number().int(),
	who: z.string(),
	reel: z.string(),
	due: Day.nullable()
});
export type StockNeed = z.output<typeof StockNeed>;

/** Something that falls due in the next month and may have to be replaced then. */
export const MayNeed = z.object({
	id: z.string(),
	what: z.string(),
	label: z.string(),
	lengthMm: z.number(),
	/** What falls due, in words. */
	job: z.string(),
	where: z.string(),
	/** The day it falls due; null for what is overdue. */
	due: Day.nullable()
});
export type MayNeed = z.output<typeof MayNeed>;

/** Which source each piece is to be cut from, by the ids of both. */
export const KeepPlan = z.strictObject({
	cuts: z.record(z.string().min(1).max(120), z.string().min(1).max(40))
});

/** The whole shelf, what the orders need of it, and the plan that was kept. */
export const StockPage = z.object({
	entries: z.array(StockEntry),
	needs: z.array(StockNeed),
	mayNeed: z.array(MayNeed),
	plan: z.record(z.string(), z.string())
});
export type StockPage = z.output<typeof StockPage>;
