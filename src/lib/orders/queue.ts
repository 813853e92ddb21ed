import type { Day } from '$lib/core';

/** What the order of the work goes by. */
export interface Queued {
	readonly number: number;
	readonly due: Day | undefined;
	/** What the bench is set up for: the backing that is at hand, and the hand that the winder is turned round for. */
	readonly needs: { readonly backing: string; readonly hand: string } | undefined;
}

/** What carries over from one job to the next: another backing has to be fetched and threaded, another hand only turned round. */
const SAME_BACKING = 2;
const SAME_HAND = 1;
const carriesOver = (a: Queued['needs'], b: Queued['needs']): number =>
	a && b ? (a.backing === b.backing ? SAME_BACKING : 0) + (a.hand === b.hand ? SAME_HAND : 0) : 0;

const byDue = (a: Queued, b: Queued): number =>
	a.due && b.due ? a.due.compare(b.due) : Number(b.due !== undefined) - Number(a.due !== undefined);

/**
 * The order of the work: whatever is due earlier comes earlier, and what has no day comes last. Of those due on one day each is
 * followed by the one that most carries over to, so that the same backing is wound in a row; of equals the older comes first.
 */
export function queueOrder<T extends Queued>(orders: readonly T[]): T[] {
	const open = orders.toSorted((a, b) => byDue(a, b) || a.number - b.number);
	const queue: T[] = [];
	while (open.length > 0) {
		const last = queue.at(-1)?.needs;
		const next = open
			.filter((order) => byDue(order, open[0]!) === 0)
			.reduce((best, order) =>
				carriesOver(last, order.needs) > carriesOver(last, best.needs) ? order : best
			);
		queue.push(next);
		open.splice(open.indexOf(next), 1);
	}
	return queue;
}
