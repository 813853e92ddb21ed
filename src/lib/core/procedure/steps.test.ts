import { keys } from '../keys';
import { describe, expect, it } from 'vitest';
import { findKnot } from '../knots/catalogue';
import { wrapsOf } from '../knots/knot';
import { JOINT_BUYS, JOINTS } from './job';
import { loopOverSpoolMm } from './arbor';
import { jointsBetween } from './joints';
import { toolsOf } from './laid-out';
import { TECHNIQUE_KEYS, TECHNIQUES, techniquesOf, gapOfTechnique, USUAL_TECHNIQUES } from './techniques';
import { kindOf, type Step } from './step';
import { jobSteps } from './steps';
import { jobFor, STACKS, type Given } from './testing';

/** Content is common practice throughout. */
const stepOf = (given: Given, id: string): Step => jobSteps(jobFor(given)).find((step) => step.id === id)!;
const idsOf = (given: Given): string[] => jobSteps(jobFor(given)).map(({ id }) => id);
const toolKeys = (given: Given): string[] => toolsOf(jobFor(given)).map(({ key }) => key);

describe('the order of work', () => {
	it('prepares, winds part by part from the arbor outward, and finishes', () => {
		expect(idsOf({})).toEqual([
			'tools',
			'hand',
			'mount',
			'supply',
			'cage',
			'arbor',
			'wind:backing',
			'end:line',
			'join:line',
			'wind:line',
			'gap',
			'leader',
			'last-look',
			'label'
		]);
		expect(idsOf({ stack: 'spey' }).slice(5, 15)).toEqual([
			'arbor',
			'wind:backing',
			'join:running',
			'wind:running',
			'end:head',
			'join:head',
			'wind:head',
			'end:tip',
			'join:tip',
			'wind:tip'
		]);
	});
	it.each(keys(STACKS))('%s: the cage comes before the arbor, each join before its winding', (stack) => {
		const ids = idsOf({ stack, cage: 'closed' });
		expect(ids.indexOf('cage')).toBeLessThan(ids.indexOf('arbor'));
		for (const { id } of STACKS[stack].slice(1))
			expect(ids.indexOf(`join:${id}`)).toBeLessThan(ids.indexOf(`wind:${id}`));
		expect(new Set(ids).size).toBe(ids.length);
		for (const id of ids) expect(kindOf(id)).toBeDefined();
	});
	it.each(keys(STACKS))('%s: each step has a right, a wrong and a way out, and a time', (stack) => {
		for (const step of jobSteps(jobFor({ stack }))) {
			for (const part of [step.right, step.wrong, step.then]) expect(part.length).toBeGreaterThan(0);
			expect(step.instructions.length).toBeGreaterThan(0);
			expect(step.seconds).toBeGreaterThan(0);
		}
	});
	it('the backing is wound to the stop depth, with turns and length beside it', () => {
		const { figure } = stepOf({}, 'wind:backing');
		expect(figure).toMatchObject({ value: { smallMm: 11.4 } });
		expect(figure!.beside).toContainEqual({ turns: 949 });
		expect(figure!.beside).toContainEqual({ longMm: 148_000 });
	});
	it('every job defers to the leaflet, keeps flies away and takes the scraps home', () => {
		expect(stepOf({}, 'hand').cautions).toContain('leaflet');
		expect(stepOf({}, 'mount').cautions).toContain('no-fly');
		expect(stepOf({}, 'last-look').cautions).toContain('scraps');
	});
	it('only thin braid is said to cut, where it runs through the fingers', () => {
		expect(stepOf({ stack: 'thin braid' }, 'wind:backing').cautions).toContain('thin-braid');
		expect(stepOf({ stack: 'thin braid' }, 'wind:line').cautions).not.toContain('thin-braid');
		expect(stepOf({}, 'wind:backing').cautions).not.toContain('thin-braid');
	});
	it('a drill winds faster than a hand, and takes a caution', () => {
		const by = (mount: 'butt' | 'drill') => stepOf({ schools: { mount } }, 'wind:backing');
		expect(by('drill').seconds).toBeLessThan(by('butt').seconds / 2);
		expect(by('drill').cautions).toContain('drill');
		expect(by('butt').cautions).not.toContain('drill');
	});
});

describe('the knot drawn with a step', () => {
	const drawn = (given: Given, id: string) =>
		(stepOf(given, id).knots ?? []).map(({ slug, wraps }) => [slug, wraps]);
	it('is the one that is tied there, with its wraps', () => {
		expect(drawn({ schools: { arborKnot: 'doubled' } }, 'arbor')).toEqual([['overhand-arbor', 2]]);
		expect(drawn({}, 'join:line')).toEqual([
			['surgeons-loop', 3],
			['loop-to-loop', 1]
		]);
		// By what the strand is, not by the pounds it is sold as: slick 30 lb braid takes three passes, 30 lb polyester two.
		expect(drawn({ stack: 'thin braid' }, 'join:line')[0]).toEqual(['surgeons-loop', 3]);
		expect(drawn({ stack: 'sinking' }, 'join:line')[0]).toEqual(['surgeons-loop', 2]);
		expect(drawn({ joint: 'double-uni', stack: 'thin braid' }, 'join:line')).toEqual([['double-uni', 5]]);
		expect(drawn({ stack: 'spey' }, 'join:head')).toEqual([['loop-to-loop', 1]]);
		expect(drawn({ joint: 'nail', stack: 'sinking' }, 'join:line')).toEqual([['nail-knot', 8]]);
		expect(drawn({ joint: 'albright' }, 'join:line')).toEqual([['albright', 9]]);
		expect(drawn({ joint: 'own-loop' }, 'join:line').map(([slug]) => slug)).toEqual([
			'own-loop',
			'surgeons-loop',
			'loop-to-loop'
		]);
		expect(drawn({ schools: { arborKnot: 'spool-loop' } }, 'arbor')[0]![0]).toBe('spool-loop');
		expect(drawn({}, 'leader').map(([slug]) => slug)).toEqual(['leader-uncoiled', 'loop-to-loop']);
	});
	it('is there to be drawn, and takes so many', () => {
		for (const stack of keys(STACKS))
			for (const { slug, wraps } of jobSteps(jobFor({ stack, joint: 'nail' })).flatMap(
				({ knots = [] }) => knots
			))
				expect(wrapsOf(findKnot(slug)!, wraps)).toBe(wraps);
	});
});

describe('a loop that goes over the whole spool', () => {
	it('is some 66 mm longer than the arbor is round, on a spool of 84 and 38 mm (plane geometry)', () => {
		const loopMm = loopOverSpoolMm({ rimRadiusMm: 42, arborRadiusMm: 19 });
		expect(loopMm).toBeCloseTo(185.5, 1);
		expect(loopMm - 2 * Math.PI * 19).toBeCloseTo(66, 0);
		// Over a rim that is no higher than the arbor it only goes round.
		expect(loopOverSpoolMm({ rimRadiusMm: 19, arborRadiusMm: 19 })).toBeCloseTo(2 * Math.PI * 19, 9);
	});
});

describe('what can join two strands', () => {
	it('is what the chooser of knots has for that place', () => {
		expect(jointsBetween('bed', 'backing')).toEqual(['double-uni', 'albright']);
		expect(jointsBetween('backing', 'line')).toEqual(['loops', 'own-loop', 'nail', 'albright']);
		expect(jointsBetween('running-line', 'head')).toContain('loops');
	});
});

describe('what is laid out', () => {
	it('is what this job takes, each once, with what can stand in', () => {
		const keys = toolKeys({ joint: 'nail' });
		expect(keys).toEqual(
			expect.arrayContaining(['reel', 'part:backing', 'part:line', 'leader', 'rod-butt', 'nail-tool'])
		);
		expect(new Set(keys).size).toBe(keys.length);
		expect(toolsOf(jobFor()).find(({ key }) => key === 'axle')!.standIn).toContain('bowl');
	});
	it.each([
		[{ joint: 'loops' }, 'nail-tool', false],
		[{ joint: 'own-loop' }, 'resin', true],
		[{ joint: 'nail' }, 'resin', false],
		[{ stack: 'thin braid' }, 'glove', true],
		[{ stack: 'floating' }, 'glove', false],
		[{ stack: 'thin braid' }, 'tape', true],
		[{ stack: 'thin braid', schools: { grip: 'mono' } }, 'mono-bed', true],
		[{ schools: { tension: 'helper' } }, 'helper', true],
		[{ schools: { tension: 'drag' } }, 'second-reel', true],
		[{ schools: { mount: 'drill' } }, 'drill', true],
		[{ schools: { mount: 'drill' } }, 'rod-butt', false],
		[{ schools: { weldedLoop: 'cut' }, joint: 'loops' }, 'nail-tool', true],
		[{ schools: { frontLoop: 'cut' } }, 'nail-tool', true]
	] as const satisfies readonly [Given, string, boolean][])('%j: %s %s', (given, key, there) => {
		expect(toolKeys(given).includes(key)).toBe(there);
	});
	it('says what to cut of the backing, and how much of that goes on', () => {
		const job = jobFor();
		const parts = job.parts.map((part) => (part.role === 'backing' ? { ...part, cutMm: 31_000 } : part));
		const backing = toolsOf({ ...job, parts }).find(({ key }) => key === 'part:backing')!;
		expect(backing.name).toEqual([
			'20 lb polyester: cut ',
			{ toCutMm: 31_000 },
			'; about ',
			{ longMm: 27_000 },
			' goes on'
		]);
	});
});

describe('schools', () => {
	it('each have a usual way, among at least two, and every way says what it buys', () => {
		for (const key of TECHNIQUE_KEYS) {
			const { ways, usual } = TECHNIQUES[key];
			expect(Object.keys(ways).length).toBeGreaterThan(1);
			expect(Object.keys(ways)).toContain(usual);
			for (const { buys } of Object.values(ways)) expect(buys).toMatch(/\.$/);
		}
	});
	it('joints say what they buy as well', () => {
		for (const joint of keys(JOINTS)) expect(JOINT_BUYS[joint]).toMatch(/\.$/);
	});
	it("are the set-up's own, else the person's, else the usual", () => {
		const chosen = techniquesOf({ tag: 'leave' }, { tag: 'trim', mount: 'drill' });
		expect(chosen).toMatchObject({ tag: 'leave', mount: 'drill', tension: USUAL_TECHNIQUES.tension });
		expect(gapOfTechnique('pencil')).toBe(7);
	});
});
