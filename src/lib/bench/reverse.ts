import { backToFront, firstId, type ChosenTechniques, type JobSetup, type ReverseWay } from '$lib/core';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import type { SetupForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import { jobOf } from './job';
import type { BenchJob } from './work';

/** What a reverse fill puts on first, as a set-up of its own: it is worked out, counted and read like any other. */
export interface FirstFill {
	readonly workout: Workout;
	readonly job: JobSetup;
}

/** The same spool and strands back to front, up to the same gap. A half-fit's readings belong to the right order only. */
function firstForm(form: SetupForm, stopIndex: number, way: ReverseWay): SetupForm {
	const stack = backToFront(form.fill.stack, stopIndex, way).map(({ kept: _, ...component }) => ({
		...component,
		id: firstId(component.id)
	}));
	return { ...form, fill: { ...form.fill, stack, swaps: [], halfFit: '', reverseTurns: '' } };
}

/** Undefined for any other job, and where nothing is wound to the gap under a line. */
export function firstFillOf(
	form: SetupForm,
	{ stopIndex, parts }: Workout,
	bench: BenchJob,
	units: UnitSystem,
	person: ChosenTechniques = {}
): FirstFill | undefined {
	if (bench.kind !== 'reverse' || stopIndex < 0 || stopIndex === parts.length - 1) return undefined;
	const first = firstForm(form, stopIndex, bench.way);
	const worked = workOut(first, units);
	return worked.ok && worked.value.fit.fits
		? { workout: worked.value, job: jobOf(first, worked.value, person) }
		: undefined;
}
