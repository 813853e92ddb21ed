import {
	findMaterial,
	isKnown,
	level,
	READING_SPREADS,
	solveFit,
	straightSpool,
	type Component
} from '$lib/core';
import { describe, expect, it } from 'vitest';
import { componentOf, type StrandMade } from './description';
import { evaluate } from './evaluate';
import { gapOver } from './gap-over';

const WF5 = { taper: 'WF', number: 5, density: 'F' } as const;
const polyester = (() => {
	const found = findMaterial('polyester-20');
	if (!found.ok) throw new Error('there is no such material');
	return found.value;
})();
const made = (by: StrandMade, lengthMm?: number): Component => {
	const read = componentOf({ role: 'line', made: by, ...(lengthMm !== undefined && { lengthMm }) });
	if (!read.ok) throw new Error(JSON.stringify(read.issues));
	return read.value;
};
const BACKING = { role: 'backing', made: { by: 'material', material: polyester } } as const;
const SPOOL = { kind: 'measured', rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 } as const;

/** How far apart the ends of the gap's range are with this line over backing. */
function gapRange(line: StrandMade, said = {}): number {
	const evaluated = evaluate({
		spool: SPOOL,
		stack: [BACKING, { role: 'line', made: line }],
		gapMm: 4,
		spreads: said
	});
	if (!evaluated.ok) throw new Error(JSON.stringify(evaluated.issues));
	const { low, high } = evaluated.value.estimate.ranges.gapMm;
	return high - low;
}

describe('how sure a strand is', () => {
	const line = made({ by: 'class', line: WF5 });
	const sections = isKnown(line) ? line.sections : [];

	it('goes by how it was measured: a printed table is surer than a scale, a class, or calipers', () => {
		const byTable = made({ by: 'table', sections }).spreads!.bulkShare!;
		const byScale = made({ by: 'class', line: WF5, massG: 20 }).spreads!.bulkShare!;
		const byCalipers = made(
			{ by: 'diameter', diameter: { diameterMm: 1, way: 'calipers', share: READING_SPREADS.calipersShare } },
			25_000
		).spreads!.bulkShare!;
		expect(byTable).toBeLessThan(byScale);
		// Bulk goes with the square of a diameter: twice its share.
		expect(byCalipers).toBeCloseTo(2 * READING_SPREADS.calipersShare, 12);
		expect(made({ by: 'class', line: WF5 }).spreads).toBeUndefined();
		expect(gapRange({ by: 'table', sections })).toBeLessThan(gapRange({ by: 'class', line: WF5 }));
	});

	it('goes by what somebody says, where somebody does', () => {
		expect(gapRange({ by: 'table', sections }, { bulkShare: 0.2 })).toBeGreaterThan(
			2 * gapRange({ by: 'table', sections })
		);
		const said = componentOf({ ...BACKING }, { diameterShare: 0.01 });
		expect(said.ok && said.value.spreads).toEqual({
			diameterShare: 0.01,
			bulkShare: 2 * polyester.diameterSpread
		});
	});

	it('is in a lay that was learnt already, for backing', () => {
		const learnt = componentOf({ ...BACKING, lay: { layEfficiency: 0.86, share: 0.03 } });
		expect(learnt.ok && learnt.value).toMatchObject({
			layEfficiency: 0.86,
			spreads: { diameterShare: 0, bulkShare: 0, layShare: 0.03 }
		});
	});
});

describe('what cannot be', () => {
	it.each([
		['thinner than any strand', 0.04],
		['thicker than any', 5.1]
	])('a strand %s is refused', (_, diameterMm) => {
		const read = componentOf({
			role: 'tip',
			made: { by: 'diameter', diameter: { diameterMm, way: 'calipers', share: 0.05 } }
		});
		expect(read).toMatchObject({ ok: false, issues: [{ code: 'out_of_range', path: ['made', 'diameter'] }] });
	});
	it.each([
		[500, 'out_of_range'],
		[5000, 'shorter_than_head'],
		[201_000, 'out_of_range']
	])('nor a line of %i mm', (lengthMm, code) => {
		const read = componentOf({ role: 'line', made: { by: 'class', line: WF5 }, lengthMm });
		expect(read).toMatchObject({ ok: false, issues: [{ code, path: ['lengthMm'] }] });
	});
	it('and every issue there is comes at once, where it belongs', () => {
		const evaluated = evaluate({
			spool: { ...SPOOL, arborDiameterMm: 90 },
			stack: [BACKING, { role: 'line', made: { by: 'class', line: WF5 }, lengthMm: 5000 }],
			gapMm: 4,
			spreads: {}
		});
		expect(evaluated.ok ? [] : evaluated.issues.map(({ path }) => path.join('.'))).toEqual([
			'spool.arborDiameterMm',
			'stack.1.lengthMm'
		]);
	});
});

describe('the gap over a surface', () => {
	it('is what solving the whole stack comes to, and fits as long as nothing stands above rim or frame', () => {
		const built = straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21, frameDiameterMm: 88 });
		if (!built.ok) throw new Error('the spool cannot be');
		const backing = (mm: number): Component => ({
			role: 'backing',
			layEfficiency: 0.9,
			sections: [level(mm, 0.48)]
		});
		for (const mm of [60_000, 150_000, 190_000]) {
			const line = made({ by: 'class', line: WF5 });
			const fit = solveFit(built.value, [backing(mm), line], 0);
			if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
			const over = gapOver(built.value, fit.value.layers[0]!.outerRadiusMm, [line]);
			expect(over.gapMm).toBeCloseTo(fit.value.gapMm, 9);
			// The frame is 2 mm wider than the rim: a line that leaves less than that stands above it.
			expect(over.fits).toBe(over.gapMm >= 2);
		}
	});
});
