import { keys } from '../keys';
import { describe, expect, it } from 'vitest';
import { stretchAndWalk } from '../twist/let-out';
import { remediesAt } from './remedies';
import { kindOf, type Step } from './step';
import { swapSteps, swapTools, type OffPart, type SwapPlan } from './swap';
import { jobFor, STACKS } from './testing';
import { untwistSteps, untwistTools } from './untwist';

const off = (role: OffPart['role'], id: string = role): OffPart => ({
	id,
	role,
	label: `old ${role}`,
	lengthMm: 27_000,
	turns: 120,
	joint: 'loops'
});
const ids = (steps: readonly Step[]): string[] => steps.map(({ id }) => id);
const text = (step: Step): string => JSON.stringify(step);
const NAMES = keys(STACKS);

describe('a swap, step by step (common practice)', () => {
	const plan: SwapPlan = {
		off: [off('line')],
		on: [{ part: 'line', from: 'coil', where: 'winter box' }],
		over: 'backing'
	};
	it('off first, tied and labelled; the bare backing tested; then on, as when it was new', () => {
		expect(ids(swapSteps(jobFor(), plan))).toEqual([
			'tools',
			'off:line',
			'tie:line',
			'tug',
			'end:line',
			'join:line',
			'hub:line',
			'wind:line',
			'gap',
			'leader',
			'last-look',
			'label'
		]);
	});
	it('says what the trade says: drag slack, the storage spool turning, rear end last, ties in two to four places', () => {
		const [, takeOff, tie, , end, , hub] = swapSteps(jobFor(), plan);
		expect(text(takeOff!)).toMatch(/drag all the way.*storage spool.*turns.*rear end comes last/);
		expect(text(tie!)).toMatch(/two to four places/);
		expect(text(end!)).toContain('winter box');
		expect(text(hub!)).toMatch(/joined now.*over the hub.*only then take the ties off/);
		expect(takeOff!.figure!.value).toEqual({ longMm: 27_000 });
	});
	it('a tip alone does not bare the backing; from another reel there is no coil', () => {
		const steps = swapSteps(jobFor({ stack: 'spey' }), {
			off: [off('tip')],
			on: [{ part: 'tip', from: 'reel', where: 'Tarn reel' }],
			over: 'head'
		});
		expect(ids(steps)).not.toContain('tug');
		expect(text(steps.find(({ kind }) => kind === 'hub')!)).toMatch(
			/Tarn reel.*storage spool, front end first/
		);
	});
	it('the loop in the backing that held a line before is used again; after a knot a new one is tied', () => {
		const join = (joint: 'loops' | 'nail'): Step =>
			swapSteps(jobFor(), { ...plan, off: [{ ...off('line'), joint }] }).find(
				({ id }) => id === 'join:line'
			)!;
		expect(text(join('loops'))).toContain('use it again');
		expect(join('loops').knots!.map(({ slug }) => slug)).toEqual(['loop-to-loop']);
		expect(text(join('nail'))).toContain('Tie a loop of 8–10 in');
		expect(join('nail').knots!.map(({ slug }) => slug)).toEqual(['surgeons-loop', 'loop-to-loop']);
	});
	it('from reel to reel it takes a storage spool for each line that comes off', () => {
		const swap: SwapPlan = { ...plan, on: [{ part: 'line', from: 'reel', where: 'Tarn reel' }] };
		const storage = (p: SwapPlan) => swapTools(jobFor(), p).find(({ key }) => key === 'storage')!.name;
		expect(storage(swap)).toEqual(['2 storage spools, one for each line that comes off']);
		expect(storage(plan)).toEqual(['Storage spool, on an axle']);
		expect(ids(swapSteps(jobFor(), swap)).slice(4, 8)).toEqual([
			'hub:line',
			'end:line',
			'join:line',
			'wind:line'
		]);
		expect(swapTools(jobFor(), swap).map(({ key }) => key)).not.toContain('hub');
	});
	it('with nothing to go on it ends when what came off is put away', () => {
		expect(ids(swapSteps(jobFor(), { ...plan, on: [] }))).toEqual(['tools', 'off:line', 'tie:line', 'tug']);
	});
	it.each(NAMES)(
		'%s: every step is of a known kind, once; takes time, says right and wrong; tools are there once',
		(stack) => {
			const setup = jobFor({ stack });
			const outermost = setup.parts.at(-1)!;
			const under = setup.parts.at(-2);
			const swap: SwapPlan = {
				off: [off(outermost.role, outermost.id)],
				on: [{ part: outermost.id, from: 'new', where: '' }],
				over: under?.role
			};
			const steps = swapSteps(setup, swap);
			expect(new Set(ids(steps)).size).toBe(steps.length);
			for (const step of steps) {
				expect(kindOf(step.id)).toBe(step.kind);
				expect(step.seconds).toBeGreaterThan(0);
				expect(Math.min(step.right.length, step.wrong.length, step.then.length)).toBeGreaterThan(0);
			}
			const tools = swapTools(setup, swap).map(({ key }) => key);
			expect(new Set(tools).size).toBe(tools.length);
			expect(tools).toEqual(expect.arrayContaining(['storage', 'ties', 'hub']));
			// What goes wrong on the way has a way back that lies within this very job.
			steps.forEach((_, at) => {
				for (const { back } of remediesAt(steps, at))
					expect(ids(steps).indexOf(back)).toBeLessThanOrEqual(at);
			});
		}
	);
});

describe('stretching a line and walking it, step by step (common practice)', () => {
	const setup = jobFor();
	const [backing, line] = setup.parts;
	const way = (laneMm: number) =>
		stretchAndWalk({ lengthMm: 27_000, laneMm, has: [], weakestLb: 20, turns: 40 });
	const steps = (laneMm: number) => untwistSteps(setup, { part: line!, under: backing, way: way(laneMm) });
	it('anchor, lay out, walk, join, wind in stretched, and a loop test at the end', () => {
		expect(ids(steps(40_000))).toEqual([
			'tools',
			'lane',
			'anchor',
			'lay:1',
			'walk:1',
			'rejoin',
			'wind:line',
			'loop-test'
		]);
		expect(text(steps(40_000)[5]!)).toMatch(/tighten the drag/);
		// It lies out, fixed at its front: there is no coil to pass, and the loop is there.
		expect(text(steps(40_000)[5]!)).toMatch(/use it again.*draw the whole line through/);
		expect(text(steps(40_000)[5]!)).not.toContain('whole coil');
		expect(text(steps(40_000)[6]!)).toMatch(/stretched between you and the anchor/);
	});
	it('in parts where the lane is shorter, and the end is free only in the last', () => {
		const short = steps(15_000);
		expect(ids(short).filter((id) => id.startsWith('lay'))).toEqual(['lay:1', 'lay:2', 'lay:3']);
		const part = short.find(({ id }) => id === 'lay:2')!;
		expect(part.figure!.value).toEqual({ longMm: 9000 });
		expect(text(part)).not.toMatch(/rear end lies free/);
		expect(text(short.find(({ id }) => id === 'lay:3')!)).toMatch(/rear end lies free/);
		expect(text(short.find(({ id }) => id === 'walk:1')!)).toMatch(/still loose/);
	});
	it('warns of what trips and snaps, and of a fly', () => {
		const cautions = new Set(steps(40_000).flatMap((step) => step.cautions));
		expect([...cautions]).toEqual(expect.arrayContaining(['stretch', 'scraps', 'no-fly']));
		expect(
			untwistTools(setup, { part: line!, under: backing, way: way(40_000) }).map(({ key }) => key)
		).toContain('strap');
	});
	it('a line on the arbor itself is not parted from any backing', () => {
		const bare = untwistSteps(setup, { part: line!, under: undefined, way: way(40_000) });
		expect(ids(bare)).not.toContain('rejoin');
	});
});
