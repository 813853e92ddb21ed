import type { Knex } from 'knex';

/** A photo can be deleted, and brought back for a while. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('photos', (table) => {
		table.text('deleted_at');
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.alterTable('photos', (table) => {
		table.dropColumn('deleted_at');
	});
}
