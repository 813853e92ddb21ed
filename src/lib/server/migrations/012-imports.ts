import type { Knex } from 'knex';

/** Archives that were brought in: what each wrote, and what was there before, so that it can be undone. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('imports', (table) => {
		table.text('id').primary();
		table.text('made_at').notNullable();
		table.text('undone_at');
		table.text('wrote').notNullable();
		table.text('before').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('imports');
}
