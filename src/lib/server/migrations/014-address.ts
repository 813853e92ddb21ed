import type { Knex } from 'knex';

/** The address that people reach this Wendle at: labels and tickets lead there. It belongs to the computer, so no archive takes it along. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('address', (table) => {
		table.integer('id').primary();
		table.text('origin').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('address');
}
