import type { Knex } from 'knex';
import { describe, expect, it } from 'vitest';
import { together } from './together';

const db = {} as Knex;

/** Work that notes what was done in one go, and goes on when it is told to. */
function noted(refuses: (asked: readonly number[]) => boolean = () => false) {
	const done: string[] = [];
	const going: (() => void)[] = [];
	const ask = together<number, string>(
		async (_, asked) => {
			await new Promise<void>((go) => going.push(go));
			done.push(`together ${asked.join(' ')}`);
			if (refuses(asked)) throw new Error('one of them');
			return asked.map(String);
		},
		async (_, asked) => {
			await new Promise<void>((go) => going.push(go));
			done.push(`alone ${asked}`);
			if (refuses([asked])) throw new Error(`not ${asked}`);
			return String(asked);
		}
	);
	const finish = async (all: readonly Promise<unknown>[]): Promise<readonly unknown[]> => {
		let isOver = false;
		const settled = Promise.allSettled(all).then((results) => {
			isOver = true;
			return results;
		});
		while (!isOver) {
			going.shift()?.();
			await Promise.resolve();
		}
		return (await settled).map((one) => (one.status === 'fulfilled' ? one.value : String(one.reason)));
	};
	return { done, ask, finish };
}

describe('what waits for the same work', () => {
	it('is done in one go, and each is answered its own', async () => {
		const { done, ask, finish } = noted();
		expect(await finish([1, 2, 3, 4].map((n) => ask(db, n)))).toEqual(['1', '2', '3', '4']);
		expect(done).toEqual(['alone 1', 'together 2 3 4']);
	});

	it('is done for each alone where one is in the way, and only that one fails', async () => {
		const { done, ask, finish } = noted((asked) => asked.includes(3));
		expect(await finish([1, 2, 3, 4].map((n) => ask(db, n)))).toEqual(['1', '2', 'Error: not 3', '4']);
		expect(done).toEqual(['alone 1', 'together 2 3 4', 'alone 2', 'alone 3', 'alone 4']);
	});

	it('waits for nobody once nothing is being done', async () => {
		const { done, ask, finish } = noted();
		await finish([ask(db, 1)]);
		await finish([ask(db, 2)]);
		expect(done).toEqual(['alone 1', 'alone 2']);
	});
});
