import { fail, ok, type OffPart, type OnSource, type Result, type Role } from '$lib/core';
import { gapOver, type GapLeft } from '$lib/setup/gap-over';
import { Reader } from '$lib/setup/read-text';
import { strandIdOf } from './strands';
import { readParts } from '$lib/setup/read-strands';
import type { Winding } from './winding';
import type { ComponentForm, SetupForm, SpoolForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import { asWound, type AsWound } from './wound';

/** What is on a spool now: its newest winding, how many of its components are still there, and the spool as it is described now. */
export interface SpoolNow {
	readonly record: Winding;
	readonly still: number;
	readonly spool: SpoolForm;
}

/** A winding on its spool as that is described now: a rim put right since then counts. */
export const woundNow = ({ record, spool }: SpoolNow): AsWound | undefined =>
	asWound({ spool, fill: record.form.fill }, record) ?? asWound(record.form, record);

/** Something that goes on. */
export type Goes = Omit<ComponentForm, 'solve'>;

/** A spool with something else on it, as a set-up; and the gap that leaves. */
export interface PlannedSwap extends GapLeft {
	readonly form: SetupForm;
}

/** Something that could go on. */
export interface Candidate {
	readonly keptId: string;
	readonly label: string;
	readonly where: string;
	readonly from: OnSource['from'];
	readonly component: ComponentForm;
}

/** The strands on a spool now, and those that could go on it. */
export interface SwapChoice {
	readonly spool: { readonly id: string; readonly name: string };
	readonly now: SpoolNow;
	readonly candidates: readonly Candidate[];
}

/** What can be taken off one by one: strands, not the leader, which comes off first of all. */
export const isStrand = ({ role }: Pick<ComponentForm, 'role'>): boolean => role !== 'leader';

/** What is not on a spool together with something: another of its kind; and with a whole line, what a line is made up of. */
export const insteadOf = (role: Role): readonly Role[] =>
	role === 'line'
		? ['line', 'running-line', 'head']
		: role === 'running-line' || role === 'head'
			? [role, 'line']
			: [role];

/** An id that is not taken. */
function freeId(id: string, taken: readonly string[]): string {
	let free = id;
	for (let n = 2; taken.includes(free); n++) free = `${id.slice(0, 36)}-${n}`;
	return free;
}

/** A gap to a hundredth: closer than anyone reads it, and near enough that the backing comes out as it lies. */
const gapText = (gapMm: number): string => `${gapMm.toFixed(2)} mm`;

/**
 * The set-up that a swap leads to: `keep` components stay as they were wound, these go on over them. The gap is what is
 * left, so that solving for the backing gives the length that is on. Issues when something that goes on makes no sense.
 */
export function swapped(
	now: SpoolNow,
	keep: number,
	goesOn: readonly Goes[],
	units: UnitSystem
): Result<PlannedSwap> {
	const { record, still } = now;
	const wound = woundNow(now);
	if (!wound || keep < 1 || keep > still) return fail({ code: 'missing_value' }, ['keep']);
	const { fill } = record.form;
	const { spool, workout } = wound;
	const stays = fill.stack.slice(0, keep).map((component, i): ComponentForm => ({
		...component,
		kept: strandIdOf(record.setupId, component),
		solve: i === workout.stopIndex
	}));
	const taken = stays.map(({ id }) => id);
	const on = goesOn.map((component): ComponentForm => {
		const id = freeId(component.id, taken);
		taken.push(id);
		return { ...component, id, solve: false };
	});
	const reader = new Reader();
	const parts = readParts({ ...fill, stack: [...stays, ...on] }, units, reader).slice(keep);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };
	const { gapMm, fits } = gapOver(
		spool,
		wound.surfacesMm[keep - 1]!,
		parts.map(({ component }) => component)
	);
	return ok({
		form: {
			spool: now.spool,
			fill: {
				...fill,
				stack: [...stays, ...on],
				swaps: [],
				gap: gapText(gapMm),
				halfFit: '',
				reverseTurns: ''
			}
		},
		gapMm,
		fits
	});
}

/** What comes off when `keep` components stay, the outermost first. */
export function offParts(now: SpoolNow, keep: number): OffPart[] {
	const { still } = now;
	const wound = woundNow(now);
	if (!wound) return [];
	const { parts, fit, gear } = wound.workout;
	return parts
		.slice(keep, still)
		.map(({ id, role, label }, i): OffPart => ({
			id,
			role,
			label,
			lengthMm: fit.layers[keep + i]!.lengthMm,
			turns: fit.layers[keep + i]!.turns / gear,
			joint: now.record.form.fill.stack[keep + i]!.joint
		}))
		.filter(isStrand)
		.reverse();
}
