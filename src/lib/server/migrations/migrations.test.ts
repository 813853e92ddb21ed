import knex, { type Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { runBegun } from '../services/runs';
import { loadSetup } from '../services/saved';
import { rack } from '../services/setups';
import { recordsOf } from '../services/windings';
import * as first from './001-rack';

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

let directory: string;
beforeEach(() => (directory = mkdtempSync(join(tmpdir(), 'wendle-migrate-'))));
afterEach(() => rmSync(directory, { recursive: true, force: true }));

/** A database as an older version left it. */
async function olderDatabase(): Promise<void> {
	const db = knex({
		client: 'better-sqlite3',
		connection: { filename: join(directory, 'wendle.sqlite') },
		useNullAsDefault: true
	});
	const source: Knex.MigrationSource<string> = {
		getMigrations: async () => ['001-rack'],
		getMigrationName: (name) => name,
		getMigration: async () => first
	};
	await db.migrate.latest({ migrationSource: source });
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
	await db.destroy();
}

it('a database from before stacks opens, with everything typed in it', async () => {
	await olderDatabase();
	const db = await openDatabase(directory);
	try {
		const setup = (await loadSetup(db, 'u'))!;
		expect(setup.version).toBe(3);
		expect(setup.form.spool).toMatchObject({ rim: '3 3/8 in', hand: 'right', shape: 'straight' });
		expect(setup.form.fill).toMatchObject({ gap: '5 mm', leader: '7 ft', arborTurns: 3, halfFit: '' });
		const [backing, line] = setup.form.fill.stack;
		expect(backing).toMatchObject({
			role: 'backing',
			solve: true,
			made: { way: 'material', material: 'gel-spun-30', diameter: '0.3 mm' }
		});
		expect(line).toMatchObject({
			length: '30 yd',
			joint: 'albright',
			made: { way: 'class', class: { taper: 'WF', number: 6, density: 'S' } }
		});
		expect((await recordsOf(db, 'u'))[0]).toMatchObject({ turns: 900, typed: { note: 'kept' } });
		expect(await rack(db)).toHaveLength(1);
		// What was ticked belongs to the run now, in steps of each part.
		const done = ['hand', 'wind:backing', 'join:line', 'wind:line'];
		expect((await runBegun(db, 'u'))!.done.toSorted()).toEqual(done.toSorted());
		expect((await recordsOf(db, 'u'))[0]!.run).toBeNull();
	} finally {
		await db.destroy();
	}
});
