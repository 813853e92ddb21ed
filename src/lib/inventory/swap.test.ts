import { level, ROLES, solveFit, type KnownComponent, dayOf } from '$lib/core';
import { windStackReference } from '$lib/core/fit/reference';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobText, readJob, workOf } from '$lib/bench/work';
import { jobOf } from '$lib/bench/job';
import { newComponent } from '$lib/setup/presets';
import { windingHistory, strandIdOf, stillOn } from './strands';
import type { Winding } from './winding';
import type { ComponentForm, SetupForm } from '$lib/setup/form';
import { insteadOf, offParts, swapped, type SpoolNow } from './swap';
import { measured, worked } from '$lib/setup/testing';

/** A winding with so many of its components still there, on a spool that is described as it was then. */
const now = (wound: Winding, still: number): SpoolNow => ({
	record: wound,
	still,
	spool: wound.form.spool
});

let count = 0;
const record = (form: SetupForm, given: Partial<Winding> = {}): Winding => ({
	id: `record-${(count += 1)}`,
	setupId: 'setup-1',
	spoolId: 'spool-1',
	woundOn: dayOf('2026-04-01'),
	writtenAt: (count += 10),
	typed: { woundOn: '2026-04-01', turns: '', depth: '', gap: '', note: '', who: '' },
	turns: null,
	depthMm: null,
	gapMm: null,
	form,
	backingMm: worked(form).fit.solved?.lengthMm ?? 0,
	backingMeasured: false,
	run: null,
	...given
});
const line = (number: number, density: 'F' | 'I' | 'S' = 'F'): ComponentForm =>
	newComponent('line', 'line', { way: 'class', class: { taper: 'WF', number, density } });
const must = <T>(result: { ok: true; value: T } | { ok: false; issues: readonly unknown[] }): T => {
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
};

describe('what goes on instead of what', () => {
	it('is mutual: a whole line and its makings not together, a tip with anything', () => {
		for (const a of ROLES)
			for (const b of ROLES) expect(insteadOf(a).includes(b), `${a} ${b}`).toBe(insteadOf(b).includes(a));
		expect(insteadOf('line')).toContain('head');
		expect(insteadOf('head')).not.toContain('running-line');
		for (const other of ROLES.filter((role) => role !== 'tip')) expect(insteadOf('tip')).not.toContain(other);
	});
});

describe('the set-up that a swap leads to', () => {
	it('keeps nothing that was measured with the line that comes off: no half-fit, no reverse fill', () => {
		const form = measured();
		form.fill.halfFit = '12.5 mm';
		form.fill.reverseTurns = '600';
		const to = must(swapped(now(record(form), 2), 1, [line(6)], 'yd-mm'));
		expect(to.form.fill).toMatchObject({ halfFit: '', reverseTurns: '', swaps: [] });
		expect(to.form.fill.stack[0]!.solve).toBe(true);
	});
});

describe('the gap that a swap leaves', () => {
	it('is what a turn-by-turn winding of the same strands comes to, over the backing as it was wound', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 75, max: 95 }),
				fc.integer({ min: 3, max: 6 }),
				fc.integer({ min: 1, max: 5 }),
				fc.constantFrom('F' as const, 'I' as const, 'S' as const),
				(rimMm, number, before, density) => {
					const form = measured(`${rimMm} mm`);
					form.fill.stack[1] = line(before + 2);
					const wound = record(form);
					const to = must(swapped(now(wound, 2), 1, [line(number, density)], 'yd-mm'));
					const { known, stack } = worked(form);
					const other = worked({
						...form,
						fill: { ...form.fill, stack: [form.fill.stack[0]!, line(number, density)] }
					});
					const strands: KnownComponent[] = [
						{ ...stack[0]!, sections: [level(wound.backingMm, stack[0]!.sections[0]!.startDiameterMm)] },
						other.stack[1]!
					];
					const oracle = windStackReference({ ...known.spool, widthAtMm: () => 21 }, strands, 4).at(-1)!;
					expect(to.gapMm).toBeCloseTo(known.spool.gapFromRadiusMm - oracle.outerRadiusMm, 1);
				}
			),
			{ numRuns: 12 }
		);
	});
	it('put back, the same line leaves the same gap, and the backing comes out as it lies', () => {
		const form = measured();
		const wound = record(form);
		const to = must(swapped(now(wound, 2), 1, [form.fill.stack[1]!], 'yd-mm'));
		expect(to.gapMm).toBeCloseTo(worked(form).fit.gapMm, 6);
		// The gap is typed to a hundredth of a millimetre.
		expect(worked(to.form).fit.solved!.lengthMm / wound.backingMm).toBeCloseTo(1, 2);
	});
	it('goes by the backing that was measured, not the one that was planned', () => {
		const form = measured();
		const planned = worked(form).fit.solved!;
		const deeper = record(form, { depthMm: planned.stopDepthMm + 2, turns: 300 });
		const gap = (from: Winding) => must(swapped(now(from, 2), 1, [line(5)], 'yd-mm')).gapMm;
		expect(gap(deeper)).toBeGreaterThan(gap(record(form)) + 1);
	});
	it('too much stands too high, and says so', () => {
		const small = record(measured('62 mm', '40 mm', '16 mm'));
		expect(must(swapped(now(small, 2), 1, [line(12, 'F')], 'yd-mm')).fits).toBe(false);
	});
	it('nothing can stay of what is not there', () => {
		const wound = record(measured());
		expect(swapped(now(wound, 1), 2, [line(5)], 'yd-mm').ok).toBe(false);
		expect(swapped(now(wound, 2), 0, [line(5)], 'yd-mm').ok).toBe(false);
	});
	it('what goes on over its like gets a name of its own', () => {
		const roomy = measured();
		roomy.fill.gap = '12 mm';
		const { form } = must(swapped(now(record(roomy), 2), 2, [line(3)], 'yd-mm'));
		expect(form.fill.stack.map(({ id }) => id)).toEqual(['backing', 'line', 'line-2']);
		expect(solveFit(worked(form).known.spool, worked(form).stack, 0).ok).toBe(true);
	});
});

describe('what is where, told from windings', () => {
	const form = measured();
	const first = record(form);
	const swap = must(swapped(now(first, 2), 1, [{ ...line(6, 'I'), note: 'sinker' }], 'yd-mm')).form;
	const second = record(swap, { setupId: 'setup-2', woundOn: dayOf('2026-06-01') });
	const at = (records: readonly Winding[], id: string) => {
		const moved = windingHistory(records)
			.events.get(id)!
			.filter(({ kind }) => kind === 'moved')
			.at(-1);
		return moved?.kind === 'moved' ? moved.to : undefined;
	};
	it('backing stays one and the same; the line before is on a coil, the new one on the spool', () => {
		const { kept, events } = windingHistory([first, second]);
		expect(kept.map(({ id }) => id)).toEqual(['setup-1:backing', 'setup-1:line', 'setup-2:line']);
		expect(at([first, second], 'setup-1:line')).toMatchObject({ on: 'coil' });
		expect(at([first, second], 'setup-2:line')).toEqual({ on: 'spool', spoolId: 'spool-1' });
		expect(events.get('setup-1:backing')!.map(({ kind }) => kind)).toEqual(['came', 'moved', 'line-changed']);
	});
	it('the label of the coil and the tug test come from the run at the bench', () => {
		const run = {
			job: 'swap',
			coils: { line: 'spring box' },
			tug: 'doubtful'
		} as unknown as Winding['run'];
		const done = { ...second, id: 'done', run };
		expect(at([first, done], 'setup-1:line')).toEqual({ on: 'coil', label: 'spring box' });
		const backing = windingHistory([first, done]).events.get('setup-1:backing')!;
		expect(backing.at(-1)).toMatchObject({ kind: 'tug-test', result: 'doubtful' });
	});
	it('from reel to reel: it is on the other, and not left on the first', () => {
		const other = record(measured('90 mm'), { setupId: 'setup-3', spoolId: 'spool-2' });
		const taken = { ...form.fill.stack[1]!, kept: 'setup-1:line' };
		const moved = must(swapped(now(other, 2), 1, [taken], 'yd-mm')).form;
		const third = record(moved, { setupId: 'setup-4', spoolId: 'spool-2' });
		const records = [first, other, third];
		expect(at(records, 'setup-1:line')).toEqual({ on: 'spool', spoolId: 'spool-2' });
		expect(at(records, 'setup-3:line')).toMatchObject({ on: 'coil' });
		const spoolOf = (id: string) => {
			const to = at(records, id);
			return to?.on === 'spool' ? to.spoolId : null;
		};
		expect(stillOn(first, spoolOf)).toBe(1);
		expect(stillOn(third, spoolOf)).toBe(2);
		// Something wound on the first spool later does not touch what left it.
		expect(at([...records, record(measured(), { setupId: 'setup-5' })], 'setup-1:line')).toEqual({
			on: 'spool',
			spoolId: 'spool-2'
		});
	});
	it('wound again as it was, everything is respooled', () => {
		const { events } = windingHistory([first, record(form)]);
		expect(events.get('setup-1:line')!.map(({ kind }) => kind)).toContain('respooled');
	});
	it('how it came off what it was on goes into its twist', () => {
		const travelled = [
			{ part: 'line', source: 'line-spool', leaving: 'over-side', seen: 'clockwise' }
		] as const;
		const careless = record(form, { typed: { ...first.typed, travelled: [...travelled] } });
		const moved = windingHistory([careless])
			.events.get('setup-1:line')!
			.find(({ kind }) => kind === 'moved');
		// 27.4 m off a spool of 130 mm: about 67 coils (L / pi d).
		expect(moved?.kind === 'moved' && moved.turns!.mean).toBeCloseTo(27_432 / (Math.PI * 130), 0);
	});
	it("a strand is the one it is said to be, else its set-up's own", () => {
		expect(strandIdOf('s', { id: 'line' })).toBe('s:line');
		expect(strandIdOf('s', { id: 'line', kept: 'other:line' })).toBe('other:line');
	});
	it('what comes off is named from the outside in', () => {
		expect(offParts(now(first, 2), 1).map(({ id }) => id)).toEqual(['line']);
		expect(offParts(now(first, 2), 2)).toEqual([]);
	});
});

describe('a job in an address', () => {
	it.each(['wind', 'swap', 'off.1', 'untwist.line.40000', 'untwist.head.2.1500'])('%s reads back', (job) => {
		expect(jobText(readJob(job)!)).toBe(job);
	});
	it.each([null, '', 'fly', 'off', 'off.x', 'untwist.line', 'untwist..3'])('%s is none', (job) => {
		expect(readJob(job)).toBeUndefined();
	});
	it("a part that is not there has no steps, rather than someone else's", () => {
		const form = measured();
		const job = jobOf(form, worked(form));
		expect(workOf(job, { kind: 'untwist', part: 'tip', laneMm: 40_000 }).steps).toEqual([]);
		expect(workOf(job, { kind: 'untwist', part: 'line', laneMm: 40_000 }).steps.length).toBeGreaterThan(5);
		expect(workOf(job, { kind: 'wind' }).stopPart).toBe('backing');
	});
});
