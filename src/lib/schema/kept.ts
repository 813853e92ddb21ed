import { KEPT_KINDS, type CareEvent, type Due, type CareState, type Kept, type KeptKind } from '$lib/core';
import type { WindRecord } from './record';
import { DEFAULT_UNITS } from './units';
import { workOut } from './workout';

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
}

const isKept = (role: string): role is KeptKind => (KEPT_KINDS as readonly string[]).includes(role);

/**
 * Every strand that was ever wound, and what that says of where it is: it came with its first winding; the newest
 * winding of a spool puts its strands there, and what lay there before on a coil.
 *
 * @param records oldest first
 */
export function keptFromRecords(records: readonly WindRecord[]): FromRecords {
	const kept = new Map<string, Kept>();
	const events = new Map<string, CareEvent[]>();
	const onSpool = new Map<string, string[]>();
	records.forEach((record, i) => {
		const worked = workOut(record.form, DEFAULT_UNITS);
		if (!worked.ok) return;
		const day = record.woundOn;
		const add = (id: string, event: CareEvent): unknown => events.set(id, [...(events.get(id) ?? []), event]);
		const now: string[] = [];
		worked.value.parts.forEach(({ id, role, label, line }, at) => {
			if (!isKept(role)) return;
			const keptId = `${record.setupId}:${id}`;
			now.push(keptId);
			if (!kept.has(keptId)) {
				const lengthMm = role === 'backing' ? record.backingMm : worked.value.fit.layers[at]!.lengthMm;
				if (!(lengthMm > 0)) return;
				kept.set(keptId, { id: keptId, kind: role, label, lengthMm, doubleTaper: line?.taper === 'DT' });
				add(keptId, { id: `${record.id}:came`, day, at: 4 * i, kind: 'came' });
			} else add(keptId, { id: `${record.id}:respooled`, day, at: 4 * i + 1, kind: 'respooled' });
			add(keptId, {
				id: `${record.id}:on`,
				day,
				at: 4 * i + 2,
				kind: 'moved',
				to: { on: 'spool', spoolId: record.spoolId }
			});
		});
		for (const before of onSpool.get(record.spoolId) ?? [])
			if (!now.includes(before))
				add(before, {
					id: `${record.id}:off`,
					day,
					at: 4 * i,
					kind: 'moved',
					to: { on: 'coil', label: `off ${record.form.spool.name || 'its spool'}` }
				});
		onSpool.set(record.spoolId, now);
	});
	return { kept: [...kept.values()], events };
}
