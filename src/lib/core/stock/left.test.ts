import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packingFraction, WINDING_HANDS } from '../packing/packing';
import { bulkLeft, LABEL_SHARE, type BulkEvent, type BulkLength } from './left';

const M = 1000;
const SPOOL = { rimDiameterMm: 120, arborDiameterMm: 40, widthMm: 80 };
const twenty: BulkLength = {
	newMm: 1000 * M,
	diameterMm: 0.48,
	diameterShare: 0.05,
	density: { gPerCm3: 0.9, share: 0.08 },
	spool: SPOOL,
	emptyG: 60
};
const cut = (metres: number): BulkEvent => ({
	kind: 'cut',
	lengthMm: metres * M,
	sigmaMm: 0.03 * metres * M
});
const spread = ({ left }: ReturnType<typeof bulkLeft>): number => left.range.high - left.range.low;
/** Mass of a length, by its cross-section and density alone, g. */
const grams = (metres: number): number => metres * (Math.PI / 4) * 0.48 ** 2 * 0.9;

describe('what is left of a bulk spool', () => {
	it('is what came, less what was cut off, to the millimetre while nothing was read', () =>
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 90 }), { maxLength: 8 }), (cuts) => {
				const { left } = bulkLeft(twenty, cuts.map(cut));
				expect(left.value).toBeCloseTo((1000 - cuts.reduce((sum, one) => sum + one, 0)) * M, 6);
			})
		));

	it('is as sure as the label where nothing was cut, and less sure with every cut', () => {
		const full = bulkLeft(twenty, []);
		expect(spread(full)).toBeCloseTo(2 * 1.6449 * LABEL_SHARE * 1000 * M, -2);
		const [one, two] = [bulkLeft(twenty, [cut(200)]), bulkLeft(twenty, [cut(200), cut(200)])];
		expect(spread(one)).toBeGreaterThan(spread(full));
		expect(spread(two)).toBeGreaterThan(spread(one));
	});

	it('follows a depth as the wound-web formula of web-handling handbooks has it, L = π(D² − d²)/(4t)', () => {
		const unknown = { ...twenty, newMm: undefined, diameterShare: 1e-6 };
		const surface = 120 - 2 * 9;
		// The thickness of the web is the space that a strand takes over the width.
		const space = ((Math.PI / 4) * 0.48 ** 2) / packingFraction(WINDING_HANDS.machine.layEfficiency);
		const web = (Math.PI * (surface ** 2 - 40 ** 2)) / (4 * (space / 80));
		const { left } = bulkLeft(unknown, [{ kind: 'depth', depthMm: 9, places: 4 }]);
		expect(left.value / web).toBeCloseTo(1, 1);
		expect(left.range.low).toBeLessThan(web);
		expect(left.range.high).toBeGreaterThan(web);
	});

	it('follows a scale, and narrows by it', () => {
		const events: BulkEvent[] = [cut(150), cut(240), cut(110)];
		const before = bulkLeft(twenty, events);
		const after = bulkLeft(twenty, [...events, { kind: 'weighed', massG: 60 + grams(485) }]);
		expect(after.left.value).toBeLessThan(before.left.value);
		expect(after.left.value).toBeGreaterThan(480 * M);
		// Weighed when it was new as well, the mass of a metre is known, and the second time says much more.
		const twice = bulkLeft(twenty, [
			{ kind: 'weighed', massG: 60 + grams(1000) },
			...events,
			{ kind: 'weighed', massG: 60 + grams(485) }
		]);
		expect(spread(twice)).toBeLessThan(spread(after));
		expect(twice.left.value / M).toBeCloseTo(485, -1);
	});

	it('never grows less sure by a reading that is as expected', () =>
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 20, max: 200 }), { minLength: 1, maxLength: 4 }),
				fc.constantFrom('weighed', 'depth', 'length'),
				(cuts, kind) => {
					const events = cuts.map(cut);
					const left = bulkLeft(twenty, events).left.value;
					const depth =
						60 -
						Math.sqrt(
							20 ** 2 + (left * ((Math.PI / 4) * 0.48 ** 2)) / packingFraction(0.96) / (Math.PI * 80)
						);
					const reading: BulkEvent =
						kind === 'weighed'
							? { kind, massG: 60 + grams(left / M) }
							: kind === 'depth'
								? { kind, depthMm: depth }
								: { kind: 'length', lengthMm: left };
					const after = bulkLeft(twenty, [...events, reading]);
					expect(spread(after)).toBeLessThanOrEqual(spread(bulkLeft(twenty, events)) * 1.001);
					expect(after.left.value / left).toBeCloseTo(1, 3);
				}
			),
			{ numRuns: 40 }
		));

	it('asks about a reading that cannot be, and follows it once somebody says that it is right', () => {
		// Somebody took 450 m and wrote nothing down.
		const odd = { kind: 'weighed', massG: 60 + grams(350) } as const;
		const asked = bulkLeft(twenty, [cut(200), odd]);
		expect(asked.readings).toEqual([{ event: 1, z: expect.any(Number) as number, surprise: true }]);
		expect(asked.readings[0]!.z).toBeLessThan(-3);
		expect(asked.left.value).toBeCloseTo(800 * M, 6);
		const told = bulkLeft(twenty, [cut(200), { ...odd, changed: true }]);
		expect(told.readings[0]!.surprise).toBe(false);
		expect(told.left.range.low).toBeLessThan(350 * M);
		expect(told.left.range.high).toBeGreaterThan(350 * M);
		expect(told.left.value / M).toBeLessThan(450);
	});

	it('is never less than nothing', () => {
		const { left } = bulkLeft(twenty, [cut(600), cut(600)]);
		expect(left).toEqual({ value: 0, range: { low: 0, high: expect.any(Number) as number } });
	});

	it('takes no depth on a spool that nobody measured', () => {
		const bare = { ...twenty, spool: undefined };
		expect(() => bulkLeft(bare, [{ kind: 'depth', depthMm: 9 }])).toThrow(RangeError);
	});
});
