import { newStock } from '$lib/stock/new-stock';
import { stockEntry } from '$lib/stock/left';
import { describe, expect, it } from 'vitest';
import { stockCard } from './stock-card';

const card = (form: Parameters<typeof stockEntry>[0]['form']) =>
	stockCard(stockEntry({ id: 'a', version: 1, form, events: [] }), 'http://kit-room.local/stock/a', '7K2AQ');

describe('the label of something in the stock', () => {
	it('says what it is, what came on it and where it stands, beside its code', () => {
		const { texts } = card({
			...newStock('bulk'),
			name: 'orange',
			length: '1000 yd',
			where: 'shelf 1'
		});
		expect(texts.map(({ text }) => text)).toEqual([
			'orange',
			'Braided polyester, 20 lb',
			'1000 yd when new',
			'shelf 1',
			'7K2AQ'
		]);
	});

	it('keeps within the paper, whatever it is called', () => {
		const long = 'a name that somebody thought about for a whole long winter evening';
		const { texts, qr, widthMm, heightMm } = card({
			...newStock('end'),
			name: long.slice(0, 60),
			length: '60 yd',
			where: long.slice(0, 60)
		});
		for (const { x, y, size, text } of texts.slice(0, -1)) {
			expect(x + 0.52 * size * text.length, text).toBeLessThanOrEqual(Math.max(qr.x, 60));
			expect(y).toBeLessThan(heightMm);
		}
		const side = Math.max(...qr.squares.map(([x]) => x));
		expect(side).toBeLessThan(widthMm);
	});
});
