import { describe, expect, it } from 'vitest';
import { solveFit } from '../fit/solve';
import { level } from '../line/sections';
import { DISHED, spoolFrom as spool, STRAIGHT, value } from '../testing';
import { handAsLay, learnHand, observeHand, priorHand, type HandBelief } from './hand';

/** Mean and deviation of an unnormalised density by plain sums on a fine grid: slow and obvious. */
function integrateGrid(density: (x: number) => number, low: number, high: number) {
	const step = (high - low) / 200_000;
	let [weight, first, second] = [0, 0, 0];
	for (let x = low; x <= high; x += step) {
		const d = density(x);
		weight += d;
		first += d * x;
		second += d * x * x;
	}
	const mean = first / weight;
	return { mean, sigma: Math.sqrt(second / weight - mean * mean) };
}

describe('learning a hand', () => {
	const prior = priorHand(0.9, 0.05);
	const fills = [
		{ spool: spool(STRAIGHT), diameterMm: 0.48, turns: 800, depthMm: 12.4 },
		{ spool: spool(STRAIGHT), diameterMm: 0.48, turns: 640, depthMm: 14.1 },
		{ spool: spool(DISHED), diameterMm: 0.48, turns: 700, depthMm: 14.8 }
	];
	const observed = fills.map((fill) => observeHand(fill));

	it('reads η back from the turns and depth of a fill wound with it', () => {
		const wound = value(
			solveFit(
				spool(STRAIGHT),
				[{ role: 'backing', layEfficiency: 0.83, sections: [level(90_000, 0.48)] }],
				0
			)
		).layers[0]!;
		const seen = observeHand({
			spool: spool(STRAIGHT),
			diameterMm: 0.48,
			turns: wound.turns,
			depthMm: wound.depthMm
		});
		expect(Math.exp(seen.meanLn)).toBeCloseTo(0.83, 9);
	});

	it('the posterior is that of a grid integration of prior times likelihood', () => {
		const density = ({ meanLn, sigmaLn }: HandBelief, x: number): number =>
			Math.exp(-0.5 * ((x - meanLn) / sigmaLn) ** 2);
		const { mean, sigma } = integrateGrid(
			(x) => [prior, ...observed].reduce((product, belief) => product * density(belief, x), 1),
			-1,
			0.5
		);
		const posterior = learnHand(prior, observed);
		expect(posterior.meanLn).toBeCloseTo(mean, 6);
		expect(posterior.sigmaLn).toBeCloseTo(sigma, 6);
	});

	it('does not mind the order, and grows surer with every fill', () => {
		expect(learnHand(prior, [...observed].reverse()).meanLn).toBeCloseTo(
			learnHand(prior, observed).meanLn,
			12
		);
		const widths = [0, 1, 2, 3].map((n) => learnHand(prior, observed.slice(0, n)).sigmaLn);
		expect(widths).toEqual([...widths].sort((a, b) => b - a));
		expect(handAsLay(learnHand(prior, observed)).share).toBeLessThan(prior.sigmaLn / 2);
	});

	it('a fill below the arbor is a mistake of the program', () => {
		expect(() => observeHand({ ...fills[0]!, depthMm: 40 })).toThrow(RangeError);
	});
});
