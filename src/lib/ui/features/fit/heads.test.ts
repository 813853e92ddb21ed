import { describe, expect, it } from 'vitest';
import { DENSITIES, toMm, totalLengthMm, totalVolumeMm3 } from '$lib/core';
import { judgement } from './sentence';
import { PRESETS } from '$lib/setup/presets';
import { codes, measured, worked } from '$lib/setup/testing';
import type { SetupForm } from '$lib/setup/form';

/** Exactly, NIST SP 811. */
const GRAM_PER_GRAIN = 0.06479891;

const switchReel = (mass = '420 gr', length = '24 ft'): SetupForm => {
	const form = measured('95 mm', '45 mm', '28 mm');
	form.fill.stack = PRESETS.find(({ slug }) => slug === 'switch')!.stack();
	const head = form.fill.stack.at(-1)!;
	head.made = { way: 'grains', density: 'F', mass };
	head.length = length;
	return form;
};

describe('a head by its weight and its length', () => {
	it('takes the room that its weight says, however long it is: volume is mass over density', () => {
		for (const [mass, length] of [
			['420 gr', '24 ft'],
			['540 gr', '12 yd'],
			['30 g', '8 m']
		] as const) {
			const { stack } = worked(switchReel(mass, length));
			const { sections } = stack.at(-1) as { sections: Parameters<typeof totalVolumeMm3>[0] };
			const massG = mass.endsWith('gr') ? Number.parseFloat(mass) * GRAM_PER_GRAIN : Number.parseFloat(mass);
			expect(totalVolumeMm3(sections)).toBeCloseTo((1000 * massG) / DENSITIES.F.gPerCm3, 3);
			expect(totalLengthMm(sections)).toBeLessThanOrEqual(toMm(12, 'yd') + 1e-6);
		}
	});
	it('is no single-hand class anywhere: it is said in grains, and backing by what is usual with heads', () => {
		for (const { slug, stack } of PRESETS) {
			const form = measured('112 mm', '48 mm', '32 mm');
			form.fill.stack = stack();
			const workout = worked(form);
			for (const { role, label, line } of workout.parts)
				if (role !== 'line') {
					expect(label, slug).not.toContain('#');
					expect(line, slug).toBeUndefined();
				}
			expect(judgement(workout, 'yd-mm').includes('heads on a running line'), slug).toBe(
				['switch', 'full-spey'].includes(slug)
			);
		}
	});
	it('asks for its weight and its length', () => {
		expect(codes(switchReel('', '24 ft'))).toEqual(['fill.stack.2.made.mass: missing_value']);
		expect(codes(switchReel('420 gr', ''))).toEqual(['fill.stack.2.length: missing_value']);
		expect(codes(switchReel('heavy', 'long')).length).toBe(2);
		expect(
			PRESETS.find(({ slug }) => slug === 'switch')!
				.stack()
				.at(-1)!.made.way
		).toBe('grains');
	});
});
