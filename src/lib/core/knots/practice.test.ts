import { knotOf, tiedAlike } from './checks';
import { describe, expect, it } from 'vitest';
import { crossingsOf } from './crossings';
import { flaws, flipped, signatureOf } from './flaws';
import { closedAbove } from './invariants';
import { exercisesOf, practiceWraps } from './practice';
import { DRAWN, findDrawn, tied } from './testing';

/** What cannot be tied wrong by a crossing: nothing is knotted in it. */
const UNKNOTTED = ['leader-uncoiled', 'glued-splice', 'wire-crimp'];

describe('a flipped crossing', () => {
	it('is one crossing and nothing else, and makes the overhand fall open', () => {
		const strands = tied('overhand-stopper', 1);
		const crossings = crossingsOf(strands);
		expect(crossings).toHaveLength(3);
		for (const crossing of crossings) {
			const wrong = flipped(strands, crossing)!;
			const now = crossingsOf(wrong);
			const signs = (all: typeof now) => all.reduce((sum, { sign }) => sum + sign, 0);
			expect(Math.abs(signs(now) - signs(crossings))).toBe(2);
			// A trefoil with one crossing changed is the unknot (Rolfsen's table: its unknotting number is 1; from memory).
			expect(knotOf(closedAbove(wrong[0]!.points)).alexander).toEqual([1]);
		}
	});
	it('of a doubled overhand leaves a single one', () => {
		for (const wrong of flaws(tied('overhand-stopper', 2)))
			expect(knotOf(closedAbove(wrong[0]!.points)).alexander).toEqual([1, -1, 1]);
	});
	it.each(DRAWN.filter(({ slug }) => !UNKNOTTED.includes(slug)).map((knot) => [knot.slug, knot] as const))(
		'is found in %s, and the checker tells it from the right one',
		(_, knot) => {
			const right = knot.stages.findLast(({ tight }) => !tight)!.strands(knot.wraps.least);
			const wrong = flaws(right);
			expect(wrong.length).toBeGreaterThan(0);
			for (const one of wrong) expect(tiedAlike(one, right)).toBe(false);
		}
	);
	it('the checker is not misled by drawing up: the stages of a finished nail knot are alike', () => {
		const { stages } = findDrawn('nail-knot')!;
		const [through, drawnUp] = [stages.at(-3)!.strands(6), stages.at(-1)!.strands(6)];
		expect(tiedAlike(through, drawnUp)).toBe(true);
		expect(signatureOf(stages[0]!.strands(6))).not.toBe(signatureOf(drawnUp));
	});
});

describe('what there is to practise', () => {
	it.each(DRAWN.map((knot) => [knot.slug, knot] as const))(
		'%s: the answer is among the choices, and right',
		(_, knot) => {
			for (const seed of [1, 2, 3]) {
				const exercises = exercisesOf(knot, seed);
				expect(exercises.map(({ kind }) => kind)).toEqual(
					UNKNOTTED.includes(knot.slug) ? ['next', 'order'] : ['next', 'order', 'wrong']
				);
				for (const exercise of exercises) {
					if (exercise.kind === 'order') {
						expect([...exercise.laidOut].sort((a, b) => a - b)).toEqual(knot.stages.map((_, i) => i));
						expect(exercise.laidOut).not.toEqual(knot.stages.map((_, i) => i));
						continue;
					}
					const { choices, right, stage } = exercise;
					const wraps = practiceWraps(knot);
					if (exercise.kind === 'next')
						expect(choices[right]!.strands).toEqual(knot.stages[stage + 1]!.strands(wraps));
					else
						choices.forEach(({ strands }, i) =>
							expect(tiedAlike(strands, knot.stages[stage]!.strands(wraps))).toBe(i !== right)
						);
				}
			}
		}
	);
	it('is the same for the same seed, and not for another', () => {
		const knot = findDrawn('uni-arbor')!;
		expect(exercisesOf(knot, 5)).toEqual(exercisesOf(knot, 5));
		const all = [1, 2, 3, 4, 5, 6].map((seed) => JSON.stringify(exercisesOf(knot, seed)));
		expect(new Set(all).size).toBeGreaterThan(3);
	});
});
