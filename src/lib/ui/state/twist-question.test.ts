import { describe, expect, it } from 'vitest';
import { nextLeg, questionQuery, twistQuestion } from './twist-question';

describe('a question of twist in an address', () => {
	it('says back what was asked', () => {
		const query =
			'length=33528&one=maker-coil.bowl.anticlockwise.reel.180&other=reel.turning.clockwise.figure-eight&lane=20000&has=current swivel&height=0&weakest=12';
		const question = twistQuestion(new URLSearchParams(query));
		expect(question.one[0]).toMatchObject({
			source: 'maker-coil',
			leaving: 'bowl',
			seen: 'anticlockwise',
			diameterMm: 180,
			lengthMm: 33_528
		});
		expect(question.has).toEqual(['current', 'swivel']);
		expect(twistQuestion(questionQuery(question))).toEqual(question);
	});
	it('says back what is not as usual: coils of another size, by hand and laid the other way, some that jump', () => {
		const query =
			'one=bulk-spool.bowl.clockwise.hand-coils.90.300.anticlockwise.40~loose.turning.clockwise.reel';
		const question = twistQuestion(new URLSearchParams(query));
		expect(question.one).toMatchObject([
			{ diameterMm: 90, handDiameterMm: 300, laid: 'anticlockwise', jumpShare: 0.4 },
			{ source: 'loose', onto: 'reel' }
		]);
		expect(questionQuery(question).get('one')).toBe(query.slice(4));
		// The gentlest of each leg stands beside it.
		expect(question.other.map(({ leaving, onto }) => [leaving, onto])).toEqual([
			['turning', 'figure-eight'],
			['turning', 'reel']
		]);
	});
	it('a leg more begins where the last one ended', () => {
		const { one } = twistQuestion(new URLSearchParams('one=line-spool.turning.clockwise.hand-coils'));
		expect(nextLeg(one)).toMatchObject({ source: 'loose', leaving: 'turning', onto: 'reel' });
	});
	it('takes what is usual for nothing and for nonsense: over the side, and beside it the gentlest way', () => {
		const usual = twistQuestion(new URLSearchParams());
		expect(usual.one[0]!.leaving).toBe('over-side');
		expect(usual.other).toEqual([{ ...usual.one[0], leaving: 'turning' }]);
		const nonsense = 'length=-3&one=moon.__proto__.x.y.9999&lane=lots&weakest=0&has=friends';
		expect(twistQuestion(new URLSearchParams(nonsense))).toEqual({ ...usual, weakestLb: 1 });
	});
});
