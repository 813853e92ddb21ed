import type { Knex } from 'knex';

/** What happened to lines and backing after they were wound: append-only events; and the rules of what falls due. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('care_events', (table) => {
		table.increments('arrival');
		table.text('id').notNullable().unique();
		table.text('kept_id').notNullable().index();
		table.text('event').notNullable();
	});
	await knex.schema.createTable('care_rules', (table) => {
		table.integer('id').primary();
		table.text('rules').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('care_rules');
	await knex.schema.dropTable('care_events');
}
