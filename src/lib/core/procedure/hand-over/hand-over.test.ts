import { describe, expect, it } from 'vitest';
import { keys } from '../../keys';
import { stretchAndWalk } from '../../twist/let-out';
import { JOINTS, type JobSetup } from '../job';
import { remediesAt } from '../remedies';
import { reverseSteps, reverseTools } from '../reverse';
import { backToFront, firstId, REVERSE_WAY_KEYS, type ReverseWay } from '../reverse-ways';
import { jobSteps } from '../steps';
import { swapSteps, swapTools, type OnSource } from '../swap';
import { TECHNIQUES, type TechniqueKey, type Techniques } from '../techniques';
import { jobFor, STACKS, type Given, type StackName } from '../testing';
import { untwistSteps } from '../untwist';
import { Mover } from './mover.testing';

const STACK_NAMES = keys(STACKS);
const covered: Record<string, number> = {};
const note = (what: string): void => void (covered[what] = (covered[what] ?? 0) + 1);

/** Every two techniques together, each in each of its ways; everything else as usual. */
function* pairs(): Generator<Partial<Techniques>> {
	const all = keys(TECHNIQUES).filter((key) => key !== 'gap') as TechniqueKey[];
	for (const [i, one] of all.entries())
		for (const other of all.slice(i + 1))
			for (const a of keys<string>(TECHNIQUES[one].ways))
				for (const b of keys<string>(TECHNIQUES[other].ways)) yield { [one]: a, [other]: b };
}

const swapOf = (setup: JobSetup, from: OnSource['from']) => {
	const part = setup.parts.at(-1)!;
	const { id, role, lengthMm, turns, joint } = part;
	const on: OnSource[] = [{ part: id, from, where: 'Tarn reel' }];
	const off = [{ id: `old-${id}`, role, label: 'old', lengthMm, turns, joint }];
	return { off, on, over: setup.parts.at(-2)?.role };
};
function swapTrouble(setup: JobSetup, from: OnSource['from']): string | undefined {
	const plan = swapOf(setup, from);
	const lying = [...setup.parts.slice(0, -1).map(({ id }) => id), plan.off[0]!.id];
	const mover = new Mover(setup, plan.on, swapTools(setup, plan), lying);
	// Loops that are parted stay.
	const { joint } = plan.off[0]!;
	if (joint === 'loops' || joint === 'own-loop') mover.world.loops.add(setup.parts.at(-2)!.id);
	return mover.through(swapSteps(setup, plan));
}
function reversed(given: Given, way: ReverseWay): { setup: JobSetup; first: JobSetup } {
	const setup = jobFor(given);
	const stop = setup.parts.findIndex(({ id }) => id === setup.stopPart);
	const parts = backToFront(setup.parts, stop, way).map((part) => ({ ...part, id: firstId(part.id) }));
	return { setup, first: { ...setup, parts, stopPart: firstId(setup.stopPart!) } };
}
function reverseTrouble(given: Given, way: ReverseWay): string | undefined {
	const { setup, first } = reversed(given, way);
	return new Mover(setup, [], reverseTools(setup, way), []).through(reverseSteps(setup, { way, first }));
}
const untwistTrouble = (setup: JobSetup, laneMm: number): string | undefined => {
	const part = setup.parts.at(-1)!;
	const way = stretchAndWalk({ lengthMm: part.lengthMm, laneMm, has: [], weakestLb: 20, turns: 5 });
	const mover = new Mover(
		setup,
		[],
		[],
		setup.parts.map(({ id }) => id)
	);
	return mover.through(untwistSteps(setup, { part, under: setup.parts.at(-2), way }));
};

describe('every hand-over of every job can be done', () => {
	it('winding from the arbor: cage × mount × arbor knot × rear loop × new line × joint × stack', () => {
		for (const cage of ['open', 'closed'] as const)
			for (const mount of keys(TECHNIQUES.mount.ways))
				for (const arborKnot of keys(TECHNIQUES.arborKnot.ways))
					for (const weldedLoop of ['keep', 'cut'] as const)
						for (const newLine of keys(TECHNIQUES.newLine.ways))
							for (const joint of keys(JOINTS))
								for (const stack of STACK_NAMES) {
									const given = { cage, joint, stack, schools: { mount, arborKnot, weldedLoop, newLine } };
									const setup = jobFor(given);
									const trouble = new Mover(setup, [], [], []).through(jobSteps(setup));
									expect(trouble, JSON.stringify(given)).toBeUndefined();
									note('winding');
								}
	});
	it('any two techniques together, in every job', () => {
		for (const schools of pairs())
			for (const cage of ['open', 'closed'] as const)
				for (const stack of ['floating', 'bed under braid', 'spey'] as const) {
					const given = { cage, stack, schools };
					const setup = jobFor(given);
					const said = JSON.stringify(given);
					expect(new Mover(setup, [], [], []).through(jobSteps(setup)), said).toBeUndefined();
					expect(swapTrouble(setup, 'coil') ?? swapTrouble(setup, 'reel'), said).toBeUndefined();
					expect(untwistTrouble(setup, 40_000), said).toBeUndefined();
					for (const way of REVERSE_WAY_KEYS)
						if (stack !== 'bed under braid' || way !== 'twin')
							expect(reverseTrouble(given, way), `${way} ${said}`).toBeUndefined();
					note('two techniques');
				}
	}, 120_000);
	it('swaps: where they come from × at a table or in a boat × joint × stack, with just what is listed', () => {
		for (const from of ['coil', 'reel', 'new'] as const)
			for (const joint of keys(JOINTS))
				for (const swapPlace of keys(TECHNIQUES.swapPlace.ways))
					// Where nothing stays on the arbor it is no swap: it is wound from the arbor.
					for (const stack of STACK_NAMES.filter((name) => name !== 'line alone')) {
						const setup = jobFor({ stack, joint, schools: { swapPlace } });
						expect(swapTrouble(setup, from), `${from} ${joint} ${swapPlace} ${stack}`).toBeUndefined();
						const storage = swapTools(setup, swapOf(setup, from)).find(({ key }) => key === 'storage')
							?.name[0];
						expect(storage).toEqual(
							swapPlace === 'water'
								? undefined
								: from === 'reel'
									? expect.stringMatching(/^2 storage spools/)
									: expect.stringMatching(/^Storage spool/)
						);
						note('swaps');
					}
	});
	it('stretching and walking: joint × stack × length of the lane', () => {
		for (const joint of keys(JOINTS))
			for (const stack of STACK_NAMES)
				for (const laneMm of [15_000, 20_000, 40_000]) {
					const setup = jobFor({ stack, joint });
					expect(untwistTrouble(setup, laneMm), `${joint} ${stack} ${laneMm}`).toBeUndefined();
					note('untwisting');
				}
	});
	it('back to front: way × cage × mount × joint × stack', () => {
		for (const way of REVERSE_WAY_KEYS)
			for (const cage of ['open', 'closed'] as const)
				for (const mount of keys(TECHNIQUES.mount.ways))
					for (const joint of keys(JOINTS))
						for (const stack of STACK_NAMES.filter((name) => name !== 'line alone')) {
							// A second reel would have to have the same bed.
							if (stack === 'bed under braid' && way === 'twin') continue;
							const given = { cage, joint, stack, schools: { mount } };
							expect(reverseTrouble(given, way), `${way} ${JSON.stringify(given)}`).toBeUndefined();
							note('back to front');
						}
	});
	it('after every remedy on every step the job can go on to its end', () => {
		for (const cage of ['open', 'closed'] as const)
			for (const mount of keys(TECHNIQUES.mount.ways))
				for (const newLine of keys(TECHNIQUES.newLine.ways))
					for (const stack of STACK_NAMES as readonly StackName[]) {
						const setup = jobFor({ cage, stack, schools: { mount, newLine } });
						const steps = jobSteps(setup);
						for (const at of steps.keys())
							for (const remedy of remediesAt(steps, at, setup.stopPart)) {
								const mover = new Mover(setup, [], [], []);
								expect(mover.through(steps.slice(0, at + 1))).toBeUndefined();
								mover.putRight(remedy);
								const from = steps.findIndex(({ id }) => id === remedy.back);
								// A strand that stays is not wound twice: it is unwound to where it was level, and wound on again.
								const again = steps
									.slice(from)
									.filter(
										(step) =>
											(!steps.slice(0, at + 1).includes(step) || remedy.reopens.includes(step.id)) &&
											!(mover.world.reel.includes(step.part ?? '') && step.kind !== 'end') &&
											!(step.kind === 'arbor' && mover.world.tied)
									);
								expect(
									mover.through(again),
									`${remedy.key} at ${steps[at]!.id}: ${cage} ${mount} ${newLine} ${stack}`
								).toBeUndefined();
								note('remedies');
							}
					}
	});
	it('covers as many as it says', () => {
		console.info(`hand-overs: ${JSON.stringify(covered)}`);
		expect(covered['winding']).toBe(2 * 5 * 9 * 2 * 2 * keys(JOINTS).length * STACK_NAMES.length);
		expect(covered['two techniques']).toBeGreaterThan(4500);
		expect(covered['remedies']).toBeGreaterThan(1000);
	});
});
