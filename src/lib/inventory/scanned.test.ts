import { describe, expect, it } from 'vitest';
import { pathOfScanned } from './scanned';

describe('a scanned code', () => {
	it('leads to its page here, whichever address it was printed with', () => {
		expect(pathOfScanned('http://127.0.0.1:4173/orders/abc')).toBe('/orders/abc');
		expect(pathOfScanned(' https://kit-room.local/fit/new?setup=xyz ')).toBe('/fit/new?setup=xyz');
		expect(pathOfScanned('http://old-name/stock/1')).toBe('/stock/1');
	});

	it('may be the short code alone', () => {
		expect(pathOfScanned('7k2oq')).toBe('/find?q=7K20Q');
	});

	it('is nobody else’s, and leads nowhere out of Wendle', () => {
		for (const text of [
			'https://example.org/',
			'https://example.org/ordersomething',
			'javascript:alert(1)',
			'mailto:a@b',
			'4006381333931',
			''
		])
			expect(pathOfScanned(text), text).toBeUndefined();
	});
});
