import type { Knex } from 'knex';

/** Knots that are practised: how well each is known, and every session with it; the day the spools are next wound. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('knot_cards', (table) => {
		table.string('slug').primary();
		table.text('card').notNullable();
	});
	await knex.schema.createTable('knot_sessions', (table) => {
		table.string('id').primary();
		table.string('slug').notNullable();
		table.string('at').notNullable();
		table.integer('right').notNullable();
		table.integer('asked').notNullable();
	});
	await knex.schema.createTable('season', (table) => {
		table.integer('id').primary();
		table.string('winds_on').notNullable();
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('season');
	await knex.schema.dropTable('knot_sessions');
	await knex.schema.dropTable('knot_cards');
}
