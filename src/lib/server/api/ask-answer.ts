import {
	checkpoint,
	correct,
	fail,
	halfFit,
	isKnown,
	lengthAtRisk,
	level,
	methodLadder,
	ok,
	reverseFill,
	runoutOf,
	simulation,
	under,
	waysToEnough,
	type KnownComponent,
	type Result,
	type Simulation
} from '$lib/core';
import type * as ask from './ask';
import { DEFAULT_GAP_MM, readFitRequest, readSpool } from './fit-read';
import { M, tidy, tidyRange, tidySummary } from './rounding';

import { readBacking, solveRequest, spoolFrom, spreadsOf, type In, type Solved } from './ask-read';

const DEFAULT_TRIALS = 20_000;
const DEFAULT_RISK = 0.05;

export function answerHalfFit(
	request: In<typeof ask.HalfFitRequest>
): Result<In<typeof ask.HalfFitResponse>> {
	const source = readSpool(request.spool);
	if (!source.ok) return { ok: false, issues: under(source.issues, 'spool') };
	const backing = request.backing && readBacking(request.backing);
	if (backing && !backing.ok) return backing;
	const told = halfFit(source.value, {
		lineDepthMm: request.lineDepthMm,
		gapMm: request.gapMm ?? DEFAULT_GAP_MM,
		backing: backing?.value
	});
	if (!told.ok) return told;
	const { stopDepthMm, lineSpaceMm3, lengthMm, turns, ranges } = told.value;
	return ok({
		stopDepthMm: tidy(stopDepthMm),
		lineSpaceMm3: tidy(lineSpaceMm3),
		...(lengthMm !== undefined && { lengthM: tidy(lengthMm * M) }),
		...(turns !== undefined && { turns: tidy(turns) }),
		ranges: {
			stopDepthMm: tidyRange(ranges.stopDepthMm),
			gapMm: tidyRange(ranges.gapMm),
			...(ranges.lengthMm && { lengthM: tidyRange(ranges.lengthMm, M) }),
			...(ranges.turns && { turns: tidyRange(ranges.turns) })
		}
	});
}

export function answerCheckpoint(
	request: In<typeof ask.CheckpointRequest>
): Result<In<typeof ask.CheckpointResponse>> {
	const problem = readFitRequest(request.fit);
	if (!problem.ok) return { ok: false, issues: under(problem.issues, 'fit') };
	const told = checkpoint(problem.value, request.at);
	if (!told.ok)
		return {
			ok: false,
			issues: told.issues.map((issue) => ({
				...issue,
				path: [String(issue.path[0]) in request.at ? 'at' : 'fit', ...issue.path]
			}))
		};
	const { lengthSoFarMm, remaining, stopDepthMm, gapMm, layEfficiency, ranges } = told.value;
	return ok({
		lengthSoFarM: tidy(lengthSoFarMm * M),
		remaining: { turns: tidy(remaining.turns), lengthM: tidy(remaining.lengthMm * M) },
		stopDepthMm: tidy(stopDepthMm),
		gapMm: tidy(gapMm),
		layEfficiency: tidy(layEfficiency),
		ranges: {
			lengthSoFarM: tidyRange(ranges.lengthSoFarMm, M),
			turns: tidyRange(ranges.turns),
			lengthM: tidyRange(ranges.lengthMm, M),
			stopDepthMm: tidyRange(ranges.stopDepthMm),
			gapMm: tidyRange(ranges.gapMm)
		}
	});
}

export function answerCorrect(
	request: In<typeof ask.CorrectRequest>
): Result<In<typeof ask.CorrectResponse>> {
	const problem = readFitRequest(request.fit);
	if (!problem.ok) return { ok: false, issues: under(problem.issues, 'fit') };
	const told = correct(problem.value, request.seen.gapMm);
	if (!told.ok)
		return {
			ok: false,
			issues: told.issues.map((issue) =>
				issue.path[0] === 'seen' ? issue : { ...issue, path: ['fit', ...issue.path] }
			)
		};
	const { backingChangeMm, turns, stopDepthMm } = told.value;
	return ok({
		backingChangeM: tidy(backingChangeMm * M),
		turns: tidy(turns),
		stopDepthMm: tidy(stopDepthMm)
	});
}

function riskOf({ fit }: Solved, simulated: Simulation, risk: number): In<typeof ask.RiskResponse> {
	const { gapMm, lengthMm, rubProbability, shares, trials } = simulated;
	return {
		gapMm: tidySummary(gapMm),
		...(lengthMm && { lengthM: tidySummary(lengthMm, M) }),
		rubProbability,
		...(fit.solved && { lengthAtRiskM: tidy(lengthAtRisk(simulated, risk) * M) }),
		shares: shares.map(({ key, component, share }) => ({
			input: key,
			...(component !== undefined && { component }),
			share: tidy(share)
		})),
		trials
	};
}

/** Runs batch by batch, so that the caller can let others in between: yields, then returns the answer. */
export function* answerRisk(
	request: In<typeof ask.RiskRequest>
): Generator<number, Result<In<typeof ask.RiskResponse>>> {
	const solved = solveRequest(request.fit);
	if (!solved.ok) return solved;
	const simulated = yield* simulation(solved.value.problem, solved.value.fit, {
		trials: request.trials ?? DEFAULT_TRIALS,
		seed: request.seed ?? 1,
		spreads: spreadsOf(request.spreads),
		stopBy: request.stopBy
	});
	return ok(riskOf(solved.value, simulated, request.riskLimit ?? DEFAULT_RISK));
}

export function answerMethods(
	request: In<typeof ask.MethodsRequest>
): Result<In<typeof ask.MethodsResponse>> {
	const solved = solveRequest(request.fit);
	if (!solved.ok) return solved;
	const { problem, fit } = solved.value;
	const { trials, seed } = request;
	const ladder = methodLadder(problem, fit, {
		...(trials !== undefined && { trials }),
		...(seed !== undefined && { seed }),
		spreads: spreadsOf(request.spreads)
	});
	if (!ladder) return fail({ code: 'nothing_to_correct' }, ['fit', 'stack']);
	return ok({
		rungs: ladder.rungs.map(({ slug, gapError95Mm, rubProbability, extraTurns }) => ({
			method: slug,
			gapError95Mm: tidy(gapError95Mm),
			rubProbability: tidy(rubProbability),
			extraTurns: tidy(extraTurns)
		})),
		recommended: ladder.recommended,
		because: ladder.because
	});
}

export function answerRunout(request: In<typeof ask.RunoutRequest>): Result<In<typeof ask.RunoutResponse>> {
	const solved = solveRequest(request.fit);
	if (!solved.ok) return solved;
	const { problem, spool, fit } = solved.value;
	const stack = problem.stack.map((c, i): KnownComponent =>
		isKnown(c) ? c : { ...c, sections: [level(fit.layers[i]!.lengthMm, c.diameterMm)] }
	);
	const at = runoutOf(spool, fit, stack);
	return ok({
		points: request.outM.map((outM) => {
			const { surfaceRadiusMm, retrieveMm, dragFactor, component } = at(outM / M);
			return {
				outM,
				surfaceDiameterMm: tidy(2 * surfaceRadiusMm),
				retrieveMm: tidy(retrieveMm),
				dragFactor: tidy(dragFactor),
				...(component !== undefined && { role: stack[component]!.role })
			};
		})
	});
}

export function answerReverseFill(
	request: In<typeof ask.ReverseFillRequest>
): Result<In<typeof ask.ReverseFillResponse>> {
	const spool = spoolFrom(request.spool);
	if (!spool.ok) return { ok: false, issues: under(spool.issues, 'spool') };
	const backing = readBacking(request.backing);
	if (!backing.ok) return backing;
	const { lineDepthMm, turns, gapMm = DEFAULT_GAP_MM } = request;
	const told = reverseFill(spool.value, { lineDepthMm, turns, gapMm }, backing.value.diameterMm);
	return told.ok
		? ok({ lengthM: tidy(told.value.lengthMm * M), layEfficiency: tidy(told.value.layEfficiency) })
		: told;
}

export function answerEnough(request: In<typeof ask.EnoughRequest>): Result<In<typeof ask.EnoughResponse>> {
	const solved = solveRequest(request.fit);
	if (!solved.ok) return solved;
	const { problem, fit } = solved.value;
	const lengthMm = fit.fits ? (fit.solved?.lengthMm ?? 0) : 0;
	const ways = waysToEnough(problem, fit, request.leastM / M);
	return ok({
		enough: lengthMm * M >= request.leastM,
		lengthM: tidy(lengthMm * M),
		ways: ways.map((way) => {
			switch (way.kind) {
				case 'thinner-backing':
					return { kind: way.kind, material: way.material.slug, lengthM: tidy(way.lengthMm * M) };
				case 'smaller-gap':
					return { kind: way.kind, gapMm: tidy(way.gapMm), lengthM: tidy(way.lengthMm * M) };
				case 'shorter-line':
					return { kind: way.kind, cutM: tidy(way.cutMm * M) };
			}
		})
	});
}
