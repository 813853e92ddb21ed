import {
	aboutAsPlanned,
	estimate,
	firstId,
	isKnown,
	type Reading,
	type RunReading,
	type RunState
} from '$lib/core';
import type { Part } from '$lib/setup/read-strands';
import type { Workout } from '$lib/setup/evaluate-form';
import type { StopNow } from './job';

/** A count that ends under this share of the plan was not kept to the end. */
const COUNTED_SHARE = 0.5;

type Setup = Pick<Workout, 'parts' | 'problem' | 'fit' | 'stopIndex' | 'known'>;
type Amounts = Pick<RunReading, 'turns' | 'lost'>;

/** Turns of a part as they were counted, with the loss of count that still holds. */
function counted({ turns, lost }: Amounts, { id }: Part) {
	const loss = lost.get(id);
	return { turns: turns.get(id) ?? 0, ...(loss !== undefined && { lost: loss }) };
}

/**
 * What is on of the strand that is wound to the gap, once something goes over it: as counted; where nobody counted it to its end,
 * about as planned.
 */
function underneath(
	{ parts, problem, fit, stopIndex }: Setup,
	amounts: Amounts,
	lostAt: string | undefined
): Reading[] {
	const part = parts[stopIndex];
	if (!part || isKnown(problem.stack[stopIndex]!)) return [];
	const planned = fit.layers[stopIndex]!;
	const on = { ...(lostAt !== undefined && { lost: { id: lostAt } }), ...counted(amounts, part) };
	if (on.turns >= COUNTED_SHARE * planned.turns || on.lost)
		return [{ kind: 'amount', component: stopIndex, ...on }];
	return [aboutAsPlanned(stopIndex, planned.lengthMm)];
}

/** A reading with the id of what was noted; undefined for what only says how much was on. */
export interface Told {
	readonly reading: Reading;
	readonly id: string | undefined;
}

/**
 * What was read in a run as the estimate takes it, in order: each depth with the turns that were on then. The depth of the outermost
 * part with all of it on is the gap. Readings on backing that has come off altogether are left out.
 *
 * @param going place of the part that is going on now; −1 for none
 */
export function readingsOf(state: RunState, setup: Setup, going: number): Told[] {
	const { parts, stopIndex, known } = setup;
	const { spool } = known;
	const top = parts.length - 1;
	const stopId = parts[stopIndex]?.id;
	// A gap may show that the count under it was lost.
	const lostAt = state.readings.find((r) => r.finished && r.takenAs === 'lost-count')?.id;
	const told: Told[] = alone(state, setup);
	const note = (readings: readonly Reading[], id?: string): void => {
		for (const reading of readings) told.push({ reading, id });
	};
	for (const reading of state.readings) {
		const component = parts.findIndex(({ id }) => id === reading.part);
		if (component < 0 || (stopId !== undefined && reading.offSince.has(stopId))) continue;
		const { depthMm, takenAs } = reading;
		const on = counted(reading, parts[component]!);
		const nobodyCounted = on.turns === 0 && on.lost === undefined;
		if (component > stopIndex) note(underneath(setup, reading, lostAt));
		if (reading.finished || (component === top && component !== stopIndex && nobodyCounted))
			note(
				[{ kind: 'gap', gapMm: depthMm + spool.gapFromRadiusMm - spool.rimRadiusMm, takenAs }],
				reading.id
			);
		else note([{ kind: 'depth', component, depthMm, takenAs, ...(!nobodyCounted && on) }], reading.id);
	}
	if (going > stopIndex) note(underneath(setup, state, lostAt));
	if (going >= 0) note([{ kind: 'amount', component: going, ...counted(state, parts[going]!) }]);
	return told;
}

/**
 * What a reverse fill said: the depth with the line alone, and the depth that so many turns of backing over it left. On the bare arbor
 * only: over a bed neither was read.
 */
function alone({ readings }: RunState, { parts, stopIndex }: Setup): Told[] {
	const stop = parts[stopIndex];
	if (stopIndex !== 0 || !stop) return [];
	const over = new Set(parts.slice(1).map(({ id }) => firstId(id)));
	return readings.flatMap(({ id, part, depthMm, turns }): Told[] => {
		const on = turns.get(part) ?? 0;
		if (part === firstId(stop.id) && on > 0)
			return [{ id, reading: { kind: 'over-line', depthMm, turns: on } }];
		const covered = [...over].every((line) => (turns.get(line) ?? 0) > 0) && !turns.has(firstId(stop.id));
		return over.has(part) && covered ? [{ id, reading: { kind: 'line-alone', depthMm } }] : [];
	});
}

/** The stop as the readings of a run have moved it; undefined while nothing was read, or where nothing is wound to the gap. */
export function stopNow(state: RunState, setup: Setup & Pick<Workout, 'spreads'>): StopNow | undefined {
	const told = readingsOf(state, setup, -1);
	if (told.every(({ id }) => id === undefined) || isKnown(setup.problem.stack[setup.stopIndex]!))
		return undefined;
	const readings = told.map(({ reading }) => reading);
	const now = estimate(setup.problem, readings, setup.spreads);
	if (!now.ok) return undefined;
	const { wholeLengthMm, stopDepthMm, wholeTurns } = now.value.todo;
	return { lengthMm: wholeLengthMm.value, stopDepthMm: stopDepthMm.value, turns: wholeTurns.value };
}

/** What was counted and read on the way: what a winding begins with when it is saved. Turns as they are counted. */
export function countedOf(
	{ turns, depths }: RunState,
	{ parts, stopIndex, gear, known: { spool } }: Workout
): { turns: number | undefined; depthMm: number | undefined; gapMm: number | undefined } {
	const stop = parts[stopIndex]?.id ?? '';
	const topDepthMm = depths.get(parts.at(-1)?.id ?? '')?.depthMm;
	return {
		turns: (turns.get(stop) ?? 0) / gear,
		depthMm: depths.get(stop)?.depthMm,
		gapMm: topDepthMm === undefined ? undefined : topDepthMm + spool.gapFromRadiusMm - spool.rimRadiusMm
	};
}
