import type { Knex } from 'knex';

/**
 * What is learnt comes from all windings at once, and any of them can be left out. Until now the fills of one hand and backing were
 * forgotten together, up to a moment: those windings are left out. The gap that was foreseen of a winding is kept with it, since what is
 * learnt later would foresee another.
 */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('left_out_windings', (table) => {
		table.text('record_id').primary();
	});
	await knex.schema.alterTable('records', (table) => {
		table.text('foreseen');
	});
	const resets = (await knex('hand_resets').select('winding', 'material', 'reset_at')) as {
		winding: string;
		material: string;
		reset_at: string;
	}[];
	for (const { winding, material, reset_at } of resets)
		await knex.raw(
			`insert or ignore into left_out_windings (record_id)
			select id from records
			where created_at <= ? and json_valid(form) and json_extract(form, '$.fill.winding') = ?
			and exists (select 1 from json_each(form, '$.fill.stack') where json_extract(value, '$.made.material') = ?)`,
			[reset_at, winding, material]
		);
	await knex.schema.dropTable('hand_resets');
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.createTable('hand_resets', (table) => {
		table.text('winding').notNullable();
		table.text('material').notNullable();
		table.text('reset_at').notNullable();
		table.primary(['winding', 'material']);
	});
	await knex.schema.dropTable('left_out_windings');
	await knex.schema.alterTable('records', (table) => {
		table.dropColumn('foreseen');
	});
}
