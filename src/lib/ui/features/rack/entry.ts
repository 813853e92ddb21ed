import type { Day, Spool } from '$lib/core';
import { firstFillOf } from '$lib/bench/reverse';
import { workOf, type BenchJob } from '$lib/bench/work';
import type { Winding } from '$lib/inventory/winding';
import type { SetupForm, SpoolForm } from '$lib/setup/form';
import { showLong, showSmall, type UnitSystem } from '$lib/wording/units';
import { jobOf } from '$lib/bench/job';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import { asWound } from '$lib/inventory/wound';
import { plannedLayers, woundLayers, type DrawnLayer } from '../../charts/section/layers';
import { strandsOf, type ThreadStrand } from '../../charts/thread/strands';

/** What the rack knows of a spool: the newest winding, and a set-up not wound yet. */
export interface RackData {
	readonly id: string;
	readonly form: SpoolForm;
	readonly wound?: Winding;
	/** How many components of that winding still lie there. */
	readonly still: number;
	readonly planned?: {
		readonly id: string;
		readonly form: SetupForm;
		readonly done: readonly string[];
		readonly bench: BenchJob;
	};
	readonly other?: { readonly setupId: string; readonly job: string; readonly done: readonly string[] };
	readonly setupId?: string;
}

/** A spool as it stands on the shelf. */
export interface RackEntry {
	readonly id: string;
	readonly name: string;
	readonly hand: string;
	readonly href: string;
	readonly setupId?: string;
	readonly drawing?: {
		readonly spool: Spool;
		readonly layers: readonly DrawnLayer[];
		readonly faint: boolean;
	};
	/** The thread, from arbor to leader. */
	readonly strands?: readonly ThreadStrand[];
	/** Short facts, one a line. */
	readonly facts: readonly string[];
	/** When it was wound, and by whom. */
	readonly woundOn?: Day;
	readonly who?: string;
	/** A job begun or waiting. */
	readonly job?: {
		readonly href: string;
		readonly done: number;
		readonly total: number;
		/** A plan that nobody wound yet, to be dropped. */
		readonly planId?: string;
	};
	/** The winding that is on it. */
	readonly windingId?: string;
	/** Something that was wound: it can be swapped. */
	readonly swaps: boolean;
}

function woundEntry(
	record: Winding,
	still: number,
	units: UnitSystem
): Pick<RackEntry, 'drawing' | 'facts' | 'strands' | 'woundOn'> {
	const wound = asWound(record.form, record);
	if (!wound) return { facts: [], woundOn: record.woundOn };
	const gapMm = wound.spool.gapFromRadiusMm - wound.surfacesMm.at(-1)!;
	const all = still === wound.workout.parts.length;
	return {
		woundOn: record.woundOn,
		strands: strandsOf(wound.workout).slice(0, still),
		drawing: {
			spool: wound.spool,
			layers: woundLayers(wound, record.turns).slice(0, still),
			faint: false
		},
		facts: facts(wound.workout, record.backingMm, record.backingMeasured, units)
			.slice(wound.workout.parts.length - still)
			.concat(
				!all
					? still === 0
						? 'nothing on it'
						: 'the rest is off'
					: record.gapMm === null
						? `gap ${showSmall(gapMm, units)} planned`
						: `gap ${showSmall(record.gapMm, units)}`
			)
	};
}

/** The line, and what is under it: each component with its length, the outermost first. */
function facts(workout: Workout, backingMm: number, measured: boolean, units: UnitSystem): string[] {
	const about = measured ? '' : 'about ';
	return workout.parts
		.map(({ short }, i) =>
			i === workout.stopIndex
				? `${about}${showLong(backingMm, units)}, ${short}`
				: `${short}, ${showLong(workout.fit.layers[i]!.lengthMm, units)}`
		)
		.reverse();
}

function plannedEntry(form: SetupForm, units: UnitSystem): Pick<RackEntry, 'drawing' | 'facts' | 'strands'> {
	const worked = workOut(form, units);
	if (!worked.ok) return { facts: ['not worked out yet'] };
	const { fit, known, stopIndex } = worked.value;
	return {
		strands: strandsOf(worked.value),
		drawing: { spool: known.spool, layers: plannedLayers(worked.value), faint: true },
		facts: [
			...facts(worked.value, fit.layers[stopIndex]?.lengthMm ?? 0, false, units),
			`gap ${showSmall(fit.gapMm, units)} planned`
		]
	};
}

function jobEntry(
	{ wound, planned, other, form }: RackData,
	units: UnitSystem
): RackEntry['job'] | undefined {
	if (other)
		return {
			href: `/bench/${other.setupId}?job=${encodeURIComponent(other.job)}`,
			done: other.done.length,
			total: Infinity
		};
	if (!planned) return undefined;
	const worked = workOut({ spool: form, fill: planned.form.fill }, units);
	if (!worked.ok) return undefined;
	const first = firstFillOf(planned.form, worked.value, planned.bench, units)?.job;
	const { steps } = workOf(jobOf(planned.form, worked.value), planned.bench, first);
	const done = steps.filter(({ id }) => planned.done.includes(id)).length;
	return {
		href: `/bench/${planned.id}`,
		done,
		total: steps.length,
		...(wound && wound.setupId !== planned.id && { planId: planned.id })
	};
}

/** What is on the spool now if it was wound, else what is planned for it. */
export function rackEntry(data: RackData, units: UnitSystem): RackEntry {
	const { id, form, wound, still, planned, setupId } = data;
	const shown = wound
		? woundEntry(wound, still, units)
		: planned
			? plannedEntry(planned.form, units)
			: { facts: [] };
	const job = jobEntry(data, units);
	return {
		id,
		name: form.name || 'Unnamed spool',
		hand: form.hand,
		// What is wound opens as what it is; a plan opens as a plan.
		href: wound ? `/spool/${id}` : setupId === undefined ? `/fit/new?spool=${id}` : `/fit/${setupId}`,
		...(setupId !== undefined && { setupId }),
		...shown,
		...(wound?.typed.who && { who: wound.typed.who }),
		...(wound && { windingId: wound.id }),
		swaps: wound !== undefined && still > 0,
		...(job && { job })
	};
}
