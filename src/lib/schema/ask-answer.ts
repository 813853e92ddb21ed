import {
	checkpoint,
	correct,
	DEFAULT_SPREADS,
	fail,
	halfFit,
	isKnown,
	lengthAtRisk,
	level,
	matchPair,
	methodLadder,
	ok,
	runoutOf,
	sharedBacking,
	simulation,
	solveFit,
	spoolOf,
	under,
	type Fit,
	type KnownComponent,
	type Problem,
	type Result,
	type Simulation,
	type Spool,
	type Spreads
} from '$lib/core';
import type { z } from 'zod';
import type * as ask from './ask-api';
import { DEFAULT_GAP_MM, readFitRequest, readLineInput, readSpool, readStrand } from './fit-read';
import { M, tidy, tidyRange, tidySummary } from './tidy';

type In<S extends z.ZodType> = z.output<S>;

const DEFAULT_TRIALS = 20_000;
const DEFAULT_RISK = 0.05;

/** A problem with its spool and its fit. */
interface Solved {
	readonly problem: Problem;
	readonly spool: Spool;
	readonly fit: Fit;
}

function solveRequest(request: In<typeof ask.RiskRequest>['fit']): Result<Solved> {
	const problem = readFitRequest(request);
	if (!problem.ok) return { ok: false, issues: under(problem.issues, 'fit') };
	const built = spoolOf(problem.value.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'fit', 'spool') };
	const fit = solveFit(built.value.spool, problem.value.stack, problem.value.gapMm);
	return fit.ok
		? ok({ problem: problem.value, spool: built.value.spool, fit: fit.value })
		: { ok: false, issues: under(fit.issues, 'fit') };
}

const spreadsOf = (given: In<typeof ask.SpreadsInput> | undefined): Spreads => ({
	...DEFAULT_SPREADS,
	...Object.fromEntries(Object.entries(given ?? {}).filter(([, value]) => value !== undefined))
});

function spoolFrom(input: In<typeof ask.HalfFitRequest>['spool']): Result<Spool> {
	const source = readSpool(input);
	if (!source.ok) return source;
	const built = spoolOf(source.value);
	return built.ok ? ok(built.value.spool) : built;
}

/** A backing of no given length. */
function readBacking(
	input: In<typeof ask.MatchRequest>['backing']
): Result<{ diameterMm: number; layEfficiency: number }> {
	const read = readStrand({ ...input, role: 'backing' });
	if (!read.ok) return { ok: false, issues: under(read.issues, 'backing') };
	return isKnown(read.value)
		? fail({ code: 'conflicting_fields', fields: ['lengthM', 'a length that is looked for'] }, [
				'backing',
				'lengthM'
			])
		: ok(read.value);
}

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

type Lines = { sections: KnownComponent['sections']; layEfficiency: number }[];

function readLines(inputs: In<typeof ask.MatchRequest>['lines']): Result<Lines> {
	const lines: Lines = [];
	for (const [i, input] of inputs.entries()) {
		const line = readLineInput({ ...input, role: 'line' });
		if (!line.ok) return { ok: false, issues: under(line.issues, 'lines', i) };
		lines.push(line.value);
	}
	return ok(lines);
}

export function answerMatch(request: In<typeof ask.MatchRequest>): Result<In<typeof ask.MatchResponse>> {
	const lines = readLines(request.lines);
	if (!lines.ok) return lines;
	const backing = readBacking(request.backing);
	if (!backing.ok) return backing;
	const rows: In<typeof ask.MatchResponse>['rows'] = [];
	for (const [i, input] of request.spools.entries()) {
		const spool = spoolFrom(input);
		if (!spool.ok) return { ok: false, issues: under(spool.issues, 'spools', i) };
		for (const [j, line] of lines.value.entries()) {
			const fit = matchPair(spool.value, line, backing.value, request.gapMm ?? DEFAULT_GAP_MM);
			if (!fit.ok) return { ok: false, issues: under(fit.issues, 'spools', i) };
			const { fits, gapMm, solved } = fit.value;
			rows.push({
				spool: i,
				line: j,
				fits,
				backingM: tidy((solved?.lengthMm ?? 0) * M),
				turns: tidy(solved?.turns ?? 0),
				stopDepthMm: tidy(solved?.stopDepthMm ?? 0),
				gapMm: tidy(gapMm)
			});
		}
	}
	return ok({ rows });
}

export function answerSharedBacking(
	request: In<typeof ask.SharedBackingRequest>
): Result<In<typeof ask.SharedBackingResponse>> {
	const spool = spoolFrom(request.spool);
	if (!spool.ok) return { ok: false, issues: under(spool.issues, 'spool') };
	const lines = readLines(request.lines.map(({ line }) => line));
	if (!lines.ok) return lines;
	const backing = readBacking(request.backing);
	if (!backing.ok) return backing;
	const wanted = lines.value.map((line, i) => ({ ...line, leastGapMm: request.lines[i]!.leastGapMm }));
	const shared = sharedBacking(spool.value, wanted, backing.value);
	return ok(
		shared
			? {
					fits: true,
					backingM: tidy(shared.lengthMm * M),
					tightest: shared.tightest,
					gapsMm: shared.gapsMm.map(tidy)
				}
			: { fits: false, backingM: 0, gapsMm: [] }
	);
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
