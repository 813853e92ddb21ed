import { describe, expect, it } from 'vitest';
import { norm, sub, type Vec3 } from './curve';
import { handsOn, laidSince, thumbsOn } from './signs';
import type { KnotStrand } from './strand';
import { DRAWN, findDrawn } from './testing';

const STAGES = DRAWN.flatMap((knot) =>
	knot.stages.map((stage, i) => [`${knot.slug}, stage ${i + 1}`, { knot, stage, i }] as const)
);
const along = (from: number, to: number): Vec3[] =>
	Array.from({ length: Math.abs(to - from) + 1 }, (_, i): Vec3 => [from + Math.sign(to - from) * i, 0, 0]);
const strand = (points: readonly Vec3[], ends: Partial<KnotStrand> = {}): KnotStrand => ({
	role: 'backing',
	radiusMm: 1,
	closed: false,
	start: 'standing',
	end: 'tag',
	points,
	...ends
});

describe('what a stage says, its signs show', () => {
	it.each(STAGES)('%s: wet where it is moistened, cut where it is trimmed', (_, { stage }) => {
		const says = stage.instruction;
		expect(stage.signs?.includes('wet') ?? false).toBe(/moisten/i.test(says));
		expect(stage.signs?.includes('cut') ?? false).toBe(/\btrim\b|\bcut the\b/i.test(says));
	});
	it.each(STAGES.filter(([, { stage }]) => stage.tight))(
		'%s: hands are on its strands, and pull where it says pull',
		(_, { knot, stage }) => {
			const { usual } = knot.wraps;
			const hands = stage.hands(usual);
			for (const { at } of hands) {
				const off = stage
					.strands(usual)
					.flatMap(({ points }) => points)
					.reduce((least, p) => Math.min(least, norm(sub(p, at))), Infinity);
				expect(off).toBeLessThan(1);
			}
			if (/\bpull\b/i.test(stage.instruction)) expect(hands.some(({ pulls }) => pulls)).toBe(true);
		}
	);
	it('of a nail knot: the leader is laid, then wrapped under the thumb, then both of its ends are pulled', () => {
		const { stages } = findDrawn('nail-knot')!;
		const leader = stages.slice(0, 5).map((stage) => stage.laid(6).map(({ strand: s }) => s));
		expect(leader).toEqual([[1], [1], [1], [1], []]);
		expect(stages[2]!.hands(6).map(({ with: finger }) => finger)).toEqual(['thumb']);
		const pulls = stages[5]!.hands(6).map(({ pulls: way }) => Math.sign(way![0]));
		expect(pulls).toEqual([1, -1]);
		// The last pull is against the line. Nobody pulls the end that has been trimmed.
		expect(stages[6]!.hands(6).map(({ pulls: way }) => Math.sign(way![0]))).toEqual([1]);
	});
	it('of the overhand on the arbor: the strand behind the stopper is held, and its end pulled', () => {
		const [close] = findDrawn('overhand-arbor')!.stages.slice(3);
		const [held, pulled] = close!.hands(1);
		expect(held!.pulls).toBeUndefined();
		expect(pulled!.pulls).toEqual([-1, 0, 0]);
		expect(pulled!.at[0]).toBeLessThan(held!.at[0]);
	});
});

describe('signs', () => {
	it('laid is what lies where nothing lay, in the direction of its end', () => {
		const [short, long] = [[strand(along(0, 10))], [strand(along(0, 20))]];
		expect(laidSince(short, long)).toEqual([{ strand: 0, from: 11, to: 20 }]);
		expect(laidSince(undefined, long)).toEqual([{ strand: 0, from: 0, to: 20 }]);
		// What has hardly moved has not been laid.
		expect(laidSince([strand(along(0, 18))], long)).toEqual([]);
		const back = { start: 'tag', end: 'standing' } as const;
		expect(laidSince([strand(along(10, 20), back)], [strand(along(0, 20), back)])).toEqual([
			{ strand: 0, from: 9, to: 0 }
		]);
	});
	it('of a fold that goes on, the strand up to the fold shows the way', () => {
		const fold = (reach: number): Vec3[] => [
			...along(0, reach),
			...along(reach, 0).map(([x]): Vec3 => [x, 3, 0])
		];
		const [way] = laidSince([strand(fold(10))], [strand(fold(20))]);
		expect(way).toMatchObject({ from: 11, to: 21 });
	});
	it('an object, or a loop that stays on the reel, has no way', () => {
		expect(laidSince(undefined, [strand(along(0, 20), { start: 'object', end: 'object' })])).toEqual([]);
		expect(laidSince(undefined, [strand(along(0, 20), { end: 'standing' })])).toEqual([]);
	});
	it('a thumb is so far along, and lies as the strand does', () => {
		expect(thumbsOn([strand(along(0, 20))], [{ strand: 0, share: 0.5 }])).toEqual([
			{ with: 'thumb', at: [10, 0, 0], along: [1, 0, 0] }
		]);
	});
	it('what is held and pulled in turn is pulled; a trimmed end is left alone', () => {
		const loose = [strand(along(0, 20))];
		const curves = { moments: [], spareMm: [] };
		const grip = (share: number, x: number) => ({ strand: 0, share, toward: [x, 0, 0] as const });
		const movements = [{ grips: [grip(0, 0)] }, { grips: [grip(0, -1), grip(0, 0), grip(1, 1)] }];
		const stage = { strands: loose, loose, curves, movements, made: 2, trimmed: false };
		const hands = handsOn(stage, 0);
		expect(hands.map(({ pulls }) => pulls?.[0])).toEqual([-1, 1]);
		expect(hands.map(({ at }) => at[0])).toEqual([2, 18]);
		expect(handsOn({ ...stage, trimmed: true }, 0)).toHaveLength(1);
		// Where no movement is new, the last one is shown again.
		expect(handsOn(stage, 2)).toHaveLength(2);
		expect(handsOn({ ...stage, made: 1 }, 1)).toHaveLength(1);
	});
});
