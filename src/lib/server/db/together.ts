import type { Knex } from 'knex';

interface Waiting<A, R> {
	readonly asked: A;
	readonly answer: (result: R) => void;
	readonly fail: (error: unknown) => void;
}

/**
 * Work that is done in one go for everybody who asks for it while it is being done for those before: twenty benches that count at
 * once share a transaction, and so the wait for the disk.
 *
 * @param work does it for several, all or nothing; undefined or an error says that one of them is in the way of the others, and
 * then it is done for each alone
 * @param alone does it for one
 */
export function together<A, R>(
	work: (db: Knex, asked: readonly A[]) => Promise<readonly R[] | undefined>,
	alone: (db: Knex, asked: A) => Promise<R>
): (db: Knex, asked: A) => Promise<R> {
	const waiting = new WeakMap<Knex, Waiting<A, R>[]>();

	async function inOneGo(db: Knex, batch: readonly Waiting<A, R>[]): Promise<void> {
		const results =
			batch.length > 1
				? await work(
						db,
						batch.map(({ asked }) => asked)
					).catch(() => undefined)
				: undefined;
		for (const [i, { asked, answer, fail }] of batch.entries())
			if (results) answer(results[i]!);
			else await alone(db, asked).then(answer, fail);
	}

	async function untilNobodyWaits(db: Knex, queue: Waiting<A, R>[]): Promise<void> {
		while (queue.length > 0) await inOneGo(db, queue.splice(0));
		waiting.delete(db);
	}

	return (db, asked) =>
		new Promise((answer, fail) => {
			const one = { asked, answer, fail };
			const queue = waiting.get(db);
			if (queue) queue.push(one);
			else {
				const first = [one];
				waiting.set(db, first);
				void untilNobodyWaits(db, first);
			}
		});
}
