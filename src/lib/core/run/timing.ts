import { kindOf } from '../procedure/step';
import type { TimedStep } from '../procedure/times';
import { counting, once } from './counting';
import { inOrder, type RunEvent } from './events';

/** A step of a run with the time it took: from the one done before it, or from the first thing noted. */
export interface StepTime {
	readonly step: string;
	readonly plannedSeconds: number | undefined;
	readonly tookSeconds: number;
}

/** A gap longer than this is a job set aside, not work, s. Assumption. */
const SET_ASIDE_S = 3600;

/** Seconds of work until each event, with the times when the job was set aside left out. */
function workUntil(events: readonly RunEvent[]): number[] {
	let work = 0;
	return events.map(({ at }, i) => {
		const gap = i === 0 ? 0 : (at - events[i - 1]!.at) / 1000;
		if (gap <= SET_ASIDE_S) work += gap;
		return work;
	});
}

/** Times of the steps that were done, in the order they were done. A step done again counts its last time. */
export function stepTimes(events: readonly RunEvent[]): StepTime[] {
	const live = counting(once(events));
	const work = workUntil(live);
	const times = new Map<string, StepTime>();
	let from = 0;
	live.forEach((event, i) => {
		if (event.kind !== 'step' || !event.done) return;
		times.delete(event.step);
		times.set(event.step, {
			step: event.step,
			plannedSeconds: event.plannedSeconds,
			tookSeconds: work[i]! - from
		});
		from = work[i]!;
	});
	return [...times.values()];
}

/** Those of them that a tempo can be learnt from. */
export const timedSteps = (events: readonly RunEvent[]): TimedStep[] =>
	stepTimes(events).flatMap(({ step, plannedSeconds, tookSeconds }) => {
		const kind = kindOf(step);
		return kind && plannedSeconds ? [{ kind, plannedSeconds, tookSeconds }] : [];
	});

/** Seconds of work from the first thing noted to the last. */
export const runSeconds = (events: readonly RunEvent[]): number => workUntil(inOrder(events)).at(-1) ?? 0;
