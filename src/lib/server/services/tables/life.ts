import { runState } from '$lib/core';
import { workOut } from '$lib/setup/evaluate-form';
import { DEFAULT_UNITS } from '$lib/wording/units';
import type { Knex } from 'knex';
import { listCareEvents } from '../../repositories/care';
import { eventsAfter, everyRun } from '../../repositories/runs';
import { strandsNow } from '../inventory';
import { loadSetup } from '../saved';
import { nameOf, type Cell, type Lengths, type Table } from './table';

/** Every depth and gap that was read at the bench, in the order of the jobs. */
export async function readingsTable(db: Knex, { small, inSmall }: Lengths): Promise<Table> {
	const rows: Cell[][] = [];
	for (const { id, setupId, job } of await everyRun(db)) {
		const { readings } = runState((await eventsAfter(db, id, 0)).events);
		if (readings.length === 0) continue;
		const form = (await loadSetup(db, setupId))?.form;
		const worked = form && workOut(form, DEFAULT_UNITS);
		const parts = new Map(worked?.ok ? worked.value.parts.map((part) => [part.id, part.short]) : []);
		for (const reading of readings)
			rows.push([
				reading.id,
				id,
				setupId,
				nameOf(form?.spool.name ?? ''),
				job,
				new Date(reading.at).toISOString(),
				parts.get(reading.part) ?? reading.part,
				reading.finished ? 'gap' : 'depth',
				inSmall(reading.depthMm),
				reading.turns.get(reading.part) ?? null
			]);
	}
	return {
		columns: [
			'reading_id',
			'run_id',
			'setup_id',
			'spool',
			'job',
			'read_at',
			'strand',
			'what',
			`read_${small}`,
			'turns_on'
		],
		rows
	};
}

/** Everything that was written down in Care. */
export async function careEventsTable(db: Knex, { small, inSmall }: Lengths): Promise<Table> {
	const labels = new Map((await strandsNow(db)).kept.map(({ id, label }) => [id, label]));
	const { byKept } = await listCareEvents(db);
	return {
		columns: [
			'event_id',
			'strand_id',
			'strand',
			'day',
			'what',
			'days_fished',
			'water',
			'spins',
			`bight_${small}`,
			'result',
			'note'
		],
		rows: [...byKept].flatMap(([keptId, events]) =>
			events.map((event) => [
				event.id,
				keptId,
				labels.get(keptId) ?? '',
				event.day.toString(),
				event.kind,
				event.kind === 'fished' ? event.days : null,
				event.kind === 'fished' ? event.water : null,
				event.kind === 'loop-test' ? event.spins : null,
				event.kind === 'loop-test' ? inSmall(event.bightMm) : null,
				event.kind === 'tug-test' ? event.result : null,
				event.note ?? ''
			])
		)
	};
}
