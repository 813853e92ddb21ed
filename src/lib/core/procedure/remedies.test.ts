import { keys } from '../keys';
import { describe, expect, it } from 'vitest';
import { remediesAt, REMEDY_KEYS, remedySign, type RemedyKey } from './remedies';
import { jobSteps } from './steps';
import { jobFor, STACKS, type Given } from './testing';

/** Content is common practice throughout. */
function remedy(given: Given, on: string, key: RemedyKey) {
	const job = jobFor(given);
	const steps = jobSteps(job);
	const at = steps.findIndex(({ id }) => id === on);
	return remediesAt(steps, at, job.stopPart).find((found) => found.key === key);
}

describe('something is wrong', () => {
	it('wound for the wrong hand: all of it comes off, back to the hand', () => {
		expect(remedy({}, 'wind:line', 'wrong-hand')).toMatchObject({
			back: 'hand',
			off: ['backing', 'line'],
			reopens: [
				'hand',
				'mount',
				'supply',
				'cage',
				'arbor',
				'wind:backing',
				'end:line',
				'join:line',
				'wind:line'
			]
		});
	});
	it('the wrong end joined: that line comes off, back to finding its end; the backing stays', () => {
		expect(remedy({}, 'wind:line', 'wrong-end')).toMatchObject({ back: 'end:line', off: ['line'] });
		expect(remedy({}, 'last-look', 'wrong-end')).toMatchObject({ back: 'end:line', off: ['line'] });
		expect(remedy({ stack: 'spey' }, 'wind:head', 'wrong-end')).toMatchObject({
			back: 'end:head',
			off: ['head']
		});
		expect(remedy({}, 'wind:backing', 'wrong-end')).toBeUndefined();
	});
	it('caught outside the cage: everything off, thread again', () => {
		expect(remedy({ cage: 'closed' }, 'wind:backing', 'caught')).toMatchObject({
			back: 'cage',
			off: ['backing']
		});
		expect(remedy({ cage: 'closed' }, 'arbor', 'caught')).toMatchObject({ back: 'cage', off: [] });
	});
	it('a loop too small is tied again; nothing wound comes off', () => {
		expect(remedy({}, 'join:line', 'loop-small')).toMatchObject({
			back: 'join:line',
			off: [],
			reopens: ['join:line']
		});
	});
	it('heaped: wound on again where it is', () => {
		expect(remedy({}, 'wind:backing', 'heaped')).toMatchObject({ back: 'wind:backing', off: [] });
		expect(remedy({}, 'gap', 'heaped')).toMatchObject({ back: 'wind:line', off: [] });
	});
	it('too full, too empty: what is over the backing comes off, back to the backing', () => {
		for (const key of ['too-full', 'too-empty'] as const) {
			expect(remedy({}, 'gap', key)).toMatchObject({ back: 'wind:backing', off: ['line'] });
			expect(remedy({ stack: 'spey' }, 'gap', key)!.off).toEqual(['running', 'head', 'tip']);
			expect(remedy({ stack: 'line alone' }, 'gap', key)).toBeUndefined();
		}
	});
	it('twisted: what is in hand comes off, back to its winding', () => {
		expect(remedy({}, 'wind:line', 'twisted')).toMatchObject({ back: 'wind:line', off: ['line'] });
	});
	it.each(keys(STACKS))('%s: never leads forward, and what it reopens is there', (stack) => {
		const job = jobFor({ stack });
		const steps = jobSteps(job);
		const ids = steps.map(({ id }) => id);
		steps.forEach(({ id }, at) => {
			for (const found of remediesAt(steps, at, job.stopPart)) {
				expect(ids.indexOf(found.back)).toBeLessThanOrEqual(at);
				expect(found.reopens[0]).toBe(found.back);
				expect(found.reopens.at(-1)).toBe(id);
				for (const part of found.off) expect(job.parts.map((p) => p.id)).toContain(part);
				expect(found.doing.length).toBeGreaterThan(0);
			}
		});
	});
	it('every remedy is offered somewhere in some job', () => {
		const offered = new Set(
			keys(STACKS).flatMap((stack) => {
				const job = jobFor({ stack });
				const steps = jobSteps(job);
				return steps.flatMap((_, at) => remediesAt(steps, at, job.stopPart).map(({ key }) => key));
			})
		);
		expect([...offered].sort()).toEqual([...REMEDY_KEYS].sort());
		expect(remedySign('too-full')).toContain('too full');
	});
	it('beyond the last step there is nothing to put right', () => {
		expect(remediesAt(jobSteps(jobFor()), 99)).toEqual([]);
	});
});
