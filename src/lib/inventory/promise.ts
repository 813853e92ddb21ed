import { z } from 'zod';

/** The gap that was foreseen for one winding, and the one that was found. */
export const GapPromise = z
	.object({
		recordId: z.string(),
		spool: z.string(),
		woundOn: z.string(),
		foreseenMm: z.number(),
		/** Nine times in ten, with the rule that read it. */
		lowMm: z.number(),
		highMm: z.number(),
		foundMm: z.number(),
		held: z.boolean()
	})
	.meta({ id: 'GapPromise' });
export type GapPromise = z.infer<typeof GapPromise>;

export const GapPromises = z.object({
	promises: z.array(GapPromise),
	held: z
		.number()
		.int()
		.meta({ description: 'How many gaps were within their range. 9 out of 10 should be.' })
});
export type GapPromises = z.infer<typeof GapPromises>;
