import type { Moment } from '$lib/inventory/care-rows';
import { scaleUtc } from 'd3-scale';
import { describe, expect, it } from 'vitest';
import { atDay, daysBars, mostTwist, nearest, signPath, SIGNS, signs, stays, twistArea } from './lane';

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
		expect(daysBars([at(10, { kind: 'fished', days: 1 })], closer, 60).fresh).toBe('');
	});
	it('adds days out that fall on one pixel, and remembers salt', () => {
		const fished = (day: number, days: number, salt = false) => at(day, { kind: 'fished', days, salt });
		const { fresh, salt } = daysBars([fished(3, 2), fished(3, 1, true), fished(4, 5)], x, 60);
		// Ten days are the whole height: three are 2 + 0.3 · 14 px, five half of it.
		expect(salt).toBe('M29 60v-6h3v6z');
		expect(fresh).toBe('M39 60v-9h3v9z');
	});
	it('signs that would lie on one another are one, with their number; none is lost', () => {
		const drawn = signs([at(10, {}), at(10.4, {}), at(20, { kind: 'loop-test' })], x);
		expect(drawn).toEqual([
			{ x: 100, kind: 'cleaned', count: 2 },
			{ x: 200, kind: 'loop-test', count: 1 }
		]);
	});
	it('signs stand where they belong, each drawn from its own place; few have their number beside them', () => {
		const few = signPath(signs([at(10, {}), at(10.4, {}), at(20, { kind: 'loop-test' })], x), 30);
		expect(few.d.match(/M[\d.]+ 30/g)).toEqual(['M100.0 30', 'M200.0 30']);
		expect(few.counts).toMatchObject([{ count: 2 }]);
		const many = Array.from({ length: 80 }, (_, i) => at(i, {}));
		expect(
			signPath(
				signs(
					[...many, ...many].sort((a, b) => a.day - b.day),
					x
				),
				30
			).counts
		).toEqual([]);
		// A sign that named a place of its own would be drawn there.
		for (const sign of Object.values(SIGNS)) expect(sign).not.toMatch(/[A-Z]/);
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
