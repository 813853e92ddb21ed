import {
	duesOf,
	NO_TURNS,
	under,
	USUAL_RULES,
	type CareEvent,
	type CareRule,
	type Day,
	type Whereabouts
} from '$lib/core';
import { UNDER, type BringThing, type DescribeThing } from '$lib/inventory/care';
import { careRow, isShown, type CareFilter, type CarePage } from '$lib/inventory/care-rows';
import { readBrought, type Brought, type StrandEntry } from '$lib/inventory/strands';
import { newComponent } from '$lib/setup/presets';
import type { ComponentForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { ROWS_HAVE_IDS, write, type WriteId, type Writing } from '../db/write';
import { bad, done, gone, stale, type Outcome } from '../outcome';
import {
	findCareRules,
	insertBrought,
	insertCareEvents,
	listBrought,
	listCareEvents,
	putCareRules,
	updateBrought
} from '../repositories/care';
import { listSpools } from '../repositories/spools';
import { strandsNow, spoolOfStrand, type StrandsNow } from './inventory';

export interface Care {
	readonly rules: readonly CareRule[];
	/** Nobody changed them. */
	readonly usual: boolean;
	/** 0 when nobody ever did. */
	readonly rulesVersion: number;
	readonly entries: readonly StrandEntry[];
}

function whereOf(whereabouts: Whereabouts | undefined, names: ReadonlyMap<string, string>): string {
	if (!whereabouts) return 'nobody said where';
	if (whereabouts.on === 'retired') return 'retired';
	if (whereabouts.on === 'coil') return `on a coil: ${whereabouts.label}`;
	return names.get(whereabouts.spoolId) ?? "a spool that isn't on the rack";
}

/** Everything that is looked after, what is overdue first; where it is, and what falls due. */
export async function care(db: Knex, today: Day): Promise<Care> {
	const now = await strandsNow(db);
	const edited = await findCareRules(db);
	const spools = await listSpools(db);
	const rules = edited.rules ?? USUAL_RULES;
	const names = new Map(spools.map(({ id, form }) => [id, form.name || 'Unnamed spool']));
	const entries = now.kept.map((one): StrandEntry => {
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
	const overdue = ({ dues }: StrandEntry): number => dues.filter((due) => due.overdue).length;
	/** How much is due on a reel as a whole: its strands stand together. */
	const onReel = new Map<string, number>();
	const placeOf = ({ spoolId, where }: StrandEntry): string => spoolId ?? where;
	for (const entry of entries) onReel.set(placeOf(entry), (onReel.get(placeOf(entry)) ?? 0) + overdue(entry));
	return {
		rules,
		usual: edited.rules === undefined,
		rulesVersion: edited.version,
		entries: entries.sort(
			(a, b) =>
				onReel.get(placeOf(b))! - onReel.get(placeOf(a))! ||
				a.where.localeCompare(b.where) ||
				placeOf(a).localeCompare(placeOf(b)) ||
				overdue(b) - overdue(a)
		)
	};
}

/** One page of it, filtered; and what can go out together. */
export async function carePage(
	db: Knex,
	today: Day,
	filter: CareFilter
): Promise<CarePage & Omit<Care, 'entries'>> {
	const { entries, rules, usual, rulesVersion } = await care(db, today);
	const matching = entries.filter((entry) => isShown(entry, filter));
	const names = new Map((await listSpools(db)).map(({ id, form }) => [id, form.name || 'Unnamed spool']));
	const nameOf = (spoolId: string): string => names.get(spoolId) ?? "a spool that isn't on the rack";
	const things = new Map<string, string[]>();
	for (const { kept, spoolId } of entries)
		if (spoolId !== null && names.has(spoolId))
			things.set(spoolId, [...(things.get(spoolId) ?? []), kept.id]);
	return {
		filter,
		rules,
		usual,
		rulesVersion,
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
export interface LoggedEvent {
	readonly event: CareEvent;
	readonly counts: boolean;
	readonly setupId?: string;
}

/** Everything that was ever written of a thing, newest first, and what of it counts. Undefined when there is no such thing. */
export async function history(
	db: Knex,
	keptId: string
): Promise<{ events: readonly LoggedEvent[] } | undefined> {
	const now = await strandsNow(db);
	const state = now.states.get(keptId);
	if (!state) return undefined;
	const written = (await listCareEvents(db)).byKept.get(keptId) ?? [];
	const counts = new Set(state.events.map(({ id }) => id));
	const events = [...(now.events.get(keptId) ?? []), ...written]
		.filter(({ kind, id }) => kind !== 'undone' && !id.endsWith(UNDER))
		.sort((a, b) => b.day.compare(a.day) || b.at - a.at);
	const setupOf = new Map(now.records.map(({ id, setupId }) => [id, setupId]));
	return {
		events: events.map((event) => {
			const setupId = setupOf.get(event.id.split(':')[0]!);
			return { event, counts: counts.has(event.id), ...(setupId !== undefined && { setupId }) };
		})
	};
}

/** What is written of a thing's backing when the thing leaves it: beside the event itself, undone with it. */
const underId = (id: string): string => `${id}${UNDER}`;

/**
 * A thing that leaves its spool bares the backing under it, which is worth testing; an event that is undone takes
 * that back too.
 */
function withBacking(now: StrandsNow, { keptId, event }: NewEvent): NewEvent[] {
	const given = { keptId, event };
	const backingOn = (spoolId: string | null): string | undefined =>
		now.kept.find(
			({ id, kind }) =>
				kind === 'backing' && id !== keptId && spoolId !== null && spoolOfStrand(now)(id) === spoolId
		)?.id;
	if (event.kind === 'moved') {
		const backing = backingOn(spoolOfStrand(now)(keptId));
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

/** Writes events down, each once under its id. When one is about a strand that is not there none is written. */
export const addCareEvents = (db: Knex, events: readonly NewEvent[]): Promise<Outcome<null>> =>
	write(db, ROWS_HAVE_IDS, async (trx) => {
		const now = await strandsNow(trx);
		// What was brought and undone can be brought again: that is an event of its own.
		const brought = new Set((await listBrought(trx)).map(({ id }) => id));
		if (!events.every(({ keptId }) => now.states.has(keptId) || brought.has(keptId)))
			return gone('line or backing');
		await insertCareEvents(
			trx,
			events.flatMap((one) => withBacking(now, one))
		);
		return done(null);
	});

/**
 * Something that is on a coil and was never wound here is looked after from now on. New, its maker's spool put no twist into
 * it; used, its days out are all there is to guess it by. Issues when its description makes no sense.
 */
export const bring = (
	db: Knex,
	{ id, component: described, came, label, used, at }: BringThing,
	today: Day
): Promise<Outcome<{ id: string; version: number }>> =>
	write(db, { id: `bring:${id}` }, async (trx) => {
		const component = { ...newComponent(described.role, described.role), ...described };
		const read = readBrought({ id, component });
		if (!read.ok) return bad(under(read.issues, 'component'));
		await putOnCoil(trx, { id, component }, { came, label, used, at }, today);
		return done({ id, version: 1 });
	});

/** Writes down a strand that lies on a coil, with what is known of its life so far. */
export async function putOnCoil(
	trx: Writing,
	{ id, component }: Brought,
	{ came, label, used, at }: Pick<BringThing, 'came' | 'label' | 'used' | 'at'>,
	today: Day
): Promise<void> {
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
	await insertBrought(trx, { id, component });
	await insertCareEvents(
		trx,
		told.map((event) => ({ keptId: id, event }))
	);
}

/** Describes a brought strand otherwise, over the version that was seen; it stays what it is, a line or a head. */
export const describeBrought = (
	db: Knex,
	asked: WriteId,
	id: string,
	{ component, version }: DescribeThing
): Promise<Outcome<{ version: number }>> =>
	write(db, asked, async (trx, now) => {
		const before = (await listBrought(trx)).find((one) => one.id === id);
		if (!before) return gone('line that you brought');
		if (before.version !== version) return stale({ component: before.component, version: before.version });
		const described = { ...before.component, ...component };
		const read = readBrought({ id, component: described });
		if (!read.ok) return bad(under(read.issues, 'component'));
		await updateBrought(trx, before, described, now);
		return done({ version: version + 1 });
	});

/** How a brought strand is described, with its version; undefined where there is none. */
export const brought = async (
	db: Knex,
	id: string
): Promise<{ component: ComponentForm; version: number } | undefined> => {
	const found = (await listBrought(db)).find((one) => one.id === id);
	return found && { component: found.component, version: found.version };
};

/** Change the rules of what falls due; none restores the usual ones. With a version, only over that one. */
export const setCareRules = (
	db: Knex,
	asked: WriteId,
	rules: readonly CareRule[] | undefined,
	version?: number
): Promise<Outcome<{ version: number }>> =>
	write(db, asked, async (trx, now) => {
		const before = await findCareRules(trx);
		if (version !== undefined && before.version !== version)
			return stale({ rules: before.rules ?? USUAL_RULES, usual: !before.rules, version: before.version });
		await putCareRules(trx, before, rules, now);
		return done({ version: before.version + 1 });
	});
