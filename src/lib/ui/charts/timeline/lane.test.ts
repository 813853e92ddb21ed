import type { Moment } from '$lib/schema/care-page';
import { scaleUtc } from 'd3-scale';
import { describe, expect, it } from 'vitest';
import { atDay, daysBars, mostTwist, nearest, signs, stays, twistArea } from './lane';

/** Ten pixels a day, from day 0 on. */
const x = scaleUtc([atDay(0), atDay(100)], [0, 1000]);
const at = (day: number, part: Partial<Moment>): Moment => ({ day, kind: 'cleaned', twist: 0, ...part });
const LIFE: Moment[] = [
	at(5, { kind: 'came' }),
	at(5, { kind: 'moved', on: 'spool', place: 'Tarn', gapMm: 4 }),
	at(20, { kind: 'fished', days: 3, twist: 0.2 }),
	at(40, { kind: 'moved', on: 'coil', place: 'box', twist: 0.3 }),
	at(60, { kind: 'moved', on: 'retired', twist: 0.3 })
];

describe('the lane of a thing', () => {
	it('shows where it was, one stay after the other, the last until today', () => {
		expect(stays(LIFE, x, 80)).toEqual([
			{ x: 50, width: 350, on: 'spool', place: 'Tarn', gapMm: 4 },
			{ x: 400, width: 200, on: 'coil', place: 'box', gapMm: undefined },
			{ x: 600, width: 200, on: 'retired', place: '', gapMm: undefined }
		]);
	});
	it('leaves out what is not in view, and cuts what reaches into it', () => {
		const closer = scaleUtc([atDay(30), atDay(50)], [0, 1000]);
		expect(stays(LIFE, closer, 80).map(({ x: left, width, on }) => [left, width, on])).toEqual([
			[0, 500, 'spool'],
			[500, 500, 'coil'],
			[1500, 2, 'retired']
		]);
		expect(signs([at(10, {}), at(40, {})], closer)).toHaveLength(1);
		expect(daysBars([at(10, { kind: 'fished', days: 1 })], closer)).toEqual([]);
	});
	it('adds days out that fall on one pixel, and remembers salt', () => {
		const fished = (day: number, days: number, salt = false) => at(day, { kind: 'fished', days, salt });
		expect(daysBars([fished(3, 2), fished(3, 1, true), fished(4, 5)], x)).toEqual([
			{ x: 30, days: 3, salt: true },
			{ x: 40, days: 5, salt: false }
		]);
	});
	it('signs that would lie on one another are one, with their number; none is lost', () => {
		const drawn = signs([at(10, {}), at(10.4, {}), at(20, { kind: 'loop-test' })], x);
		expect(drawn).toEqual([
			{ x: 100, kind: 'cleaned', count: 2 },
			{ x: 200, kind: 'loop-test', count: 1 }
		]);
	});
	it('twist goes in steps, from its day on, and never out of the lane', () => {
		const path = twistArea(LIFE, x, 80, 2);
		// 0.2 of 2 turns a metre is a tenth of 30 px above the floor.
		expect(path).toContain('27');
		expect(twistArea([at(1, { twist: 50 })], x, 80, 2)).not.toContain('-');
		expect(twistArea([], x, 80, 2)).toBe('');
		expect(mostTwist([LIFE])).toBeCloseTo(1.875);
		expect(mostTwist([[at(1, { twist: 7 })]])).toBe(7);
	});
	it('finds the moment that is pointed at; of two on one day the later', () => {
		expect(nearest(LIFE, x, 210)).toBe(2);
		expect(nearest(LIFE, x, 0)).toBe(1);
		expect(nearest([], x, 0)).toBe(-1);
	});
});
