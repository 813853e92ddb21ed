import type { Job } from '$lib/workers/client';

/** Waits this long after the last change before starting again, ms: nobody reads a histogram while dragging. */
const SETTLE_MS = 250;

/**
 * A computation in a worker that follows what it is made from: started again after each change, the one
 * before it cancelled. The last answer stays until there is a newer one.
 */
export class Aside<T> {
	value = $state.raw<T>();
	running = $state(false);
	/** Trials done, where the job says so. */
	progress = $state(0);
	/** The newest run had no answer. */
	failed = $state(false);

	/** @param start starts the job; reads what it depends on, so that a change starts it again */
	constructor(start: (onProgress: (done: number) => void) => (() => Promise<Job<T>>) | undefined) {
		$effect(() => {
			const begin = start((done) => (this.progress = done));
			if (!begin) {
				this.value = undefined;
				return;
			}
			let over = false;
			let job: Job<T> | undefined;
			const timer = setTimeout(async () => {
				this.running = true;
				this.progress = 0;
				job = await begin();
				if (over) return job.cancel();
				const answer = await job.result;
				if (over) return;
				this.running = false;
				this.failed = !answer.ok;
				if (answer.ok) this.value = answer.value;
			}, SETTLE_MS);
			return () => {
				over = true;
				this.running = false;
				clearTimeout(timer);
				job?.cancel();
			};
		});
	}
}
