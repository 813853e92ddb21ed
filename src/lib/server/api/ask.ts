import { keys, KNOT_TAKES_MM, METHODS, ROLES, type MethodSlug } from '$lib/core';
import { z } from 'zod';
import { BOUNDS } from '$lib/setup/bounds';
import { bounded, ComponentInput, FitRequest, SpoolInput, SpreadsInput } from './fit';

/** Shapes of everything that is asked of a fit: what a reading tells, how sure it is, what else would go on. */

/** A depth as a rule reads it; above the rim there is none, which the answer says. */
const depthMm = z.number().min(BOUNDS.seenGap.min).max(BOUNDS.depth.max);
const gapMm = bounded(BOUNDS.gap);
/** Places round the spool whose mean a reading is. */
const places = z
	.number()
	.int()
	.min(1)
	.max(20)
	.optional()
	.meta({ description: 'Places round the spool that the reading is the mean of; 1 unless given.' });
const turns = bounded(BOUNDS.turns);
const lengthM = bounded(BOUNDS.backing);
const range = z.tuple([z.number(), z.number()]).meta({ description: '5th to 95th percentile.' });

/** A strand in a place where its role is plain. */
const StrandInput = ComponentInput.partial({ role: true });

export const HalfFitRequest = z
	.strictObject({
		spool: SpoolInput,
		gapMm: gapMm.optional().meta({ description: '4 unless given.' }),
		lineDepthMm: depthMm.meta({ description: 'Read with the line alone on the bare arbor.' }),
		places,
		backing: StrandInput.optional().meta({ description: 'For its length and turns too.' })
	})
	.meta({ id: 'HalfFitRequest' });

export const HalfFitResponse = z
	.object({
		stopDepthMm: z.number(),
		lineSpaceMm3: z.number().meta({ description: 'Space the line takes on this spool.' }),
		lengthM: z.number().optional(),
		turns: z.number().optional(),
		ranges: z.object({
			stopDepthMm: range,
			gapMm: range,
			lengthM: range.optional(),
			turns: range.optional()
		})
	})
	.meta({ id: 'HalfFitResponse' });

export const CheckpointRequest = z
	.strictObject({
		fit: FitRequest,
		at: z.strictObject({
			component: z.number().int().min(0).max(100),
			turns: turns.meta({ description: 'Turns of this component so far.' }),
			depthMm,
			places
		})
	})
	.meta({ id: 'CheckpointRequest' });

const surprise = z.boolean().meta({
	description: 'The reading is far from what was expected and was left out of the answers: read it again.'
});

export const CheckpointResponse = z
	.object({
		lengthSoFarM: z.number(),
		remaining: z.object({ turns: z.number(), lengthM: z.number() }).meta({
			description: 'Negative when the component is past its stop: so much has to come off.'
		}),
		stopDepthMm: z.number(),
		gapMm: z.number(),
		layEfficiency: z
			.number()
			.meta({ description: 'What the reading and what is usual amount to, the diameter as given.' }),
		surprise,
		ranges: z.object({
			lengthSoFarM: range,
			turns: range,
			lengthM: range,
			stopDepthMm: range,
			gapMm: range.meta({ description: 'After winding the remaining turns.' }),
			gapByDepthMm: range.meta({ description: 'After winding to the stop depth by a rule.' })
		})
	})
	.meta({ id: 'CheckpointResponse' });

export const CorrectRequest = z
	.strictObject({
		fit: FitRequest,
		seen: z.strictObject({
			gapMm: bounded(BOUNDS.seenGap),
			places,
			backing: z
				.strictObject({
					turns: turns.optional(),
					lengthM: lengthM.optional(),
					depthMm: depthMm.optional()
				})
				.optional()
				.meta({
					description:
						'How the backing was wound: its turns or its length, and the depth read where it ended. Left out: about as planned.'
				})
		})
	})
	.meta({ id: 'CorrectRequest' });

export const CorrectResponse = z
	.object({
		backingChangeM: z.number().meta({ description: 'Negative: take off.' }),
		turns: z.number(),
		stopDepthMm: z.number().meta({ description: 'Depth at which the backing then stands.' }),
		stopBy: z
			.enum(['depth', 'turns', 'length'])
			.meta({ description: 'Which of the three leaves the gap surest.' }),
		surprise,
		ranges: z.object({
			backingChangeM: range,
			turns: range,
			stopDepthMm: range,
			gapByDepthMm: range.meta({ description: 'The gap after changing the backing to the stop depth.' }),
			gapByLengthMm: range.meta({ description: 'The gap after changing its length.' })
		})
	})
	.meta({ id: 'CorrectResponse' });

/** Most trials of one request: a few seconds of one core. */
const MAX_TRIALS = 100_000;
const seed = z.number().int().min(0).max(2_147_483_647);

export const RiskRequest = z
	.strictObject({
		fit: FitRequest,
		spreads: SpreadsInput.optional(),
		trials: z.number().int().min(100).max(MAX_TRIALS).optional().meta({ description: '20000 unless given.' }),
		seed: seed.optional().meta({ description: '1 unless given. The same seed gives the same answer.' }),
		stopBy: z.enum(['length', 'depth']).optional().meta({
			description: 'Whether the planned length is wound (unless given), or the planned depth by a rule.'
		}),
		riskLimit: z.number().min(0.001).max(0.5).optional().meta({
			description: 'Chance of rubbing that is accepted, for lengthAtRiskM; 0.05 unless given.'
		})
	})
	.meta({ id: 'RiskRequest' });

const summary = z.object({
	mean: z.number(),
	sd: z.number(),
	p05: z.number(),
	p50: z.number(),
	p95: z.number()
});

export const RiskResponse = z
	.object({
		gapMm: summary,
		lengthM: summary.optional().meta({ description: 'Length that would have brought the wanted gap.' }),
		rubProbability: z.number(),
		lengthAtRiskM: z.number().optional().meta({ description: 'Longest backing within the risk limit.' }),
		shares: z.array(
			z.object({
				input: z.string().meta({ description: 'rim, arbor, width, diameter, bulk, lay, depth-reading …' }),
				component: z.number().int().optional(),
				share: z.number()
			})
		),
		trials: z.number().int()
	})
	.meta({ id: 'RiskResponse' });

const MAX_MATCH_SPOOLS = 200;
const MAX_MATCH_LINES = 500;

export const MatchRequest = z
	.strictObject({
		spools: z.array(SpoolInput).min(1).max(MAX_MATCH_SPOOLS),
		lines: z.array(StrandInput).min(1).max(MAX_MATCH_LINES),
		backing: StrandInput,
		gapMm: gapMm.optional()
	})
	.meta({ id: 'MatchRequest' });

export const MatchResponse = z
	.object({
		rows: z.array(
			z.object({
				spool: z.number().int(),
				line: z.number().int(),
				fits: z.boolean(),
				backingM: z.number(),
				turns: z.number(),
				stopDepthMm: z.number(),
				gapMm: z.number()
			})
		)
	})
	.meta({ id: 'MatchResponse', description: 'One row a pair, spool by spool.' });

export const SharedBackingRequest = z
	.strictObject({
		spool: SpoolInput,
		lines: z
			.array(z.strictObject({ line: StrandInput, leastGapMm: gapMm }))
			.min(1)
			.max(MAX_MATCH_LINES),
		backing: StrandInput
	})
	.meta({ id: 'SharedBackingRequest' });

export const SharedBackingResponse = z
	.object({
		fits: z.boolean(),
		backingM: z.number(),
		tightest: z.number().int().optional().meta({ description: 'The line that decides.' }),
		gapsMm: z.array(z.number())
	})
	.meta({ id: 'SharedBackingResponse' });

export const MethodsRequest = z
	.strictObject({
		fit: FitRequest,
		spreads: SpreadsInput.optional(),
		trials: z.number().int().min(50).max(5000).optional(),
		seed: seed.optional()
	})
	.meta({ id: 'MethodsRequest' });

const slugs = METHODS.map(({ slug }) => slug) as [MethodSlug, ...MethodSlug[]];

export const MethodsResponse = z
	.object({
		rungs: z.array(
			z.object({
				method: z.enum(slugs),
				gapError95Mm: z.number(),
				rubProbability: z.number().meta({ description: 'Chance that the line touches rim or frame.' }),
				tightProbability: z.number().meta({ description: 'Chance that less than 1 mm is left.' }),
				extraTurns: z.number(),
				readings: z.number().int().meta({ description: 'Times that a rule is laid across the rims.' })
			})
		),
		recommended: z.enum(slugs),
		because: z.enum(['least-work-that-is-safe', 'errs-least'])
	})
	.meta({ id: 'MethodsResponse' });

export const RunoutRequest = z
	.strictObject({
		fit: FitRequest,
		outM: z.array(z.number().min(0).max(BOUNDS.component.max)).min(1).max(1000)
	})
	.meta({ id: 'RunoutRequest' });

export const RunoutResponse = z
	.object({
		points: z.array(
			z.object({
				outM: z.number(),
				surfaceDiameterMm: z.number(),
				retrieveMm: z.number(),
				dragFactor: z
					.number()
					.meta({ description: 'Pull at a set drag, over the pull with the spool full.' }),
				role: z.enum(ROLES).optional()
			})
		)
	})
	.meta({ id: 'RunoutResponse' });

export const ReverseFillRequest = z
	.strictObject({
		spool: SpoolInput,
		gapMm: gapMm.optional(),
		lineDepthMm: depthMm.meta({ description: 'Read with the line alone on the bare arbor.' }),
		turns: turns.meta({ description: 'Turns of backing over the line, to the gap.' }),
		places,
		backing: StrandInput
	})
	.meta({ id: 'ReverseFillRequest' });

export const ReverseFillResponse = z
	.object({
		lengthM: z
			.number()
			.meta({ description: 'Backing that belongs under this line, whatever its thickness.' }),
		layEfficiency: z.number(),
		turns: z.number().meta({ description: 'Turns it takes under the line.' }),
		stopDepthMm: z.number(),
		ranges: z.object({ lengthM: range, turns: range, stopDepthMm: range, gapMm: range })
	})
	.meta({ id: 'ReverseFillResponse' });

export const EnoughRequest = z
	.strictObject({ fit: FitRequest, leastM: lengthM })
	.meta({ id: 'EnoughRequest' });

export const EnoughResponse = z
	.object({
		enough: z.boolean(),
		lengthM: z.number(),
		ways: z.array(
			z.object({
				kind: z.enum(['thinner-backing', 'smaller-gap', 'shorter-line']),
				material: z.string().optional(),
				lengthM: z.number().optional(),
				gapMm: z.number().optional(),
				cutM: z.number().optional()
			})
		)
	})
	.meta({ id: 'EnoughResponse', description: 'What would bring the backing to the least that is wanted.' });

export const LineRequest = StrandInput.meta({ id: 'LineRequest' });

export const LineResponse = z
	.object({
		lengthM: z.number(),
		volumeMm3: z.number(),
		massG: z.number(),
		first30ftGrains: z.number().meta({ description: 'A short level tip left out, as the standard has it.' }),
		nearestClass: z.number().int(),
		offGrains: z.number(),
		withinTolerance: z.boolean()
	})
	.meta({ id: 'LineResponse' });

const colour = z.string().regex(/^#[0-9a-f]{6}$/i);
export const ContrastRequest = z.strictObject({ one: colour, other: colour }).meta({ id: 'ContrastRequest' });
export const ContrastResponse = z
	.object({ deltaE: z.number().meta({ description: 'CIEDE2000.' }), seen: z.enum(['clear', 'fair', 'poor']) })
	.meta({ id: 'ContrastResponse' });

export const CutsRequest = z
	.strictObject({
		lengthM: z.number().min(0).max(BOUNDS.backing.max),
		knots: z.array(z.enum(['arbor', 'loops', 'nail', ...keys(KNOT_TAKES_MM)])).max(4)
	})
	.meta({ id: 'CutsRequest' });
export const CutsResponse = z
	.object({ cutM: z.number(), knotsM: z.number(), buyM: z.array(z.number()), leftoverM: z.number() })
	.meta({ id: 'CutsResponse' });
