import { describe, expect, it } from 'vitest';
import { measured, worked } from '$lib/setup/testing';
import { figuresOf, oneIn } from './figures';

describe('a small chance, as people say it', () => {
	it.each([
		[0, 'under 1 in 2,000'],
		[0.0004, 'under 1 in 2,000'],
		[0.001, '1 in 1000'],
		[0.00213, '1 in 470'],
		[0.05, '1 in 20'],
		[0.31, '1 in 3'],
		[0.6, 'more often than not']
	])('%d', (chance, said) => {
		expect(oneIn(chance).replace(/[,\s]/g, '')).toBe(said.replace(/[,\s]/g, ''));
	});
});

describe('the number on each tab', () => {
	const form = measured();
	const workout = worked(form);
	const figures = (rubs?: number) => figuresOf(form, workout, rubs, { units: 'yd-mm', schools: {} });
	it('is there for every panel, and agrees with the answers', () => {
		const told = figures();
		expect(Object.keys(told)).toEqual(['sure', 'ways', 'pause', 'run', 'swaps', 'list']);
		const turns = workout.fit.layers[0]!.turns;
		expect(told['pause']).toContain(`${Math.round(turns / 2)} turns`);
		// Half of the turns is deeper than the stop, and no deeper than the arbor.
		const deep = Number(/([\d.]+) mm deep/.exec(told['pause']!)![1]);
		expect(deep).toBeGreaterThan(workout.fit.solved!.stopDepthMm);
		expect(deep).toBeLessThan((84 - 38) / 2);
		expect(told['swaps']).toBe('none yet');
		expect(told['list']).toMatch(/^buy \d+ yd/);
	});
	it('says the range until spools were tried, and then how often it rubs', () => {
		expect(figures()['sure']).toMatch(/^gap [\d.]+–[\d.]+ mm$/);
		expect(figures(0.01)['sure']).toBe('rubs 1 in 100');
	});
});
