import type { Knex } from 'knex';

/**
 * Pages ask for what happened in the runs beside turns, which is a few events among thousands: an index holds those alone. Its
 * condition is the one that they are asked by, word for word.
 */
export async function up(knex: Knex): Promise<void> {
	await knex.raw(
		"create index run_events_beside_turns on run_events (run_id, arrival) where case when json_valid(event) then json_extract(event, '$.kind') not in ('turns', 'counter') else 1 end"
	);
}

export async function down(knex: Knex): Promise<void> {
	await knex.raw('drop index run_events_beside_turns');
}
