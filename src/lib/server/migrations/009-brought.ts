import type { Knex } from 'knex';

/** Lines that were there before anything was wound here: what they are. What happened to them are care events. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('brought', (table) => {
		table.text('id').primary();
		table.text('component').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('brought');
}
