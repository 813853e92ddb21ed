import { dayOf, fail, type ChosenTechniques } from '$lib/core';
import { gearOf } from '$lib/setup/read-text';
import { firstFillOf } from '$lib/bench/reverse';
import { workOf, type BenchJob } from '$lib/bench/work';
import { jobOf, knotsOf, plannedSeconds } from '$lib/bench/job';
import { readWinding, settleWinding, type Readings } from '$lib/inventory/read-winding';
import type { SetupForm } from '$lib/setup/form';
import type { CutFrom, WindingForm, Winding } from '$lib/inventory/winding';
import type { UnitSystem } from '$lib/wording/units';
import { asWound } from '$lib/inventory/wound';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write, type WriteId } from '../db/write';
import { bad, done, gone, refused, type Outcome } from '../outcome';
import { findWinding, insertWinding, listWindings, markTakenBack } from '../repositories/windings';
import { endWindings, findRun, markEndedBy } from '../repositories/runs';
import { benchJob } from './bench';
import { learntHere } from './learnt';
import { foreseenGap } from './promises';
import { inventoryNow, spoolNow } from './inventory';
import { orderWound, tellingBoards } from './order-progress';
import { cutForWinding } from './stock';
import { markCutsOf } from '../repositories/stock';
import { currentRun, foldedRun, summaryOf } from './runs';
import { loadSetup } from './saved';

/** The windings of one set-up, newest first. */
export const windingsOf = async (db: Knex, setupId: string): Promise<Winding[]> =>
	(await listWindings(db)).filter((record) => record.setupId === setupId).reverse();

/** One winding; undefined when there is none. */
export const windingById = findWinding;
/** Every winding that counts, the oldest first. */
export const everyWinding = listWindings;

/** Turns as they were counted are typed; those of the spool are kept. */
const ofSpool = (readings: Readings, form: SetupForm): Readings => ({
	...readings,
	turns: readings.turns === null ? null : readings.turns * gearOf(form)
});

/** The winding whose backing a swap leaves on the spool: it lies as it was measured then. */
const backingThatStayed = async (db: Knex, bench: BenchJob, spoolId: string): Promise<Winding | undefined> =>
	bench.kind === 'swap' && !bench.off.some(({ role }) => role === 'backing')
		? spoolNow(await inventoryNow(db), spoolId)?.record
		: undefined;

/**
 * Saves a winding, with the summary of its run. The next winding of the same set-up begins a run of its own.
 *
 * @param ends the run that this ends, as whoever writes it down knows it: what has ended is not ended twice
 * @param cutFrom where its strands came from on the shelf; left out, what was planned is taken
 */
export const recordWinding = (
	db: Knex,
	asked: WriteId,
	setupId: string,
	typed: WindingForm,
	units: UnitSystem,
	person: ChosenTechniques = {},
	{ ends, cutFrom }: { readonly ends?: string | undefined; readonly cutFrom?: CutFrom | undefined } = {}
): Promise<Outcome<{ id: string }>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const setup = await loadSetup(trx, setupId);
			if (!setup) return gone('set-up');
			const ended = ends === undefined ? null : (await findRun(trx, ends))?.recordId;
			// Another window at the end of the same job was first.
			if (ended && (await findWinding(trx, ended))) return refused({ kind: 'used', answer: { id: ended } });
			const typedReadings = readWinding(typed, units);
			if (!typedReadings.ok) return bad(typedReadings.issues);
			const bench = await benchJob(trx, setupId, undefined);
			const stayed = await backingThatStayed(trx, bench, setup.spoolId);
			const readings = {
				...ofSpool(typedReadings.value, setup.form),
				...(stayed && { turns: stayed.turns, depthMm: stayed.depthMm })
			};
			const { spoolId } = setup;
			const [who, today] = [typed.who, dayOf(typed.woundOn)];
			const wound = asWound(setup.form, readings);
			if (!wound) return bad(fail({ code: 'missing_value' }, ['setup']).issues);
			const job = jobOf(setup.form, wound.workout, person);
			const run = await currentRun(trx, setupId);
			const planned = {
				plannedSeconds: plannedSeconds(
					workOf(job, bench, firstFillOf(setup.form, wound.workout, bench, units, person)?.job).steps
				),
				hand: job.hand,
				knots: knotsOf(job)
			};
			const wind: Winding = {
				id: randomUUID(),
				setupId,
				spoolId,
				woundOn: today,
				writtenAt: Date.parse(now),
				typed: settleWinding(typed, units),
				...readings,
				form: setup.form,
				backingMm: (stayed ?? wound).backingMm,
				backingMeasured: (stayed ?? wound).backingMeasured,
				run: run ? summaryOf(run, await foldedRun(trx, run.id), planned) : null
			};
			const foreseen = foreseenGap(wind, await learntHere(trx, setup.form, { setupId, spoolId, who, today }));
			const record = { ...wind, foreseen };
			await insertWinding(trx, record);
			await endWindings(trx, record, now);
			const cut = await cutForWinding(trx, record, wound.workout, cutFrom);
			if (!cut.ok) return cut;
			await orderWound(trx, setupId);
			return done({ id: record.id });
		})
	);

/** Undoes a winding, or counts it again: what was on the spool before is on it again, and the job goes on. */
export const takeBackWinding = (
	db: Knex,
	asked: WriteId,
	id: string,
	back: boolean
): Promise<Outcome<null>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const setupId = await markTakenBack(trx, id, back ? now : null);
			if (setupId === undefined) return gone('winding');
			await markEndedBy(trx, id, back ? null : now);
			await markCutsOf(trx, id, back ? now : null);
			await orderWound(trx, setupId);
			return done(null);
		})
	);
