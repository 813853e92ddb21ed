import {
	DEFAULT_SPREADS,
	fail,
	isKnown,
	ok,
	solveFit,
	spoolOf,
	under,
	type Fit,
	type Problem,
	type Result,
	type Spool,
	type Spreads
} from '$lib/core';
import type { z } from 'zod';
import type * as ask from './ask';
import { readFitRequest, readSpool, readStrand } from './fit-read';

export type In<S extends z.ZodType> = z.output<S>;

/** A problem with its spool and its fit. */
export interface Solved {
	readonly problem: Problem;
	readonly spool: Spool;
	readonly fit: Fit;
}

export function solveRequest(request: In<typeof ask.RiskRequest>['fit']): Result<Solved> {
	const problem = readFitRequest(request);
	if (!problem.ok) return { ok: false, issues: under(problem.issues, 'fit') };
	const built = spoolOf(problem.value.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'fit', 'spool') };
	const fit = solveFit(built.value.spool, problem.value.stack, problem.value.gapMm);
	return fit.ok
		? ok({ problem: problem.value, spool: built.value.spool, fit: fit.value })
		: { ok: false, issues: under(fit.issues, 'fit') };
}

export const spreadsOf = (given: In<typeof ask.SpreadsInput> | undefined): Spreads => ({
	...DEFAULT_SPREADS,
	...Object.fromEntries(Object.entries(given ?? {}).filter(([, value]) => value !== undefined))
});

export function spoolFrom(input: In<typeof ask.HalfFitRequest>['spool']): Result<Spool> {
	const source = readSpool(input);
	if (!source.ok) return source;
	const built = spoolOf(source.value);
	return built.ok ? ok(built.value.spool) : built;
}

/** A backing of no given length. */
export function readBacking(
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
