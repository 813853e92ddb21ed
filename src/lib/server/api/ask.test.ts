import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import {
	answerCheckpoint,
	answerCorrect,
	answerEnough,
	answerHalfFit,
	answerMethods,
	answerReverseFill,
	answerRisk,
	answerRunout
} from './ask-answer';
import { answerContrast, answerCuts, answerLine, answerMatch, answerSharedBacking } from './ask-lines';
import * as ask from './ask';
import { answerFit } from './fit-answer';
import { FitRequest } from './fit';
import { readFitRequest } from './fit-read';
import { wordIssue } from '$lib/wording/issues';

const SPOOL = { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 };
const BACKING = { diameterMm: 0.48, layEfficiency: 0.9 };
const FIT = {
	spool: SPOOL,
	stack: [
		{ role: 'backing', ...BACKING },
		{ role: 'line', lineClass: 'WF6F', layEfficiency: 0.88 }
	],
	gapMm: 4
};

/** Parses a body as the route does, and answers it; what comes back must have the shape that is promised. */
function post<Q extends z.ZodType, A extends z.ZodType>(
	[request, response]: [Q, A],
	answer: (body: z.output<Q>) => { ok: boolean; value?: unknown; issues?: unknown },
	body: unknown
) {
	const answered = answer(request.parse(body));
	if (answered.ok) expect(response.parse(answered.value)).toEqual(answered.value);
	return answered as { ok: true; value: z.output<A> } | { ok: false; issues: never[] };
}
const value = <T>(answered: { ok: true; value: T } | { ok: false; issues: never[] }): T => {
	if (!answered.ok) throw new Error(JSON.stringify(answered.issues));
	return answered.value;
};
const planned = (() => {
	const problem = readFitRequest(FitRequest.parse(FIT));
	const answer = problem.ok ? answerFit(problem.value) : problem;
	if (!answer.ok) throw new Error('no plan');
	return answer.value;
})();
const risk = (body: unknown) =>
	post(
		[ask.RiskRequest, ask.RiskResponse],
		(request) => {
			const running = answerRisk(request);
			for (;;) {
				const step = running.next();
				if (step.done) return step.value;
			}
		},
		body
	);

describe('POST /api/half-fit', () => {
	const ask_ = (body: unknown) => post([ask.HalfFitRequest, ask.HalfFitResponse], answerHalfFit, body);
	it('gives the stop depth, and length and turns when the backing is named', () => {
		const told = value(ask_({ spool: SPOOL, gapMm: 4, lineDepthMm: 12.3, backing: BACKING }));
		expect(told.stopDepthMm).toBeGreaterThan(10);
		expect(told.lengthM).toBeGreaterThan(100);
		expect(told.ranges.gapMm[0]).toBeLessThan(4);
		expect(value(ask_({ spool: SPOOL, lineDepthMm: 12.3 })).lengthM).toBeUndefined();
	});
	it.each([
		['below the arbor', { spool: SPOOL, lineDepthMm: 30 }, 'depth_below_arbor', ['lineDepthMm']],
		['a line that fills it', { spool: SPOOL, lineDepthMm: 2 }, 'line_alone_fills', ['gapMm']],
		[
			'a spool that cannot be',
			{ spool: { ...SPOOL, arborDiameterMm: 90 }, lineDepthMm: 9 },
			'arbor_not_inside_rim',
			['spool', 'arborDiameterMm']
		],
		[
			'a backing of given length',
			{ spool: SPOOL, lineDepthMm: 12, backing: { ...BACKING, lengthM: 90 } },
			'conflicting_fields',
			['backing', 'lengthM']
		]
	])('refuses %s in words', (_, body, code, path) => {
		const answered = ask_(body);
		expect(answered).toMatchObject({ ok: false, issues: [{ code, path }] });
		if (!answered.ok) expect(wordIssue(answered.issues[0]!).message.length).toBeGreaterThan(20);
	});
});

describe('POST /api/checkpoint', () => {
	const ask_ = (at: object, fit: unknown = FIT) =>
		post([ask.CheckpointRequest, ask.CheckpointResponse], answerCheckpoint, { fit, at });
	it('tells length so far by L = πN(D₀ + D₁)/2, what remains, and narrower ranges', () => {
		const told = value(ask_({ component: 0, turns: 700, depthMm: 14 }));
		expect(told.lengthSoFarM).toBeCloseTo((Math.PI * 700 * (38 + 56)) / 2 / 1000, 5);
		expect(told.stopDepthMm).toBeCloseTo(planned.solved!.stopDepthMm, 5);
		const [low, high] = planned.ranges.lengthM!;
		expect(told.ranges.lengthM[1] - told.ranges.lengthM[0]).toBeLessThan(high - low);
	});
	it.each([
		[{ component: 0, turns: 0, depthMm: 14 }, 'no_turns_yet', ['at', 'turns']],
		[{ component: 0, turns: 9, depthMm: 24 }, 'depth_below_arbor', ['at', 'depthMm']],
		[{ component: 5, turns: 9, depthMm: 14 }, 'no_such_component', ['at', 'component']]
	])('refuses %j', (at, code, path) => {
		expect(ask_(at)).toMatchObject({ ok: false, issues: [{ code, path }] });
	});
	it('points into the fit when that is wrong', () => {
		const wrong = { ...FIT, spool: { ...SPOOL, arborDiameterMm: 90 } };
		expect(ask_({ component: 0, turns: 9, depthMm: 14 }, wrong)).toMatchObject({
			ok: false,
			issues: [{ code: 'arbor_not_inside_rim', path: ['fit', 'spool', 'arborDiameterMm'] }]
		});
	});
});

describe('POST /api/correct', () => {
	const ask_ = (gapMm: number) =>
		post([ask.CorrectRequest, ask.CorrectResponse], answerCorrect, { fit: FIT, seen: { gapMm } });
	it('takes off when the gap is narrow, adds when it is wide', () => {
		expect(value(ask_(2)).backingChangeM).toBeLessThan(0);
		expect(value(ask_(2)).turns).toBeLessThan(0);
		expect(value(ask_(6)).backingChangeM).toBeGreaterThan(0);
		expect(value(ask_(4)).backingChangeM).toBeCloseTo(0, 6);
	});
	it('refuses a gap below the arbor', () => {
		expect(ask_(40)).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_leaves_no_room', path: ['seen', 'gapMm'] }]
		});
	});
});

describe('POST /api/risk', () => {
	it('agrees with the ranges of the plan, and repeats itself for a seed', () => {
		const body = { fit: FIT, trials: 8000, seed: 9, stopBy: 'depth' };
		const told = value(risk(body));
		const [low, high] = planned.ranges.gapMm;
		expect(Math.abs((told.gapMm.p95 - told.gapMm.p05) / (high - low) - 1)).toBeLessThan(0.06);
		expect(value(risk(body))).toEqual(told);
		expect(told.shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
	});
	it('takes spreads of one’s own: a sure backing moves the blame', () => {
		const share = (spreads: object): number =>
			value(risk({ fit: FIT, trials: 3000, seed: 1, spreads })).shares.find((s) => s.input === 'diameter')!
				.share;
		expect(share({ diameterShare: 0.005 })).toBeLessThan(0.05);
		expect(share({})).toBeGreaterThan(0.3);
	});
	it('a higher risk buys more backing', () => {
		const length = (riskLimit: number) =>
			value(risk({ fit: FIT, trials: 2000, seed: 1, riskLimit })).lengthAtRiskM!;
		expect(length(0.2)).toBeGreaterThan(length(0.01));
	});
	it.each([
		{ fit: FIT, trials: 10 },
		{ fit: FIT, trials: 1e9 },
		{ fit: FIT, trials: 1000, seed: -1 },
		{ fit: FIT, spreads: { rimMm: -1 } },
		{ fit: FIT, spreads: { colour: 1 } }
	])('refuses the shape %#', (body) => {
		expect(ask.RiskRequest.safeParse(body).success).toBe(false);
	});
});

describe('POST /api/match', () => {
	it('gives one row a pair, the same as a fit of its own', () => {
		const body = {
			spools: [SPOOL, { ...SPOOL, rimDiameterMm: 90 }],
			lines: [{ lineClass: 'WF6F', layEfficiency: 0.88 }, { lineClass: 'WF14F' }],
			backing: BACKING,
			gapMm: 4
		};
		const { rows } = value(post([ask.MatchRequest, ask.MatchResponse], answerMatch, body));
		expect(rows.map(({ spool, line }) => [spool, line])).toEqual([
			[0, 0],
			[0, 1],
			[1, 0],
			[1, 1]
		]);
		expect(rows[0]).toMatchObject({ fits: true, backingM: planned.solved!.lengthM });
		expect(rows[1]!.fits).toBe(false);
		expect(rows[2]!.backingM).toBeGreaterThan(rows[0]!.backingM);
	});
	it('names the spool or line that cannot be', () => {
		const wrong = { spools: [SPOOL], lines: [{ lineClass: 'XX' }], backing: BACKING };
		expect(post([ask.MatchRequest, ask.MatchResponse], answerMatch, wrong)).toMatchObject({
			ok: false,
			issues: [{ code: 'unknown_line_class', path: ['lines', 0, 'lineClass'] }]
		});
		const open = { spools: [SPOOL], lines: [{ diameterMm: 1 }], backing: BACKING };
		expect(post([ask.MatchRequest, ask.MatchResponse], answerMatch, open)).toMatchObject({
			ok: false,
			issues: [{ code: 'needs_one_of', path: ['lines', 0] }]
		});
	});
});

describe('POST /api/shared-backing, /api/methods, /api/runout', () => {
	it('one backing under two lines', () => {
		const body = (numbers: number[]) => ({
			spool: SPOOL,
			lines: numbers.map((n) => ({ line: { lineClass: `WF${n}F` }, leastGapMm: 3 })),
			backing: BACKING
		});
		const shared = (numbers: number[]) =>
			value(post([ask.SharedBackingRequest, ask.SharedBackingResponse], answerSharedBacking, body(numbers)));
		expect(shared([5, 7])).toMatchObject({ fits: true, tightest: 1 });
		expect(shared([5, 15])).toEqual({ fits: false, backingM: 0, gapsMm: [] });
	});
	it('the ladder has eight rungs and recommends one of them', () => {
		const told = value(
			post([ask.MethodsRequest, ask.MethodsResponse], answerMethods, { fit: FIT, trials: 200, seed: 3 })
		);
		expect(told.rungs).toHaveLength(8);
		expect(told.rungs.map(({ method }) => method)).toContain(told.recommended);
	});
	it('the run-out at chosen lengths', () => {
		const { points } = value(
			post([ask.RunoutRequest, ask.RunoutResponse], answerRunout, { fit: FIT, outM: [0, 30, 100, 1000] })
		);
		expect(points.map(({ role }) => role)).toEqual(['line', 'backing', 'backing', undefined]);
		expect(points[3]!.surfaceDiameterMm).toBe(38);
	});
});

describe('other ways to describe a fit', () => {
	const fitOf = (body: object) => {
		const problem = readFitRequest(FitRequest.parse(body));
		return problem.ok ? answerFit(problem.value) : problem;
	};
	it('a spool by what is on it: its own fill comes out again', () => {
		const fill = { lineClass: 'WF6F', backing: 'polyester-20', lengthM: 90, gapMm: 4 };
		const stack = [
			{ role: 'backing', material: 'polyester-20' },
			{ role: 'line', lineClass: 'WF6F' }
		];
		const answered = fitOf({ spool: { fill }, stack, gapMm: 4 });
		if (!answered.ok) throw new Error(JSON.stringify(answered.issues));
		expect(answered.value.solved!.lengthM).toBeCloseTo(90, 6);
		expect(fitOf({ spool: { fill: { ...fill, lineClass: undefined } }, stack })).toMatchObject({
			ok: false,
			issues: [{ code: 'needs_one_of', path: ['spool', 'fill'] }]
		});
		expect(fitOf({ spool: { fill, arborDiameterMm: 38 }, stack })).toMatchObject({
			ok: false,
			issues: [{ code: 'conflicting_fields' }]
		});
	});
	it('a backing by wraps or by weight, a line by its weight', () => {
		const stack = (backing: object, line: object = { lineClass: 'WF6F' }) => ({
			spool: SPOOL,
			stack: [
				{ role: 'backing', ...backing },
				{ role: 'line', ...line }
			]
		});
		const length = (body: object): number => {
			const answered = fitOf(body);
			if (!answered.ok) throw new Error(JSON.stringify(answered.issues));
			return answered.value.solved!.lengthM;
		};
		expect(length(stack({ wraps: { count: 20, widthMm: 9.6 } }))).toBeCloseTo(
			length(stack({ diameterMm: 0.48 })),
			6
		);
		const massG = ((Math.PI / 4) * 0.48 ** 2 * 10_000 * 0.9) / 1000;
		expect(length(stack({ weighed: { massG, lengthM: 10 }, densityGPerCm3: 0.9 }))).toBeCloseTo(
			length(stack({ diameterMm: 0.48 })),
			6
		);
		expect(fitOf(stack({ weighed: { massG: 2, lengthM: 10 } }))).toMatchObject({
			ok: false,
			issues: [{ path: ['stack', 0, 'densityGPerCm3'] }]
		});
		const usual = value(post([ask.LineRequest, ask.LineResponse], answerLine, { lineClass: 'WF6F' }));
		expect(length(stack(BACKING, { lineClass: 'WF6F', massG: usual.massG }))).toBeCloseTo(
			length(stack(BACKING)),
			6
		);
	});
	it('what a line comes to: #6 is 160 grains (the line-weight standard)', () => {
		const told = value(post([ask.LineRequest, ask.LineResponse], answerLine, { lineClass: 'WF6F' }));
		expect(told.first30ftGrains).toBeCloseTo(160, 6);
		expect(told).toMatchObject({ nearestClass: 6, withinTolerance: true });
		const heavy = value(
			post([ask.LineRequest, ask.LineResponse], answerLine, { lineClass: 'WF6F', massG: 1.06 * told.massG })
		);
		expect(heavy).toMatchObject({ nearestClass: 6, withinTolerance: false });
		expect(heavy.offGrains).toBeCloseTo(9.6, 4);
	});
	it('a reverse fill, enough backing, a cut, a contrast', () => {
		const reverse = (turns: number) =>
			post([ask.ReverseFillRequest, ask.ReverseFillResponse], answerReverseFill, {
				spool: SPOOL, gapMm: 4, lineDepthMm: 12.3, turns, backing: BACKING
			}); // prettier-ignore
		expect(value(reverse(600)).lengthM).toBeCloseTo((Math.PI * 600 * (29.7 + 38)) / 1000, 5);
		expect(reverse(0)).toMatchObject({ ok: false, issues: [{ code: 'no_turns_yet' }] });
		const enough = (leastM: number) =>
			value(post([ask.EnoughRequest, ask.EnoughResponse], answerEnough, { fit: FIT, leastM }));
		expect(enough(100)).toMatchObject({ enough: true, ways: [] });
		const short = enough(160);
		expect(short.ways.map(({ kind }) => kind)).toEqual(['thinner-backing', 'smaller-gap', 'shorter-line']);
		// Each way is checked by carrying it out.
		const gapMm = short.ways[1]!.gapMm!;
		const again = readFitRequest(FitRequest.parse({ ...FIT, gapMm }));
		const fit = again.ok ? answerFit(again.value) : again;
		expect(fit.ok && fit.value.solved!.lengthM).toBeCloseTo(160, 4);
		const cut = value(
			post([ask.CutsRequest, ask.CutsResponse], answerCuts, { lengthM: 100, knots: ['arbor', 'loops'] })
		);
		expect(cut.cutM + cut.leftoverM).toBeCloseTo(
			cut.buyM.reduce((a, b) => a + b, 0),
			6
		);
		expect(cut.buyM).toEqual([137.16]);
		const contrast = post([ask.ContrastRequest, ask.ContrastResponse], answerContrast, {
			one: '#ff6a00',
			other: '#4a7a3a'
		});
		expect(value(contrast).seen).toBe('clear');
	});
});
