import knex from 'knex';
import { describe, expect, it } from 'vitest';
import { withoutStatement } from './trouble';

describe('what is logged of a failure', () => {
	it('names the place in the code, and nothing of the statement or its values', async () => {
		const db = knex({ client: 'better-sqlite3', connection: ':memory:', useNullAsDefault: true });
		try {
			await db.schema.createTable('orders', (table) => void table.text('who').unique());
			await db('orders').insert({ who: 'Quillon' });
			const failure: unknown = await db('orders')
				.insert({ who: 'Quillon' })
				.catch((error: unknown) => error);
			expect(String(failure)).toContain('Quillon');
			const logged = String(withoutStatement(failure));
			expect(logged).toMatch(/^the database answered SQLITE_CONSTRAINT/);
			expect(logged).toMatch(/\n\s+at /);
			expect(logged).not.toMatch(/Quillon|insert into/);
		} finally {
			await db.destroy();
		}
	});

	it('is everything else as it was', () => {
		const failure = new Error('no such thing');
		expect(withoutStatement(failure)).toBe(failure);
		expect(withoutStatement(undefined)).toBeUndefined();
	});
});
