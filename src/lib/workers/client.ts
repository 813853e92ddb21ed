import { proxy, wrap, type Remote } from 'comlink';
import type { Ladder, MatchCell, Simulation } from '$lib/core';
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

/** The arguments of a call, its number left out: the client gives it. */
type CallOf<K extends 'simulate' | 'ladder' | 'match'> =
	Parameters<FitWorker[K]> extends [number, ...infer Rest] ? Rest : never;

export const simulateAside = (
	...[problem, planned, options, onProgress]: CallOf<'simulate'>
): Job<Simulation> =>
	start((worker, job) => worker.simulate(job, problem, planned, options, proxy(onProgress)));

export const ladderAside = (...asked: CallOf<'ladder'>): Job<Ladder> =>
	start((worker, job) => worker.ladder(job, ...asked));

export const matchAside = (
	...[spools, lines, backing, gapMm, onProgress]: CallOf<'match'>
): Job<MatchCell[][]> =>
	start((worker, job) => worker.match(job, spools, lines, backing, gapMm, proxy(onProgress)));
