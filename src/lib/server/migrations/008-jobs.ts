import type { Knex } from 'knex';

/** Runs of other jobs than winding from the arbor, which end by themselves; windings that can be undone; plans dropped. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('runs', (table) => {
		table.text('job').notNullable().defaultTo('wind');
		table.text('ended_at');
	});
	await knex.schema.alterTable('records', (table) => {
		table.text('taken_back_at');
	});
	await knex.schema.alterTable('setups', (table) => {
		table.text('dropped_at');
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.alterTable('setups', (table) => {
		table.dropColumn('dropped_at');
	});
	await knex.schema.alterTable('records', (table) => {
		table.dropColumn('taken_back_at');
	});
	await knex.schema.alterTable('runs', (table) => {
		table.dropColumn('job');
		table.dropColumn('ended_at');
	});
}
