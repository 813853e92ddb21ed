import type { Knex } from 'knex';

/** From when on finished fills count for a hand: what was before is forgotten, not deleted. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('hand_resets', (table) => {
		table.text('winding').notNullable();
		table.text('material').notNullable();
		table.text('reset_at').notNullable();
		table.primary(['winding', 'material']);
	});
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.dropTable('hand_resets');
}
