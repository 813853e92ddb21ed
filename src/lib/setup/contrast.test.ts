import { differenceCiede2000, type Lab65 } from 'culori/fn';
import { describe, expect, it } from 'vitest';
import { contrastOf } from './contrast';

const lab = ([l, a, b]: readonly [number, number, number]): Lab65 => ({ mode: 'lab65', l, a, b });

describe('the colour-difference formula, against its published pairs (Sharma, Wu & Dalal 2005, table 1; values from memory)', () => {
	it.each([
		[[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
		[[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
		[[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
		[[50, 0, 0], [50, -1, 2], 2.3669],
		[[50, 2.5, 0], [73, 25, -18], 27.1492],
		[[50, 2.5, 0], [61, -5, 29], 22.8977],
		[[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
		[[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082]
	] as const)('%j and %j', (one, other, expected) => {
		expect(differenceCiede2000()(lab(one), lab(other))).toBeCloseTo(expected, 4);
	});
});

describe('contrast at a joint', () => {
	it.each([
		['#ff6a00', '#4a7a3a', 'clear'],
		['#7a8a4a', '#6a8a4a', 'poor'],
		['#d9d96a', '#c9e08a', 'poor'],
		['#cfd8a0', '#7a9050', 'fair']
	] as const)('%s against %s is %s', (one, other, seen) => {
		expect(contrastOf(one, other)?.seen).toBe(seen);
		expect(contrastOf(other, one)?.deltaE).toBeCloseTo(contrastOf(one, other)!.deltaE, 9);
	});
	it('is nothing for the same, and undefined for no colour', () => {
		expect(contrastOf('#123456', '#123456')?.deltaE).toBe(0);
		expect(contrastOf('#123456', 'moss')).toBeUndefined();
	});
});
