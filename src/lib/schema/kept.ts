import {
	KEPT_KINDS,
	NO_TURNS,
	parseLength,
	totalLengthMm,
	transferTurns,
	type CareEvent,
	type CareState,
	type Due,
	type Kept,
	type KeptKind,
	type Turns
} from '$lib/core';
import { Reader } from './fields';
import { readParts } from './parts';
import type { WindRecord } from './record';
import type { ComponentForm } from './setup';
import { DEFAULT_UNITS } from './units';

/** A line, head, tip or backing with what is written of it, as the page shows it. */
export interface KeptEntry {
	readonly kept: Kept;
	/** What it is on, in words: the name of a spool, the label of a coil. */
	readonly where: string;
	readonly spoolId: string | null;
	readonly state: CareState;
	readonly dues: readonly Due[];
}

/** What was wound is where it was wound, and what lay there before lies on a coil: told from the windings alone. */
export interface FromRecords {
	readonly kept: readonly Kept[];
	readonly events: ReadonlyMap<string, readonly CareEvent[]>;
	/** What each thing is made of, as it was last wound. */
	readonly made: ReadonlyMap<string, ComponentForm>;
}

/** The very strand that a component of a set-up is: said, or this set-up's own. */
export const keptIdOf = (setupId: string, { kept, id }: Pick<ComponentForm, 'kept' | 'id'>): string =>
	kept ?? `${setupId}:${id}`;

const isKept = (role: string): role is KeptKind => (KEPT_KINDS as readonly string[]).includes(role);

/** A strand of a winding that is looked after. */
interface Wound extends Kept {
	readonly component: ComponentForm;
	/** What its way on to the spool put into it, where that was said. */
	readonly turns: Turns | undefined;
}

/** The strands of a winding, from the arbor outward. Records do not change: worked out once for each. */
const woundIn = new WeakMap<WindRecord, readonly Wound[]>();
function strandsIn(record: WindRecord): readonly Wound[] {
	const before = woundIn.get(record);
	if (before) return before;
	const reader = new Reader();
	const { fill } = record.form;
	const strands = readParts(fill, DEFAULT_UNITS, reader).flatMap(
		({ id, role, label, component, line }, i): Wound[] => {
			if (!isKept(role)) return [];
			const form = fill.stack[i]!;
			const lengthMm =
				'sections' in component && !form.solve ? totalLengthMm(component.sections) : record.backingMm;
			const travel = record.typed.travelled?.find(({ part }) => part === id);
			return [
				{
					id: keptIdOf(record.setupId, form),
					kind: role,
					label,
					lengthMm,
					doubleTaper: line?.taper === 'DT',
					component: form,
					turns: travel && lengthMm > 0 ? transferTurns({ ...travel, lengthMm, onto: 'reel' }) : undefined
				}
			];
		}
	);
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

/**
 * Every strand that was ever wound, and what that says of where it is: it came with its first winding; a winding
 * puts its strands on its spool, and what lay there before on a coil. What lay undermost before and still does stayed where it
 * was, and something else came over it; where everything stayed it was all wound again.
 *
 * @param records oldest first
 */
export function keptFromRecords(records: readonly WindRecord[]): FromRecords {
	const kept = new Map<string, Kept>();
	const made = new Map<string, ComponentForm>();
	const events = new Map<string, CareEvent[]>();
	/** What lies on each spool, from the arbor outward, each with the part it was wound as. */
	const onSpool = new Map<string, readonly { id: string; part: string }[]>();
	const spoolOf = new Map<string, string>();
	records.forEach((record) => {
		const { spoolId, woundOn: day } = record;
		let at = record.writtenAt;
		const add = (id: string, what: string, event: Record<string, unknown>): void => {
			const list = events.get(id) ?? [];
			list.push({ id: `${record.id}:${what}`, day, at, ...event } as CareEvent);
			events.set(id, list);
		};
		const strands = strandsIn(record).filter(({ id, lengthMm }) => lengthMm > 0 || kept.has(id));
		const now = strands.map(({ id, component }) => ({ id, part: component.id }));
		const before = onSpool.get(spoolId) ?? [];
		const staying = commonOf(
			now.map(({ id }) => id),
			before.map(({ id }) => id)
		);
		const all = staying === now.length && staying === before.length;
		const planned = parseLength(record.form.fill.gap, 'mm');
		const gaps = {
			...(planned.ok && { plannedGapMm: planned.value }),
			...(record.gapMm !== null && { gapMm: record.gapMm })
		};
		strands.forEach(({ component, turns, ...thing }, place) => {
			const { id } = thing;
			made.set(id, component);
			if (!kept.has(id)) {
				kept.set(id, thing);
				add(id, 'came', { kind: 'came' });
			} else if (!all && place < staying) {
				if (thing.kind !== 'backing') return;
				add(id, 'changed', { kind: 'line-changed' });
				if (record.run?.tug) {
					at += 1;
					add(id, 'tugged', { kind: 'tug-test', result: record.run.tug });
					at -= 1;
				}
				return;
			} else if (all) add(id, 'respooled', { kind: 'respooled', turns: NO_TURNS });
			at += 1;
			add(id, 'on', {
				kind: 'moved',
				to: { on: 'spool', spoolId },
				...(turns && { turns }),
				...gaps
			});
			at -= 1;
			// Wherever it was, it is there no longer.
			const from = spoolOf.get(id);
			if (from !== undefined && from !== spoolId)
				onSpool.set(
					from,
					(onSpool.get(from) ?? []).filter((other) => other.id !== id)
				);
			spoolOf.set(id, spoolId);
		});
		const atBench = record.run?.job === 'swap';
		for (const { id, part } of before)
			if (!now.some((one) => one.id === id)) {
				add(id, 'off', {
					kind: 'moved',
					to: {
						on: 'coil',
						label:
							record.run?.coils?.[part] ??
							usualCoil(record.form.spool.name, atBench ? kept.get(id)?.label : undefined)
					},
					// Taken off at the bench, its storage spool turned.
					...(atBench && { turns: NO_TURNS })
				});
				spoolOf.delete(id);
			}
		onSpool.set(spoolId, now);
	});
	return { kept: [...kept.values()], events, made };
}

/**
 * How many components of a winding still lie on its spool, from the arbor outward: what was taken off since is off, with all
 * that lay over it.
 */
export function stillOn(
	{ form, setupId, spoolId }: WindRecord,
	spoolOfKept: (keptId: string) => string | null | undefined
): number {
	const { stack } = form.fill;
	const gone = stack.findIndex(
		(component) => isKept(component.role) && spoolOfKept(keptIdOf(setupId, component)) !== spoolId
	);
	return gone < 0 ? stack.length : gone;
}
