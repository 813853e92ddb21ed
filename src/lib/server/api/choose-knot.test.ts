import { describe, expect, it } from 'vitest';
import { answerChooseKnot, ChooseKnotRequest, ChooseKnotResponse } from './choose-knot';

describe('asked over the wire', () => {
	const ask = (body: unknown) => {
		const answered = answerChooseKnot(ChooseKnotRequest.parse(body));
		return answered.ok ? ChooseKnotResponse.parse(answered.value).answers : answered.issues;
	};
	it('answers with names, reasons, and what is missing', () => {
		const answers = ask({ place: 'backing-line', swaps: 'often' });
		expect(answers[0]).toMatchObject({ slug: 'loop-to-loop', name: 'Loop to loop', wraps: 1 });
		expect(answers.at(-1)).toHaveProperty('lacks');
	});
	it('takes a thickness alone, and refuses two that are the wrong way round', () => {
		expect(ask({ place: 'tippet', thinMm: 0.5 })[0]).toHaveProperty('slug');
		expect(ask({ place: 'tippet', thinMm: 0.5, thickMm: 0.2 })).toMatchObject([{ code: 'out_of_range' }]);
		expect(ChooseKnotRequest.safeParse({ place: 'tippet', thinMm: 0 }).success).toBe(false);
		expect(ChooseKnotRequest.safeParse({ place: 'moon' }).success).toBe(false);
	});
});
