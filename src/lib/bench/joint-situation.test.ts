import { chooseKnot } from '$lib/core';
import { workOut } from '$lib/setup/evaluate-form';
import { measured } from '$lib/setup/testing';
import { describe, expect, it } from 'vitest';
import { jobOf } from './job';
import { jointSituation } from './joint-situation';

describe('a joint of a set-up as a question', () => {
	const job = (() => {
		const form = measured();
		const worked = workOut(form, 'yd-mm');
		if (!worked.ok) throw new Error('the form does not work out');
		return jobOf(form, worked.value, { water: 'salt', weldedLoop: 'cut' });
	})();
	it('knows where it is, and what the set-up says of it', () => {
		const line = job.parts.at(-1)!.id;
		const asked = jointSituation(job, line, { under: 0.45, over: 1.2 });
		expect(asked).toMatchObject({
			place: 'backing-line',
			thinMm: 0.45,
			thickMm: 1.2,
			loop: 'none',
			water: 'salt',
			cage: job.cage
		});
		expect(chooseKnot(asked)[0]!.lacks).toBeUndefined();
	});
	it('is about the backing alone on the arbor', () => {
		expect(jointSituation(job, 'arbor')).toMatchObject({ place: 'arbor', slick: false, arbor: 'tape' });
		const slick = { ...job, parts: [{ ...job.parts[0]!, cuts: true }, ...job.parts.slice(1)] };
		expect(jointSituation(slick, 'arbor').slick).toBe(true);
	});
});
