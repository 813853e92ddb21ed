import { fail, type Issue } from '$lib/core';
import { newComponent } from '$lib/schema/new-setup';
import { swapped, type Candidate, type Goes, type SwapChoice } from '$lib/schema/swap';
import type { SwapRequest } from '$lib/schema/swap-api';
import type { UnitSystem } from '$lib/schema/units';
import type { Knex } from 'knex';
import { listRecords } from '../repositories/records';
import { listSetups } from '../repositories/setups';
import { findSpool } from '../repositories/spools';
import { sourceOf, spoolNow } from './bench';
import { keptNow, spoolOfKept } from './care';
import { createSetup, saveSetup } from './setups';

/** Undefined when there is no such spool, or nothing was ever wound on it. */
export async function swapChoice(db: Knex, spoolId: string): Promise<SwapChoice | undefined> {
	const spool = await findSpool(db, spoolId);
	const kept = await keptNow(db);
	const now = spool && (await spoolNow(db, spoolId, kept));
	if (!spool || !now) return undefined;
	const candidates: Candidate[] = [];
	for (const { id, kind, label } of kept.kept) {
		const component = kept.made.get(id);
		if (kind === 'backing' || !component || spoolOfKept(kept)(id) === spoolId) continue;
		const source = await sourceOf(db, kept, id);
		if (source) candidates.push({ keptId: id, label, component: { ...component, kept: id }, ...source });
	}
	return { spool: { id: spoolId, name: spool.form.name || 'Unnamed spool' }, now, candidates };
}

export type Planned =
	{ kind: 'planned'; setupId: string } | { kind: 'gone' } | { kind: 'bad'; issues: readonly Issue[] };

const goesOn = (on: SwapRequest['on'], choice: SwapChoice): (Goes | undefined)[] =>
	on.map((one): Goes | undefined => {
		if (!('kept' in one)) return { ...newComponent(one.role, one.role), ...one };
		return choice.candidates.find(({ keptId }) => keptId === one.kept)?.component;
	});

/** Plans a swap: a set-up of its own, or the newest one again while it is such a plan that nobody has wound. */
export async function planSwap(
	db: Knex,
	{ spoolId, keep, on }: SwapRequest,
	units: UnitSystem
): Promise<Planned> {
	const choice = await swapChoice(db, spoolId);
	if (!choice) return { kind: 'gone' };
	const goes = goesOn(on, choice).filter((one) => one !== undefined);
	if (goes.length < on.length) return { kind: 'gone' };
	const to = swapped(choice.now, keep, goes, units);
	if (!to.ok) return { kind: 'bad', issues: to.issues };
	if (!to.value.fits)
		return {
			kind: 'bad',
			issues: fail({ code: 'gap_above_rim', gapMm: to.value.gapMm, limitMm: 0 }, ['on']).issues
		};
	const newest = (await listSetups(db)).findLast((setup) => setup.spoolId === spoolId);
	const wound = (await listRecords(db)).some(({ setupId }) => setupId === newest?.id);
	if (newest && !wound && newest.fill.stack[0]?.kept !== undefined) {
		await saveSetup(db, newest.id, to.value.form, newest.version, units);
		return { kind: 'planned', setupId: newest.id };
	}
	const { id } = await createSetup(db, to.value.form, units, spoolId);
	return { kind: 'planned', setupId: id };
}
