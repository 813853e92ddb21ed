import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { knownFillSource } from '../calibrate/source';
import { checkpoint } from '../estimate/asked/checkpoint';
import { correct } from '../estimate/asked/correct';
import { halfFit } from '../estimate/asked/half-fit';
import { taperOf } from '../line/class';
import { level, totalLengthMm } from '../line/sections';
import { straightSpool, widthAtRadius, type Spool } from '../spool';
import { value } from '../testing';
import type { Problem } from '../uncertainty/inputs';
import { windStackReference, type ReferenceSpool } from './reference';
import { runoutOf } from './runout';
import { solveFit } from './solve';
import type { KnownComponent, UnknownComponent } from './stack';

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Straight spools, a line and a backing that go together: some room is left under the line. */
const cases = fc
	.record({
		rim: real(76, 116),
		arborShare: real(0.3, 0.48),
		width: real(18, 34),
		number: fc.integer({ min: 3, max: 6 }),
		diameterMm: real(0.28, 0.6),
		eta: real(0.75, 0.98),
		lineEta: real(0.8, 0.95),
		gapMm: real(2, 6)
	})
	.map(({ rim, arborShare, width, number, diameterMm, eta, lineEta, gapMm }) => {
		const measures = { rimDiameterMm: rim, arborDiameterMm: rim * arborShare, widthMm: width };
		const backing: UnknownComponent = { role: 'backing', layEfficiency: eta, diameterMm };
		const line: KnownComponent = {
			role: 'line',
			layEfficiency: lineEta,
			sections: taperOf({ taper: 'WF', number, density: 'F' })
		};
		return { measures, spool: value(straightSpool(measures)), backing, line, gapMm };
	})
	.filter(({ spool, backing, line, gapMm }) => {
		const fit = solveFit(spool, [backing, line], gapMm);
		return fit.ok && fit.value.fits && (fit.value.solved?.lengthMm ?? 0) > 20_000;
	});

const asReference = (spool: Spool): ReferenceSpool => ({
	arborRadiusMm: spool.arborRadiusMm,
	rimRadiusMm: spool.rimRadiusMm,
	widthAtMm: (r) => widthAtRadius(spool, r)
});
const runs = { numRuns: 60 };

describe('ways to know a spool, against each other', () => {
	it('half-fit, from the depth of the line alone, stops where the calculation does', () => {
		fc.assert(
			fc.property(cases, ({ measures, spool, backing, line, gapMm }) => {
				const planned = value(solveFit(spool, [backing, line], gapMm)).solved!;
				const alone = value(solveFit(spool, [line], 0)).layers[0]!;
				const source = { kind: 'measured', ...measures } as const;
				const told = value(halfFit(source, { lineDepthMm: alone.depthMm, gapMm, backing }));
				expect(told.stopDepthMm).toBeCloseTo(planned.stopDepthMm, 5);
				expect(told.turns / planned.turns).toBeCloseTo(1, 6);
			}),
			runs
		);
	});

	it('reverse fill, line first and backing over it, takes the same backing', () => {
		fc.assert(
			fc.property(cases, ({ measures, spool, backing, line, gapMm }) => {
				const planned = value(solveFit(spool, [backing, line], gapMm)).solved!;
				const reversed = value(solveFit(spool, [line, backing], gapMm));
				expect(reversed.solved!.lengthMm).toBeCloseTo(planned.lengthMm, 3);
				const told = value(
					halfFit(
						{ kind: 'measured', ...measures },
						{
							lineDepthMm: reversed.layers[0]!.depthMm,
							reverseTurns: reversed.solved!.turns,
							gapMm,
							backing
						}
					)
				);
				expect(told.lengthMm / planned.lengthMm).toBeCloseTo(1, 6);
				expect(told.layEfficiency).toBeCloseTo(backing.layEfficiency, 6);
			}),
			runs
		);
	});

	it('a spool known by its own fill gives that fill back', () => {
		fc.assert(
			fc.property(cases, ({ measures, spool, backing, line, gapMm }) => {
				// The known fill is reckoned with an ordinary hand: so is the fit.
				const ordinary = [
					{ ...backing, layEfficiency: 0.9 },
					{ ...line, layEfficiency: 0.88 }
				];
				const planned = value(solveFit(spool, ordinary, gapMm));
				fc.pre(planned.fits && planned.solved!.lengthMm > 1000);
				const { rimDiameterMm, widthMm } = measures;
				const source = knownFillSource({
					fill: {
						line: line.sections,
						backingDiameterMm: backing.diameterMm,
						backingLengthMm: planned.solved!.lengthMm
					},
					gapMm,
					rimDiameterMm,
					widthMm
				});
				const problem: Problem = { source, stack: ordinary, gapMm };
				expect(value(correct(problem, { gapMm })).backingChangeMm).toBeCloseTo(0, 1);
				expect(value(correct(problem, { gapMm: gapMm + 1 })).backingChangeMm).toBeGreaterThan(0);
			}),
			runs
		);
	});
});

describe('a checkpoint against the turn-by-turn oracle', () => {
	it('tells the length that the oracle has wound, to 0.1 %, and what is left', () => {
		fc.assert(
			fc.property(cases, real(0.3, 0.95), ({ measures, spool, backing, line, gapMm }, share) => {
				const problem: Problem = { source: { kind: 'measured', ...measures }, stack: [backing, line], gapMm };
				const planned = value(solveFit(spool, problem.stack, gapMm));
				const woundMm = share * planned.solved!.lengthMm;
				const part: KnownComponent = { ...backing, sections: [level(woundMm, backing.diameterMm)] };
				const [oracle] = windStackReference(asReference(spool), [part]);
				const at = {
					component: 0,
					turns: oracle!.turns,
					depthMm: spool.rimRadiusMm - oracle!.outerRadiusMm
				};
				const told = value(checkpoint(problem, at));
				expect(Math.abs(told.lengthSoFarMm / woundMm - 1)).toBeLessThan(1e-3);
				const totalMm = told.lengthSoFarMm + told.remaining.lengthMm;
				expect(Math.abs(totalMm / planned.solved!.lengthMm - 1)).toBeLessThan(2e-3);
				expect(told.stopDepthMm).toBeCloseTo(planned.solved!.stopDepthMm, 2);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('the run-out against the fit', () => {
	it('when so much is out, the surface is that of what is left', () => {
		fc.assert(
			fc.property(cases, real(0.05, 0.95), ({ spool, backing, line, gapMm }, share) => {
				const planned = value(solveFit(spool, [backing, line], gapMm));
				const under: KnownComponent = {
					...backing,
					sections: [level(planned.solved!.lengthMm, backing.diameterMm)]
				};
				const at = runoutOf(spool, planned, [under, line]);
				const outMm = totalLengthMm(line.sections) + share * planned.solved!.lengthMm;
				const left = {
					...under,
					sections: [level((1 - share) * planned.solved!.lengthMm, backing.diameterMm)]
				};
				const rest = value(solveFit(spool, [left], 0)).layers[0]!;
				expect(at(outMm).surfaceRadiusMm).toBeCloseTo(rest.outerRadiusMm, 6);
				expect(at(outMm).dragFactor).toBeGreaterThan(1);
			}),
			runs
		);
	});
});
