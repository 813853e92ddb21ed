import { estimate, isKnown, RANGE_Z, type Reading } from '$lib/core';
import type { GapPromise, GapPromises } from '$lib/inventory/promise';
import type { ForeseenGap, Winding } from '$lib/inventory/winding';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import type { LearntHere } from '$lib/setup/learnt-here';
import { DEFAULT_UNITS } from '$lib/wording/units';
import type { Knex } from 'knex';
import { listWindings } from '../repositories/windings';

const wasTyped = (text: string): boolean => text.trim() !== '';

/** What was known of the backing before the line went over it: what somebody counted and read, not what was planned. */
function readBefore(
	{ typed, turns, depthMm }: Winding,
	{ stopIndex: component, problem }: Workout
): Reading[] {
	if (component < 0 || isKnown(problem.stack[component]!)) return [];
	const on = wasTyped(typed.turns) && turns !== null ? { turns } : undefined;
	if (wasTyped(typed.depth) && depthMm !== null) return [{ kind: 'depth', component, depthMm, ...on }];
	return on ? [{ kind: 'amount', component, ...on }] : [];
}

/**
 * What is foreseen of a winding's gap, from what was counted and read before the line went over; undefined where no gap was measured, or
 * where the set-up does not work out.
 */
export function foreseenGap(record: Winding, learnt?: LearntHere): ForeseenGap | undefined {
	if (record.gapMm === null || !wasTyped(record.typed.gap)) return undefined;
	const worked = workOut(record.form, DEFAULT_UNITS, learnt);
	if (!worked.ok) return undefined;
	const { problem, spreads, estimate: plan, fit } = worked.value;
	const readings = readBefore(record, worked.value);
	const told = readings.length > 0 ? estimate(problem, readings, spreads) : undefined;
	const foreseen = told?.ok ? told.value.gap.asItIs : { value: fit.gapMm, range: plan.ranges.gapMm };
	const sigmaMm = (foreseen.range.high - foreseen.range.low) / (2 * RANGE_Z);
	const half = RANGE_Z * Math.hypot(sigmaMm, spreads.depthMm);
	return { foreseenMm: foreseen.value, lowMm: foreseen.value - half, highMm: foreseen.value + half };
}

/** What was foreseen of a gap when it was written down, else what would have been, and what was found. */
function promiseOf(record: Winding): GapPromise[] {
	const { form, gapMm: foundMm, typed } = record;
	if (foundMm === null || !wasTyped(typed.gap)) return [];
	const foreseen = record.foreseen ?? foreseenGap(record);
	if (!foreseen) return [];
	return [
		{
			recordId: record.id,
			spool: form.spool.name || 'Unnamed spool',
			woundOn: record.woundOn.toString(),
			...foreseen,
			foundMm,
			held: foundMm >= foreseen.lowMm && foundMm <= foreseen.highMm
		}
	];
}

/** Of all windings whose gap was measured: the range that was given, and whether the gap lay in it. */
export async function promisesKept(db: Knex): Promise<GapPromises> {
	const promises = (await listWindings(db)).flatMap(promiseOf);
	return { promises, held: promises.filter(({ held }) => held).length };
}
