import { planCuts, type CutPlan, type CutQuestion, type Cuts, type Solve } from '$lib/core';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { byHand } from '../core/stock/by-hand';
import { costOf, leastUselessMm, MOVE_COSTS_M } from '../core/stock/cut-question';
import { ended } from '../core/numeric/ended';
import { seededRandom } from '../core/numeric/random';
import { highsSolver } from './highs';

let solve: Solve;
beforeAll(async () => {
	solve = await highsSolver();
});

const M = 1000;
const planned = (question: CutQuestion): CutPlan => ended(planCuts(question, solve));
const question = (
	wanted: readonly number[],
	sources: readonly number[],
	before: Cuts = new Map(),
	usefulM = 45
): CutQuestion => ({
	wanted: wanted.map((metres, i) => ({ id: `p${i}`, what: '20', lengthMm: metres * M })),
	sources: sources.map((metres, j) => ({ id: `b${j}`, what: '20', leftMm: metres * M })),
	usefulMm: usefulM * M,
	before
});

/** So many whole metres between two, by chance that can be repeated. */
function lengths(seed: number): (count: number, low: number, high: number) => number[] {
	const random = seededRandom(seed);
	return (count, low, high) =>
		Array.from({ length: count }, () => Math.round(low + (high - low) * random.uniform()));
}

/** The least cost there is, by trying everything. */
function leastCost(asked: CutQuestion): number {
	const { wanted, sources } = asked;
	let least = Infinity;
	const choices = sources.length + 1;
	for (let way = 0; way < choices ** wanted.length; way++) {
		const cuts = new Map<string, string>();
		let rest = way;
		for (const { id } of wanted) {
			const source = sources[rest % choices];
			if (source) cuts.set(id, source.id);
			rest = Math.floor(rest / choices);
		}
		least = Math.min(least, costOf(asked, cuts));
	}
	return least;
}

describe('a plan of cuts', () => {
	it('is the best there is, against trying everything', () =>
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 20, max: 220 }), { minLength: 1, maxLength: 5 }),
				fc.array(fc.integer({ min: 10, max: 400 }), { minLength: 1, maxLength: 4 }),
				fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 5, maxLength: 5 }),
				(wanted, sources, stood) => {
					const before = new Map(stood.map((j, i) => [`p${i}`, `b${j}`]));
					const asked = question(wanted, sources, before);
					const plan = planned(asked);
					expect(plan.withinM).toBe(0);
					expect(costOf(asked, plan.cuts)).toBeCloseTo(leastCost(asked), 3);
				}
			),
			{ numRuns: 120 }
		));

	it('cuts no joint into anything and keeps kinds of backing apart', () => {
		const two = question([100, 90, 120], [150, 130, 200]);
		const asked = {
			...two,
			wanted: two.wanted.map((piece, i) => ({ ...piece, what: i === 2 ? '30' : '20' })),
			sources: two.sources.map((source, j) => ({ ...source, what: j === 1 ? '30' : '20' }))
		};
		const { cuts, missing } = planned(asked);
		expect(missing).toEqual([]);
		expect(cuts.get('p2')).toBe('b1');
	});

	it('uses up a short end rather than leave another', () => {
		const { cuts, uselessMm } = planned(question([40], [42, 400]));
		expect(cuts.get('p0')).toBe('b0');
		expect(uselessMm).toBeCloseTo(2 * M, 6);
	});

	it('says what is missing, the later ones first', () => {
		const { cuts, missing } = planned(question([100, 100, 100], [210]));
		expect([...cuts.keys()]).toEqual(['p0', 'p1']);
		expect(missing.map(({ id }) => id)).toEqual(['p2']);
		expect(planned(question([300], [200, 200])).missing).toHaveLength(1);
	});

	it('stays as it was when one more piece comes, unless moving saves a lot', () => {
		for (let seed = 1; seed <= 12; seed++) {
			const some = lengths(seed);
			const [wanted, sources] = [some(14, 60, 180), some(8, 100, 900)];
			const before = planned(question(wanted, sources)).cuts;
			const asked = question([...wanted, 110], sources, before);
			const after = planned(asked);
			const moved = wanted.filter((_, i) => {
				const stood = before.get(`p${i}`);
				return stood !== undefined && after.cuts.get(`p${i}`) !== stood;
			}).length;
			// Those that moved were worth it against leaving them where they were.
			const fresh = planned(question([...wanted, 110], sources)).cuts;
			expect(moved * MOVE_COSTS_M, `seed ${seed}`).toBeLessThanOrEqual(
				Math.max(0, costOf(asked, before) - costOf(asked, after.cuts)) + moved * MOVE_COSTS_M
			);
			expect(costOf(asked, after.cuts)).toBeLessThanOrEqual(costOf(asked, fresh) + 1e-3);
			expect(moved, `seed ${seed}`).toBeLessThanOrEqual(2);
		}
	});

	it('holds 60 pieces and 25 lengths against what no plan can be better than', () => {
		for (let seed = 1; seed <= 6; seed++) {
			const some = lengths(seed);
			const asked = question(some(60, 60, 200), some(25, 30, 1000));
			const plan = planned(asked);
			expect(plan.missing, `seed ${seed}`).toEqual([]);
			// The bound looks at each short end alone, and knows nothing of the plan.
			expect(plan.uselessMm - leastUselessMm(asked), `seed ${seed}`).toBeLessThanOrEqual(5 * M);
			expect(costOf(asked, plan.cuts)).toBeLessThanOrEqual(costOf(asked, byHand(asked)));
		}
	});

	it('is made without a solver where that finds none, and says by how much it may be bettered', () => {
		// Either piece alone leaves the short length at less than is of use, together they use it up.
		const asked = question([50, 50, 30], [110, 60]);
		const running = planCuts(asked, () => undefined);
		expect(running.next()).toEqual({ done: false, value: 1 });
		const { value } = running.next() as { value: CutPlan };
		expect(value.withinM).toBeGreaterThan(0);
		expect(value.cuts.size + value.missing.length).toBe(3);
		expect(costOf(asked, value.cuts)).toBeLessThan(Infinity);
	});

	it('serves nearly as many as there is backing for, where there is too little', () => {
		for (let seed = 1; seed <= 6; seed++) {
			const some = lengths(seed);
			const asked = question(some(60, 60, 200), some(25, 30, 480));
			let rest = asked.sources.reduce((sum, { leftMm }) => sum + leftMm, 0);
			// All of it in one length, cut into the shortest pieces: nobody can serve more.
			const most = asked.wanted
				.map(({ lengthMm }) => lengthMm)
				.toSorted((a, b) => a - b)
				.filter((lengthMm) => (rest -= lengthMm) >= 0).length;
			expect(planned(asked).cuts.size, `seed ${seed}`).toBeGreaterThan(0.8 * most);
		}
	});
});
