import { proxy, wrap, type Remote } from 'comlink';
import type { CutPlan, CutQuestion, Ladder, MatchCell, Simulation } from '$lib/core';
import type { Answered, CutPlanWorker, FitWorker } from './protocol';

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

/** The worker that planned last: the solver in it is loaded. */
let planner: Worker | undefined;

/** Plans cuts in a worker of its own; to cancel it is to end that worker, and the next plan starts another. */
export function planCutsAside(question: CutQuestion, onProgress: (share: number) => void): Job<CutPlan> {
	const own = (planner ??= new Worker(new URL('./cut-plan.worker.ts', import.meta.url), {
		type: 'module',
		name: 'cut-plan'
	}));
	let resolve: (answer: Answered<CutPlan>) => void = () => undefined;
	const cancelled = new Promise<Answered<CutPlan>>((settle) => (resolve = settle));
	return {
		result: Promise.race([cancelled, wrap<CutPlanWorker>(own).plan(question, proxy(onProgress))]),
		cancel: () => {
			own.terminate();
			if (planner === own) planner = undefined;
			resolve({ ok: false, reason: 'cancelled' });
		}
	};
}
