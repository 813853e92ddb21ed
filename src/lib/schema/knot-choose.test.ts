import { describe, expect, it } from 'vitest';
import { answerChooseKnot, ChooseKnotRequest, ChooseKnotResponse } from './knot-choose-api';
import { chooseKnot } from '$lib/core';
import { jobOf } from './job';
import { jointSituation, situationOf, situationQuery } from './knot-situation';
import { measured } from './testing';
import { workOut } from './workout';

describe('a question in an address', () => {
	it('says back what it was asked', () => {
		const query = 'place=leader-line&loop=none&swaps=never&water=salt&smooth=yes&tools=needle glue&thin=0.6';
		const situation = situationOf(new URLSearchParams(query));
		expect(situation).toMatchObject({
			place: 'leader-line',
			loop: 'none',
			swaps: 'never',
			water: 'salt',
			smooth: true,
			slick: false,
			tools: ['needle', 'glue'],
			thinMm: 0.6,
			thickMm: 1.1
		});
		expect(situationOf(situationQuery(situation))).toEqual(situation);
	});
	it('takes what is usual where nothing, or nonsense, is said', () => {
		const usual = situationOf(new URLSearchParams());
		expect(usual).toMatchObject({ place: 'backing-line', tools: ['tube', 'stiff-piece'] });
		expect(
			situationOf(new URLSearchParams('place=moon&thin=-4&thick=wide&skill=%F0%9F%8E%A3&loop='))
		).toEqual(usual);
		expect(situationOf(new URLSearchParams('thin=1.5&thick=0.3'))).toMatchObject({
			thinMm: 0.3,
			thickMm: 1.5
		});
		expect(situationOf(new URLSearchParams('tools=')).tools).toEqual([]);
	});
});

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
