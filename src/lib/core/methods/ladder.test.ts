import { describe, expect, it } from 'vitest';
import { taperOf } from '../line/class';
import { ended } from '../numeric/ended';
import { fitOf, STRAIGHT } from '../testing';
import type { Problem } from '../uncertainty/inputs';
import { DEFAULT_SPREADS } from '../uncertainty/spreads';
import { GAP_ERROR_LIMIT_MM, ladder, RUB_LIMIT, type Ladder } from './ladder';
import type { MethodSlug } from './methods';

const problem = (gapMm: number, number = 6): Problem => ({
	source: STRAIGHT,
	gapMm,
	stack: [
		{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 },
		{ role: 'line', layEfficiency: 0.88, sections: taperOf({ taper: 'WF', number, density: 'F' }) }
	]
});
const played = (gapMm: number, spreads = DEFAULT_SPREADS): Ladder =>
	ended(ladder(problem(gapMm), fitOf(problem(gapMm)), { trials: 1500, seed: 11, spreads }))!;
const rung = (of: Ladder, slug: MethodSlug) => of.rungs.find((r) => r.slug === slug)!;

describe('the ladder of methods', () => {
	const usual = played(4);

	it('errs less the more trouble is taken', () => {
		const errors = (['makers-figure', 'calculation', 'stop-depth', 'half-fit'] as const).map(
			(slug) => rung(usual, slug).gapError95Mm
		);
		expect(errors).toEqual([...errors].sort((a, b) => b - a));
	});
	it('a checkpoint is under 1.3 mm at no extra winding', () => {
		expect(rung(usual, 'checkpoint').gapError95Mm).toBeLessThan(1.3);
		expect(rung(usual, 'checkpoint').extraTurns).toBe(0);
	});
	it('half-fit is under 0.8 mm at less than half the extra turns of a reverse fill', () => {
		expect(rung(usual, 'half-fit').gapError95Mm).toBeLessThan(0.8);
		expect(rung(usual, 'half-fit').extraTurns).toBeLessThan(rung(usual, 'reverse-fill').extraTurns / 2);
	});
	it('reverse fill winds line and backing on and off once more', () => {
		const line = rung(usual, 'half-fit').extraTurns / 2;
		expect(rung(usual, 'reverse-fill').extraTurns).toBeGreaterThan(2 * line + 600);
	});
	it('a twin reel or the ground saves winding everything off, errs no less, and is not asked of everybody', () => {
		const { extraTurns, gapError95Mm } = rung(usual, 'reverse-fill');
		for (const slug of ['twin-reel', 'run-out'] as const) {
			expect(rung(usual, slug).extraTurns).toBeLessThan(0.7 * extraTurns);
			expect(rung(usual, slug).gapError95Mm).toBeGreaterThan(0.9 * gapError95Mm);
		}
		// On the ground the line is laid out; for the twin reel it is wound over once more.
		const line = rung(usual, 'half-fit').extraTurns / 2;
		expect(rung(usual, 'run-out').extraTurns / extraTurns).toBeCloseTo(0.5, 1);
		expect((rung(usual, 'twin-reel').extraTurns - rung(usual, 'run-out').extraTurns) / line).toBeCloseTo(
			1,
			1
		);
		expect(rung(usual, 'twin-reel').gapError95Mm).toBeGreaterThan(rung(usual, 'run-out').gapError95Mm);
		const hopeless = played(0.2, { ...DEFAULT_SPREADS, bulkShare: 0.2 });
		expect(['twin-reel', 'run-out']).not.toContain(hopeless.recommended);
	});
	it('recommends the least work that keeps both limits', () => {
		expect(usual.because).toBe('least-work-that-is-safe');
		const chosen = rung(usual, usual.recommended);
		expect(chosen.rubProbability).toBeLessThanOrEqual(RUB_LIMIT);
		expect(chosen.gapError95Mm).toBeLessThanOrEqual(GAP_ERROR_LIMIT_MM);
		expect(chosen.extraTurns).toBe(0);
	});
	it('of methods that err alike recommends the one with the fewest readings: a stop depth needs no pause', () => {
		expect(rung(usual, 'checkpoint').gapError95Mm / rung(usual, 'stop-depth').gapError95Mm).toBeCloseTo(1, 1);
		expect(rung(usual, 'stop-depth').readings).toBeLessThan(rung(usual, 'checkpoint').readings);
		expect(usual.recommended).toBe('stop-depth');
		for (const { tightProbability, rubProbability } of usual.rungs)
			expect(tightProbability).toBeGreaterThanOrEqual(rubProbability);
	});
	it('a narrow gap and a doubtful line make the trouble worth while', () => {
		const narrow = played(0.8, { ...DEFAULT_SPREADS, bulkShare: 0.12 });
		expect(['half-fit', 'reverse-fill']).toContain(narrow.recommended);
	});
	it('sure measures make the plain calculation good', () => {
		const sure = played(4, {
			rimMm: 0.02,
			arborMm: 0.02,
			widthMm: 0.02,
			diameterShare: 0.002,
			bulkShare: 0.002,
			layShare: 0.002,
			depthMm: 0.1
		});
		expect(rung(sure, 'calculation').gapError95Mm).toBeLessThan(0.15);
	});
	it('there is none when the line alone is too big', () => {
		const tooBig = problem(4, 14);
		expect(ended(ladder(tooBig, fitOf(tooBig)))).toBeUndefined();
	});
});
