import knex, { type Knex } from 'knex';
import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { migrationSource } from './index';

/** Databases as earlier versions left them, for tests. */

/** Forms as they were kept before stacks. */
const SPOOL = {
	name: 'Old reel',
	hand: 'right',
	cage: 'closed',
	way: 'measured',
	ratings: [{ line: { taper: 'WF', number: 5, density: 'F' }, material: 'polyester-20', length: '' }],
	allowance: 0.1,
	rim: '3 3/8 in',
	arbor: '38 mm',
	width: '21 mm',
	frame: ''
};
const FILL = {
	line: { class: { taper: 'WF', number: 6, density: 'S' }, length: '30 yd' },
	backing: { material: 'gel-spun-30', diameter: '0.3 mm' },
	gap: '5 mm',
	winding: 'firm',
	arborTurns: 3,
	joint: 'albright',
	leader: '7 ft'
};

/** What the first version kept. */
async function fillFirst(db: Knex): Promise<void> {
	const at = '2026-01-01T00:00:00.000Z';
	await db('spools').insert({ id: 's', form: JSON.stringify(SPOOL), created_at: at });
	await db('setups').insert({
		id: 'u',
		spool_id: 's',
		fill: JSON.stringify(FILL),
		version: 3,
		created_at: at,
		updated_at: at
	});
	for (const step of ['hand', 'backing', 'joint', 'line'])
		await db('ticks').insert({ setup_id: 'u', step, ticked_at: '2026-02-01T10:00:00.000Z' });
	await db('records').insert({
		id: 'r',
		setup_id: 'u',
		spool_id: 's',
		wound_on: '2026-01-02',
		typed: JSON.stringify({ woundOn: '2026-01-02', turns: '900', depth: '12 mm', gap: '', note: 'kept' }),
		turns: 900,
		depth_mm: 12,
		gap_mm: null,
		form: JSON.stringify({ spool: SPOOL, fill: FILL }),
		backing_mm: 138_544,
		backing_measured: 1,
		created_at: at
	});
}

/** The version whose database was kept as it was made, with a season in it. */
const KEPT = 9;

/**
 * Writes the database of an earlier version: what the first one kept, or the season that was kept of a later one, brought up to it.
 *
 * @param version how many migrations it had
 */
export async function writeDatabaseOf(version: number, filename: string): Promise<void> {
	if (version >= KEPT)
		writeFileSync(filename, gunzipSync(readFileSync(new URL('./made-by-009.sqlite.gz', import.meta.url))));
	const db = knex({ client: 'better-sqlite3', connection: { filename }, useNullAsDefault: true });
	const upTo = (last: number) => ({
		migrationSource: {
			...migrationSource,
			getMigrations: async (extensions: readonly string[]) =>
				(await migrationSource.getMigrations(extensions)).slice(0, last)
		}
	});
	if (version < KEPT) {
		await db.migrate.latest(upTo(1));
		await fillFirst(db);
	}
	await db.migrate.latest(upTo(version));
	await db.destroy();
}
