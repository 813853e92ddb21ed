import {
	careState,
	duesOf,
	USUAL_RULES,
	type CareEvent,
	type CareRule,
	type Day,
	type Whereabouts
} from '$lib/core';
import { keptFromRecords, type KeptEntry } from '$lib/schema/kept';
import type { Knex } from 'knex';
import { findCareRules, insertCareEvents, listCareEvents, putCareRules } from '../repositories/care';
import { listRecords } from '../repositories/records';
import { listSpools } from '../repositories/spools';

export interface Care {
	readonly rules: readonly CareRule[];
	/** Nobody changed them. */
	readonly usual: boolean;
	readonly entries: readonly KeptEntry[];
}

function whereOf(whereabouts: Whereabouts | undefined, names: ReadonlyMap<string, string>): string {
	if (!whereabouts) return 'nobody wrote down where';
	if (whereabouts.on === 'retired') return 'retired';
	if (whereabouts.on === 'coil') return `on a coil: ${whereabouts.label}`;
	return names.get(whereabouts.spoolId) ?? 'a spool that is off the rack';
}

/** Everything that is looked after, what is overdue first; where it is, and what falls due. */
export async function care(db: Knex, today: Day): Promise<Care> {
	const [records, written, edited, spools] = await Promise.all([
		listRecords(db),
		listCareEvents(db),
		findCareRules(db),
		listSpools(db)
	]);
	const rules = edited ?? USUAL_RULES;
	const names = new Map(spools.map(({ id, form }) => [id, form.name || 'Unnamed spool']));
	const { kept, events } = keptFromRecords(records);
	const entries = kept.map((one): KeptEntry => {
		const state = careState(one, [...(events.get(one.id) ?? []), ...(written.get(one.id) ?? [])]);
		const { whereabouts } = state;
		return {
			kept: one,
			where: whereOf(whereabouts, names),
			spoolId: whereabouts?.on === 'spool' ? whereabouts.spoolId : null,
			state,
			dues: duesOf(rules, one, state, today)
		};
	});
	const overdue = ({ dues }: KeptEntry): number => dues.filter((due) => due.overdue).length;
	return {
		rules,
		usual: edited === undefined,
		entries: entries.sort((a, b) => overdue(b) - overdue(a) || a.where.localeCompare(b.where))
	};
}

/** Writes events down. False when one is about a thing that is not there: then none is written. */
export async function addCareEvents(
	db: Knex,
	events: readonly { keptId: string; event: CareEvent }[]
): Promise<boolean> {
	return db.transaction(async (trx) => {
		const known = new Set(keptFromRecords(await listRecords(trx)).kept.map(({ id }) => id));
		if (!events.every(({ keptId }) => known.has(keptId))) return false;
		await insertCareEvents(trx, events);
		return true;
	});
}

/** Other rules of what falls due; none brings the usual ones back. */
export const setCareRules = (db: Knex, rules: readonly CareRule[] | undefined): Promise<void> =>
	putCareRules(db, rules);
