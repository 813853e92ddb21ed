import type { Knex } from 'knex';

/** Spools, the set-ups planned for them, the steps ticked off, and what was wound. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('spools', (table) => {
		table.text('id').primary();
		table.text('form').notNullable();
		table.text('created_at').notNullable();
		table.text('deleted_at');
	});
	await knex.schema.createTable('setups', (table) => {
		table.text('id').primary();
		table.text('spool_id').notNullable().references('spools.id').onDelete('CASCADE');
		table.text('fill').notNullable();
		table.integer('version').notNullable();
		table.text('created_at').notNullable();
		table.text('updated_at').notNullable();
		table.index(['spool_id', 'created_at']);
	});
	await knex.schema.createTable('ticks', (table) => {
		table.text('setup_id').notNullable().references('setups.id').onDelete('CASCADE');
		table.text('step').notNullable();
		table.text('ticked_at').notNullable();
		table.primary(['setup_id', 'step']);
	});
	await knex.schema.createTable('records', (table) => {
		table.text('id').primary();
		table.text('setup_id').notNullable().references('setups.id').onDelete('CASCADE');
		table.text('spool_id').notNullable().references('spools.id').onDelete('CASCADE');
		table.text('wound_on').notNullable();
		table.text('typed').notNullable();
		table.float('turns');
		table.float('depth_mm');
		table.float('gap_mm');
		table.text('form').notNullable();
		table.float('backing_mm').notNullable();
		table.boolean('backing_measured').notNullable();
		table.text('created_at').notNullable();
		table.index(['spool_id', 'wound_on']);
	});
}

export async function down(knex: Knex): Promise<void> {
	for (const table of ['records', 'ticks', 'setups', 'spools']) await knex.schema.dropTable(table);
}
