import type { Knex } from 'knex';

/**
 * Writes are told apart by ids; everything that can be edited has a version, and its former versions are kept; a run says
 * which winding ended it. Texts that outgrew their limit when a unit was added to them are cut back to what was typed.
 */

/** Longest typed text of this version's forms, before a unit was added. */
const MOST_TYPED = 60;
/** The units that were added. */
const ADDED_UNIT = / (mm|in|yd|m|ft|g)$/;

/** Texts that are no measures, and got no unit. */
const WORDS = ['name', 'note', 'who'];

/** A form with every measure that is too long for its shape back as it was typed. */
function cutBack(value: unknown): unknown {
	if (typeof value === 'string') return value.length > MOST_TYPED ? value.replace(ADDED_UNIT, '') : value;
	if (Array.isArray(value)) return value.map(cutBack);
	if (typeof value === 'object' && value !== null)
		return Object.fromEntries(
			Object.entries(value).map(([key, held]) => [key, WORDS.includes(key) ? held : cutBack(held)])
		);
	return value;
}

const isJson = (text: string): boolean => {
	try {
		JSON.parse(text);
		return true;
	} catch {
		return false;
	}
};

async function cutBackColumn(knex: Knex, table: string, column: string): Promise<void> {
	const rows = (await knex(table).select('id', column)) as Record<string, string>[];
	for (const row of rows) {
		const text = row[column]!;
		// A row that is no JSON at all is shown as it is.
		if (!isJson(text)) continue;
		const cut = JSON.stringify(cutBack(JSON.parse(text)));
		if (cut !== JSON.stringify(JSON.parse(text)))
			await knex(table)
				.where({ id: row['id'] })
				.update({ [column]: cut });
	}
}

/** A winding ended the run of its set-up that was begun before it: until now only the times said so. */
async function endRuns(knex: Knex): Promise<void> {
	const runs = (await knex('runs')
		.whereNull('ended_at')
		.whereIn('job', ['wind', 'swap'])
		.select('id', 'setup_id', 'created_at')) as { id: string; setup_id: string; created_at: string }[];
	for (const { id, setup_id, created_at } of runs) {
		const record = (await knex('records')
			.where({ setup_id })
			.where('created_at', '>=', created_at)
			.whereNull('taken_back_at')
			.orderBy('created_at')
			.first('id', 'created_at')) as { id: string; created_at: string } | undefined;
		if (record)
			await knex('runs').where({ id }).update({ ended_at: record.created_at, record_id: record.id });
	}
}

export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('writes', (table) => {
		table.text('id').primary();
		table.text('digest').notNullable();
		table.text('answer').notNullable();
		table.text('written_at').notNullable().index();
	});
	await knex.schema.createTable('former', (table) => {
		table.text('of').notNullable();
		table.text('id').notNullable();
		table.integer('version').notNullable();
		table.text('text').notNullable();
		table.text('replaced_at').notNullable();
		table.primary(['of', 'id', 'version']);
	});
	// A set-up's version, as it is shown, counts the changes of its spool as well: older ones begin at none.
	await knex.schema.alterTable('spools', (table) => {
		table.integer('version').notNullable().defaultTo(0);
	});
	for (const name of ['brought', 'care_rules', 'records'])
		await knex.schema.alterTable(name, (table) => {
			table.integer('version').notNullable().defaultTo(1);
		});
	await knex.schema.alterTable('runs', (table) => {
		table.text('record_id');
	});
	await endRuns(knex);
	for (const [table, column] of [
		['spools', 'form'],
		['setups', 'fill'],
		['records', 'typed'],
		['records', 'form'],
		['brought', 'component']
	] as const)
		await cutBackColumn(knex, table, column);
}

export async function down(knex: Knex): Promise<void> {
	await knex.schema.alterTable('runs', (table) => {
		table.dropColumn('record_id');
	});
	for (const name of ['spools', 'brought', 'care_rules', 'records'])
		await knex.schema.alterTable(name, (table) => {
			table.dropColumn('version');
		});
	await knex.schema.dropTable('former');
	await knex.schema.dropTable('writes');
}
