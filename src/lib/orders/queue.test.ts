import { dayOf } from '$lib/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { queueOrder, type Queued } from './queue';

const order = (number: number, due: string, backing: string, hand = 'left'): Queued => ({
	number,
	due: due === '' ? undefined : dayOf(due),
	needs: { backing, hand }
});
const numbers = (queue: readonly Queued[]) => queue.map(({ number }) => number);

describe('queueOrder', () => {
	it('puts the same backing in a row on one day, and never lets a later day before an earlier one', () => {
		const queue = queueOrder([
			order(1, '2026-12-05', '20 lb'),
			order(2, '2026-12-05', '30 lb'),
			order(3, '2026-12-05', '20 lb'),
			order(4, '2026-12-04', '30 lb'),
			order(5, '', '30 lb'),
			order(6, '2026-12-05', '30 lb', 'right')
		]);
		expect(numbers(queue)).toEqual([4, 2, 6, 1, 3, 5]);
	});

	it('takes the same hand first where the backing has to be changed anyway', () => {
		const queue = queueOrder([
			order(1, '2026-12-05', '20 lb', 'right'),
			order(2, '2026-12-05', '30 lb', 'left'),
			order(3, '2026-12-05', '50 lb', 'right')
		]);
		expect(numbers(queue)).toEqual([1, 3, 2]);
	});

	it('holds every order once, by due day, whatever comes in', () => {
		const any = fc.record({
			number: fc.nat(50),
			due: fc.constantFrom('', '2026-12-01', '2026-12-02', '2026-12-03'),
			backing: fc.constantFrom('20 lb', '30 lb'),
			hand: fc.constantFrom('left', 'right')
		});
		fc.assert(
			fc.property(fc.uniqueArray(any, { selector: ({ number }) => number, maxLength: 12 }), (orders) => {
				const queue = queueOrder(
					orders.map(({ number, due, backing, hand }) => order(number, due, backing, hand))
				);
				expect(numbers(queue).toSorted((a, b) => a - b)).toEqual(
					orders.map(({ number }) => number).toSorted((a, b) => a - b)
				);
				const days = queue.map(({ due }) => due?.toString() ?? '9999');
				expect(days).toEqual(days.toSorted());
			}),
			{ seed: 18 }
		);
	});
});
