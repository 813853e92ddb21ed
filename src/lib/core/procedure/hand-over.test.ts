import { describe, expect, it } from 'vitest';
import { keys } from '../keys';
import { JOINTS, type JobSetup } from './job';
import type { Step } from './step';
import { jobSteps } from './steps';
import { swapSteps, swapTools, type OnSource } from './swap';
import { TECHNIQUES } from './techniques';
import { jobFor, STACKS } from './testing';

/**
 * Where the reel, the spool and every strand are after each step, as hands would have them: a mover that knows nothing of how the steps
 * are made. It reads what a step is for and what it says, and stops at a hand-over that nobody can do. Common practice.
 */
interface World {
	mounted: boolean;
	/** The end of the first strand is through the frame's opening. */
	threaded: boolean;
	/** The end of the first strand is through the rod's first guide. */
	guided: boolean;
	supply: boolean;
	tied: boolean;
	/** How a strand lies that is not wound yet: tied into its coil, or free to run. */
	coil: Map<string, 'tied' | 'on a reel' | 'on storage' | 'turning'>;
	joined: Set<string>;
	storage: number;
}
const said = ({ instructions }: Step): string => JSON.stringify(instructions);

class Impossible extends Error {}
const need = (fact: boolean, what: string): void => {
	if (!fact) throw new Impossible(what);
};

type Move = (world: World, step: Step, setup: JobSetup) => void;

const thread: Move = (world, step, { cage }) => {
	const words = said(step);
	const open = cage === 'open';
	need(world.supply, 'nothing to thread: the supply is not set up');
	need(open || world.mounted, 'the frame does not stand still');
	const guide = words.indexOf("rod's first guide");
	if (guide >= 0) {
		need(world.mounted, 'the reel is not on the rod yet');
		need(open || guide < words.indexOf('opening'), 'through the guide after the opening');
		world.guided = true;
	}
	world.threaded = true;
};
const storeOne = (world: World): void => {
	world.storage--;
	need(world.storage >= 0, 'no storage spool left');
};
const free: Move = (world, step) => {
	const part = step.part!;
	if (world.coil.get(part) !== 'on a reel') {
		need(world.joined.has(part), 'the ties come off before the coil is joined');
		world.coil.set(part, 'turning');
		return;
	}
	need(said(step).includes('storage spool'), 'straight from a reel the front end would come first');
	storeOne(world);
	world.coil.set(part, 'on storage');
};

/** What a step does to the world; any other step only looks. */
const MOVES: Partial<Record<Step['kind'], Move>> = {
	mount: (world) => {
		// Whoever mounts a reel with a strand already led through its frame has to lead it through the guide the wrong way.
		need(!world.threaded || world.tied, 'the end has to come out again for the mounting');
		world.mounted = true;
	},
	supply: (world) => void (world.supply = true),
	cage: thread,
	arbor: (world, step, { cage, schools }) => {
		need(world.threaded, 'tied before it is threaded');
		need(schools.mount !== 'butt' || world.guided, 'tied before it went through the guide');
		need(
			cage === 'open' || !said(step).includes('over the whole spool'),
			'no loop passes over a caged spool'
		);
		world.tied = true;
	},
	off: storeOne,
	hub: free,
	join: (world, step) => {
		const lies = world.coil.get(step.part!);
		need(lies !== 'on a reel', 'a reel does not pass through a loop');
		need(
			lies !== 'turning' || !said(step).includes('whole coil'),
			'a coil that is open does not pass through a loop'
		);
		world.joined.add(step.part!);
	},
	wind: (world, step) => {
		need(world.mounted, 'wound on a reel that is not mounted');
		const lies = world.coil.get(step.part!);
		need(lies !== 'tied' || said(step).includes('ties off last'), 'wound from a coil that is still tied');
		need(lies !== 'on storage' || said(step).includes('axle'), 'wound off a storage spool that stands still');
	}
};

function through(
	steps: readonly Step[],
	setup: JobSetup,
	on: readonly OnSource[],
	storage: number
): string | undefined {
	const swap = steps.every(({ kind }) => kind !== 'mount');
	const world: World = {
		mounted: swap,
		threaded: false,
		guided: false,
		supply: false,
		tied: swap,
		coil: new Map(
			setup.parts
				.filter(({ role }) => role !== 'bed' && role !== 'backing')
				.map(({ id }) => [id, on.find(({ part }) => part === id)?.from === 'reel' ? 'on a reel' : 'tied'])
		),
		joined: new Set(),
		storage
	};
	for (const step of steps)
		try {
			MOVES[step.kind]?.(world, step, setup);
		} catch (trouble) {
			if (trouble instanceof Impossible) return `${step.id}: ${trouble.message}`;
			throw trouble;
		}
	return undefined;
}

describe('every hand-over of every job can be done', () => {
	it('winding from the arbor: hand × cage × mount × arbor knot × rear loop × joint × stack', () => {
		let count = 0;
		for (const hand of ['left', 'right'] as const)
			for (const cage of ['open', 'closed'] as const)
				for (const mount of keys(TECHNIQUES.mount.ways))
					for (const arborKnot of keys(TECHNIQUES.arborKnot.ways))
						for (const weldedLoop of ['keep', 'cut'] as const)
							for (const joint of keys(JOINTS))
								for (const stack of keys(STACKS)) {
									const given = { hand, cage, joint, stack, schools: { mount, arborKnot, weldedLoop } };
									const setup = jobFor(given);
									const trouble = through(jobSteps(setup), setup, [], 0);
									expect(trouble, JSON.stringify(given)).toBeUndefined();
									count++;
								}
		expect(count).toBe(2 * 2 * 4 * 4 * 2 * 5 * 6);
	});
	it('swaps: what comes off × where it comes from × joint × stack, with just the storage spools that are listed', () => {
		let count = 0;
		for (const from of ['coil', 'reel', 'new'] as const)
			for (const joint of keys(JOINTS))
				// Where nothing stays on the arbor it is no swap: it is wound from the arbor.
				for (const stack of keys(STACKS).filter((name) => name !== 'line alone')) {
					const setup = jobFor({ stack, joint });
					const part = setup.parts.at(-1)!;
					const on = [{ part: part.id, from, where: 'Tarn reel' }];
					const { id, role, lengthMm, turns } = part;
					const off = [{ id, role, label: 'old', lengthMm, turns, joint }];
					const plan = { off, on, over: setup.parts.at(-2)?.role };
					const listed = swapTools(setup, plan).find(({ key }) => key === 'storage')?.name[0];
					const storage = Number(/^(\d+) storage/.exec(String(listed))?.[1] ?? 1);
					expect(
						through(swapSteps(setup, plan), setup, on, storage),
						`${from} ${joint} ${stack}`
					).toBeUndefined();
					expect(storage).toBe(from === 'reel' ? 2 : 1);
					count++;
				}
		expect(count).toBe(3 * keys(JOINTS).length * 5);
	});
});
