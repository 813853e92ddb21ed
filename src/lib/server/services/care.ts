import {
	careState,
	duesOf,
	NO_TURNS,
	ok,
	under,
	USUAL_RULES,
	type CareEvent,
	type CareRule,
	type CareState,
	type Day,
	type Result,
	type Whereabouts
} from '$lib/core';
import type { BringThing } from '$lib/schema/care';
import { careRow, isShown, type CareFilter, type CarePage } from '$lib/schema/care-page';
import { keptFromRecords, readBrought, type FromRecords, type KeptEntry } from '$lib/schema/kept';
import { newComponent } from '$lib/schema/new-setup';
import type { WindRecord } from '$lib/schema/record';
import type { Knex } from 'knex';
import {
	findCareRules,
	insertBrought,
	insertCareEvents,
	listBrought,
	listCareEvents,
	putCareRules
} from '../repositories/care';
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

/** What is known of every strand: folded once, and again only where something was added. */
export interface KeptNow extends FromRecords {
	readonly states: ReadonlyMap<string, CareState>;
}
const foldedOf = new WeakMap<FromRecords, Map<string, { written: number; state: CareState }>>();
const fromList = new WeakMap<readonly WindRecord[], { moves: number; from: FromRecords }>();

/** Every strand, what it is made of, and where its events have left it. */
export async function keptNow(db: Knex): Promise<KeptNow> {
	const records = await listRecords(db);
	const { byKept: written, moves } = await listCareEvents(db);
	const told = fromList.get(records);
	const from = told?.moves === moves ? told.from : keptFromRecords(records, written, await listBrought(db));
	fromList.set(records, { moves, from });
	const folded = foldedOf.get(from) ?? new Map<string, { written: number; state: CareState }>();
	foldedOf.set(from, folded);
	const states = new Map<string, CareState>();
	for (const one of from.kept) {
		const added = written.get(one.id) ?? [];
		let known = folded.get(one.id);
		if (known?.written !== added.length) {
			const state = careState(one, [...(from.events.get(one.id) ?? []), ...added]);
			known = { written: added.length, state };
			folded.set(one.id, known);
		}
		states.set(one.id, known.state);
	}
	return { ...from, states };
}

/** The spool that a strand is on; null when it is on none. */
export const spoolOfKept =
	({ states }: KeptNow) =>
	(keptId: string): string | null => {
		const at = states.get(keptId)?.whereabouts;
		return at?.on === 'spool' ? at.spoolId : null;
	};

/** Everything that is looked after, what is overdue first; where it is, and what falls due. */
export async function care(db: Knex, today: Day): Promise<Care> {
	const [now, edited, spools] = await Promise.all([keptNow(db), findCareRules(db), listSpools(db)]);
	const rules = edited ?? USUAL_RULES;
	const names = new Map(spools.map(({ id, form }) => [id, form.name || 'Unnamed spool']));
	const entries = now.kept.map((one): KeptEntry => {
		const state = now.states.get(one.id)!;
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

/** One page of it, filtered; and what can go out together. */
export async function carePage(
	db: Knex,
	today: Day,
	filter: CareFilter
): Promise<CarePage & Omit<Care, 'entries'>> {
	const { entries, rules, usual } = await care(db, today);
	const matching = entries.filter((entry) => isShown(entry, filter));
	const names = new Map((await listSpools(db)).map(({ id, form }) => [id, form.name || 'Unnamed spool']));
	const nameOf = (spoolId: string): string => names.get(spoolId) ?? 'a spool that is off the rack';
	const things = new Map<string, string[]>();
	for (const { kept, spoolId } of entries)
		if (spoolId !== null && names.has(spoolId))
			things.set(spoolId, [...(things.get(spoolId) ?? []), kept.id]);
	return {
		filter,
		rules,
		usual,
		total: entries.length,
		matching: matching.length,
		overdue: matching.filter(({ dues }) => dues.some(({ overdue }) => overdue)).length,
		rows: matching.slice(0, filter.show).map((entry) => careRow(entry, nameOf)),
		spools: [...things]
			.map(([id, on]) => ({ id, name: nameOf(id), things: on }))
			.sort((a, b) => a.name.localeCompare(b.name))
	};
}

/** Something that was written of a thing: whether it counts, and which set-up's winding says it, where one does. */
export interface Told {
	readonly event: CareEvent;
	readonly counts: boolean;
	readonly setupId?: string;
}

/** Everything that was ever written of a thing, newest first, and what of it counts. Undefined when there is no such thing. */
export async function history(db: Knex, keptId: string): Promise<{ events: readonly Told[] } | undefined> {
	const now = await keptNow(db);
	const state = now.states.get(keptId);
	if (!state) return undefined;
	const written = (await listCareEvents(db)).byKept.get(keptId) ?? [];
	const counts = new Set(state.events.map(({ id }) => id));
	const events = [...(now.events.get(keptId) ?? []), ...written]
		.filter(({ kind, id }) => kind !== 'undone' && !id.endsWith(':under'))
		.sort((a, b) => (a.day === b.day ? b.at - a.at : a.day < b.day ? 1 : -1));
	const setupOf = new Map((await listRecords(db)).map(({ id, setupId }) => [id, setupId]));
	return {
		events: events.map((event) => {
			const setupId = setupOf.get(event.id.split(':')[0]!);
			return { event, counts: counts.has(event.id), ...(setupId !== undefined && { setupId }) };
		})
	};
}

/** What is written of a thing's backing when the thing leaves it: beside the event itself, taken back with it. */
const underId = (id: string): string => `${id}:under`;

/**
 * A thing that leaves its spool bares the backing under it, which is worth testing; an event that is taken back takes
 * that back too.
 */
function withBacking(now: KeptNow, { keptId, event }: NewEvent): NewEvent[] {
	const given = { keptId, event };
	const backingOn = (spoolId: string | null): string | undefined =>
		now.kept.find(
			({ id, kind }) =>
				kind === 'backing' && id !== keptId && spoolId !== null && spoolOfKept(now)(id) === spoolId
		)?.id;
	if (event.kind === 'moved') {
		const backing = backingOn(spoolOfKept(now)(keptId));
		const { id, day, at } = event;
		return backing === undefined
			? [given]
			: [given, { keptId: backing, event: { id: underId(id), day, at, kind: 'line-changed' } }];
	}
	if (event.kind === 'undone') {
		const under = [...now.states].find(([, { events }]) => events.some(({ id }) => id === underId(event.of)));
		const { id, day, at, of } = event;
		return under
			? [given, { keptId: under[0], event: { id: underId(id), day, at, kind: 'undone', of: underId(of) } }]
			: [given];
	}
	return [given];
}

interface NewEvent {
	readonly keptId: string;
	readonly event: CareEvent;
}

/** Writes events down. False when one is about a thing that is not there: then none is written. */
export async function addCareEvents(db: Knex, events: readonly NewEvent[]): Promise<boolean> {
	const now = await keptNow(db);
	// What was brought and taken back can be brought again: that is an event of its own.
	const brought = new Set((await listBrought(db)).map(({ id }) => id));
	if (!events.every(({ keptId }) => now.states.has(keptId) || brought.has(keptId))) return false;
	const all = events.flatMap((one) => withBacking(now, one));
	await db.transaction((trx) => insertCareEvents(trx, all));
	return true;
}

/**
 * Something that is on a coil and was never wound here is looked after from now on. New, its maker's spool put no twist into
 * it; used, its days out are all there is to guess it by. Issues when its description makes no sense.
 */
export async function bring(
	db: Knex,
	{ id, component: described, came, label, used, at }: BringThing,
	today: Day
): Promise<Result<string>> {
	const component = { ...newComponent(described.role, described.role), ...described };
	const read = readBrought({ id, component });
	if (!read.ok) return { ok: false, issues: under(read.issues, 'component') };
	const to: Whereabouts = { on: 'coil', label };
	const told: readonly CareEvent[] = [
		{ id: `${id}:came`, day: came, at, kind: 'came' },
		...(used && used.days > 0
			? [{ id: `${id}:out`, day: came, at: at + 1, kind: 'fished' as const, ...used }]
			: []),
		// Where it lies is known from today, where it has been out before.
		{
			id: `${id}:lies`,
			day: used ? today : came,
			at: at + 2,
			kind: 'moved',
			to,
			...(!used && { turns: NO_TURNS })
		}
	];
	await db.transaction(async (trx) => {
		await insertBrought(trx, { id, component });
		await insertCareEvents(
			trx,
			told.map((event) => ({ keptId: id, event }))
		);
	});
	return ok(id);
}

/** Other rules of what falls due; none brings the usual ones back. */
export const setCareRules = (db: Knex, rules: readonly CareRule[] | undefined): Promise<void> =>
	putCareRules(db, rules);
