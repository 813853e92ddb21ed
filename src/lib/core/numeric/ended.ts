/** Runs a computation that reports as it goes to its end; what it comes to. */
export function ended<T>(running: Generator<unknown, T>): T {
	for (;;) {
		const step = running.next();
		if (step.done) return step.value;
	}
}
