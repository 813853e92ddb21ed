import { z } from 'zod';
import { Day } from './day';

/** Somebody whose name Wendle has: who wound something, or whose reels were wound. */
export const Person = z.object({
	name: z.string(),
	/** Windings with the name, undone ones too. */
	windings: z.number().int(),
	lastWoundOn: Day.nullable(),
	/** Orders with the name, those that were taken away too. */
	orders: z.number().int(),
	/** Those of them that are not handed over. */
	openOrders: z.number().int()
});
export type Person = z.output<typeof Person>;

export const People = z.object({ people: z.array(Person) });

/** A name goes in the body of a request, never in an address. */
export const NamedPerson = z.strictObject({ name: z.string().trim().min(1).max(60) });

/** Everything with somebody's name on it, for them to take along. */
export const AboutPerson = z.object({
	name: z.string(),
	windings: z.array(
		z.object({
			id: z.string(),
			woundOn: z.string(),
			spool: z.string(),
			turns: z.number().nullable(),
			depthMm: z.number().nullable(),
			gapMm: z.number().nullable(),
			note: z.string(),
			undone: z.boolean()
		})
	),
	orders: z.array(
		z.object({
			number: z.number().int(),
			state: z.string(),
			takenIn: z.string(),
			due: z.string(),
			wishes: z.array(z.string()),
			notes: z.string(),
			prices: z.array(z.object({ what: z.string(), amount: z.string() }))
		})
	)
});
export type AboutPerson = z.output<typeof AboutPerson>;
