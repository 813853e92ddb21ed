import { describe, expect, it } from 'vitest';
import { fit } from './answers';
import { FitRequest, FitResponse } from './fit';
import { answerTo } from './question';
import { body } from './wire';
import type { z } from 'zod';
import { wordIssue, wordShape } from '$lib/wording/issues';

const SPOOL = { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 };
const BACKING = { role: 'backing', diameterMm: 0.48, layEfficiency: 0.9 };
const LINE = {
	role: 'line',
	layEfficiency: 0.88,
	sections: [
		{ lengthM: 15.6, startDiameterMm: 0.9, endDiameterMm: 0.9 },
		{ lengthM: 1.9, startDiameterMm: 0.9, endDiameterMm: 1.25 },
		{ lengthM: 8, startDiameterMm: 1.25, endDiameterMm: 1.25 },
		{ lengthM: 1.8, startDiameterMm: 1.25, endDiameterMm: 0.9 },
		{ lengthM: 0.15, startDiameterMm: 0.9, endDiameterMm: 0.9 }
	]
};
const EXAMPLE = { spool: SPOOL, stack: [BACKING, LINE], gapMm: 4 };

async function ask(sent: unknown) {
	const shape = body(FitRequest).safeParse(sent);
	if (!shape.success) return { issues: wordShape(shape.error) };
	const answered = await answerTo(fit, shape.data);
	return answered.ok
		? { answer: answered.value }
		: { issues: answered.issues.map((issue) => wordIssue(issue)) };
}
async function fitted(sent: unknown): Promise<z.output<typeof FitResponse>> {
	const outcome = await ask(sent);
	if ('issues' in outcome) throw new Error(JSON.stringify(outcome.issues));
	return outcome.answer;
}

const answer = await fitted(EXAMPLE);
describe('the documented example', () => {
	it('answers as documented', () => {
		expect(answer).toMatchObject({ fits: true, gapMm: 4, solved: { index: 0 } });
		expect(answer.solved!.lengthM).toBeCloseTo(147.83, 2);
		expect(answer.solved!.turns).toBeCloseTo(949.3, 1);
		expect(answer.solved!.stopDepthMm).toBeCloseTo(11.43, 2);
		expect(answer.components[0]).toMatchObject({ role: 'backing', innerDiameterMm: 38 });
		expect(answer.components[0]!.volumeMm3).toBeCloseTo(26_751.6, 1);
		expect(answer.components[0]!.outerDiameterMm).toBeCloseTo(61.14, 2);
		expect(answer.retrieve.fullMm).toBeCloseTo(2 * Math.PI * 38, 4);
	});
	it('is of the shape the document promises', () => {
		expect(FitResponse.parse(answer)).toEqual(answer);
	});
	it('says what the ranges are', () => {
		const [low, high] = answer.ranges.lengthM!;
		expect(low).toBeLessThan(answer.solved!.lengthM);
		expect(high).toBeGreaterThan(answer.solved!.lengthM);
	});
});

describe('other ways to say it', () => {
	it('a material and a line class', async () => {
		const answer = await fitted({
			spool: SPOOL,
			stack: [
				{ role: 'backing', material: 'polyester-20' },
				{ role: 'line', lineClass: 'WF6F' }
			]
		});
		expect(answer.gapMm).toBe(4);
		expect(answer.solved!.lengthM).toBeGreaterThan(100);
	});
	it('a profile in place of arbor and width', async () => {
		const profile = [
			{ diameterMm: 38, widthMm: 21 },
			{ diameterMm: 84, widthMm: 21 }
		];
		expect((await fitted({ ...EXAMPLE, spool: { profile } })).solved!.lengthM).toBeCloseTo(147.835, 3);
	});
	it('a rating: less the allowance it gives its own figure back', async () => {
		const ratings = [{ lineClass: 'WF6F', backing: 'polyester-20', lengthM: 91.44 }];
		const stack = [
			{ role: 'backing', material: 'polyester-20' },
			{ role: 'line', lineClass: 'WF6F' }
		];
		expect((await fitted({ spool: { ratings, makersAllowance: 0 }, stack })).solved!.lengthM).toBeCloseTo(
			91.44,
			4
		);
		const rated = await fitted({ spool: { ratings }, stack });
		expect(rated.solved!.lengthM).toBeCloseTo(0.9 * 91.44, 4);
		expect(rated.spool.estimated).toEqual(['arbor', 'rim', 'width']);
	});
	it('no unknown: the gap is the answer', async () => {
		const stack = [{ ...BACKING, lengthM: 147.835 }, LINE];
		const answer = await fitted({ spool: SPOOL, stack });
		expect(answer.gapMm).toBeCloseTo(4, 4);
		expect(answer.solved).toBeUndefined();
		expect(await fitted({ spool: { ...SPOOL, rimDiameterMm: 70 }, stack })).toMatchObject({ fits: false });
	});
	it('the line alone too big', async () => {
		const answer = await fitted({ ...EXAMPLE, spool: { ...SPOOL, rimDiameterMm: 60 } });
		expect(answer).toMatchObject({ fits: false, solved: { lengthM: 0 } });
		expect(answer.over!.gapMm).toBeCloseTo(4 - answer.gapMm, 6);
	});
	it('a frame wider than the rim', async () => {
		const answer = await fitted({ ...EXAMPLE, spool: { ...SPOOL, frameDiameterMm: 88 } });
		expect(answer.components.at(-1)!.outerDiameterMm).toBeCloseTo(80, 6);
	});
});

describe('what cannot be is refused with a code, a path and what to do', () => {
	const withSpool = (spool: object): unknown => ({ ...EXAMPLE, spool: { ...SPOOL, ...spool } });
	const withBacking = (backing: object): unknown => ({
		...EXAMPLE,
		stack: [{ ...BACKING, ...backing }, LINE]
	});
	it.each([
		['a width of 0', withSpool({ widthMm: 0 }), 'too_small', 'spool.widthMm'],
		[
			'an arbor wider than the rim',
			withSpool({ arborDiameterMm: 90 }),
			'arbor_not_inside_rim',
			'spool.arborDiameterMm'
		],
		[
			'a packing above hexagonal',
			withBacking({ layEfficiency: 1.2 }),
			'packing_above_hexagonal',
			'stack.0.layEfficiency'
		],
		['1e308', withSpool({ rimDiameterMm: 1e308 }), 'too_big', 'spool.rimDiameterMm'],
		['NaN', withSpool({ widthMm: NaN }), 'invalid_type', 'spool.widthMm'],
		['infinity', withSpool({ widthMm: Infinity }), 'invalid_type', 'spool.widthMm'],
		['a negative', withBacking({ diameterMm: -1 }), 'too_small', 'stack.0.diameterMm'],
		['an unknown role', withBacking({ role: 'string' }), 'invalid_value', 'stack.0.role'],
		['an unknown field', { ...EXAMPLE, colour: 'red' }, 'unrecognized_keys', ''],
		[
			'an unknown material',
			withBacking({ diameterMm: undefined, material: 'wool' }),
			'unknown_material',
			'stack.0.material'
		],
		['nothing to wind', withBacking({ diameterMm: undefined }), 'needs_one_of', 'stack.0'],
		['two diameters', withBacking({ material: 'polyester-20' }), 'conflicting_fields', 'stack.0.material'],
		['two unknowns', { ...EXAMPLE, stack: [BACKING, BACKING, LINE] }, 'too_many_unknowns', 'stack.1'],
		['no stack', { ...EXAMPLE, stack: [] }, 'too_small', 'stack'],
		['half a spool', { ...EXAMPLE, spool: { rimDiameterMm: 84 } }, 'needs_one_of', 'spool'],
		[
			'a falling profile',
			{
				...EXAMPLE,
				spool: {
					profile: [
						{ diameterMm: 84, widthMm: 2 },
						{ diameterMm: 38, widthMm: 2 }
					]
				}
			},
			'profile_not_rising',
			'spool.profile.1'
		],
		['an empty profile', { ...EXAMPLE, spool: { profile: [] } }, 'profile_too_short', 'spool.profile'],
		['a gap below the arbor', { ...EXAMPLE, gapMm: 30 }, 'gap_leaves_no_room', 'gapMm'],
		[
			'a wrong line class',
			{ ...EXAMPLE, stack: [BACKING, { role: 'line', lineClass: 'WF99F' }] },
			'unknown_line_class',
			'stack.1.lineClass'
		],
		[
			'a line shorter than its head',
			{ ...EXAMPLE, stack: [BACKING, { role: 'line', lineClass: 'WF6F', lengthM: 5 }] },
			'shorter_than_head',
			'stack.1.lengthM'
		],
		['a string', 'hello', 'invalid_type', ''],
		['null', null, 'invalid_type', '']
	])('%s', async (_, sent, code, path) => {
		const outcome = await ask(sent);
		if (!('issues' in outcome)) throw new Error('was answered');
		const [issue] = outcome.issues;
		expect(issue).toMatchObject({ code });
		expect(issue!.path.join('.')).toBe(path);
		expect(issue!.message).toMatch(/[A-Za-z].*[.)]$/);
	});
});
