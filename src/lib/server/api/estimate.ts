import {
	believe,
	estimateOf,
	ok,
	sampleEstimate,
	TAKEN_AS,
	within,
	type Ranged,
	type Reading
} from '$lib/core';
import { BOUNDS } from '$lib/setup/bounds';
import { z } from 'zod';
import { bulkOf, COST_MS, fitCostMs } from './cost';
import { evaluateFit } from './describe';
import { bounded, FitRequest } from './fit';
import { question } from './question';

/** Most readings of one set-up: more than anybody takes in a long day, few enough that the answer is quick. */
const MAX_READINGS = 50;

/** Most samples of one request: a second of one core. */
const MAX_SAMPLES = 50_000;

const component = z.number().int().min(0).max(100).meta({ description: 'Counted from 0 at the arbor.' });
const depthMm = bounded(BOUNDS.depth).meta({ description: 'From the rim down to the surface.' });

const common = {
	sigmaMm: z
		.number()
		.min(0.001)
		.max(BOUNDS.spread.max)
		.optional()
		.meta({ description: '1σ of the reading, where it is known better or worse than usual.' }),
	places: z
		.number()
		.int()
		.min(1)
		.max(20)
		.optional()
		.meta({ description: 'Places round the spool that it is the mean of; 1 unless given.' }),
	takenAs: z.enum(TAKEN_AS).optional().meta({
		description: 'What is behind a reading that was a surprise. Until it is said, the reading is left out.'
	})
};

const amount = {
	turns: bounded(BOUNDS.turns).optional().meta({ description: 'Turns that are on, as they were counted.' }),
	lost: z
		.strictObject({
			id: z.string().min(1).max(60),
			sigmaTurns: z.number().positive().max(BOUNDS.turns.max).optional()
		})
		.optional()
		.meta({
			description:
				'The count was lost before this: later counts of the strand with the same id are off by as much. sigmaTurns: 1σ, where somebody has an idea.'
		}),
	lengthM: bounded(BOUNDS.component)
		.optional()
		.meta({ description: 'Length that is on, as it was measured.' }),
	lengthSigmaM: z
		.number()
		.positive()
		.max(100)
		.optional()
		.meta({ description: 'A hundredth of it unless given.' })
};

const ReadingInput = z
	.discriminatedUnion('kind', [
		z.strictObject({
			kind: z.literal('measure'),
			measure: z.enum(['rim', 'arbor', 'width', 'frame']),
			valueMm: bounded(BOUNDS.spool),
			...common
		}),
		z.strictObject({
			kind: z.literal('diameter'),
			component,
			diameterMm: bounded(BOUNDS.strand),
			...common
		}),
		z.strictObject({ kind: z.literal('amount'), component, ...amount, ...common }),
		z.strictObject({
			kind: z.literal('depth'),
			component,
			depthMm,
			by: z.enum(['rule', 'eye', 'coil-drop']).optional(),
			...amount,
			...common
		}),
		z.strictObject({ kind: z.literal('gap'), gapMm: bounded(BOUNDS.seenGap), ...common }),
		z.strictObject({ kind: z.literal('line-alone'), depthMm, ...common }),
		z.strictObject({ kind: z.literal('over-line'), turns: bounded(BOUNDS.turns), depthMm, ...common })
	])
	.meta({
		description:
			'measure: calipers on the spool. diameter: calipers on a strand. amount: so much of a strand is on. depth: a rule down to a strand, with what is on of it. gap: with everything on. line-alone: everything above the backing alone on the bare arbor. over-line: then backing over it.'
	});

export const EstimateRequest = z
	.strictObject({
		fit: FitRequest,
		readings: z
			.array(ReadingInput)
			.max(MAX_READINGS)
			.meta({ description: 'In the order of time. What was told last of a strand is what is on of it.' }),
		samples: z.number().int().min(100).max(MAX_SAMPLES).optional().meta({
			description:
				'Also sample the posterior so often: the gap as it may come out, and the chance of rubbing.'
		}),
		seed: z
			.number()
			.int()
			.min(0)
			.max(2_147_483_647)
			.optional()
			.meta({ description: '1 unless given. The same seed gives the same answer.' })
	})
	.meta({ id: 'EstimateRequest' });

const range = z.tuple([z.number(), z.number()]).meta({ description: '5th to 95th percentile.' });
const ranged = z.object({ value: z.number(), range });
const sampledGap = z.object({
	gapMm: z.object({ mean: z.number(), sd: z.number(), p05: z.number(), p50: z.number(), p95: z.number() }),
	rubProbability: z.number()
});
const Explanation = z.object({
	as: z.enum(['misread', 'lost-count', 'other-room', 'other-spool']),
	plausibility: z.number()
});

export const EstimateResponse = z
	.object({
		stop: z.number().int().meta({ description: 'The component that is wound to the gap.' }),
		going: z
			.object({
				component: z.number().int(),
				turns: ranged,
				lengthM: ranged,
				startDepthMm: ranged,
				depthMm: ranged,
				turnsLeft: ranged,
				lengthLeftM: ranged,
				endDepthMm: ranged,
				layEfficiency: ranged
			})
			.optional()
			.meta({ description: 'What is going on, or has gone on last: how far it is, and what is left of it.' }),
		todo: z
			.object({
				turns: ranged,
				lengthM: ranged,
				stopDepthMm: ranged,
				wholeTurns: ranged,
				wholeLengthM: ranged
			})
			.meta({
				description:
					'What the component that is wound to the gap needs, from what is on now; negative: comes off. stopDepthMm: where it then ends; whole…: how much it is then in all.'
			}),
		gap: z.object({ byDepthMm: ranged, byTurnsMm: ranged, byLengthMm: ranged, asItIsMm: ranged }).meta({
			description: 'The final gap, by how the end is found; asItIs: when nothing is changed any more.'
		}),
		stopBy: z
			.enum(['depth', 'turns', 'length'])
			.meta({ description: 'How to find the end: what leaves the gap surest.' }),
		layEfficiency: ranged,
		readings: z.array(
			z.object({
				expected: ranged.optional(),
				z: z.number().optional().meta({ description: 'Standard deviations from what was expected.' }),
				surprise: z
					.boolean()
					.meta({ description: 'It contradicts the rest and was left out: ask whoever took it.' }),
				explanations: z.array(Explanation),
				moved: z
					.object({ turns: z.number(), lengthM: z.number(), stopDepthMm: z.number(), gapMm: z.number() })
					.meta({ description: 'What the reading changed: the answers with it, less those without it.' })
			})
		),
		next: z.array(
			z.object({
				measure: z.string(),
				gapSigmaMm: z.number(),
				thenGapSigmaMm: z.number(),
				minutes: z.number()
			})
		),
		sampled: z
			.object({ byDepth: sampledGap, byTurns: sampledGap, byLength: sampledGap, asItIs: sampledGap })
			.optional()
			.meta({ description: 'With samples: the final gap over worlds drawn from what is believed.' }),
		converged: z.boolean()
	})
	.meta({ id: 'EstimateResponse' });

export const estimated = question(
	'What to do now, from all readings',
	EstimateRequest,
	EstimateResponse,
	({ fit: sent, readings, samples, seed = 1 }) => {
		const read = within(evaluateFit(sent), 'fit');
		if (!read.ok) return read;
		const told = believe(read.value.problem, readings as Reading[], read.value.spreads);
		if (!told.ok)
			return {
				ok: false,
				issues: told.issues.map((issue) =>
					issue.path[0] === 'readings' ? issue : { ...issue, path: ['fit', ...issue.path] }
				)
			};
		const { gap, ...rest } = estimateOf(told.value);
		const { byDepth, byTurns, byLength, asItIs } = gap;
		return ok({
			...rest,
			...(samples !== undefined && { sampled: sampleEstimate(told.value, samples, seed) }),
			gap: {
				byDepthMm: byDepth,
				byTurnsMm: byTurns,
				byLengthMm: byLength,
				asItIsMm: asItIs
			} satisfies Record<string, Ranged>
		});
	},
	({ fit, readings, samples = 0 }) =>
		(1 + readings.length) * fitCostMs(fit) + samples * COST_MS.sample * bulkOf(fit)
);
