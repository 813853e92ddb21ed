import {
	checkpoint,
	correct,
	fail,
	halfFit,
	lengthAtRisk,
	ok,
	retrievePerTurnMm,
	runoutOf,
	simulation,
	within,
	isEnough,
	ladder,
	moreBacking,
	type Fit,
	type Result,
	type Spool
} from '$lib/core';
import type { Evaluation } from '$lib/setup/evaluate';
import type { z } from 'zod';
import * as ask from './ask';
import { bulkOf, COST_MS, fitCostMs } from './cost';
import { backingOf, DEFAULT_GAP_MM, describeSpool, evaluateFit } from './describe';
import { FitRequest, FitResponse } from './fit';
import { question } from './question';
import type { FromMm, InMm } from './wire';

const DEFAULT_TRIALS = 20_000;
const DEFAULT_WORLDS = 400;
const DEFAULT_RISK = 0.05;

const componentsOf = (fit: Fit) =>
	fit.layers.map(({ innerRadiusMm, outerRadiusMm, ...layer }) => ({
		...layer,
		innerDiameterMm: 2 * innerRadiusMm,
		outerDiameterMm: 2 * outerRadiusMm
	}));

const retrieveOf = (spool: Spool, fit: Fit) => ({
	fullMm: retrievePerTurnMm(fit.layers.at(-1)!.outerRadiusMm),
	arborMm: retrievePerTurnMm(spool.arborRadiusMm)
});

/** What a worked-out set-up answers. */
export function fitAnswer({ known, fit, estimate }: Evaluation): FromMm<z.output<typeof FitResponse>> {
	const { spool, estimated, consistency } = known;
	const { gapMm, gapByLengthMm, lengthMm, turns, stopDepthMm } = estimate.ranges;
	return {
		fits: fit.fits,
		gapMm: fit.gapMm,
		...(fit.solved && { solved: fit.solved }),
		...(fit.excess && { over: fit.excess }),
		components: componentsOf(fit),
		retrieve: retrieveOf(spool, fit),
		ranges: { gapMm, gapByLengthMm, ...(fit.solved && { lengthMm, turns, stopDepthMm }) },
		spool: {
			rimDiameterMm: 2 * spool.rimRadiusMm,
			arborDiameterMm: 2 * spool.arborRadiusMm,
			widthMm: spool.profile.at(-1)!.widthMm,
			estimated,
			...(consistency && { ratings: consistency })
		}
	};
}

/** What counts its steps, in shares of them all. */
function* shareOf<T>(steps: number, running: Generator<number, T>): Generator<number, T> {
	for (;;) {
		const step = running.next();
		if (step.done) return step.value;
		yield step.value / steps;
	}
}

/** A set-up that is part of a question, worked out. */
const evaluated = (sent: InMm<z.output<typeof FitRequest>>): Result<Evaluation> =>
	within(evaluateFit(sent), 'fit');

export const fit = question(
	'Fit a stack on a spool',
	FitRequest,
	FitResponse,
	(request) => {
		const read = evaluateFit(request);
		return read.ok ? ok(fitAnswer(read.value)) : read;
	},
	fitCostMs
);

export const halfFitted = question(
	'From the depth with the line wound alone',
	ask.HalfFitRequest,
	ask.HalfFitResponse,
	({ spool, backing: sent, lineDepthMm, places, gapMm = DEFAULT_GAP_MM }) => {
		const source = within(describeSpool(spool), 'spool');
		if (!source.ok) return source;
		const backing = sent && backingOf(sent);
		if (backing && !backing.ok) return backing;
		const told = halfFit(source.value, { lineDepthMm, gapMm, places, backing: backing?.value });
		if (!told.ok || backing) return told;
		// Without a backing nobody can say how long it is.
		const { stopDepthMm, lineSpaceMm3, ranges } = told.value;
		return ok({
			stopDepthMm,
			lineSpaceMm3,
			ranges: { stopDepthMm: ranges.stopDepthMm, gapMm: ranges.gapMm }
		});
	}
);

export const paused = question(
	'A check while winding',
	ask.CheckpointRequest,
	ask.CheckpointResponse,
	({ fit: sent, at }) => {
		const read = evaluated(sent);
		if (!read.ok) return read;
		const told = checkpoint(read.value.problem, at, read.value.spreads);
		if (told.ok) return told;
		return {
			ok: false,
			issues: told.issues.map((issue) => ({
				...issue,
				path: [String(issue.path[0]) in at ? 'at' : 'fit', ...issue.path]
			}))
		};
	},
	({ fit }) => fitCostMs(fit)
);

export const corrected = question(
	'From the gap that was measured, how to correct the backing',
	ask.CorrectRequest,
	ask.CorrectResponse,
	({ fit: sent, seen }) => {
		const read = evaluated(sent);
		if (!read.ok) return read;
		const told = correct(read.value.problem, seen, read.value.spreads);
		if (told.ok) return told;
		return {
			ok: false,
			issues: told.issues.map((issue) =>
				issue.path[0] === 'seen' ? issue : { ...issue, path: ['fit', ...issue.path] }
			)
		};
	},
	({ fit }) => fitCostMs(fit)
);

export const risk = question(
	'How sure the answers are, by simulation',
	ask.RiskRequest,
	ask.RiskResponse,
	function* ({ fit: sent, trials = DEFAULT_TRIALS, seed = 1, spreads, stopBy, riskLimit = DEFAULT_RISK }) {
		const read = evaluated({ ...sent, spreads: { ...sent.spreads, ...spreads } });
		if (!read.ok) return read;
		const options = { trials, seed, spreads: read.value.spreads, stopBy };
		const simulated = yield* shareOf(trials, simulation(read.value.problem, read.value.fit, options));
		return ok({
			...simulated,
			...(read.value.fit.solved && { lengthAtRiskMm: lengthAtRisk(simulated, riskLimit) }),
			shares: simulated.shares.map(({ key, ...share }) => ({ ...share, input: key }))
		});
	},
	({ fit, trials = DEFAULT_TRIALS }) => fitCostMs(fit) + trials * COST_MS.trial * bulkOf(fit)
);

export const methods = question(
	'Compare the methods of finding how much backing',
	ask.MethodsRequest,
	ask.MethodsResponse,
	function* ({ fit: sent, trials = DEFAULT_WORLDS, seed = 1, spreads }) {
		const read = evaluated({ ...sent, spreads: { ...sent.spreads, ...spreads } });
		if (!read.ok) return read;
		const options = { trials, seed, spreads: read.value.spreads };
		const played = yield* shareOf(trials, ladder(read.value.problem, read.value.fit, options));
		if (!played) return fail({ code: 'nothing_to_correct' }, ['fit', 'stack']);
		return ok({ ...played, rungs: played.rungs.map(({ slug, ...rung }) => ({ ...rung, method: slug })) });
	},
	({ fit, trials = DEFAULT_WORLDS }) => trials * COST_MS.world * bulkOf(fit)
);

export const runout = question(
	'Retrieve and drag with a fish on',
	ask.RunoutRequest,
	ask.RunoutResponse,
	({ fit: sent, outMm }) => {
		const read = evaluated(sent);
		if (!read.ok) return read;
		const { known, fit: wound, stack } = read.value;
		const at = runoutOf(known.spool, wound, stack);
		return ok({
			points: outMm.map((out) => {
				const { surfaceRadiusMm, retrieveMm, dragFactor, component } = at(out);
				return {
					outMm: out,
					surfaceDiameterMm: 2 * surfaceRadiusMm,
					retrieveMm,
					dragFactor,
					...(component !== undefined && { role: stack[component]!.role })
				};
			})
		});
	},
	({ fit }) => fitCostMs(fit)
);

export const reverseFilled = question(
	'From a reverse fill',
	ask.ReverseFillRequest,
	ask.ReverseFillResponse,
	({ spool: sent, backing: sentBacking, lineDepthMm, turns, places, gapMm = DEFAULT_GAP_MM }) => {
		const source = within(describeSpool(sent), 'spool');
		if (!source.ok) return source;
		const backing = backingOf(sentBacking);
		if (!backing.ok) return backing;
		return halfFit(source.value, { lineDepthMm, gapMm, places, backing: backing.value, reverseTurns: turns });
	}
);

export const enough = question(
	'What would give enough backing',
	ask.EnoughRequest,
	ask.EnoughResponse,
	({ fit: sent, leastMm }) => {
		const read = evaluated(sent);
		if (!read.ok) return read;
		const { problem, fit: wound } = read.value;
		const lengthMm = wound.fits ? (wound.solved?.lengthMm ?? 0) : 0;
		return ok({
			enough: isEnough(lengthMm, leastMm),
			lengthMm,
			ways: moreBacking(problem, wound, leastMm).map((way) =>
				way.kind === 'thinner-backing' ? { ...way, material: way.material.slug } : way
			)
		});
	},
	({ fit }) => fitCostMs(fit)
);
