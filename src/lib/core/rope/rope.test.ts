import { describe, expect, it } from 'vitest';
import { findKnot } from '../knots/catalogue';
import { clearanceMm, tiedAlike } from '../knots/checks';
import { lengthOf, type Vec3 } from '../knots/curve';
import { hold, pullLeft, pullRight } from '../knots/hands';
import { DRAWN } from '../knots/testing';
import { packed, type PackedCurves } from '../knots/tight';
import overhand from '../knots/tight/overhand-stopper.json';
import loops from '../knots/tight/loop-to-loop.json';
import { leastApartMm } from './contacts';
import { tightCurvesOf } from './tight-curves';
import { evenly, ropesAlong } from './rope';
import { lengthInDiameters, ropelengthOf } from './checks';
import { tighten } from './tighten';

const { cos, sin, PI } = Math;
const closed = (at: (t: number) => Vec3, n = 300): Vec3[] =>
	Array.from({ length: n }, (_, i) => at((2 * PI * (i + 0.137)) / n));
const torus = (n: number): Vec3[] =>
	closed((t) => {
		const r = 1.2 * (3 + cos(n * t));
		return [r * cos(2 * t), r * sin(2 * t), 1.2 * sin(n * t)];
	});
/** A figure of eight in harmonics (A. K. Trautwein, Harmonic knots, 1995; from memory, and checked by its polynomial elsewhere). */
const figureEight = closed((t) => [
	(32 * cos(t) - 51 * sin(t) - 104 * cos(2 * t) - 34 * sin(2 * t) + 104 * cos(3 * t) - 91 * sin(3 * t)) / 60,
	(94 * cos(t) + 41 * sin(t) + 113 * cos(2 * t) - 68 * cos(3 * t) - 124 * sin(3 * t)) / 60,
	(16 * cos(t) + 73 * sin(t) - 211 * cos(2 * t) - 39 * sin(2 * t) - 99 * cos(3 * t) - 21 * sin(3 * t)) / 60
]);

describe('ropes', () => {
	it.each([
		['3_1', 16.37, torus(3)],
		['4_1', 21.04, figureEight],
		['5_1', 23.55, torus(5)]
	] as const)(
		'%s made as short as it gets is within a twentieth of the ideal knot, %d diameters (V. Katritch and others, Geometry and physics of knots, Nature 384, 1996, and later refinements; from memory)',
		(_, ideal, loose) => {
			const found = ropelengthOf(loose);
			expect(found / ideal).toBeGreaterThan(0.99);
			expect(found / ideal).toBeLessThan(1.05);
		},
		120_000
	);
	it('a ring is as long as π diameters at least: its bend is no tighter than it is thick', () => {
		const ring = closed((t) => [5 * cos(t), 5 * sin(t), 0], 120);
		// A ring of radius R is as thick as R allows.
		expect(lengthInDiameters(ring)).toBeCloseTo(PI, 2);
		expect(leastApartMm(PI, 1)).toBe(2);
		expect(leastApartMm(1e-6, 1)).toBeCloseTo(1e-6, 9);
	});
	it('are laid with even spaces, and keep their length while they are pulled', () => {
		const bent: Vec3[] = [[0, 0, 0], [10, 0, 0], [10, 10, 0], [20, 10, 0]]; // prettier-ignore
		const { points, spacingMm } = evenly(bent, false, 0.8);
		expect(spacingMm).toBeCloseTo(30 / (points.length - 1), 12);
		expect(() => evenly([[0, 0, 0]], false, 1)).toThrow(RangeError);
		expect(ropesAlong([{ points: bent, radiusMm: 1, closed: false }]).ropes[0]!.count).toBe(39);
		const { moments } = tighten(
			[{ points: bent, radiusMm: 1, closed: false }],
			[{ grips: [hold(0, 0), pullRight(0, 1)], mostMm: 8 }]
		);
		const [first, last] = [moments[0]![0]!, moments.at(-1)![0]!];
		expect(lengthOf(last) / lengthOf(first)).toBeCloseTo(1, 1);
		// Pulled at one end it has come straighter: its ends are farther apart.
		expect(last.at(-1)![0] - last[0]![0]).toBeCloseTo(28, 0);
	});
	it('an overhand is pulled tight until nothing gives: still the same knot, strands touching, no longer than 1.2 times', () => {
		const knot = findKnot('overhand-stopper')!;
		const loose = knot.tightening!.loose(1);
		const { moments } = tighten(
			[{ ...loose[0]!, rigid: false }],
			[{ grips: [pullLeft(0, 0), pullRight(0, 1)] }]
		);
		const tight = { ...loose[0]!, points: moments.at(-1)![0]! };
		expect(tiedAlike(loose, [tight])).toBe(true);
		expect(clearanceMm([tight])).toBeGreaterThan(-0.15);
		const knotted = tight.points.filter(([, y], i, all) => Math.abs(y - all[0]![1]) > 1.2 && i > 0);
		// What sticks out of the straight line is a bead, not a ring: no wider than four strands.
		const xs = knotted.map(([x]) => x);
		expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(8);
	});
});

describe('the curves that are kept', () => {
	it('are those of every number of wraps, of every knot that is drawn up', () => {
		const tightenedKnots = DRAWN.filter((knot) => knot.tightening);
		expect(tightenedKnots.length).toBeGreaterThan(12);
		for (const { wraps, stages } of tightenedKnots)
			for (let n = wraps.least; n <= wraps.most; n++)
				for (const stage of stages) expect(stage.strands(n).length).toBeGreaterThan(0);
	});
	it.each([
		['loop-to-loop', loops, 1],
		['overhand-stopper', overhand, 1]
	] as const)('%s: computed anew they are the same', (slug, kept, wraps) => {
		const anew = packed({ [wraps]: tightCurvesOf(findKnot(slug)!, wraps).stages }, 100);
		const read = JSON.parse(JSON.stringify(anew)) as PackedCurves;
		expect(read[wraps]).toEqual((kept as unknown as PackedCurves)[wraps]);
	});
	it('a knot that is not drawn up has none', () => {
		expect(() => tightCurvesOf(findKnot('glued-splice')!, 1)).toThrow(RangeError);
	});
});
