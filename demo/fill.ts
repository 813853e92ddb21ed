import { jobSteps, type RunEvent } from '../src/lib/core';
import { DEFAULT_UNITS } from '../src/lib/schema/units';
import { jobOf } from '../src/lib/schema/job';
import { workOut } from '../src/lib/schema/workout';
import { openDatabase } from '../src/lib/server/db/open';
import { practised, setSeason } from '../src/lib/server/services/practice';
import { addEvents, startRun } from '../src/lib/server/services/runs';
import { createSetup, rack, recordWinding } from '../src/lib/server/services/setups';
import { KIT_ROOM, NEXT_SEASON, PRACTISED, type DemoSpool } from './kit-room';

type Database = Awaited<ReturnType<typeof openDatabase>>;

/** How much longer the warden takes than planned; and when the job of a day begins. */
const WARDENS_TEMPO = 1.15;
const BEGINS = 'T18:30:00Z';

/** The run of a job: its first steps done one after another, its turns counted as they were written down. */
function runOf({ form, wound, begun = 0 }: DemoSpool): RunEvent[] {
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) throw new Error(`${form.spool.name} does not work out: ${JSON.stringify(worked.issues)}`);
	const job = jobOf(form, worked.value);
	const steps = jobSteps(job);
	let at = Date.parse(`${wound?.woundOn ?? '2026-06-01'}${BEGINS}`);
	return steps.slice(0, wound ? steps.length : begun).flatMap((step, i): RunEvent[] => {
		const { id, seconds, part } = step;
		at += Math.round(1000 * WARDENS_TEMPO * seconds);
		const turns = Number(wound?.turns);
		return [
			...(step.kind === 'wind' && part !== undefined && part === job.stopPart && turns > 0
				? [{ id: `turns-${i}`, at: at - 1000, kind: 'turns', part, turns } as const]
				: []),
			{ id: `step-${i}`, at, kind: 'step', step: id, done: true, plannedSeconds: Math.round(seconds) }
		];
	});
}

async function add(db: Database, spool: DemoSpool): Promise<void> {
	const { form, wound } = spool;
	const { id } = await createSetup(db, form, DEFAULT_UNITS);
	const events = runOf(spool);
	if (events.length > 0) {
		await startRun(db, `demo-${id}`, id);
		await addEvents(db, `demo-${id}`, events);
	}
	if (!wound) return;
	const recorded = await recordWinding(db, id, wound, DEFAULT_UNITS);
	if (recorded.kind !== 'recorded') throw new Error(`${form.spool.name} was not recorded: ${recorded.kind}`);
}

/** The knots the warden went through, and the day the spools are next wound. */
async function addPractice(db: Database): Promise<void> {
	for (const [i, { slug, right, on }] of PRACTISED.entries())
		await practised(db, { id: `demo-practice-${i}`, slug, right, asked: 3 }, new Date(`${on}${BEGINS}`));
	await setSeason(db, NEXT_SEASON);
}

/** Fills an empty database with the demo. One with anything in it, even on its way out, is left alone. */
export async function fillDemo(directory: string): Promise<boolean> {
	const db = await openDatabase(directory);
	try {
		const [{ count } = { count: 0 }] = await db('spools').count({ count: '*' });
		if (Number(count) > 0) return false;
		for (const spool of KIT_ROOM) await add(db, spool);
		await addPractice(db);
		return (await rack(db)).length > 0;
	} finally {
		await db.destroy();
	}
}
