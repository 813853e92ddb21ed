import { jobSteps } from '../src/lib/core';
import { DEFAULT_UNITS } from '../src/lib/schema/units';
import { jobOf } from '../src/lib/schema/job';
import { workOut } from '../src/lib/schema/workout';
import { openDatabase } from '../src/lib/server/db/open';
import { createSetup, rack, recordWinding, tickStep } from '../src/lib/server/services/setups';
import { KIT_ROOM, type DemoSpool } from './kit-room';

type Database = Awaited<ReturnType<typeof openDatabase>>;

async function add(db: Database, { form, wound, begun = 0 }: DemoSpool): Promise<void> {
	const { id } = await createSetup(db, form, DEFAULT_UNITS);
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) throw new Error(`${form.spool.name} does not work out: ${JSON.stringify(worked.issues)}`);
	for (const { key } of jobSteps(jobOf(form, worked.value)).slice(0, begun))
		await tickStep(db, id, key, true);
	if (!wound) return;
	const recorded = await recordWinding(db, id, wound, DEFAULT_UNITS);
	if (recorded.kind !== 'recorded') throw new Error(`${form.spool.name} was not recorded: ${recorded.kind}`);
}

/** Fills an empty database with the demo. One with anything in it, even on its way out, is left alone. */
export async function fillDemo(directory: string): Promise<boolean> {
	const db = await openDatabase(directory);
	try {
		const [{ count } = { count: 0 }] = await db('spools').count({ count: '*' });
		if (Number(count) > 0) return false;
		for (const spool of KIT_ROOM) await add(db, spool);
		return (await rack(db)).length > 0;
	} finally {
		await db.destroy();
	}
}
