import { describe, expect, it } from 'vitest';
import { spoolOf, type MeasuredSource } from '../calibrate/source';
import { solveFit } from '../fit/solve';
import { taperOf, type LineClass } from '../line/class';
import { firstOrder } from '../uncertainty/first-order';
import type { Problem } from '../uncertainty/inputs';
import { judge, usualBackingMm, type Verdict } from './judge';

function verdictOn(
	measures: Omit<MeasuredSource, 'kind'>,
	line: LineClass,
	gapMm = 4,
	diameterMm = 0.48
): Verdict {
	const problem: Problem = {
		source: { kind: 'measured', ...measures },
		gapMm,
		stack: [
			{ role: 'backing', layEfficiency: 0.9, diameterMm },
			{ role: 'line', layEfficiency: 0.88, sections: taperOf(line) }
		]
	};
	const spool = spoolOf(problem.source);
	const fit = spool.ok ? solveFit(spool.value.spool, problem.stack, gapMm) : spool;
	if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
	return judge(problem, fit.value, firstOrder(problem, fit.value), line);
}
const WF = (number: number): LineClass => ({ taper: 'WF', number, density: 'F' });
const trout = { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 };

describe('what a practitioner would say (common practice)', () => {
	it('backing usual for the line', () => {
		expect([3, 6, 8, 10, 12].map((n) => Math.round(usualBackingMm(n) / 914.4))).toEqual([
			40, 75, 100, 150, 200
		]);
	});
	it('a trout line on a trout reel has plenty', () => {
		expect(verdictOn(trout, WF(5))).toMatchObject({ kind: 'fits', backing: 'plenty', mayRub: false });
	});
	it('a heavy line on it has little, and each remedy really brings more', () => {
		const verdict = verdictOn(trout, WF(10));
		expect(verdict).toMatchObject({ kind: 'fits', backing: 'short' });
		expect(verdict.remedies.map(({ kind }) => kind)).toEqual(['thinner-backing', 'smaller-gap']);
	});
	it('a line too big: how much to cut, what would fit', () => {
		const verdict = verdictOn({ rimDiameterMm: 62, arborDiameterMm: 36, widthMm: 18 }, WF(8));
		if (verdict.kind !== 'too-big') throw new Error('fits');
		expect(verdict.excess.lengthMm).toBeGreaterThan(0);
		expect(verdict.remedies.map(({ kind }) => kind)).toEqual(['lighter-line', 'shorter-line', 'wider-spool']);
		const wider = verdict.remedies.find((remedy) => remedy.kind === 'wider-spool');
		const widthMm = wider?.kind === 'wider-spool' ? wider.widthMm : 0;
		// On a spool that wide it just fits, with nothing under it.
		const on = (width: number) =>
			verdictOn({ rimDiameterMm: 62, arborDiameterMm: 36, widthMm: width }, WF(8));
		expect(on(widthMm * 1.001).kind).toBe('fits');
		expect(on(widthMm * 0.999).kind).toBe('too-big');
		const lighter = verdict.remedies.find((remedy) => remedy.kind === 'lighter-line');
		expect(lighter?.kind === 'lighter-line' && lighter.line.number).toBeLessThan(8);
	});
	it('says that a tight gap may rub', () => {
		expect(verdictOn(trout, WF(5), 0.5)).toMatchObject({ mayRub: true });
	});
});
