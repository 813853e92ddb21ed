import { careState, type CareEvent, type CareState, type OnSource } from '$lib/core';
import { windingHistory, strandIdOf, stillOn, type WindingHistory } from '$lib/inventory/strands';
import { isStrand, type SpoolNow } from '$lib/inventory/swap';
import type { Winding } from '$lib/inventory/winding';
import type { SpoolForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { listBrought, listCareEvents } from '../repositories/care';
import { listWindings } from '../repositories/windings';
import { listSpools } from '../repositories/spools';

/** What is known of every strand: folded once, and again only where something was added. */
export interface StrandsNow extends WindingHistory {
	/** Every winding that counts, oldest first. */
	readonly records: readonly Winding[];
	readonly states: ReadonlyMap<string, CareState>;
}
interface Folded {
	readonly written: readonly CareEvent[];
	readonly state: CareState;
}
const NOTHING: readonly CareEvent[] = [];
/** What was folded before, for the same windings: replaced, never changed. */
const foldedBefore = new WeakMap<WindingHistory, ReadonlyMap<string, Folded>>();
const fromBefore = new WeakMap<
	readonly Winding[],
	{ readonly moves: object; readonly brought: string; readonly from: WindingHistory }
>();

/** Every strand, what it is made of, and where its events have left it. */
export async function strandsNow(db: Knex): Promise<StrandsNow> {
	const records = await listWindings(db);
	const { byKept: written, moves } = await listCareEvents(db);
	const broughtRows = await listBrought(db);
	const brought = broughtRows.map(({ id, version }) => `${id}/${version}`).join();
	const before = fromBefore.get(records);
	const from =
		before?.moves === moves && before.brought === brought
			? before.from
			: windingHistory(records, written, broughtRows);
	fromBefore.set(records, { moves, brought, from });
	const known = foldedBefore.get(from);
	const folded = from.kept.map((one): [string, Folded] => {
		const added = written.get(one.id) ?? NOTHING;
		const same = known?.get(one.id);
		if (same?.written === added) return [one.id, same];
		const state = careState(one, [...(from.events.get(one.id) ?? []), ...added]);
		return [one.id, { written: added, state }];
	});
	foldedBefore.set(from, new Map(folded));
	return { ...from, records, states: new Map(folded.map(([id, { state }]) => [id, state])) };
}

/** The spool that a strand is on; null when it is on none. */
export const spoolOfStrand =
	({ states }: StrandsNow) =>
	(keptId: string): string | null => {
		const at = states.get(keptId)?.whereabouts;
		return at?.on === 'spool' ? at.spoolId : null;
	};

/** What there is, and where: read at once, so that any number of questions takes no more statements. */
export interface Inventory {
	/** By id: the spools on the rack, as they are described now. */
	readonly spools: ReadonlyMap<string, SpoolForm>;
	/** The newest winding of each spool. */
	readonly newest: ReadonlyMap<string, Winding>;
	readonly kept: StrandsNow;
}

/** @param spools where they were read already */
export async function inventoryNow(
	db: Knex,
	spools?: readonly { id: string; form: SpoolForm }[]
): Promise<Inventory> {
	const there = spools ?? (await listSpools(db));
	const kept = await strandsNow(db);
	return {
		spools: new Map(there.map(({ id, form }) => [id, form])),
		newest: new Map(kept.records.map((record) => [record.spoolId, record])),
		kept
	};
}

/**
 * What is on a spool, by its newest winding and what came off since; undefined where nothing was ever wound. The winding's
 * copy of the spool is history: the spool is as it is described now.
 */
export function spoolNow({ spools, newest, kept }: Inventory, spoolId: string): SpoolNow | undefined {
	const [spool, record] = [spools.get(spoolId), newest.get(spoolId)];
	return spool && record && { record, spool, still: stillOn(record, spoolOfStrand(kept)) };
}

/** Where a strand is, for taking it from there. Undefined for what is retired, or lies under something on its reel. */
export function sourceOf(inventory: Inventory, keptId: string): Pick<OnSource, 'from' | 'where'> | undefined {
	const at = inventory.kept.states.get(keptId)?.whereabouts;
	if (at?.on === 'coil') return { from: 'coil', where: at.label };
	const there = at?.on === 'spool' ? spoolNow(inventory, at.spoolId) : undefined;
	if (!there) return undefined;
	const top = there.record.form.fill.stack.slice(0, there.still).filter(isStrand).at(-1);
	return top && strandIdOf(there.record.setupId, top) === keptId
		? { from: 'reel', where: there.spool.name || 'another reel' }
		: undefined;
}
