import { proxy, wrap, type Remote } from 'comlink';
import type {
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
import type { Answered, FitWorker } from './protocol';

/** A computation that is under way elsewhere. */
export interface Job<T> {
	readonly result: Promise<Answered<T>>;
	readonly cancel: () => void;
}

let remote: Remote<FitWorker> | undefined;
let jobs = 0;

/** One worker for the page, started with the first job. */
function fitWorker(): Remote<FitWorker> {
	remote ??= wrap<FitWorker>(
		new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module', name: 'fit' })
	);
	return remote;
}

const start = <T>(run: (worker: Remote<FitWorker>, job: number) => Promise<Answered<T>>): Job<T> => {
	const job = ++jobs;
	const worker = fitWorker();
	return { result: run(worker, job), cancel: () => void worker.cancel(job) };
};

export const simulateAside = (
	problem: Problem,
	planned: Fit,
	options: SimulationOptions,
	onProgress: (done: number) => void
): Job<Simulation> =>
	start((worker, job) => worker.simulate(job, problem, planned, options, proxy(onProgress)));

export const ladderAside = (
	problem: Problem,
	planned: Fit,
	options: { trials: number; spreads: Spreads }
): Job<Ladder> => start((worker, job) => worker.ladder(job, problem, planned, options));

export const matchAside = (
	spools: readonly Spool[],
	lines: readonly MatchLine[],
	backing: MatchBacking,
	gapMm: number,
	onProgress: (done: number) => void
): Job<MatchCell[][]> =>
	start((worker, job) => worker.match(job, spools, lines, backing, gapMm, proxy(onProgress)));
