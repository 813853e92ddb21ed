import {
	NO_TURNS,
	runState,
	type CareEvent,
	type Day,
	type OffPart,
	type OnSource,
	type RunState
} from '$lib/core';
import { readJob, wayOutOf, type AskedJob, type BenchJob } from '$lib/bench/work';
import { jobOf } from '$lib/bench/job';
import { commonOf, keptIdOf, stillOn, usualCoil } from '$lib/inventory/strands';
import type { ComponentForm, SetupForm } from '$lib/setup/form';
import { isStrand, offParts, type SpoolNow } from '$lib/inventory/swap';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { workOut } from '$lib/setup/evaluate-form';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import { insertCareEvents } from '../repositories/care';
import { listRecords } from '../repositories/records';
import { eventsAfter, findRun, markEnded } from '../repositories/runs';
import { findSpool } from '../repositories/spools';
import { keptNow, spoolOfKept, type KeptNow } from './care';
import { currentRun } from './runs';
import { loadSetup, type SavedSetup } from './saved';

/**
 * What is on a spool, by its newest winding and what came off since; undefined where nothing was ever wound. The winding's
 * copy of the spool is history: the spool is as it is described now.
 */
export async function spoolNow(
	db: Knex,
	{ spoolId, form }: { spoolId: string; form: Pick<SetupForm, 'spool'> },
	now: KeptNow
): Promise<SpoolNow | undefined> {
	const record = (await listRecords(db)).findLast((one) => one.spoolId === spoolId);
	return record && { record, spool: form.spool, still: stillOn(record, spoolOfKept(now)) };
}

/** Where a strand is, for taking it from there. Undefined for what is retired, or lies under something on its reel. */
export async function sourceOf(
	db: Knex,
	now: KeptNow,
	keptId: string
): Promise<Pick<OnSource, 'from' | 'where'> | undefined> {
	const at = now.states.get(keptId)?.whereabouts;
	if (at?.on === 'coil') return { from: 'coil', where: at.label };
	if (at?.on !== 'spool') return undefined;
	const spool = await findSpool(db, at.spoolId);
	const there = spool && (await spoolNow(db, { spoolId: spool.id, form: { spool: spool.form } }, now));
	if (!there) return undefined;
	const stack = there.record.form.fill.stack.slice(0, there.still).filter(isStrand);
	const top = stack.at(-1);
	return top && keptIdOf(there.record.setupId, top) === keptId
		? { from: 'reel', where: spool.form.name || 'another reel' }
		: undefined;
}

/** What the bench does with a set-up: what was asked for, or what leads from what lies on its spool to it. */
export async function benchJob(db: Knex, setupId: string, asked: AskedJob | undefined): Promise<BenchJob> {
	const begun = asked ?? { kind: (await currentRun(db, setupId))?.job };
	if (begun.kind === 'wind') return { kind: 'wind' };
	if (asked?.kind === 'untwist') return asked;
	const setup = await loadSetup(db, setupId);
	const kept = await keptNow(db);
	const now = setup && (await spoolNow(db, setup, kept));
	if (!setup || !now) return { kind: 'wind' };
	if (asked?.kind === 'off') return { ...asked, off: offParts(now, asked.keep) };
	return leadingTo(db, setup, now, kept);
}

/** What leads from what lies on a spool to a set-up: what both have undermost stays. */
async function leadingTo(db: Knex, setup: SavedSetup, now: SpoolNow, kept: KeptNow): Promise<BenchJob> {
	const { record, still } = now;
	const lies = record.form.fill.stack.slice(0, still).filter(isStrand);
	const wanted = setup.form.fill.stack.filter(isStrand);
	const keep = commonOf(
		lies.map((component) => keptIdOf(record.setupId, component)),
		wanted.map((component) => keptIdOf(setup.id, component))
	);
	// All of it lies there, under something that comes off.
	if (keep === wanted.length && keep < lies.length) return { kind: 'off', keep, off: offParts(now, keep) };
	// Nothing stays, or nothing changes: it is wound from the arbor.
	if (keep === 0 || keep === wanted.length) return { kind: 'wind' };
	const on: OnSource[] = [];
	for (const component of wanted.slice(keep)) {
		const source = await sourceOf(db, kept, keptIdOf(setup.id, component));
		on.push({ part: component.id, ...(source ?? { from: 'new', where: '' }) });
	}
	return { kind: 'swap', off: offParts(now, keep), on };
}

type Stamped<E> = E extends CareEvent ? Omit<E, 'id' | 'day' | 'at'> : never;
const stamped = (day: Day, event: Stamped<CareEvent>): CareEvent =>
	({ id: randomUUID(), day, at: Date.now(), ...event }) as CareEvent;

/** What came off and went on a coil, with what is written on it; and how the backing took a pull. */
function offEvents(
	{ record }: SpoolNow,
	off: readonly OffPart[],
	{ coils, tug }: RunState,
	day: Day
): { keptId: string; event: CareEvent }[] {
	const { stack } = record.form.fill;
	const idOf = (component: ComponentForm): string => keptIdOf(record.setupId, component);
	const moved = off.flatMap(({ id, label: name }) => {
		const component = stack.find((one) => one.id === id);
		const label = coils.get(id) ?? usualCoil(record.form.spool.name, name);
		const event = stamped(day, { kind: 'moved', to: { on: 'coil', label }, turns: NO_TURNS });
		return component ? [{ keptId: idOf(component), event }] : [];
	});
	const backing = stack.find(({ role }) => role === 'backing');
	if (!backing) return moved;
	return [
		...moved,
		{ keptId: idOf(backing), event: stamped(day, { kind: 'line-changed' }) },
		...(tug === undefined
			? []
			: [{ keptId: idOf(backing), event: stamped(day, { kind: 'tug-test', result: tug }) }])
	];
}

/** What was written down when a job ended. */
export type WrittenDown = readonly { readonly keptId: string; readonly id: string }[];

/**
 * Ends a job that is no winding: what came off is on a coil, or what was stretched and walked has lost its twist. Whoever
 * ends it first writes it down, in one go with its end; asked the same again it answers the same.
 */
export const endJob = (db: Knex, runId: string, day: Day, leave: boolean): Promise<Outcome<WrittenDown>> =>
	write(db, { id: `end:${runId}:${day.toString()}:${leave ? 'left' : 'done'}` }, async (trx, at) => {
		const run = await findRun(trx, runId);
		const asked = readJob(run?.job ?? null);
		const setup = run && (await loadSetup(trx, run.setupId));
		if (!run || !asked || !setup) return gone('run');
		if (!(await markEnded(trx, runId, at)) || leave) return done([]);
		const state = runState((await eventsAfter(trx, runId, 0)).events);
		const now = await spoolNow(trx, setup, await keptNow(trx));
		const events =
			asked.kind === 'off' && now
				? offEvents(now, offParts(now, asked.keep), state, day)
				: asked.kind === 'untwist'
					? untwistEvents(setup, asked, state, day)
					: [];
		await insertCareEvents(trx, events);
		return done(events.map(({ keptId, event: { id } }) => ({ keptId, id })));
	});

function untwistEvents(
	{ id, form }: SavedSetup,
	{ part, laneMm }: Extract<AskedJob, { kind: 'untwist' }>,
	{ loopTest }: RunState,
	day: Day
): { keptId: string; event: CareEvent }[] {
	const component = form.fill.stack.find((one) => one.id === part);
	const worked = workOut(form, DEFAULT_UNITS);
	const way = worked.ok ? wayOutOf(jobOf(form, worked.value), part, laneMm) : undefined;
	if (!component || !way) return [];
	const keptId = keptIdOf(id, component);
	const { share, shareSd } = way;
	const events = [{ keptId, event: stamped(day, { kind: 'let-out', share, shareSd }) }];
	if (loopTest) {
		const { bightMm, spins } = loopTest;
		events.push({ keptId, event: stamped(day, { kind: 'loop-test', bightMm, spins }) });
	}
	return events;
}

/** The set-up and the part under which a strand was last wound, where it is on a spool. */
export async function woundAs(
	db: Knex,
	keptId: string
): Promise<{ setupId: string; part: string; spoolId: string } | undefined> {
	const now = await keptNow(db);
	const spoolId = spoolOfKept(now)(keptId);
	const spool = spoolId === null ? undefined : await findSpool(db, spoolId);
	const there = spool && (await spoolNow(db, { spoolId: spool.id, form: { spool: spool.form } }, now));
	const component = there?.record.form.fill.stack.find(
		(one) => keptIdOf(there.record.setupId, one) === keptId
	);
	return spoolId !== null && there && component
		? { setupId: there.record.setupId, part: component.id, spoolId }
		: undefined;
}
