import { kindOf } from '../procedure/step';
import type { TimedStep } from '../procedure/times';
import { counting, once } from './counting';
import type { RunEvent } from './events';

/** A step of a run with the time it took: from the one done before it, or from the first thing noted. */
export interface StepTime {
	readonly step: string;
	readonly plannedSeconds: number | undefined;
	readonly tookSeconds: number;
}

/** Times of the steps that were done, in the order they were done. A step done again counts its last time. */
export function stepTimes(events: readonly RunEvent[]): StepTime[] {
	const live = counting(once(events));
	const times = new Map<string, StepTime>();
	let from = live[0]?.at ?? 0;
	for (const event of live) {
		if (event.kind !== 'step' || !event.done) continue;
		times.delete(event.step);
		times.set(event.step, {
			step: event.step,
			plannedSeconds: event.plannedSeconds,
			tookSeconds: (event.at - from) / 1000
		});
		from = event.at;
	}
	return [...times.values()];
}

/** Those of them that a tempo can be learnt from. */
export const timedSteps = (events: readonly RunEvent[]): TimedStep[] =>
	stepTimes(events).flatMap(({ step, plannedSeconds, tookSeconds }) => {
		const kind = kindOf(step);
		return kind && plannedSeconds ? [{ kind, plannedSeconds, tookSeconds }] : [];
	});

/** From the first thing noted to the last, seconds. */
export function runSeconds(events: readonly RunEvent[]): number {
	let [first, last] = [Infinity, -Infinity];
	for (const { at } of events) [first, last] = [Math.min(first, at), Math.max(last, at)];
	return last > first ? (last - first) / 1000 : 0;
}
