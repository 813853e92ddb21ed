import type {
	CutPlan,
	CutQuestion,
	Fit,
	Ladder,
	MatchBacking,
	MatchCell,
	MatchLine,
	Problem,
	Simulation,
	SimulationOptions,
	Spool,
	Spreads
} from '$lib/core';

/** Errors lose their fields on the way out of a worker, so an answer is data in either case. */
export type Answered<T> = { ok: true; value: T } | { ok: false; reason: 'cancelled' | 'no-answer' };

export interface LadderOptions {
	readonly trials: number;
	readonly spreads: Spreads;
}

/** What the worker of the fit does. Every call carries a number by which it can be cancelled. */
export interface FitWorker {
	simulate(
		job: number,
		problem: Problem,
		planned: Fit,
		options: SimulationOptions,
		onProgress: (done: number) => void
	): Promise<Answered<Simulation>>;
	ladder(job: number, problem: Problem, planned: Fit, options: LadderOptions): Promise<Answered<Ladder>>;
	match(
		job: number,
		spools: readonly Spool[],
		lines: readonly MatchLine[],
		backing: MatchBacking,
		gapMm: number,
		onProgress: (done: number) => void
	): Promise<Answered<MatchCell[][]>>;
	cancel(job: number): void;
}

/** What the worker of the cut plan does. It is stopped by ending it: the solver listens to nobody while it thinks. */
export interface CutPlanWorker {
	plan(question: CutQuestion, onProgress: (share: number) => void): Promise<Answered<CutPlan>>;
}
