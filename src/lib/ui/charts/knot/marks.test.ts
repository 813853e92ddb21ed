import { describe, expect, it } from 'vitest';
import { crossingsOf, drawMovingKnot, KNOTS, type KnotStrand } from '$lib/core';
import { boxOf, FRONT, knotDrawing, seen, type Box, type View } from './layout';
import { boxAround, boxRound, handMarksOf, labelsOf, waysOf } from './marks';

const DRAWN = await Promise.all(KNOTS.map(drawMovingKnot));
const MIRRORED: View = { ...FRONT, mirrored: true };
const TURNED: View = { yaw: 0.4, pitch: -0.3, mirrored: false };
const STAGES = DRAWN.flatMap((knot) =>
	knot.stages.map((stage, i) => [`${knot.slug}, stage ${i + 1}`, { knot, stage }] as const)
);
const overlap = (a: Box, b: Box): boolean =>
	a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
/** Height of the letters where a picture is 400 px wide. */
const high = (strands: readonly KnotStrand[], view: View): number => (15 * boxOf(strands, view).width) / 400;

describe('the words at the ends', () => {
	it.each(STAGES)(
		'%s: lie on no strand, no hand and no other word, however it is looked at',
		(_, { knot, stage }) => {
			const strands = stage.strands(knot.wraps.usual);
			for (const view of [FRONT, MIRRORED, TURNED]) {
				const hands = handMarksOf(stage.hands(knot.wraps.usual), view);
				const labels = labelsOf(strands, view, high(strands, view), hands);
				labels.forEach(({ box, text }, i) => {
					for (const other of labels.slice(i + 1)) expect(overlap(box, other.box), text).toBe(false);
					for (const { x, y } of hands) expect(overlap(box, { x, y, width: 0, height: 0 }), text).toBe(false);
					for (const { points, radiusMm } of strands)
						for (const point of points) {
							const [x, y] = seen(point, view);
							expect(overlap(boxAround(box, radiusMm), { x, y, width: 0, height: 0 }), text).toBe(false);
						}
				});
				const ends = strands.flatMap(({ start, end }) => [start, end]);
				expect(labels.filter(({ text }) => text === 'tag')).toHaveLength(
					ends.filter((e) => e === 'tag').length
				);
			}
		}
	);
	it('of two strands one goes to the reel and the other to the rod; one alone just goes on', () => {
		const words = (slug: string): string[] => {
			const strands = DRAWN.find((knot) => knot.slug === slug)!.stages[0]!.strands(6);
			return labelsOf(strands, FRONT, 1).map(({ text }) => text);
		};
		expect(words('nail-knot').sort()).toEqual(['reel side', 'rod side', 'tag', 'tag']);
		expect(words('loop-to-loop').sort()).toEqual(['reel side', 'rod side']);
		expect(words('uni-arbor').sort()).toEqual(['standing', 'tag']);
		expect(words('leader-uncoiled').sort()).toEqual(['fine end', 'thick end']);
	});
	it('the reel side of a nail knot in line and leader is the line', () => {
		const strands = DRAWN.find(({ slug }) => slug === 'nail-knot')!.stages[0]!.strands(6);
		const [reel] = labelsOf(strands, FRONT, 1).filter(({ text }) => text === 'reel side');
		const line = strands.find(({ role }) => role === 'line')!;
		expect(reel!.end[0]).toBe(line.points[0]![0]);
	});
});

describe('the way of what was laid', () => {
	it.each(STAGES)(
		'%s: arrowheads are where the strand is to be seen, and point along it',
		(_, { knot, stage }) => {
			const strands = stage.strands(knot.wraps.usual);
			const laid = stage.laid(knot.wraps.usual);
			for (const view of [FRONT, MIRRORED]) {
				const marks = waysOf(strands, laid, view, knotDrawing(strands, view));
				if (laid.length > 0) expect(marks.length).toBeGreaterThan(0);
				const looked = strands.map(({ points }) => points.map((point) => seen(point, view)));
				const crossings = crossingsOf(looked.map((points) => ({ points, closed: false })));
				for (const { x, y, radius } of marks)
					for (const { under } of crossings) {
						const [ux, uy] = looked[under.curve]![Math.round(under.at)]!;
						if (laid.some(({ strand }) => strand === under.curve) && laid.length === 1)
							expect(Math.hypot(ux - x, uy - y)).toBeGreaterThan(radius);
					}
			}
		}
	);
	it('a mirror turns a pull round', () => {
		const hands = [{ with: 'fingers', at: [3, 1, 0], along: [1, 0, 0], pulls: [1, 0, 0] }] as const;
		expect(handMarksOf(hands, FRONT)[0]).toMatchObject({ x: 3, y: -1 });
		expect(handMarksOf(hands, FRONT)[0]!.pulls).toBeCloseTo(0, 9);
		expect(Math.abs(handMarksOf(hands, MIRRORED)[0]!.pulls!)).toBe(180);
	});
	it('a box round boxes holds all of them', () => {
		const boxes = [{ x: 0, y: 0, width: 2, height: 1 }, { x: -3, y: 4, width: 1, height: 2 }]; // prettier-ignore
		expect(boxRound(boxes)).toEqual({ x: -3, y: 0, width: 5, height: 6 });
	});
});
