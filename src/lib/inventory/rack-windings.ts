import { aboutAsPlanned, isKnown, stopOf, type Problem, type RackWinding, type Reading } from '$lib/core';
import { problemOf } from '$lib/setup/evaluate';
import { readForm } from '$lib/setup/evaluate-form';
import type { ComponentForm, SetupForm, SpoolForm } from '$lib/setup/form';
import { kindOfStrand } from '$lib/setup/learnt';
import { Reader } from '$lib/setup/read-text';
import type { SetupDescription } from '$lib/setup/description';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { strandIdOf } from './strands';
import { winderOf } from './winder';
import type { Winding } from './winding';

/** Days of a year, for how a hand drifts. */
const YEAR_DAYS = 365.25;
export const yearsBetween = (from: Winding['woundOn'], to: Winding['woundOn']): number =>
	to.compare(from) / YEAR_DAYS;

const wasTyped = (text: string): boolean => text.trim() !== '';

/** What is known now of what a winding was wound with. */
export interface DescribedNow {
	/** The spool as it is described now; undefined where it is off the rack. */
	readonly spool: SpoolForm | undefined;
	/** What a strand is made of, as it was last wound. */
	readonly made: (strandId: string) => ComponentForm | undefined;
	/** The winding that laid a strand that has stayed since; undefined for one that this winding laid. */
	readonly laid: (strandId: string) => string | undefined;
	/** The first winding of the rack. */
	readonly first: Winding['woundOn'];
}

/** A winding's set-up as it is described now, without what was learnt or typed of the hand: that is what windings teach. */
function formNow({ form, setupId }: Winding, { spool, made }: DescribedNow): SetupForm {
	const stack = form.fill.stack.map((component) => {
		const now = made(strandIdOf(setupId, component));
		return now ? { ...component, made: now.made } : component;
	});
	return { spool: spool ?? form.spool, fill: { ...form.fill, stack, lay: '' } };
}

function read(form: SetupForm): SetupDescription | undefined {
	const reader = new Reader();
	const { description } = readForm(form, DEFAULT_UNITS, reader);
	return reader.issues.length > 0 ? undefined : description;
}

/**
 * What was read of a winding, in order. A value that was only planned is none of it; a half-fit counts in its own set-up, and would count
 * twice here.
 */
function readingsOf(
	{ typed, turns, depthMm, gapMm, backingMm }: Winding,
	{ stack }: Problem,
	stayed: boolean
): Reading[] {
	const component = stopOf(stack);
	if (component < 0) return [];
	const readings: Reading[] = [];
	const counted = turns !== null && turns > 0 && (stayed || wasTyped(typed.turns)) ? { turns } : undefined;
	// Backing that stayed was read when it was laid.
	if (depthMm !== null && !stayed && wasTyped(typed.depth))
		readings.push({ kind: 'depth', component, depthMm, ...counted });
	else if (counted) readings.push({ kind: 'amount', component, ...counted });
	else if (!isKnown(stack[component]!)) readings.push(aboutAsPlanned(component, backingMm));
	if (gapMm !== null && wasTyped(typed.gap)) readings.push({ kind: 'gap', gapMm });
	return readings;
}

/** A finished winding as the rack learns from it; undefined where its set-up no longer reads, or nothing was read of it. */
export function rackWindingOf(record: Winding, now: DescribedNow): RackWinding | undefined {
	const form = formNow(record, now);
	const description = read(form) ?? read({ ...form, spool: record.form.spool });
	const described = description && problemOf(description);
	if (!description || !described?.ok) return undefined;
	const { problem, spreads } = described.value;
	const strands = record.form.fill.stack.map((component, i) => {
		const id = strandIdOf(record.setupId, component);
		return { id, kind: kindOfStrand(description.stack[i]!), laid: now.laid(id) ?? record.id };
	});
	const stop = strands[stopOf(problem.stack)];
	const readings = readingsOf(record, problem, stop !== undefined && stop.laid !== record.id);
	if (readings.every(({ kind }) => kind === 'amount')) return undefined;
	return {
		id: record.id,
		problem,
		spreads,
		readings,
		spool: record.spoolId,
		winder: winderOf(record.typed.who),
		years: yearsBetween(now.first, record.woundOn),
		strands
	};
}
