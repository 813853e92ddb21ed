import { dayOf } from '$lib/core';
import type { BoardOrder } from '$lib/orders/board';
import { describe, expect, it } from 'vitest';
import type { CardLayout } from '../paper/card-layout';
import { slipLayout, ticketLayout } from './order-cards';

const reel = (name: string, wish: string) => ({
	id: name,
	wish,
	setupId: 's',
	name,
	spoolId: 'p',
	windingId: 'w',
	trouble: null,
	begun: false,
	secondsLeft: 0,
	backing: 'polyester-20',
	hand: 'left' as const
});
const order = (reels: BoardOrder['reels'], who = 'Peg 4', notes = ''): BoardOrder => ({
	id: 'o',
	number: 128,
	state: 'done',
	version: 1,
	form: { who, due: '2026-12-05', notes, prices: [{ what: 'Winding', amount: '8.00' }], reels: [] },
	takenIn: dayOf('2026-12-01'),
	due: dayOf('2026-12-05'),
	reels
});
const ADDRESS = 'http://127.0.0.1:4300/orders/0c0f6c8e-6b8e-4b7e-9d0e-2f8f2d6f1c11';
const LABEL = {
	name: 'Beck reel',
	lines: ['WF5F, 27.4 m', '120 m 20 lb polyester'],
	foot: 'gap 4 mm; 1 Dec 2026'
};
/** About how wide a letter is, em: what the layout reckons with. */
const LETTER_EM = 0.52;

function holds({ widthMm, heightMm, texts: all, qr }: CardLayout): void {
	// The last is the short code, under the one that is scanned.
	const texts = all.slice(0, -1);
	const qrSide = widthMm - 5 - qr.x;
	for (const { x, y, size, text } of texts) {
		expect(y).toBeLessThanOrEqual(heightMm - 5);
		const right = x + text.length * size * LETTER_EM;
		expect(right, text).toBeLessThanOrEqual(y - size < qr.y + qrSide ? qr.x : widthMm - 5 + 1e-9);
	}
	for (const [i, { y, size }] of texts.slice(1).entries()) expect(y - texts[i]!.y).toBeGreaterThan(size);
}

describe('the papers of an order', () => {
	it('keep clear of the code and on the paper, however much there is to say', () => {
		const wish =
			'WF6F, the one with the long belly, left hand, 20 lb, and a loop at the front, please, by Saturday';
		for (const count of [1, 3, 12]) {
			const reels = Array.from({ length: count }, (_, i) => reel(`Reel ${i} of the long-rod club`, wish));
			const long = order(
				reels,
				'A person with a name that goes on and on and on',
				'word '.repeat(300).trim()
			);
			holds(ticketLayout(long, ADDRESS, '7K2QX', 'en-GB'));
			holds(
				slipLayout(
					long,
					reels.map(() => ({ label: LABEL, care: ['Clean: due by 1 Jun 2027'] })),
					ADDRESS,
					'7K2QX'
				)
			);
		}
	});

	it('say whose it is, by when, and what is wanted', () => {
		const words = ticketLayout(order([reel('my 6', 'WF6F, left hand')]), ADDRESS, '7K2QX', 'en-GB').texts.map(
			({ text }) => text
		);
		expect(words).toEqual([
			'Order 128',
			'Peg 4',
			'Due Saturday, 5 Dec 2026',
			'my 6: WF6F, left hand',
			'7K2QX'
		]);
	});

	it('say what is on it, the price, and what is due next', () => {
		const slip = slipLayout(
			order([reel('Beck reel', 'WF5F')]),
			[{ label: LABEL, care: ['Clean: due by 1 Jun 2027'] }],
			ADDRESS,
			'7K2QX'
		);
		expect(slip.texts.map(({ text }) => text)).toEqual([
			'Order 128',
			'Peg 4',
			'Beck reel',
			'WF5F, 27.4 m',
			'120 m 20 lb polyester',
			'gap 4 mm; 1 Dec 2026',
			'Clean: due by 1 Jun 2027',
			'Winding: 8.00',
			'7K2QX'
		]);
	});

	it('say that there is more where not all fits', () => {
		const reels = Array.from({ length: 12 }, (_, i) =>
			reel(`Reel ${i}`, 'WF6F, left hand, 20 lb, by Saturday')
		);
		expect(ticketLayout(order(reels), ADDRESS, '7K2QX', 'en-GB').texts.at(-2)?.text).toBe(
			'and more: scan the code'
		);
	});
});
