import { describe, expect, it } from 'vitest';
import { uncertainInputs } from '../uncertainty/inputs';
import { DEFAULT_SPREADS } from '../uncertainty/spreads';
import { windingOf } from './testing';
import { isKind, mixOfInput, mixOfNuisance, type Mix, type Things } from './things';

const { problem, ...things } = windingOf('w', { turns: 800, depthMm: 11 });
const mixesOf = (of: Things): Record<string, Mix> =>
	Object.fromEntries(
		uncertainInputs(problem, DEFAULT_SPREADS).map((input) => [
			input.id,
			mixOfInput(input, problem, DEFAULT_SPREADS, of)
		])
	);

describe('what an input of a winding is made of', () => {
	it('is a standard normal, whatever it is shared with', () => {
		for (const mix of Object.values(mixesOf(things)))
			expect(mix.reduce((sum, [, by]) => sum + by * by, 0)).toBeCloseTo(1, 12);
	});
	it('is named by its spool, its winder, its strand and the kind of that', () => {
		const mixes = mixesOf(things);
		const ids = Object.fromEntries(Object.entries(mixes).map(([id, mix]) => [id, mix.map(([name]) => name)]));
		expect(ids).toEqual({
			rim: ['spool spool: rim'],
			arbor: ['spool spool: arbor'],
			width: ['spool spool: width'],
			lay: ['winder ada: lay'],
			'lay backing': ['winder ada: lay backing'],
			'lay line': ['winder ada: lay line'],
			'0 diameter': ['kind polyester: diameter', 'strand backing: diameter'],
			'1 bulk': ['kind WF6F: bulk', 'strand line: bulk'],
			'0 lay': ['strand backing: lay', 'laid w, backing: lay'],
			'1 lay': ['strand line: lay', 'laid w, line: lay']
		});
		expect(isKind(ids['1 bulk']![0]!)).toBe(true);
		expect(isKind(ids['1 bulk']![1]!)).toBe(false);
	});
	it('is off by one strand of its kind as much as is assumed: 1.5 % of a diameter, 3 % of a bulk, 2 % each time it is laid', () => {
		const mixes = mixesOf(things);
		expect(mixes['0 diameter']![1]![1] * DEFAULT_SPREADS.diameterShare).toBeCloseTo(0.015, 12);
		expect(mixes['1 bulk']![1]![1] * DEFAULT_SPREADS.bulkShare).toBeCloseTo(0.03, 12);
		expect(mixes['1 lay']![1]![1] * DEFAULT_SPREADS.layShare * 0.5).toBeCloseTo(0.02, 12);
	});
	it('is the strand alone where it was measured by itself', () => {
		const strands = things.strands.map(({ id, laid }) => ({ id, laid }));
		expect(mixesOf({ ...things, strands })['1 bulk']).toEqual([['strand line: bulk', 1]]);
	});
	it('drifts by a hundredth of the tightness with every whole year', () => {
		expect(mixesOf({ ...things, years: 0.99 })['lay']).toHaveLength(1);
		const drifted = mixesOf({ ...things, years: 2.5 })['lay']!;
		expect(drifted.map(([id]) => id)).toEqual([
			'winder ada: lay',
			'winder ada: year 1',
			'winder ada: year 2'
		]);
		expect(drifted[2]![1] * Math.SQRT1_2 * DEFAULT_SPREADS.layShare).toBeCloseTo(0.01, 12);
	});
	it('of a count belongs to the laying, a habit to its winder, giving way to all, the rest to the winding', () => {
		const of = (id: string, component?: number): Mix =>
			mixOfNuisance({ id, sigma: 1, component }, 'w', things);
		expect(of('count 0', 0)).toEqual([['laid w, backing: count 0', 1]]);
		expect(of('habit')).toEqual([['winder ada: habit', 1]]);
		expect(of('giving way')).toEqual([['giving way', 1]]);
		expect(of('again 1')).toEqual([['winding w: again 1', 1]]);
	});
});
