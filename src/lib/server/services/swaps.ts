import { fail } from '$lib/core';
import { newComponent } from '$lib/setup/presets';
import { settleSetup } from '$lib/setup/settle';
import { swapped, type Candidate, type Goes, type SwapChoice } from '$lib/inventory/swap';
import type { SwapRequest } from '$lib/server/api/swap';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { write, type WriteId } from '../db/write';
import { bad, done, gone, type Outcome } from '../outcome';
import { listWindings } from '../repositories/windings';
import { listSetups, updateSetup } from '../repositories/setups';
import { findSpool } from '../repositories/spools';
import { inventoryNow, sourceOf, spoolNow, spoolOfStrand } from './inventory';
import { planOn } from './setups';

/** Undefined when there is no such spool, or nothing was ever wound on it. */
export async function swapChoice(db: Knex, spoolId: string): Promise<SwapChoice | undefined> {
	const inventory = await inventoryNow(db);
	const { kept } = inventory;
	const now = spoolNow(inventory, spoolId);
	if (!now) return undefined;
	const candidates = kept.kept.flatMap(({ id, kind, label }): Candidate[] => {
		const component = kept.made.get(id);
		if (kind === 'backing' || !component || spoolOfStrand(kept)(id) === spoolId) return [];
		const source = sourceOf(inventory, id);
		return source ? [{ keptId: id, label, component: { ...component, kept: id }, ...source }] : [];
	});
	return { spool: { id: spoolId, name: now.spool.name || 'Unnamed spool' }, now, candidates };
}

const goesOn = (on: SwapRequest['on'], choice: SwapChoice): (Goes | undefined)[] =>
	on.map((one): Goes | undefined => {
		if (!('kept' in one)) return { ...newComponent(one.role, one.role), ...one };
		return choice.candidates.find(({ keptId }) => keptId === one.kept)?.component;
	});

/**
 * Plans a swap: a set-up of its own, or the newest one again while it is such a plan that nobody has wound. Only the plan is
 * written: the spool's own measures stay the spool's.
 */
export const planSwap = (
	db: Knex,
	asked: WriteId,
	{ spoolId, keep, on }: SwapRequest,
	units: UnitSystem
): Promise<Outcome<{ setupId: string }>> =>
	write(db, asked, async (trx, now) => {
		const spool = await findSpool(trx, spoolId);
		const choice = await swapChoice(trx, spoolId);
		if (!spool || !choice) return gone('spool, or something that should go on it');
		const goes = goesOn(on, choice).filter((one) => one !== undefined);
		if (goes.length < on.length) return gone('spool, or something that should go on it');
		const to = swapped(choice.now, keep, goes, units);
		if (!to.ok) return bad(to.issues);
		if (!to.value.fits)
			return bad(fail({ code: 'gap_above_rim', gapMm: to.value.gapMm, limitMm: 0 }, ['on']).issues);
		const { fill } = settleSetup(to.value.form, units);
		const newest = (await listSetups(trx)).findLast((setup) => setup.spoolId === spoolId);
		const wound = (await listWindings(trx)).some(({ setupId }) => setupId === newest?.id);
		if (newest && !wound && newest.fill.stack[0]?.kept !== undefined) {
			await updateSetup(trx, newest, fill, now);
			return done({ setupId: newest.id });
		}
		return done({ setupId: (await planOn(trx, spool, fill, now)).id });
	});
