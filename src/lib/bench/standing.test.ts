import { describe, expect, it } from 'vitest';
import { remediesAt } from '$lib/core';
import { measured, worked } from '$lib/setup/testing';
import { jobOf } from './job';
import { readStanding, STANDING_REMEDIES, standingOf } from './standing';
import { workOf } from './work';

const form = measured();
const workout = worked(form);
const { steps, stopPart } = workOf(jobOf(form, workout), { kind: 'wind' });

describe('a wound reel taken up at the bench', () => {
	it.each(STANDING_REMEDIES)('stands where %s shows, with everything before it done', (remedy) => {
		const standing = standingOf(remedy, steps, workout, { turns: 700 })!;
		const here = remediesAt(steps, standing.at, stopPart).find(({ key }) => key === remedy);
		expect(here).toBeDefined();
		expect(standing.done).toEqual(steps.slice(0, standing.at));
		// What has to be done again was all done before, or is the step in hand.
		const known = new Set([...standing.done.map(({ id }) => id), steps[standing.at]!.id]);
		expect(here!.reopens.every((id) => known.has(id))).toBe(true);
	});

	it('has the turns that were counted, else about those that were planned', () => {
		const counted = standingOf('too-full', steps, workout, { turns: 700 })!;
		expect(counted.turns.get('backing')).toBe(700);
		expect(counted.uncounted).toBeUndefined();
		const planned = standingOf('too-full', steps, workout, { turns: null })!;
		expect(planned.turns.get('backing')).toBe(Math.round(workout.fit.layers[0]!.turns));
		expect(planned.turns.get('line')).toBe(Math.round(workout.fit.layers[1]!.turns));
		expect(planned.uncounted).toBe('backing');
	});

	it('knows no other word in the address', () => {
		expect(readStanding('too-full')).toBe('too-full');
		expect(readStanding('nonsense')).toBeUndefined();
		expect(readStanding(null)).toBeUndefined();
	});
});
