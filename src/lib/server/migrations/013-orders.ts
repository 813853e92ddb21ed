import type { Knex } from 'knex';

/** Orders: reels that are wound for other people. Their number is what people call them by. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('orders', (table) => {
		table.text('id').primary();
		table.integer('number').notNullable();
		table.text('state').notNullable();
		table.text('form').notNullable();
		table.text('taken_in').notNullable();
		table.integer('version').notNullable();
		table.text('created_at').notNullable();
		table.text('deleted_at');
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('orders');
}
