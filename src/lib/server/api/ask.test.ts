import { describe, expect, it } from 'vitest';
import { wordIssue } from '$lib/wording/issues';
import * as answers from './answers';
import { estimated } from './estimate';
import * as lines from './line-answers';
import { ask, told } from './testing';

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

const planned = await told(answers.fit, FIT);

describe('POST /api/half-fit', () => {
	it('gives the stop depth, and length and turns when the backing is named', async () => {
		const sent = { spool: SPOOL, gapMm: 4, lineDepthMm: 12.3, backing: BACKING };
		const { stopDepthMm, lengthM, ranges } = await told(answers.halfFitted, sent);
		expect(stopDepthMm).toBeGreaterThan(10);
		expect(lengthM).toBeGreaterThan(100);
		expect(ranges.gapMm[0]).toBeLessThan(4);
		expect((await told(answers.halfFitted, { spool: SPOOL, lineDepthMm: 12.3 })).lengthM).toBeUndefined();
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
	])('refuses %s in words', async (_, sent, code, path) => {
		const answered = await ask(answers.halfFitted, sent);
		expect(answered).toMatchObject({ ok: false, issues: [{ code, path }] });
		if (!answered.ok) expect(wordIssue(answered.issues[0]!).message.length).toBeGreaterThan(20);
	});
});

describe('POST /api/checkpoint', () => {
	it('tells length so far, close to L = πN(D₀ + D₁)/2, what remains, and narrower ranges', async () => {
		const at = { component: 0, turns: 700, depthMm: 14 };
		const { lengthSoFarM, stopDepthMm, ranges, surprise } = await told(answers.paused, { fit: FIT, at });
		expect(lengthSoFarM / ((Math.PI * 700 * (38 + 56)) / 2 / 1000)).toBeCloseTo(1, 2);
		expect(Math.abs(stopDepthMm - planned.solved!.stopDepthMm)).toBeLessThan(0.2);
		expect(surprise).toBe(false);
		const [low, high] = planned.ranges.lengthM!;
		expect(ranges.lengthM[1] - ranges.lengthM[0]).toBeLessThan(high - low);
	});
	it.each([
		[{ component: 0, turns: 0, depthMm: 14 }, 'no_turns_yet', ['at', 'turns']],
		[{ component: 0, turns: 9, depthMm: 24 }, 'depth_below_arbor', ['at', 'depthMm']],
		[{ component: 0, turns: 200, depthMm: 14.6 }, 'reading_contradicts', ['at', 'depthMm']],
		[{ component: 0, turns: 478, depthMm: 21.9 }, 'reading_contradicts', ['at', 'depthMm']],
		[{ component: 5, turns: 9, depthMm: 14 }, 'no_such_component', ['at', 'component']]
	])('refuses %j', async (at, code, path) => {
		expect(await ask(answers.paused, { fit: FIT, at })).toMatchObject({
			ok: false,
			issues: [{ code, path }]
		});
	});
	it('points into the fit when that is wrong, in the names of what was sent', async () => {
		const at = { component: 0, turns: 9, depthMm: 14 };
		const wrong = (fit: object) => ask(answers.paused, { fit: { ...FIT, ...fit }, at });
		expect(await wrong({ spool: { ...SPOOL, arborDiameterMm: 90 } })).toMatchObject({
			ok: false,
			issues: [{ code: 'arbor_not_inside_rim', path: ['fit', 'spool', 'arborDiameterMm'] }]
		});
		const short = { role: 'line', lineClass: 'WF6F', lengthM: 5 };
		expect(await wrong({ stack: [FIT.stack[0], short] })).toMatchObject({
			ok: false,
			issues: [{ code: 'shorter_than_head', path: ['fit', 'stack', 1, 'lengthM'] }]
		});
	});
});

describe('POST /api/correct', () => {
	const at = (gapMm: number) => ({ fit: FIT, seen: { gapMm } });
	it('takes off when the gap is narrow, adds when it is wide', async () => {
		const change = async (gapMm: number) => (await told(answers.corrected, at(gapMm))).backingChangeM;
		expect(await change(2)).toBeLessThan(0);
		expect((await told(answers.corrected, at(2))).turns).toBeLessThan(0);
		expect(await change(6)).toBeGreaterThan(0);
		expect(await change(4)).toBeCloseTo(0, 6);
	});
	it('refuses a gap that cannot be with this much backing', async () => {
		expect(await ask(answers.corrected, at(18))).toMatchObject({
			ok: false,
			issues: [{ code: 'reading_contradicts', path: ['seen', 'gapMm'] }]
		});
	});
	it('refuses a gap below the arbor', async () => {
		expect(await ask(answers.corrected, at(40))).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_leaves_no_room', path: ['seen', 'gapMm'] }]
		});
	});
});

describe('POST /api/risk', () => {
	it('agrees with the ranges of the plan, and repeats itself for a seed', async () => {
		const sent = { fit: FIT, trials: 8000, seed: 9, stopBy: 'depth' };
		const first = await told(answers.risk, sent);
		const [low, high] = planned.ranges.gapMm;
		expect(Math.abs((first.gapMm.p95 - first.gapMm.p05) / (high - low) - 1)).toBeLessThan(0.06);
		expect(await told(answers.risk, sent)).toEqual(first);
		expect(first.shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
	});
	it('takes spreads of one’s own: a sure backing moves the blame', async () => {
		const share = async (spreads: object): Promise<number> => {
			const { shares } = await told(answers.risk, { fit: FIT, trials: 3000, seed: 1, spreads });
			return shares.find(({ input }) => input === 'diameter')!.share;
		};
		expect(await share({ diameterShare: 0.005 })).toBeLessThan(0.05);
		expect(await share({})).toBeGreaterThan(0.3);
	});
	it('a higher risk buys more backing', async () => {
		const length = async (riskLimit: number) =>
			(await told(answers.risk, { fit: FIT, trials: 2000, seed: 1, riskLimit })).lengthAtRiskM!;
		expect(await length(0.2)).toBeGreaterThan(await length(0.01));
	});
	it.each([
		{ fit: FIT, trials: 10 },
		{ fit: FIT, trials: 1e9 },
		{ fit: FIT, trials: 1000, seed: -1 },
		{ fit: FIT, spreads: { rimMm: -1 } },
		{ fit: FIT, spreads: { colour: 1 } }
	])('refuses the shape %#', (sent) => {
		expect(answers.risk.request.safeParse(sent).success).toBe(false);
	});
});

describe('POST /api/match', () => {
	it('gives one row a pair, the same as a fit of its own', async () => {
		const { rows } = await told(lines.match, {
			spools: [SPOOL, { ...SPOOL, rimDiameterMm: 90 }],
			lines: [{ lineClass: 'WF6F', layEfficiency: 0.88 }, { lineClass: 'WF14F' }],
			backing: BACKING,
			gapMm: 4
		});
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
	it('names the spool or line that cannot be', async () => {
		const sent = (line: object, spool: object = SPOOL) => ({
			spools: [SPOOL, spool],
			lines: [line],
			backing: BACKING
		});
		expect(await ask(lines.match, sent({ lineClass: 'XX' }))).toMatchObject({
			ok: false,
			issues: [{ code: 'unknown_line_class', path: ['lines', 0, 'lineClass'] }]
		});
		expect(await ask(lines.match, sent({ diameterMm: 1 }))).toMatchObject({
			ok: false,
			issues: [{ code: 'needs_one_of', path: ['lines', 0] }]
		});
		expect(
			await ask(lines.match, sent({ lineClass: 'WF6F' }, { ...SPOOL, arborDiameterMm: 90 }))
		).toMatchObject({ ok: false, issues: [{ path: ['spools', 1, 'arborDiameterMm'] }] });
	});
});

describe('POST /api/shared-backing, /api/methods, /api/runout', () => {
	it('one backing under two lines', async () => {
		const shared = (numbers: number[]) =>
			told(lines.shared, {
				spool: SPOOL,
				lines: numbers.map((n) => ({ line: { lineClass: `WF${n}F` }, leastGapMm: 3 })),
				backing: BACKING
			});
		expect(await shared([5, 7])).toMatchObject({ fits: true, tightest: 1 });
		expect(await shared([5, 15])).toEqual({ fits: false, backingM: 0, gapsMm: [] });
	});
	it('the ladder has ten rungs and recommends one of them', async () => {
		const { rungs, recommended } = await told(answers.methods, { fit: FIT, trials: 200, seed: 3 });
		expect(rungs).toHaveLength(10);
		expect(rungs.map(({ method }) => method)).toContain(recommended);
	});
	it('the run-out at chosen lengths', async () => {
		const { points } = await told(answers.runout, { fit: FIT, outM: [0, 30, 100, 1000] });
		expect(points.map(({ role }) => role)).toEqual(['line', 'backing', 'backing', undefined]);
		expect(points.map(({ outM }) => outM)).toEqual([0, 30, 100, 1000]);
		expect(points[3]!.surfaceDiameterMm).toBe(38);
	});
});

describe('other ways to describe a fit', () => {
	it('a spool by what is on it: its own fill comes out again', async () => {
		const fill = { lineClass: 'WF6F', backing: 'polyester-20', lengthM: 90, gapMm: 4 };
		const stack = [
			{ role: 'backing', material: 'polyester-20' },
			{ role: 'line', lineClass: 'WF6F' }
		];
		const { solved } = await told(answers.fit, { spool: { fill }, stack, gapMm: 4 });
		expect(solved!.lengthM).toBeCloseTo(90, 6);
		expect(
			await ask(answers.fit, { spool: { fill: { ...fill, lineClass: undefined } }, stack })
		).toMatchObject({
			ok: false,
			issues: [{ code: 'needs_one_of', path: ['spool', 'fill'] }]
		});
		expect(await ask(answers.fit, { spool: { fill, arborDiameterMm: 38 }, stack })).toMatchObject({
			ok: false,
			issues: [{ code: 'conflicting_fields' }]
		});
	});
	it('a backing by wraps or by weight, a line by its weight', async () => {
		const stack = (backing: object, line: object = { lineClass: 'WF6F' }) => ({
			spool: SPOOL,
			stack: [
				{ role: 'backing', ...backing },
				{ role: 'line', ...line }
			]
		});
		const length = async (sent: object): Promise<number> => (await told(answers.fit, sent)).solved!.lengthM;
		const level = await length(stack({ diameterMm: 0.48 }));
		expect(await length(stack({ wraps: { count: 20, widthMm: 9.6 } }))).toBeCloseTo(level, 6);
		const massG = ((Math.PI / 4) * 0.48 ** 2 * 10_000 * 0.9) / 1000;
		const weighed = { weighed: { massG, lengthM: 10 }, densityGPerCm3: 0.9 };
		expect(await length(stack(weighed))).toBeCloseTo(level, 6);
		expect(await ask(answers.fit, stack({ weighed: { massG: 2, lengthM: 10 } }))).toMatchObject({
			ok: false,
			issues: [{ path: ['stack', 0, 'densityGPerCm3'] }]
		});
		const usual = await told(lines.line, { lineClass: 'WF6F' });
		expect(await length(stack(BACKING, { lineClass: 'WF6F', massG: usual.massG }))).toBeCloseTo(
			await length(stack(BACKING)),
			6
		);
	});
	it('what a line comes to: #6 is 160 grains (the line-weight standard)', async () => {
		const usual = await told(lines.line, { lineClass: 'WF6F' });
		expect(usual.first30ftGrains).toBeCloseTo(160, 6);
		expect(usual).toMatchObject({ nearestClass: 6, withinTolerance: true });
		const heavy = await told(lines.line, { lineClass: 'WF6F', massG: 1.06 * usual.massG });
		expect(heavy).toMatchObject({ nearestClass: 6, withinTolerance: false });
		expect(heavy.offGrains).toBeCloseTo(9.6, 4);
	});
	it('a reverse fill, enough backing, a cut, a contrast', async () => {
		const reverse = (turns: number) =>
			ask(answers.reverseFilled, { spool: SPOOL, gapMm: 4, lineDepthMm: 12.3, turns, backing: BACKING });
		expect(await reverse(600)).toMatchObject({
			value: { lengthM: expect.closeTo((Math.PI * 600 * (29.7 + 38)) / 1000, 5) as number }
		});
		expect(await reverse(0)).toMatchObject({ ok: false, issues: [{ code: 'no_turns_yet' }] });
		const enough = (leastM: number) => told(answers.enough, { fit: FIT, leastM });
		expect(await enough(100)).toMatchObject({ enough: true, ways: [] });
		const short = await enough(160);
		expect(short.ways.map(({ kind }) => kind)).toEqual(['thinner-backing', 'smaller-gap', 'shorter-line']);
		// Each way is checked by carrying it out.
		const { solved } = await told(answers.fit, { ...FIT, gapMm: short.ways[1]!.gapMm! });
		expect(solved!.lengthM).toBeCloseTo(160, 4);
		const cut = await told(lines.cuts, { lengthM: 100, knots: ['arbor', 'loops'] });
		expect(cut.cutM + cut.leftoverM).toBeCloseTo(
			cut.buyM.reduce((a, b) => a + b, 0),
			6
		);
		expect(cut.buyM).toEqual([137.16]);
		expect((await told(lines.contrast, { one: '#ff6a00', other: '#4a7a3a' })).seen).toBe('clear');
	});
});

describe('at the ends of what may be asked', () => {
	it('a draw ends where physics does: no bulk and no thickness is below nothing', async () => {
		const sure = await told(answers.risk, { fit: FIT, spreads: { bulkShare: 0.05 }, trials: 2000 });
		const unsure = await told(answers.risk, {
			fit: FIT,
			spreads: { bulkShare: 0.5, diameterShare: 0.5 },
			trials: 2000
		});
		expect(unsure.gapMm.sd).toBeGreaterThan(2 * sure.gapMm.sd);
		for (const spreads of [{ layShare: 0.5 }, { bulkShare: 0.5 }])
			expect((await told(answers.methods, { fit: FIT, spreads, trials: 50 })).rungs.length).toBeGreaterThan(
				3
			);
	});
	it('a strand that lies more densely than anything can is refused, whatever is asked of it', async () => {
		const dense = { lineClass: 'WF6F', layEfficiency: 1.2 };
		const sent = { spool: SPOOL, lines: [{ line: dense, leastGapMm: 3 }], backing: BACKING };
		expect(await ask(lines.shared, sent)).toMatchObject({
			ok: false,
			issues: [{ code: 'packing_above_hexagonal', path: ['lines', 0, 'layEfficiency'] }]
		});
	});
	it('a reading without any doubt leaves an answer that is a number', async () => {
		const fit = { ...FIT, spreads: { diameterShare: 0 } };
		const readings = [{ kind: 'diameter', component: 0, diameterMm: 0.3 }];
		expect((await told(estimated, { fit, readings })).readings[0]!.surprise).toBe(true);
	});
	it('next to no turns leave a bare arbor, not less: a depth that contradicts it is told so', async () => {
		const fit = {
			spool: { rimDiameterMm: 70, arborDiameterMm: 24, widthMm: 16 },
			stack: [
				{
					role: 'bed',
					layEfficiency: 0.8,
					sections: [{ lengthM: 20, startDiameterMm: 1, endDiameterMm: 0.9 }]
				},
				{ role: 'bed', layEfficiency: 0.8, wraps: { count: 20, widthMm: 16 } }
			]
		};
		const at = { component: 0, turns: Number.MIN_VALUE, depthMm: 5 };
		expect(await ask(answers.paused, { fit, at })).toMatchObject({
			ok: false,
			issues: [{ code: 'reading_contradicts', path: ['at', 'depthMm'] }]
		});
	});
});
