/** Runs a computation that reports as it goes to its end, and passes on what it reports; what it comes to. */
export function ended<T, Step>(
	running: Generator<Step, T>,
	onStep: (step: Step) => void = () => undefined
): T {
	for (;;) {
		const step = running.next();
		if (step.done) return step.value;
		onStep(step.value);
	}
}
