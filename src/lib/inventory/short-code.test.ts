import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readShortCode, shortCode } from './short-code';

describe('short codes', () => {
	it('reads back as it is written, however it is typed', () => {
		fc.assert(
			fc.property(fc.uuid(), (id) => {
				const code = shortCode(id);
				expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{5}$/);
				expect(readShortCode(code)).toBe(code);
				const sloppy = ` ${code.slice(0, 2).toLowerCase()} ${code.slice(2).replaceAll('0', 'o').replaceAll('1', 'l')}`;
				expect(readShortCode(sloppy)).toBe(code);
			}),
			{ seed: 18 }
		);
	});

	it('tells two thousand things apart', () => {
		const ids = Array.from({ length: 2000 }, (_, i) => `setup-${i}`);
		// By chance 2000² / 2 / 32⁵ = 0.06 pairs share a code.
		expect(new Set(ids.map(shortCode)).size).toBeGreaterThanOrEqual(1999);
	});

	it.each(['', 'ABCD', 'ABCDEF', 'AB!DE', 'Beck reel'])('takes "%s" for no code', (typed) =>
		expect(readShortCode(typed)).toBeUndefined()
	);

	// Source: the published test vectors of FNV-1a, 32 bits: "a" is e40c292c, "foobar" bf9cf968; in base 32, from memory of the algorithm.
	it.each([
		['a', 0xe40c292c],
		['foobar', 0xbf9cf968]
	])('is FNV-1a of the id: %s', (id, sum) => {
		const code = [...shortCode(id)].reduce(
			(value, sign) => 32 * value + '0123456789ABCDEFGHJKMNPQRSTVWXYZ'.indexOf(sign),
			0
		);
		expect(code).toBe(sum % 32 ** 5);
	});
});
