import type { Knex } from 'knex';

/** What stands on the shelf, what happened to it, and which piece is to be cut from which. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('stock', (table) => {
		table.text('id').primary();
		table.text('form').notNullable();
		table.integer('version').notNullable();
		table.text('created_at').notNullable();
		table.text('deleted_at');
	});
	await knex.schema.createTable('stock_events', (table) => {
		table.increments('arrival');
		table.text('id').notNullable().unique();
		table.text('stock_id').notNullable().references('id').inTable('stock').index();
		/** The winding that it was cut for: undone with it. */
		table.text('record_id').index();
		table.text('event').notNullable();
		table.text('taken_back_at');
	});
	await knex.schema.createTable('stock_plan', (table) => {
		table.text('need').primary();
		table.text('stock_id').notNullable().references('id').inTable('stock');
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('stock_plan');
	await knex.schema.dropTable('stock_events');
	await knex.schema.dropTable('stock');
}
