import {
	counting,
	fail,
	STRAND_KINDS,
	NO_TURNS,
	ok,
	parseLength,
	totalLengthMm,
	transferTurns,
	type CareEvent,
	type CareState,
	type Day,
	type Due,
	type Strand,
	type StrandKind,
	type Result,
	type Turns,
	type Whereabouts
} from '$lib/core';
import { Reader } from '$lib/setup/read-text';
import { newSetup } from '$lib/setup/presets';
import { readParts, type Part } from '$lib/setup/read-strands';
import type { Winding } from './winding';
import type { ComponentForm } from '$lib/setup/form';
import { DEFAULT_UNITS } from '$lib/wording/units';

/** A line, head, tip or backing with what is written of it, as the page shows it. */
export interface StrandEntry {
	readonly kept: Strand;
	/** What it is on, in words: the name of a spool, the label of a coil. */
	readonly where: string;
	readonly spoolId: string | null;
	readonly state: CareState;
	readonly dues: readonly Due[];
}

/** A strand is on the spool that it was last wound on, and the strands from before are on coils. The windings alone tell this. */
export interface WindingHistory {
	readonly kept: readonly Strand[];
	readonly events: ReadonlyMap<string, readonly CareEvent[]>;
	/** What each thing is made of, as it was last wound. */
	readonly made: ReadonlyMap<string, ComponentForm>;
	/** For each winding the strands that stayed as an earlier one laid them, with that winding's id. */
	readonly stayed: ReadonlyMap<string, ReadonlyMap<string, string>>;
}

/** The very strand that a component of a set-up is: said, or this set-up's own. */
export const strandIdOf = (setupId: string, { kept, id }: Pick<ComponentForm, 'kept' | 'id'>): string =>
	kept ?? `${setupId}:${id}`;

/** Something that was there before anything was wound here: what it is. When it came, and where it lies, is written of it. */
export interface Brought {
	readonly id: string;
	readonly component: ComponentForm;
}

const isStrandKind = (role: string): role is StrandKind => (STRAND_KINDS as readonly string[]).includes(role);

const strandAs = (id: string, kind: StrandKind, { label, line }: Part, lengthMm: number): Strand => ({
	id,
	kind,
	label,
	lengthMm,
	doubleTaper: line?.taper === 'DT'
});

/** Of something that was brought, what is looked after; issues where its description makes no sense. */
export function readBrought({ id, component }: Brought): Result<Strand> {
	const reader = new Reader();
	const fill = { ...newSetup().fill, stack: [{ ...component, solve: false }] };
	const [part] = readParts(fill, DEFAULT_UNITS, reader);
	if (reader.issues.length > 0)
		// Seen from the component: it lies in no stack.
		return { ok: false, issues: reader.issues.map((issue) => ({ ...issue, path: issue.path.slice(3) })) };
	if (!part || !isStrandKind(part.role) || !('sections' in part.component))
		return fail({ code: 'missing_value' }, ['length']);
	return ok(strandAs(id, part.role, part, totalLengthMm(part.component.sections)));
}

/** A strand of a winding that is looked after. */
interface Wound extends Strand {
	readonly component: ComponentForm;
	/** What its way on to the spool put into it, where that was said. */
	readonly turns: Turns | undefined;
}

/** The strands of a winding, from the arbor outward. Records do not change: worked out once for each. */
const woundIn = new WeakMap<Winding, readonly Wound[]>();
function strandsIn(record: Winding): readonly Wound[] {
	const before = woundIn.get(record);
	if (before) return before;
	const reader = new Reader();
	const { fill } = record.form;
	const strands = readParts(fill, DEFAULT_UNITS, reader).flatMap((part, i): Wound[] => {
		const { id, role, component } = part;
		if (!isStrandKind(role)) return [];
		const form = fill.stack[i]!;
		const lengthMm =
			'sections' in component && !form.solve ? totalLengthMm(component.sections) : record.backingMm;
		const travel = record.typed.travelled?.find((one) => one.part === id);
		return [
			{
				...strandAs(strandIdOf(record.setupId, form), role, part, lengthMm),
				component: form,
				turns: travel && lengthMm > 0 ? transferTurns({ ...travel, lengthMm, onto: 'reel' }) : undefined
			}
		];
	});
	const read = reader.issues.length > 0 ? [] : strands;
	woundIn.set(record, read);
	return read;
}

/** What stands on a coil when nobody wrote anything else: what it is, where that is not known, and what it came off. */
export const usualCoil = (spoolName: string, label?: string): string =>
	`${label === undefined ? '' : `${label}, `}off ${spoolName || 'its spool'}`.slice(0, 80);

/** How many of two lists are the same from the beginning. */
export function commonOf(a: readonly string[], b: readonly string[]): number {
	const differs = a.findIndex((one, i) => one !== b[i]);
	return differs < 0 ? a.length : differs;
}

/** Something that lies on a spool: the part it was wound as, and when that was. */
interface Lying {
	readonly id: string;
	readonly part: string;
	readonly day: Day;
	readonly at: number;
	/** The winding that laid it. */
	readonly laid: string;
}
type Written = ReadonlyMap<string, readonly CareEvent[]>;

const isBefore = (a: { day: Day; at: number }, b: { day: Day; at: number }): boolean =>
	(a.day.compare(b.day) || a.at - b.at) < 0;

/** Whether something is still on a spool at a winding, by what was written of it since it was put there. */
function isThere(lying: Lying, { spoolId, woundOn, writtenAt }: Winding, written: Written): boolean {
	const now = { day: woundOn, at: writtenAt };
	const moved = counting(written.get(lying.id) ?? []).findLast(
		(event) => event.kind === 'moved' && isBefore(lying, event) && isBefore(event, now)
	);
	return moved?.kind !== 'moved' || (moved.to.on === 'spool' && moved.to.spoolId === spoolId);
}

/** Windings told one after another: what each puts where. */
class Telling {
	readonly kept = new Map<string, Strand>();
	readonly made = new Map<string, ComponentForm>();
	readonly events = new Map<string, CareEvent[]>();
	readonly stayed = new Map<string, ReadonlyMap<string, string>>();
	/** The strands on each spool, from the arbor outward. */
	readonly #on = new Map<string, readonly Lying[]>();
	readonly #written: Written;

	constructor(written: Written, brought: readonly Brought[]) {
		this.#written = written;
		for (const one of brought) {
			const came = counting(written.get(one.id) ?? []).some(({ kind }) => kind === 'came');
			const kept = readBrought(one);
			if (!came || !kept.ok) continue;
			this.kept.set(one.id, kept.value);
			this.made.set(one.id, one.component);
		}
	}

	#add(record: Winding, id: string, what: string, event: Record<string, unknown>, later = 0): void {
		const list = this.events.get(id) ?? [];
		const [day, at] = [record.woundOn, record.writtenAt + later];
		list.push({ id: `${record.id}:${what}`, day, at, ...event } as CareEvent);
		this.events.set(id, list);
	}

	take(record: Winding): void {
		const { spoolId } = record;
		const strands = strandsIn(record).filter(({ id, lengthMm }) => lengthMm > 0 || this.kept.has(id));
		const [day, at] = [record.woundOn, record.writtenAt];
		const before = (this.#on.get(spoolId) ?? []).filter((lying) => isThere(lying, record, this.#written));
		const staying = commonOf(
			strands.map(({ id }) => id),
			before.map(({ id }) => id)
		);
		const again = staying === strands.length && staying === before.length;
		const stays = again ? [] : before.slice(0, staying);
		if (stays.length > 0) this.stayed.set(record.id, new Map(stays.map(({ id, laid }) => [id, laid])));
		const now = strands.map(({ id, component }, place): Lying => ({
			id,
			part: component.id,
			day,
			at,
			laid: stays[place]?.laid ?? record.id
		}));
		strands.forEach((strand, place) => {
			if (place < stays.length) this.#stays(record, strand);
			else this.#goesOn(record, strand, again);
		});
		for (const lying of before) if (!now.some(({ id }) => id === lying.id)) this.#comesOff(record, lying);
		// Wherever it was, it is there no longer.
		for (const [other, things] of this.#on)
			if (other !== spoolId)
				this.#on.set(
					other,
					things.filter(({ id }) => !now.some((one) => one.id === id))
				);
		this.#on.set(spoolId, now);
	}

	#stays(record: Winding, { id, kind, component }: Wound): void {
		this.made.set(id, component);
		if (kind !== 'backing') return;
		this.#add(record, id, 'changed', { kind: 'line-changed' });
		if (record.run?.tug) this.#add(record, id, 'tugged', { kind: 'tug-test', result: record.run.tug }, 1);
	}

	#goesOn(record: Winding, { component, turns, ...thing }: Wound, again: boolean): void {
		const { id } = thing;
		this.made.set(id, component);
		if (!this.kept.has(id)) {
			this.kept.set(id, thing);
			this.#add(record, id, 'came', { kind: 'came' });
		} else if (again) this.#add(record, id, 'respooled', { kind: 'respooled', turns: NO_TURNS });
		const planned = parseLength(record.form.fill.gap, 'mm');
		const to: Whereabouts = { on: 'spool', spoolId: record.spoolId };
		this.#add(
			record,
			id,
			'on',
			{
				kind: 'moved',
				to,
				...(turns && { turns }),
				...(planned.ok && { plannedGapMm: planned.value }),
				...(record.gapMm !== null && { gapMm: record.gapMm })
			},
			1
		);
	}

	#comesOff(record: Winding, { id, part }: Lying): void {
		const { run, form } = record;
		const atBench = run?.job === 'swap';
		const usual = usualCoil(form.spool.name, atBench ? this.kept.get(id)?.label : undefined);
		const to: Whereabouts = { on: 'coil', label: run?.coils?.[part] ?? usual };
		// Taken off at the bench, its storage spool turned; in a boat it was coiled by hand, and nobody knows.
		const turned = atBench && form.fill.schools.swapPlace !== 'water';
		this.#add(record, id, 'off', { kind: 'moved', to, ...(turned && { turns: NO_TURNS }) });
	}
}

/**
 * Every strand that was ever wound or brought, and what that says of where it is: it came with its first winding; a winding
 * puts its strands on its spool, and what lay there before on a coil. What lay undermost before and still does stayed where it
 * was, and something else came over it; where everything stayed it was all wound again.
 *
 * @param records oldest first
 * @param written what else happened, by the strand: what left its spool in between did not lie there any more
 * @param brought what was there before it was ever wound here; it is there as long as it is written that it came
 */
export function windingHistory(
	records: readonly Winding[],
	written: Written = new Map(),
	brought: readonly Brought[] = []
): WindingHistory {
	const telling = new Telling(written, brought);
	for (const record of records) telling.take(record);
	const { kept, events, made, stayed } = telling;
	return { kept: [...kept.values()], events, made, stayed };
}

/**
 * How many components of a winding still lie on its spool, from the arbor outward: what was taken off since is off, with all
 * that lay over it.
 */
export function stillOn(
	{ form, setupId, spoolId }: Winding,
	spoolOfStrand: (keptId: string) => string | null | undefined
): number {
	const { stack } = form.fill;
	const gone = stack.findIndex(
		(component) => isStrandKind(component.role) && spoolOfStrand(strandIdOf(setupId, component)) !== spoolId
	);
	return gone < 0 ? stack.length : gone;
}
