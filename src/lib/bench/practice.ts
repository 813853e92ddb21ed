import { z } from 'zod';
import { Day } from '$lib/inventory/day';

/** A session with one knot: how many of what was asked were right. Sent again under its id, it counts once. */
export const Practised = z
	.strictObject({
		id: z.string().min(8).max(64),
		slug: z.string().min(1).max(64),
		right: z.number().int().min(0).max(20),
		asked: z.number().int().min(1).max(20)
	})
	.refine(({ right, asked }) => right <= asked, {
		path: ['right'],
		error: 'No more can be right than were asked.'
	})
	.meta({ id: 'Practised' });

export const Season = z
	.strictObject({ windsOn: Day.nullable() })
	.meta({ id: 'Season', description: 'The day spools are next wound; null when there is none.' });

export const KnotProgress = z
	.object({
		slug: z.string(),
		/** When it should be looked at again; none before it was practised. */
		dueAt: z.string().nullable(),
		/** The day of that, where the person is. */
		dueOn: z.string().nullable(),
		practisedAt: z.string().nullable(),
		sessions: z.number().int(),
		/** How likely it is still remembered today, 0–1. */
		remembered: z.number(),
		/** Tied in one of the set-ups on the rack. */
		inUse: z.boolean()
	})
	.meta({ id: 'KnotProgress' });
export const Practice = z
	.object({ windsOn: z.string().nullable(), knots: z.array(KnotProgress) })
	.meta({ id: 'Practice' });
export type Practice = z.infer<typeof Practice>;
