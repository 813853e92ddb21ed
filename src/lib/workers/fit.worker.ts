import { methodLadder, simulation } from '$lib/core';
import { expose } from 'comlink';
import type { FitWorker } from './protocol';

const cancelled = new Set<number>();
/** Lets messages in, such as a cancel. */
const breathe = (): Promise<void> => new Promise((resume) => setTimeout(resume));

const worker: FitWorker = {
	async simulate(job, problem, planned, options, onProgress) {
		const running = simulation(problem, planned, options);
		try {
			for (let batches = 1; ; batches++) {
				const step = running.next();
				if (step.done) return { ok: true, value: step.value };
				if (batches % 4 === 0) {
					onProgress(step.value);
					await breathe();
				}
				if (cancelled.delete(job)) return { ok: false, reason: 'cancelled' };
			}
		} catch {
			return { ok: false, reason: 'no-answer' };
		}
	},
	async ladder(job, problem, planned, { trials, spreads }) {
		await breathe();
		if (cancelled.delete(job)) return { ok: false, reason: 'cancelled' };
		const ladder = methodLadder(problem, planned, { trials, spreads });
		return ladder ? { ok: true, value: ladder } : { ok: false, reason: 'no-answer' };
	},
	cancel(job) {
		cancelled.add(job);
	}
};

expose(worker);
