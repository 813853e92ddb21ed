import { keys } from '../keys';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findKnot, KNOTS } from './catalogue';
import { chooseKnot } from './choose';
import { KNOT_PLACES, KNOT_TOOLS, usualSituation, type KnotSituation } from './situation';
import { DESCRIBED, findDescribed } from './described';
import { holdOfTurns } from './hold';
import { wrapsOf } from './knot';
import { KNOT_TAKES_MM, takenMm } from './takes';

const TYPICAL: KnotSituation = { ...usualSituation('backing-line'), tools: ['tube'] };
const best = (given: Partial<KnotSituation>) => chooseKnot({ ...TYPICAL, ...given })[0]!;

const situations = fc.record({
	place: fc.constantFrom(...keys(KNOT_PLACES)),
	thinMm: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
	thickMm: fc.double({ min: 0.6, max: 1.6, noNaN: true }),
	loop: fc.constantFrom('welded' as const, 'none' as const),
	swaps: fc.constantFrom('often' as const, 'seldom' as const, 'never' as const),
	water: fc.constantFrom('fresh' as const, 'salt' as const),
	slick: fc.boolean(),
	arbor: fc.constantFrom('bare' as const, 'tape' as const, 'mono' as const),
	cage: fc.constantFrom('open' as const, 'closed' as const),
	smooth: fc.boolean(),
	tools: fc.subarray(keys(KNOT_TOOLS)),
	skill: fc.constantFrom('first' as const, 'yearly' as const, 'daily' as const)
}) satisfies fc.Arbitrary<KnotSituation>;

describe('which knot here (common practice)', () => {
	it.each([
		['lines change often on a welded loop', { swaps: 'often' }, 'loop-to-loop'],
		[
			'lines change often and there is no loop',
			{ swaps: 'often', loop: 'none', tools: ['tube', 'glue'] },
			'own-loop'
		],
		[
			'never changed, no loop, smooth guides wanted',
			{ swaps: 'never', loop: 'none', smooth: true },
			'nail-knot'
		],
		[
			'the same with the tool',
			{ swaps: 'never', loop: 'none', tools: ['nail-tool', 'tube'] },
			'nail-knot-tool'
		],
		['no loop and not a tool in the house', { swaps: 'never', loop: 'none', tools: [] }, 'albright'],
		[
			'leader to line, to be as smooth as can be, with a needle',
			{ place: 'leader-line', loop: 'none', swaps: 'never', smooth: true, tools: ['needle', 'tube'] },
			'needle-nail-knot'
		],
		['the first knot ever on an arbor', { place: 'arbor', skill: 'first' }, 'overhand-arbor'],
		['gel-spun on an arbor', { place: 'arbor', slick: true }, 'uni-arbor'],
		['backing that comes off again and again', { place: 'arbor', swaps: 'often' }, 'spool-loop'],
		['a loop in backing', { place: 'loop' }, 'surgeons-loop'],
		['a loop that lines pass through often', { place: 'loop', swaps: 'often' }, 'surgeons-loop-two'],
		['gel-spun to a mono bed', { place: 'bed', slick: true }, 'double-uni'],
		['tippet much thinner than the leader', { place: 'tippet', thinMm: 0.18, thickMm: 0.3 }, 'surgeons-join'],
		[
			'tippet like the leader, through the guides',
			{ place: 'tippet', thinMm: 0.22, thickMm: 0.23, smooth: true },
			'blood-knot'
		],
		['wire', { place: 'wire', tools: ['crimper'] }, 'wire-crimp']
	] as const)('%s', (_, given, slug) => {
		expect(best(given as Partial<KnotSituation>)).toMatchObject({ slug });
		expect(best(given as Partial<KnotSituation>).lacks).toBeUndefined();
	});
	it('takes more wraps in salt water, and a third pass in thin backing', () => {
		expect(best({ swaps: 'never', loop: 'none', water: 'salt' }).wraps).toBe(8);
		expect(best({ place: 'loop', thinMm: 0.3 }).wraps).toBe(3);
		expect(best({ place: 'loop', thinMm: 0.5 }).wraps).toBe(2);
	});
	it('always has an answer that is drawn or told, with its reasons and so many wraps as it takes', () => {
		fc.assert(
			fc.property(situations, (situation) => {
				const answers = chooseKnot(situation);
				expect(answers.length).toBeGreaterThan(0);
				for (const { slug, why, wraps } of answers) {
					const knot = findKnot(slug);
					expect(knot ?? findDescribed(slug)).toBeDefined();
					expect(why.length).toBeGreaterThan(0);
					if (knot) expect(wrapsOf(knot, wraps)).toBe(wraps);
				}
				const firstLacking = answers.findIndex(({ lacks }) => lacks !== undefined);
				if (firstLacking >= 0)
					expect(answers.slice(firstLacking).every(({ lacks }) => lacks !== undefined)).toBe(true);
			})
		);
	});
	it('with one more tool at hand, nothing that could be tied cannot be', () => {
		fc.assert(
			fc.property(situations, fc.constantFrom(...keys(KNOT_TOOLS)), (s, tool) => {
				const can = (given: KnotSituation) =>
					chooseKnot(given).flatMap(({ slug, lacks }) => (lacks === undefined ? [slug] : []));
				expect(can({ ...s, tools: [...s.tools, tool] })).toEqual(expect.arrayContaining(can(s)));
			})
		);
	});
	it('the more often lines change, the better a loop does beside a knot', () => {
		const lead = (swaps: KnotSituation['swaps']): number => {
			const points = (slug: string) =>
				chooseKnot({ ...TYPICAL, swaps }).find((answer) => answer.slug === slug)!.points;
			return points('loop-to-loop') - points('nail-knot');
		};
		expect(lead('often')).toBeGreaterThan(lead('seldom'));
		expect(lead('seldom')).toBeGreaterThan(lead('never'));
	});
	it('braid on a bare arbor: whatever the knot, it says what goes under it; on tape nothing', () => {
		const against = (arbor: KnotSituation['arbor'], slick = true) =>
			chooseKnot({ ...TYPICAL, place: 'arbor', slick, arbor }).map((answer) =>
				answer.against.some((reason) => reason.includes('layer of tape'))
			);
		expect(against('bare')).toEqual([true, true, true]);
		expect(against('tape')).toEqual([false, false, false]);
		expect(against('bare', false)).toEqual([false, false, false]);
	});
	it('says what is missing, not only that something is', () => {
		const lacking = chooseKnot({ ...TYPICAL, loop: 'none' }).find(({ slug }) => slug === 'loop-to-loop')!;
		expect(lacking.lacks).toContain('a loop of your own');
		expect(() => chooseKnot({ ...TYPICAL, thinMm: 0 })).toThrow(RangeError);
		expect(() => chooseKnot({ ...TYPICAL, thinMm: 2 })).toThrow(RangeError);
	});
});

describe('turns round the arbor', () => {
	it.each([
		[0.3, 1, 6.59],
		[0.3, 2, 43.4],
		[0.3, 5, 12_392],
		[0.1, 2, 3.514],
		[0.5, 1, 23.14]
	])(
		'friction %d, %d turns: the rope tables of the capstan equation (handbook tables, from memory)',
		(mu, turns, times) => {
			expect(holdOfTurns(mu, turns) / times).toBeCloseTo(1, 2);
		}
	);
	it('holds alone with none, and refuses nonsense', () => {
		expect(holdOfTurns(0.2, 0)).toBe(1);
		expect(() => holdOfTurns(-0.1, 1)).toThrow(RangeError);
		expect(() => holdOfTurns(0.1, NaN)).toThrow(RangeError);
	});
});

describe('what a knot takes', () => {
	it('is known for every knot there is', () => {
		expect(Object.keys(KNOT_TAKES_MM).sort()).toEqual(
			[...KNOTS, ...DESCRIBED].map(({ slug }) => slug).sort()
		);
	});
	it('is added up for one strand, and leaves out what the others give', () => {
		expect(takenMm(['overhand-arbor', 'surgeons-loop', 'loop-to-loop'], 'backing')).toBeCloseTo(42 * 25.4, 9);
		expect(takenMm(['own-loop', 'surgeons-loop'], 'backing')).toBeCloseTo(24 * 25.4, 9);
		expect(takenMm([], 'line')).toBe(0);
	});
});
