import type { Knex } from 'knex';

/** Runs at the bench: append-only events, each once, numbered as they arrive. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('runs', (table) => {
		table.text('id').primary();
		table.text('setup_id').notNullable().references('setups.id').onDelete('CASCADE');
		table.text('created_at').notNullable();
		table.index(['setup_id', 'created_at']);
	});
	await knex.schema.createTable('run_events', (table) => {
		table.increments('arrival');
		table.text('run_id').notNullable().references('runs.id').onDelete('CASCADE');
		table.text('id').notNullable();
		table.text('event').notNullable();
		table.unique(['run_id', 'id']);
		table.index(['run_id', 'arrival']);
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('run_events');
	await knex.schema.dropTable('runs');
}
