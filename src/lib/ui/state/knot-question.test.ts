import { describe, expect, it } from 'vitest';
import { situationOf, situationQuery } from './knot-question';

describe('a question in an address', () => {
	it('says back what it was asked', () => {
		const query = 'place=leader-line&loop=none&swaps=never&water=salt&smooth=yes&tools=needle glue&thin=0.6';
		const situation = situationOf(new URLSearchParams(query));
		expect(situation).toMatchObject({
			place: 'leader-line',
			loop: 'none',
			swaps: 'never',
			water: 'salt',
			smooth: true,
			slick: false,
			tools: ['needle', 'glue'],
			thinMm: 0.6,
			thickMm: 1.1
		});
		expect(situationOf(situationQuery(situation))).toEqual(situation);
	});
	it('takes what is usual where nothing, or nonsense, is said', () => {
		const usual = situationOf(new URLSearchParams());
		expect(usual).toMatchObject({ place: 'backing-line', tools: ['tube', 'stiff-piece'] });
		expect(
			situationOf(new URLSearchParams('place=moon&thin=-4&thick=wide&skill=%F0%9F%8E%A3&loop='))
		).toEqual(usual);
		expect(situationOf(new URLSearchParams('thin=1.5&thick=0.3'))).toMatchObject({
			thinMm: 0.3,
			thickMm: 1.5
		});
		expect(situationOf(new URLSearchParams('tools=')).tools).toEqual([]);
	});
});
