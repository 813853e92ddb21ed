import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { AccessStore } from './store';

let data: string;
let store: AccessStore;
beforeEach(async () => {
	data = mkdtempSync(join(tmpdir(), 'wendle-access-'));
	store = await AccessStore.open(data);
});
afterEach(() => rmSync(data, { recursive: true, force: true }));

/** What the file says, whatever is still to be written. */
function written(): unknown[] {
	const db = new Database(join(data, 'access.sqlite'), { readonly: true });
	const rows = db.prepare('select who, path, times from deeds order by id').all();
	db.close();
	return rows;
}

describe('who did what', () => {
	it('is written at once, and how often with the next ones: turns come by the second', async () => {
		for (let i = 0; i < 50; i++)
			await store.note('bench, phone', 'Add events to a run', '/api/runs/1/events');
		await store.note('owner, laptop', 'Take a spool off the rack', '/api/spools/1');
		const [first, second] = [
			{ who: 'bench, phone', path: '/api/runs/1/events' },
			{ who: 'owner, laptop', path: '/api/spools/1' }
		];
		expect(written()).toEqual([
			{ ...first, times: 1 },
			{ ...second, times: 1 }
		]);
		expect((await store.deeds(10)).map(({ path, times }) => [path, times]).toSorted()).toEqual([
			['/api/runs/1/events', 50],
			['/api/spools/1', 1]
		]);
		await store.note('bench, phone', 'Add events to a run', '/api/runs/1/events');
		await store.note('bench, phone', 'Add events to a run', '/api/runs/1/events');
		await store.close();
		expect(written()).toEqual([
			{ ...first, times: 52 },
			{ ...second, times: 1 }
		]);
	});

	it('is one line for all who do the same at once', async () => {
		await Promise.all(
			Array.from({ length: 20 }, () => store.note('bench, phone', 'Save a set-up', '/api/setups/1'))
		);
		await store.close();
		expect(written()).toEqual([{ who: 'bench, phone', path: '/api/setups/1', times: 20 }]);
	});
});
