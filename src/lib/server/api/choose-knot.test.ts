import { describe, expect, it } from 'vitest';
import { knotFor } from './choose-knot';
import { ask, told } from './testing';

describe('asked over the wire', () => {
	it('answers with names, reasons, and what is missing', async () => {
		const { answers } = await told(knotFor, { place: 'backing-line', swaps: 'often' });
		expect(answers[0]).toMatchObject({ slug: 'loop-to-loop', name: 'Loop to loop', wraps: 1 });
		expect(answers.at(-1)).toHaveProperty('lacks');
	});
	it('takes a thickness alone, and refuses two that are the wrong way round', async () => {
		expect((await told(knotFor, { place: 'tippet', thinMm: 0.5 })).answers[0]).toHaveProperty('slug');
		expect(await ask(knotFor, { place: 'tippet', thinMm: 0.5, thickMm: 0.2 })).toMatchObject({
			issues: [{ code: 'out_of_range' }]
		});
		expect(knotFor.request.safeParse({ place: 'tippet', thinMm: 0 }).success).toBe(false);
		expect(knotFor.request.safeParse({ place: 'moon' }).success).toBe(false);
	});
});
