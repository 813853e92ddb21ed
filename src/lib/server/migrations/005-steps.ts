import type { Knex } from 'knex';

/**
 * Ticks become events of a run, where everything else of the job is; a record keeps what its run came to;
 * photos are kept with the data.
 */

interface Tick {
	setup_id: string;
	step: string;
	ticked_at: string;
}

/** The steps that an old one has become: each part of the stack is joined and wound in steps of its own. */
function stepsNow(step: string, stack: readonly { id: string; role: string }[]): string[] {
	const stop = stack.findIndex(({ role }) => role === 'backing');
	const above = stack.slice(stop + 1).map(({ id }) => id);
	switch (step) {
		case 'backing':
			return stop < 0 ? [] : [`wind:${stack[stop]!.id}`];
		case 'joint':
			return above.slice(0, 1).map((id) => `join:${id}`);
		case 'line':
			return above.map((id) => `wind:${id}`);
		default:
			return [step];
	}
}

async function ticksToRuns(knex: Knex): Promise<void> {
	const ticks = (await knex('ticks').select('*').orderBy('ticked_at')) as Tick[];
	for (const setupId of new Set(ticks.map(({ setup_id }) => setup_id))) {
		const own = ticks.filter(({ setup_id }) => setup_id === setupId);
		const setup = (await knex('setups').where({ id: setupId }).first('fill')) as { fill: string };
		const { stack } = JSON.parse(setup.fill) as { stack: { id: string; role: string }[] };
		const ended = (await knex('records').where({ setup_id: setupId }).max({ at: 'created_at' }).first()) as {
			at: string | null;
		};
		const open = (await knex('runs')
			.where({ setup_id: setupId })
			.where('created_at', '>', ended.at ?? '')
			.orderBy('created_at', 'desc')
			.first('id')) as { id: string } | undefined;
		const run = open?.id ?? `ticks-${setupId}`;
		if (!open) await knex('runs').insert({ id: run, setup_id: setupId, created_at: own[0]!.ticked_at });
		const events = own.flatMap(({ step, ticked_at }) =>
			stepsNow(step, stack).map((now) => ({ step: now, at: Date.parse(ticked_at) }))
		);
		for (const { step, at } of events) {
			const id = `tick-${step.replace(/[^\w-]/g, '-')}`;
			await knex('run_events')
				.insert({ run_id: run, id, event: JSON.stringify({ id, at, kind: 'step', step, done: true }) })
				.onConflict(['run_id', 'id'])
				.ignore();
		}
	}
}

export async function up(knex: Knex): Promise<void> {
	await ticksToRuns(knex);
	await knex.schema.dropTable('ticks');
	await knex.schema.alterTable('records', (table) => {
		table.text('run');
	});
	await knex.schema.createTable('photos', (table) => {
		table.text('id').primary();
		table.binary('jpeg').notNullable();
		table.text('created_at').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('photos');
	await knex.schema.alterTable('records', (table) => {
		table.dropColumn('run');
	});
	await knex.schema.createTable('ticks', (table) => {
		table.text('setup_id').notNullable().references('setups.id').onDelete('CASCADE');
		table.text('step').notNullable();
		table.text('ticked_at').notNullable();
		table.primary(['setup_id', 'step']);
	});
}
