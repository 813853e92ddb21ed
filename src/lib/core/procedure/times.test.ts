import { describe, expect, it } from 'vitest';
import { expectedSeconds, learnTempo, type TimedStep } from './times';

const wind = (ratio: number): TimedStep => ({ kind: 'wind', plannedSeconds: 600, tookSeconds: 600 * ratio });

describe('a tempo learnt from past runs', () => {
	it('is as planned where nothing is known', () => {
		expect(expectedSeconds({ kind: 'wind', seconds: 600 }, learnTempo([]))).toBe(600);
	});
	it('moves toward what the steps took, the more the more there are', () => {
		const after = (n: number) => learnTempo(Array.from({ length: n }, () => wind(2))).get('wind')!;
		// The mean of ln 2 over n steps and two of the plan: 2^(n / (n + 2)).
		expect(after(1)).toBeCloseTo(2 ** (1 / 3), 12);
		expect(after(8)).toBeCloseTo(2 ** 0.8, 12);
	});
	it('of one kind says nothing of another', () => {
		expect(learnTempo([wind(2)]).get('join')).toBeUndefined();
	});
	it('leaves out a pause for supper and a tick in passing', () => {
		expect(learnTempo([wind(40), wind(0.01)]).size).toBe(0);
	});
});
