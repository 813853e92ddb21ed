import { describe, expect, it } from 'vitest';
import { codes, measured, worked } from './testing';
import { readWinding, settleWinding } from '$lib/inventory/read-winding';
import { settleSetup } from './settle';
import { newSetup } from './presets';
import { SetupForm } from './form';
import { type WindingForm } from '$lib/inventory/winding';
import { showLeader, showLong, showSmall, showToCut } from '$lib/wording/units';
import { wordIssue } from '$lib/wording/issues';
import { jobSteps } from '$lib/core';
import { jobOf, knotsOf, plannedSeconds } from '$lib/bench/job';
import { lineLabel } from '$lib/wording/strands';
import { workOut } from './evaluate-form';
import { asWound, lengthOfTurnsMm } from '$lib/inventory/wound';

describe('working a set-up out', () => {
	it('a new one only lacks the figure from the box', () => {
		expect(codes(newSetup())).toEqual(['spool.ratings.0.length: missing_value']);
	});
	it('inches and millimetres come to the same', () => {
		const inches = worked(measured('3.30708661 in', '1.4960629921 in', '0.8267716535 in'));
		expect(inches.fit.solved!.lengthMm / worked(measured()).fit.solved!.lengthMm).toBeCloseTo(1, 6);
	});
	it('a bare number takes the unit shown', () => {
		const form = measured('3.5', '1.5', '7/8');
		expect(workOut(form, 'yd-in')).toMatchObject({ ok: true });
		expect(codes(form)).toContain('spool.rim: out_of_range');
	});
	it('names every field that is wrong, with a sentence', () => {
		const form = measured('x', '', '0 mm');
		form.fill.gap = '7 furlongs';
		form.fill.leader = '1,000 ft';
		form.fill.stack[1]!.length = '3 yd';
		form.fill.stack[0]!.made = { way: 'material', material: 'polyester-20', diameter: '-1 mm' };
		expect(codes(form)).toEqual([
			'spool.rim: unreadable_quantity',
			'spool.arbor: missing_value',
			'spool.width: out_of_range',
			'fill.stack.0.made.diameter: out_of_range',
			'fill.stack.1.length: shorter_than_head',
			'fill.gap: unknown_unit',
			'fill.leader: ambiguous_comma'
		]);
		const result = workOut(form, 'yd-mm');
		if (result.ok) throw new Error('worked');
		for (const issue of result.issues) expect(wordIssue(issue).message.length).toBeGreaterThan(10);
	});
	it("puts the core's issues on the fields they belong to", () => {
		expect(codes(measured('38 mm', '84 mm'))).toEqual(['spool.arbor: arbor_not_inside_rim']);
		const deep = measured();
		deep.fill.gap = '40 mm';
		expect(codes(deep)).toEqual(['fill.gap: gap_leaves_no_room']);
		const boastful = newSetup();
		boastful.spool.ratings[0]!.length = '900 yd';
		boastful.spool.rim = '60 mm';
		boastful.spool.width = '12 mm';
		expect(codes(boastful)).toEqual(['spool.ratings.0.length: rating_beyond_measures']);
	});
	it('feeds the procedure', () => {
		const form = measured();
		const job = jobOf(form, worked(form));
		expect(job).toMatchObject({ hand: 'left', stopPart: 'backing', schools: { arborKnot: 'overhand' } });
		expect(job.parts).toMatchObject([
			{ role: 'backing', strengthLb: 20, cuts: false },
			{ role: 'line', label: 'Weight-forward 5, floating', joint: 'loops', sinking: false }
		]);
		expect(jobOf(form, worked(form), { arborKnot: 'uni' }).schools.arborKnot).toBe('uni');
		const own = { ...form, fill: { ...form.fill, schools: { arborKnot: 'doubled' } as const } };
		expect(jobOf(own, worked(own), { arborKnot: 'uni' }).schools.arborKnot).toBe('doubled');
		expect(plannedSeconds(jobSteps(job))).toBeGreaterThan(20 * 60);
		const cut = jobOf(form, worked(form), { weldedLoop: 'cut' });
		expect(knotsOf(cut)[1]).toBe('backing to line: nail knot');
		expect(knotsOf(job)).toEqual(['arbor: overhand and stopper, 2 turns', 'backing to line: loop to loop']);
		expect(job.plan.turns).toBeGreaterThan(500);
		expect(lineLabel({ taper: 'DT', number: 4, density: 'I' })).toBe('Double taper 4, intermediate');
	});
});

describe('settling', () => {
	it('makes bare units explicit and leaves the rest as typed', () => {
		const form = measured('84', '1 1/2 in', '21');
		form.fill.stack[1]!.length = '30';
		const settled = settleSetup(form, 'yd-mm');
		expect(settled.spool).toMatchObject({ rim: '84 mm', arbor: '1 1/2 in', width: '21 mm', frame: '' });
		expect(settled.fill.stack[1]!.length).toBe('30 yd');
		expect(settleSetup(settled, 'm-mm')).toEqual(settled);
		expect(SetupForm.parse(settled)).toEqual(settled);
	});
});

describe('how it turned out', () => {
	const typed = (given: Partial<WindingForm>): WindingForm => ({
		woundOn: '2026-03-01', turns: '', depth: '', gap: '', note: '', who: '', ...given
	}); // prettier-ignore
	it('may be left open', () => {
		expect(readWinding(typed({}), 'yd-mm')).toEqual({
			ok: true,
			value: { turns: null, depthMm: null, gapMm: null }
		});
	});
	it('reads units, and a gap that is none', () => {
		const read = readWinding(typed({ turns: '949 turns', depth: '0.45 in', gap: '-1' }), 'yd-mm');
		expect(read).toMatchObject({ ok: true, value: { turns: 949, gapMm: -1 } });
		expect(read.ok && read.value.depthMm).toBeCloseTo(11.43, 6);
		expect(settleWinding(typed({ depth: '11' }), 'yd-mm').depth).toBe('11 mm');
	});
	it.each([
		[{ turns: 'many' }, 'turns'],
		[{ turns: '-3' }, 'turns'],
		[{ depth: 'deep' }, 'depth'],
		[{ gap: '400 mm' }, 'gap']
	])('refuses %j', (given, field) => {
		expect(readWinding(typed(given), 'yd-mm')).toMatchObject({ ok: false, issues: [{ path: [field] }] });
	});
	it('turns and depth give the length, whatever the diameter: L = πN(D₀ + D₁)/2', () => {
		expect(lengthOfTurnsMm(949.27084, 19, 30.572064) / 1000).toBeCloseTo(147.835, 3);
		const wound = asWound(measured(), { turns: 900, depthMm: 12, gapMm: 4.6 })!;
		expect(wound).toMatchObject({ backingMeasured: true, surfacesMm: [30, 37.4] });
		expect(wound.backingMm).toBeCloseTo(Math.PI * 900 * 49, 6);
	});
	it('depth alone: the planned length in proportion', () => {
		const plan = worked(measured()).fit.solved!;
		const wound = asWound(measured(), { turns: null, depthMm: plan.stopDepthMm, gapMm: null })!;
		expect(wound.backingMeasured).toBe(false);
		expect(wound.backingMm).toBeCloseTo(plan.lengthMm, 6);
		expect(asWound(measured(), { turns: null, depthMm: 20, gapMm: null })!.backingMm).toBeLessThan(
			plan.lengthMm
		);
	});
	it('an unfinished set-up has nothing to draw', () => {
		expect(asWound(newSetup(), { turns: 1, depthMm: 1, gapMm: 1 })).toBeUndefined();
	});
});

describe('units shown', () => {
	it('yards and metres, inches and millimetres', () => {
		expect(showLong(147_835, 'yd-mm')).toBe('162 yd');
		expect(showLong(147_835, 'm-mm')).toBe('148 m');
		expect(showSmall(11.43, 'yd-in')).toBe('0.45 in');
		expect(showLeader(2743.2, 'yd-mm')).toBe('9 ft');
		expect(showLeader(2286, 'yd-mm')).toBe('7.5 ft');
		expect(showToCut(160_400, 'yd-mm')).toBe('180 yd');
	});
});
