import {
	CUT_WITH_LOOP_MM,
	NO_TURNS,
	runState,
	type CareEvent,
	type Day,
	type Mend,
	type OffPart,
	type OnSource,
	type RunState
} from '$lib/core';
import { isStandalone, readJob, stretchOf, type AskedJob, type BenchJob } from '$lib/bench/work';
import { jobOf } from '$lib/bench/job';
import { commonOf, strandIdOf, usualCoil } from '$lib/inventory/strands';
import type { ComponentForm } from '$lib/setup/form';
import { isStrand, offParts, type SpoolNow } from '$lib/inventory/swap';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { workOut } from '$lib/setup/evaluate-form';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import { insertCareEvents } from '../repositories/care';
import { eventsAfter, findRun, markEnded } from '../repositories/runs';
import { inventoryNow, sourceOf, spoolNow, spoolOfStrand, type Inventory } from './inventory';
import { currentRun } from './runs';
import { loadSetup, type SavedSetup } from './saved';

/** What the bench does with a set-up: the job that was asked for, or the job that leads from the strands on its spool to the set-up. */
export async function benchJob(db: Knex, setupId: string, asked: AskedJob | undefined): Promise<BenchJob> {
	const begun = asked?.kind ?? (await currentRun(db, setupId))?.job;
	if (asked && isStandalone(asked)) return asked;
	const setup = await loadSetup(db, setupId);
	const inventory = await inventoryNow(db);
	if (asked?.kind === 'off') {
		const now = setup && spoolNow(inventory, setup.spoolId);
		return now ? { ...asked, off: offParts(now, asked.keep) } : { kind: 'wind' };
	}
	return setup ? jobLeadingTo(inventory, setup, begun) : { kind: 'wind' };
}

/**
 * The job that leads from the strands on a spool to a set-up. Strands that both have next to the arbor stay.
 *
 * @param begun the job that it is in already, if any
 */
export function jobLeadingTo(inventory: Inventory, setup: SavedSetup, begun: string | undefined): BenchJob {
	const job = readJob(begun ?? null);
	if (job?.kind === 'reverse') return job;
	const now = spoolNow(inventory, setup.spoolId);
	if (begun === 'wind' || !now) return { kind: 'wind' };
	const { record, still } = now;
	const lies = record.form.fill.stack.slice(0, still).filter(isStrand);
	const wanted = setup.form.fill.stack.filter(isStrand);
	const keep = commonOf(
		lies.map((component) => strandIdOf(record.setupId, component)),
		wanted.map((component) => strandIdOf(setup.id, component))
	);
	// All of the set-up is on the spool already, under a strand that comes off.
	if (keep === wanted.length && keep < lies.length) return { kind: 'off', keep, off: offParts(now, keep) };
	// Nothing stays, or nothing changes: it is wound from the arbor.
	if (keep === 0 || keep === wanted.length) return { kind: 'wind' };
	const on = wanted.slice(keep).map((component): OnSource => {
		const source = sourceOf(inventory, strandIdOf(setup.id, component));
		return { part: component.id, ...(source ?? { from: 'new', where: '' }) };
	});
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
	const { stack, schools } = record.form.fill;
	const idOf = (component: ComponentForm): string => strandIdOf(record.setupId, component);
	const moved = off.flatMap(({ id, label: name }) => {
		const component = stack.find((one) => one.id === id);
		const label = coils.get(id) ?? usualCoil(record.form.spool.name, name);
		const event = stamped(day, {
			kind: 'moved',
			to: { on: 'coil', label },
			...(schools.swapPlace !== 'water' && { turns: NO_TURNS })
		});
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
		const now = spoolNow(await inventoryNow(trx), setup.spoolId);
		const events =
			asked.kind === 'off' && now
				? offEvents(now, offParts(now, asked.keep), state, day)
				: asked.kind === 'untwist'
					? untwistEvents(setup, asked, state, day)
					: asked.kind === 'repair'
						? repairEvents(setup, asked.mend, day)
						: [];
		await insertCareEvents(trx, events);
		return done(events.map(({ keptId, event: { id } }) => ({ keptId, id })));
	});

/** A broken front loop takes a little of the line with it. */
function repairEvents(
	{ id, form }: SavedSetup,
	mend: Mend,
	day: Day
): { keptId: string; event: CareEvent }[] {
	const outermost = form.fill.stack.at(-1);
	if (mend !== 'front-loop' || !outermost) return [];
	const event = stamped(day, { kind: 'shortened', byMm: CUT_WITH_LOOP_MM });
	return [{ keptId: strandIdOf(id, outermost), event }];
}

function untwistEvents(
	{ id, form }: SavedSetup,
	{ part, laneMm }: Extract<AskedJob, { kind: 'untwist' }>,
	{ loopTest }: RunState,
	day: Day
): { keptId: string; event: CareEvent }[] {
	const component = form.fill.stack.find((one) => one.id === part);
	const worked = workOut(form, DEFAULT_UNITS);
	const way = worked.ok ? stretchOf(jobOf(form, worked.value), part, laneMm) : undefined;
	if (!component || !way) return [];
	const keptId = strandIdOf(id, component);
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
	const inventory = await inventoryNow(db);
	const spoolId = spoolOfStrand(inventory.kept)(keptId);
	const there = spoolId === null ? undefined : spoolNow(inventory, spoolId);
	const component = there?.record.form.fill.stack.find(
		(one) => strandIdOf(there.record.setupId, one) === keptId
	);
	return spoolId !== null && there && component
		? { setupId: there.record.setupId, part: component.id, spoolId }
		: undefined;
}
