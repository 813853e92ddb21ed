import { LRUCache } from 'lru-cache';
import { firstFillOf } from '$lib/bench/reverse';
import { workOf, type BenchJob } from '$lib/bench/work';
import type { Winding } from '$lib/inventory/winding';
import type { SetupForm, SpoolForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import { jobOf } from '$lib/bench/job';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import { asWound } from '$lib/inventory/wound';
import { plannedLayers, woundLayers } from '../../charts/section/layers';
import { strandsOf } from '../../charts/thread/strands';
import type { Fact, RackEntry } from './shown';

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

type Entry = RackEntry<Fact>;

function woundEntry(
	record: Winding,
	still: number
): Pick<Entry, 'drawing' | 'facts' | 'strands' | 'woundOn'> {
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
		facts: [
			...facts(wound.workout, record.backingMm, record.backingMeasured).slice(
				wound.workout.parts.length - still
			),
			all
				? { gapMm: record.gapMm ?? gapMm, planned: record.gapMm === null }
				: { said: still === 0 ? 'nothing on it' : 'the rest is off' }
		]
	};
}

/** The line, and what is under it: each component with its length, the outermost first. */
const facts = (workout: Workout, backingMm: number, measured: boolean): Fact[] =>
	workout.parts
		.map(({ short }, i): Fact => {
			const isBacking = i === workout.stopIndex;
			const lengthMm = isBacking ? backingMm : workout.fit.layers[i]!.lengthMm;
			return { short, lengthMm, isBacking, about: isBacking && !measured };
		})
		.reverse();

function plannedEntry(form: SetupForm, units: UnitSystem): Pick<Entry, 'drawing' | 'facts' | 'strands'> {
	const worked = workOut(form, units);
	if (!worked.ok) return { facts: [{ said: 'not worked out yet' }] };
	const { fit, known, stopIndex } = worked.value;
	return {
		strands: strandsOf(worked.value),
		drawing: { spool: known.spool, layers: plannedLayers(worked.value), faint: true },
		facts: [
			...facts(worked.value, fit.layers[stopIndex]?.lengthMm ?? 0, false),
			{ gapMm: fit.gapMm, planned: true }
		]
	};
}

function jobEntry({ wound, planned, other, form }: RackData, units: UnitSystem): Entry['job'] | undefined {
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

/** Entries that were worked out, by what they were worked out from: more than a shop has spools. */
const known = new LRUCache<string, Entry>({ max: 3000 });

/**
 * What is on the spool now if it was wound, else what is planned for it. It is worked out on the server, so that the rack's page
 * needs no more than what it draws, and once, until something about the spool changes.
 *
 * @param units how a bare number in a form is read
 */
export function rackEntry(data: RackData, units: UnitSystem): Entry {
	const key = JSON.stringify([units, data]);
	const before = known.get(key);
	if (before) return before;
	const entry = workedOut(data, units);
	known.set(key, entry);
	return entry;
}

function workedOut(data: RackData, units: UnitSystem): Entry {
	const { id, form, wound, still, planned, setupId } = data;
	const shown = wound
		? woundEntry(wound, still)
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
