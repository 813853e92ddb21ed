import { describe, expect, it } from 'vitest';
import { believe } from '../estimate/belief';
import { posterior, type Observed } from '../estimate/posterior';
import type { World } from '../estimate/world';
import { spoolOf } from '../calibrate/source';
import { solveFit } from '../fit/solve';
import { firstOrder } from '../uncertainty/first-order';
import { DEFAULT_SPREADS } from '../uncertainty/spreads';
import { localOf, type RackWinding } from './local';
import { carried, isOdd, learnRack, marginalOf, type Learnt } from './rack';
import { learntFor, startingFrom, type Known } from './start';
import { windingOf } from './testing';
import { beforeAndNow, idsBehind } from './told';

const ONE = windingOf('one', { turns: 800, depthMm: 11.9, gapMm: 4.5 });
/** Three spools, two lines, two people, one backing. */
const RACK: readonly RackWinding[] = [
	ONE,
	windingOf('two', { turns: 930, depthMm: 11.2, gapMm: 3.4 }, { spool: 'b', winder: 'bo' }),
	windingOf(
		'three',
		{ turns: 860, depthMm: 11.6, gapMm: 4.9 },
		{
			spool: 'c',
			strands: [
				{ id: 'backing', kind: 'polyester', laid: 'three' },
				{ id: 'other line', kind: 'WF6F', laid: 'three' }
			]
		}
	)
];

const knownAs = (things: Partial<RackWinding>): Known => {
	const { problem, spreads, ...rest } = windingOf('next', { turns: 1, depthMm: 1 }, things);
	return { problem, spreads, things: rest };
};
const planFrom = (learnt: Learnt, known: Known) => {
	const from = startingFrom(known, learntFor(learnt, known, known.things));
	const built = spoolOf(from.source);
	const fit = built.ok ? solveFit(built.value.spool, from.stack, from.gapMm) : built;
	if (!fit.ok) throw new Error('no plan');
	return { from, plan: fit.value.solved!, ranges: firstOrder(from, fit.value).ranges };
};

/** The same posterior over all windings' deviations at once, without sparseness: the estimate's own search. */
function denseOf(learnt: Learnt, windings: readonly RackWinding[]) {
	const locals = windings.map((winding) => localOf(winding)!);
	const places = locals.map(({ ids }) => ids.map((id) => learnt.index.get(id)!));
	const observed = locals.flatMap(({ observed: all }, at) =>
		all.map((one): Observed<readonly World[]> => ({ ...one, predict: (worlds) => one.predict(worlds[at]!) }))
	);
	return posterior<readonly World[]>(
		{
			count: learnt.index.size,
			worldAt: (x) => {
				const worlds = locals.map(({ state, mixes }, k) =>
					state.worldAt(mixes.map((mix) => mix.reduce((sum, [at, by]) => sum + by * x[places[k]![at]!]!, 0)))
				);
				return worlds.every((world) => world !== undefined) ? worlds : undefined;
			}
		},
		observed
	);
}

describe('a rack of one winding', () => {
	it('knows of it what the estimate of its readings knows', () => {
		const learnt = learnRack([ONE]);
		const { mixes, ids } = localOf(ONE)!;
		const named = mixes.map((mix) => mix.map(([at, by]) => [ids[at]!, by] as const));
		const own = carried(named, marginalOf(learnt, [...learnt.index.keys()]));
		const belief = believe(ONE.problem, ONE.readings, DEFAULT_SPREADS);
		if (!belief.ok) throw new Error('no belief');
		belief.value.posterior.at.forEach((z, i) => expect(own.mean[i]).toBeCloseTo(z, 1));
		belief.value.posterior.covariance.forEach((row, i) => {
			expect(own.covariance[i]![i]).toBeCloseTo(row[i]!, 1);
		});
	});
	it('leaves a problem that shares nothing with it as it is', () => {
		const learnt = learnRack([ONE]);
		const stranger = knownAs({
			spool: 'stranger',
			winder: 'zoe',
			strands: [
				{ id: 'x', laid: 'next' },
				{ id: 'y', laid: 'next' }
			]
		});
		const told = learntFor(learnt, stranger, stranger.things);
		expect(startingFrom(stranger, { ...told, ids: [] })).toBe(stranger.problem);
	});
});

describe('a rack of several windings', () => {
	const learnt = learnRack(RACK);
	it('comes to rest where the dense search of the estimate does, as sure as it is', () => {
		expect(learnt.converged).toBe(true);
		const dense = denseOf(learnt, RACK);
		dense.at.forEach((z, i) => expect(learnt.at[i]).toBeCloseTo(z, 2));
		const { covariance } = marginalOf(learnt, [...learnt.index.keys()]);
		dense.covariance.forEach((row, i) =>
			row.forEach((value, j) => expect(covariance[i]![j]).toBeCloseTo(value, 2))
		);
	});
	it('does not depend on the order of its windings', () => {
		const turned = learnRack(RACK.toReversed());
		for (const [id, at] of learnt.index)
			expect(turned.at[turned.index.get(id)!]).toBeCloseTo(learnt.at[at]!, 4);
	});
	it('answers the same from an earlier solution, and forgets what is left out', () => {
		const before = learnRack(RACK.slice(0, 2));
		const grown = learnRack(RACK, before);
		for (const [id, at] of learnt.index)
			expect(grown.at[grown.index.get(id)!]).toBeCloseTo(learnt.at[at]!, 2);
		const less = learnRack(RACK.slice(0, 2), learnt);
		for (const [id, at] of before.index) expect(less.at[less.index.get(id)!]).toBeCloseTo(before.at[at]!, 2);
	});
	it('hardly listens to a wild reading, and names it', () => {
		const wild = learnRack([...RACK, windingOf('wild', { turns: 820, depthMm: 30 }, { winder: 'bo' })]);
		expect(isOdd(wild, 'wild')).toBe(true);
		expect(isOdd(wild, 'one')).toBe(false);
		expect(isOdd(wild, 'never wound')).toBe(false);
		const [calm, stormy] = [planFrom(learnt, knownAs({})), planFrom(wild, knownAs({}))];
		expect(stormy.plan.lengthMm / calm.plan.lengthMm).toBeCloseTo(1, 1);
	});
});

describe('a winding that nothing can be made of', () => {
	it('is left out, and the others are learnt from as if it were not there', () => {
		const nonsense = windingOf('nonsense', { turns: Number.POSITIVE_INFINITY, depthMm: 11 });
		const gapless = windingOf('gapless', { turns: 800, depthMm: 11.9 });
		const impossible = { ...gapless, problem: { ...gapless.problem, gapMm: 90 } };
		const learnt = learnRack([...RACK, nonsense, impossible]);
		const without = learnRack(RACK);
		expect([...learnt.windings.keys()]).toEqual([...without.windings.keys()]);
		expect(learnt.converged).toBe(true);
		for (const [id, at] of without.index)
			expect(learnt.at[learnt.index.get(id)!]).toBeCloseTo(without.at[at]!, 6);
	});
	it('alone teaches nothing', () => {
		const learnt = learnRack([windingOf('nonsense', { turns: Number.NaN, depthMm: 11 })]);
		expect(learnt.index.size).toBe(0);
		expect(learnt.converged).toBe(true);
	});
});

describe('the next set-up', () => {
	const learnt = learnRack(RACK);
	const { ranges: unlearnt } = planFrom(learnRack([]), knownAs({}));
	const width = ({ low, high }: { low: number; high: number }): number => high - low;

	it('on the same spool, with the same strands and hand, foresees what was read', () => {
		const again = learnRack(Array.from({ length: 8 }, (_, i) => ({ ...ONE, id: `${i}` })));
		const { plan, ranges } = planFrom(again, knownAs({}));
		// The gap came out half a millimetre too wide: more backing goes on, to a smaller depth.
		expect(plan.stopDepthMm).toBeLessThan(11.9);
		expect(width(ranges.gapMm)).toBeLessThan(0.7 * width(unlearnt.gapMm));
		expect(width(ranges.lengthMm)).toBeLessThan(0.6 * width(unlearnt.lengthMm));
	});
	it('of which less is known is less sure: another person, another line, another spool', () => {
		const length = (things: Partial<RackWinding>): number =>
			width(planFrom(learnt, knownAs(things)).ranges.lengthMm);
		const same = length({});
		const strands = [
			{ id: 'backing', kind: 'polyester', laid: 'next' },
			{ id: 'new', kind: 'DT4F', laid: 'next' }
		];
		for (const things of [{ winder: 'cy' }, { strands }, { spool: 'd' }])
			expect(length(things)).toBeGreaterThan(same);
		expect(length({ winder: 'cy', strands, spool: 'd' })).toBeLessThan(width(unlearnt.lengthMm));
	});
	it('years later is less sure: a hand drifts', () => {
		const at = (years: number): number => width(planFrom(learnt, knownAs({ years })).ranges.lengthMm);
		expect(at(10)).toBeGreaterThan(1.05 * at(0));
		expect(at(0.9)).toBe(at(0));
	});
	it('takes what it needs along under other names', () => {
		const known = knownAs({});
		const strands = known.things.strands.map(({ kind }, i) => ({ id: `${i}`, kind, laid: 'now' }));
		const here = { spool: 'here', winder: 'here', years: 0, strands };
		const later = { ...known, things: { ...known.things, years: 4 } };
		const told = learntFor(learnt, later, here);
		const [carriedAlong, direct] = [
			startingFrom({ ...known, things: here }, told),
			planFrom(learnt, later).from
		];
		expect(carriedAlong.source).toEqual(direct.source);
		direct.learnt!.covariance.forEach((row, i) =>
			row.forEach((value, j) => expect(carriedAlong.learnt!.covariance[i]![j]).toBeCloseTo(value, 9))
		);
	});
});

describe('before and now', () => {
	it('a spool that many windings measured is known better, and stands where they say', () => {
		const many = Array.from({ length: 12 }, (_, i) => ({ ...ONE, id: `${i}`, strands: ONE.strands }));
		const learnt = learnRack(many);
		const known = knownAs({});
		const isSpools = ({ key, component }: { key: string; component?: number }): boolean =>
			component === undefined && key !== 'lay';
		const { before, now } = beforeAndNow(
			known,
			isSpools,
			marginalOf(learnt, idsBehind(known, isSpools)),
			({ source }) => (source.kind === 'measured' ? source.arborDiameterMm : undefined)
		);
		expect(before.value).toBe(38);
		expect((before.range.high - before.range.low) / 2).toBeCloseTo(1.645 * DEFAULT_SPREADS.arborMm, 2);
		expect(now.range.high - now.range.low).toBeLessThan(before.range.high - before.range.low);
	});
	it('a quantity of a set-up that makes no spool has none', () => {
		const known = knownAs({});
		expect(() =>
			beforeAndNow(
				known,
				() => true,
				{ ids: [], mean: [], covariance: [] },
				() => undefined
			)
		).toThrow(RangeError);
	});
});
