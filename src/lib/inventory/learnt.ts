import { z } from 'zod';

const ranged = z.object({ value: z.number(), low: z.number(), high: z.number() });
/** Nine times in ten it lies between `low` and `high`. */
const BeforeNow = z.object({ before: ranged, now: ranged });
const windings = z.array(z.string()).meta({ description: 'Ids of the windings behind it.' });

/** What all windings of the rack have taught, and from which it comes. */
export const LearntAnswer = z
	.object({
		spools: z.array(
			z.object({
				spoolId: z.string(),
				name: z.string(),
				rimMm: BeforeNow,
				arborMm: BeforeNow,
				widthMm: BeforeNow,
				windings
			})
		),
		strands: z.array(
			z.object({
				strand: z.string(),
				label: z.string(),
				where: z.string().meta({ description: 'Name of the spool that it is on, or label of its coil.' }),
				/** Room that it takes against what is described of it: 1.04 is 4 % more. */
				room: BeforeNow,
				windings
			})
		),
		kinds: z.array(z.object({ kind: z.string(), room: BeforeNow, windings })),
		winders: z.array(
			z.object({
				who: z.string(),
				/** How tightly they wind, against an ordinary hand: 1.03 is 3 % tighter. */
				backing: BeforeNow.optional(),
				lines: BeforeNow.optional(),
				windings
			})
		),
		/** False where the search did not come to rest: the numbers are not to be trusted. */
		converged: z.boolean(),
		windings: z.array(
			z.object({
				recordId: z.string(),
				setupId: z.string(),
				spool: z.string(),
				woundOn: z.string(),
				who: z.string(),
				counts: z.boolean().meta({ description: 'False for one that was left out.' }),
				odd: z.boolean().meta({
					description: 'One of its readings fits nothing else, and hardly counts: a slip, most likely.'
				})
			})
		)
	})
	.meta({ id: 'Learnt' });
export type LearntAnswer = z.infer<typeof LearntAnswer>;
export type BeforeNow = z.infer<typeof BeforeNow>;

/** Leaves a winding out of what is learnt, or counts it again. */
export const CountWinding = z.strictObject({ recordId: z.string().max(64), counts: z.boolean() });
