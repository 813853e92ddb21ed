import { jobSteps, toolsOf, dayOf } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { jobOf, plannedSeconds } from './job';
import { LABEL_SIZES, labelOf } from './label';
import { PAST_ROWS, pastRun } from './past';
import { phraseText, sentence, showDuration, spoken } from '$lib/wording/phrase';
import type { Winding } from '$lib/inventory/winding';
import { sheetOf } from './sheet';
import { jobTitle, workOf } from './work';
import { measured, worked } from '$lib/setup/testing';

const form = measured();
const workout = worked(form);
const job = jobOf(form, workout);

const record = (given: Partial<Winding> = {}): Winding => ({
	id: 'r',
	setupId: 'u',
	spoolId: 's',
	woundOn: dayOf('2026-05-01'),
	writtenAt: 0,
	typed: {
		woundOn: '2026-05-01',
		turns: '900',
		depth: '12 mm',
		gap: '4.5 mm',
		note: 'Level.',
		who: 'the guide'
	},
	turns: 900,
	depthMm: 12,
	gapMm: 4.5,
	form,
	backingMm: 137_160,
	backingMeasured: true,
	run: {
		run: 'x',
		startedAt: '2026-05-01T18:00:00.000Z',
		seconds: 3600,
		plannedSeconds: 3000,
		turns: { backing: 900 },
		steps: [
			{ step: 'wind:backing', plannedSeconds: 1200, tookSeconds: 1500 },
			{ step: 'join:line', plannedSeconds: 360, tookSeconds: 240 },
			{ step: 'tools', tookSeconds: 100 }
		],
		remarks: [{ text: 'A little high on the left.', step: 'wind:backing' }],
		photos: [{ photo: 'p1', step: 'gap' }],
		remedies: [{ remedy: 'heaped', step: 'wind:backing' }],
		hand: 'right',
		knots: ['arbor: uni type, 2 turns']
	},
	...given
});

describe('the job sheet', () => {
	const work = workOf(job, { kind: 'wind' });
	const sheet = sheetOf(form, job, 'yd-mm', work, plannedSeconds(work.steps));
	it('says everything on the list of tools and every step, with the numbers of the fit', () => {
		expect(sheet.steps.map(({ title }) => title)).toEqual(jobSteps(job).map(({ title }) => title));
		expect(sheet.tools).toHaveLength(toolsOf(job).length);
		const facts = Object.fromEntries(sheet.facts);
		expect(facts['Stop at']).toBe(`${job.plan.stopDepthMm.toFixed(1)} mm below the rim`);
		expect(facts['Leader']).toBe('9 ft');
		expect(facts['Knots']).toContain('backing to line: loop to loop');
		expect(sheet.rows.map(([part]) => part)).toEqual([
			'backing: Braided polyester, 20 lb',
			'line: Weight-forward 5, floating'
		]);
		expect(new Set(sheet.cautions).size).toBe(sheet.cautions.length);
	});
	it('any other job has a sheet of its own: its steps, what they take, and what it is called', () => {
		const mend = { kind: 'repair', mend: 'front-loop' } as const;
		const repair = workOf(job, mend);
		const other = sheetOf(form, job, 'yd-mm', repair, 600, jobTitle(mend));
		expect(other.facts[0]).toEqual(['Job', "Mend the line's front end on the water"]);
		expect(other.steps.map(({ title }) => title)).toContain('Cut back to sound line');
		expect(other.tools.length).toBe(repair.tools.length);
	});
	it('a line that goes on the arbor itself has no depth to stop at', () => {
		const { stopPart: _, ...bare } = { ...job, parts: job.parts.slice(1) };
		expect(Object.fromEntries(sheetOf(form, bare, 'yd-mm', work, 60).facts)['Stop at']).toBe('no backing');
	});
});

describe('phrases', () => {
	it('show a quantity in the units chosen', () => {
		expect(sentence(['Stop ', { smallMm: 11.43 }, ' below'], 'yd-mm')).toBe('Stop 11.4 mm below');
		expect(phraseText({ longMm: 91_440 }, 'm-mm')).toBe('91 m');
		expect(phraseText({ leaderMm: 2743.2 }, 'yd-in')).toBe('9 ft');
		expect(phraseText({ turns: 949.3 }, 'yd-mm')).toBe('949');
	});
	it('read a step aloud whole: what to do, the number, how it looks when right', () => {
		const step = jobSteps(job).find(({ id }) => id === 'wind:backing')!;
		const said = spoken(step, 'yd-mm');
		expect(said).toMatch(/^Wind the backing\. Stop at this depth below the rim: \d+\.\d mm/);
		expect(said).toContain('It should look like this: The backing is flat from flange to flange');
	});
	it.each([
		[20, '1 min'],
		[560, '9 min'],
		[740, '10 min'],
		[3550, '1 h'],
		[5400, '1 h 30 min']
	])('%d s is %s', (seconds, shown) => {
		expect(showDuration(seconds)).toBe(shown);
	});
});

describe("the spool's label", () => {
	it('says what is on it from the outside in, the gap and the day', () => {
		const label = labelOf(record(), 'yd-mm')!;
		expect(label.lines).toEqual(['WF5F, 30 yd', '150 yd 20 lb polyester', 'left-hand wind']);
		expect(label.foot).toBe('gap 4.5 mm; 1 May 2026');
	});
	it('says about, and planned, of what was not measured', () => {
		const label = labelOf(record({ gapMm: null, backingMeasured: false }), 'm-mm')!;
		expect(label.lines[1]).toBe('about 137 m 20 lb polyester');
		expect(label.foot).toMatch(/^gap 4\.0 mm planned/);
	});
	it('comes in sizes that differ', () => {
		expect(new Set(LABEL_SIZES.map(({ slug }) => slug)).size).toBe(LABEL_SIZES.length);
	});
});

describe('planned against actual', () => {
	it('has both for every row, times of winding and of tying apart', () => {
		const run = pastRun(record(), 'yd-mm');
		expect(Object.keys(run.cells)).toEqual(Object.keys(PAST_ROWS));
		expect(run.cells.turns.actual).toBe('900');
		expect(run.cells.depth).toEqual({ planned: `${job.plan.stopDepthMm.toFixed(1)} mm`, actual: '12.0 mm' });
		expect(run.cells.winding).toEqual({ planned: '20 min', actual: '25 min' });
		expect(run.cells.tying).toEqual({ planned: '6 min', actual: '4 min' });
		expect(run.cells.time).toEqual({ planned: '50 min', actual: '1 h' });
		expect(run).toMatchObject({ hand: 'right', who: 'the guide', photos: ['p1'] });
		expect(run.remarks).toEqual(['Level.', 'A little high on the left.']);
		expect(run.troubles).toEqual(["It's heaped on one side, or loose"]);
	});
	it('a winding without a run, or without readings, has dashes there', () => {
		const run = pastRun(record({ run: null, turns: null, depthMm: null, gapMm: null }), 'yd-mm');
		expect(run.cells.turns.actual).toBe('–');
		expect(run.cells.winding).toEqual({ planned: '–', actual: '–' });
		expect(run.hand).toBe('left');
		expect(run.knots).toEqual([]);
	});
});
