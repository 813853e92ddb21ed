import { ladder, matchMatrix, simulation } from '$lib/core';
import { expose } from 'comlink';
import type { Answered, FitWorker } from './protocol';

const cancelled = new Set<number>();
/** Lets messages in, such as a cancel. */
const breathe = (): Promise<void> => new Promise((resume) => setTimeout(resume));

/** Runs a generator to its end, with a breath, a report and a look at the cancel button every `every` steps. */
async function follow<T>(
	job: number,
	running: Generator<number, T>,
	every: number,
	onProgress: (done: number) => void
): Promise<Answered<T>> {
	try {
		for (let steps = 1; ; steps++) {
			const step = running.next();
			if (step.done) return { ok: true, value: step.value };
			if (steps % every === 0) {
				onProgress(step.value);
				await breathe();
			}
			if (cancelled.delete(job)) return { ok: false, reason: 'cancelled' };
		}
	} catch {
		return { ok: false, reason: 'no-answer' };
	}
}

const worker: FitWorker = {
	simulate: (job, problem, planned, options, onProgress) =>
		follow(job, simulation(problem, planned, options), 4, onProgress),
	match: (job, spools, lines, backing, gapMm, onProgress) =>
		follow(job, matchMatrix(spools, lines, backing, gapMm), 5, onProgress),
	async ladder(job, problem, planned, options) {
		await breathe();
		const played = await follow(job, ladder(problem, planned, options), 10, () => undefined);
		if (!played.ok) return played;
		return played.value ? { ok: true, value: played.value } : { ok: false, reason: 'no-answer' };
	},
	cancel(job) {
		cancelled.add(job);
	}
};

expose(worker);
