import { z } from 'zod';

/**
 * What the rack knows of a set-up's spool, strands and winder, as it stood when it was asked. It holds for what is described as it
 * was then: another spool, or another line in the place of one, starts from nothing but its kind.
 */
export const LearntHere = z.object({
	/** The spool's description, as text to compare. */
	spool: z.string(),
	/** That of each strand, from the arbor outward. */
	strands: z.array(z.string()),
	ids: z.array(z.string()),
	mean: z.array(z.number()),
	covariance: z.array(z.array(z.number()))
});
/** The answer for a set-up: null while the rack has taught nothing of it. */
export const LearntOfSetup = z.object({ learnt: LearntHere.nullable() });
export type LearntHere = z.infer<typeof LearntHere>;
