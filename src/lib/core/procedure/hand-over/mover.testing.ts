import type { JobSetup } from '../job';
import type { Remedy } from '../remedies';
import type { Step } from '../step';
import type { OnSource } from '../swap';
import type { Tool } from '../tools';

import {
	base,
	worldOf,
	Impossible,
	isLine,
	need,
	said,
	type Lies,
	type Strand,
	type World
} from './world.testing';

/**
 * Where the reel, the spool, every strand and both of its ends are after each step, as hands would have them: a mover that knows nothing of
 * how the steps are made. It reads what a step is for and what it says, and stops at a hand-over that nobody can do. Common practice.
 */
export class Mover {
	readonly world: World;
	readonly setup: JobSetup;
	constructor(setup: JobSetup, on: readonly OnSource[], tools: readonly Tool[], lying: readonly string[]) {
		this.setup = setup;
		this.world = worldOf(setup, on, tools, lying);
	}

	strand(id: string): Strand {
		const found = this.world.strands.get(id);
		need(found, `nobody has heard of ${id}`);
		return found;
	}

	/** Undefined when all of them can be done. */
	through(steps: readonly Step[]): string | undefined {
		for (const step of steps)
			try {
				this.#moves[step.kind]?.(step);
			} catch (trouble) {
				if (trouble instanceof Impossible) return `${step.id}: ${trouble.message}`;
				throw trouble;
			}
		return undefined;
	}

	/** What a step does to the world; any other step only looks. */
	readonly #moves: Partial<Record<Step['kind'], (step: Step) => void>> = {
		mount: () => {
			// Whoever mounts a reel with a strand already led through its frame has to lead it through the guide the wrong way.
			need(!this.world.threaded || this.world.tied, 'the end has to come out again for the mounting');
			this.world.mounted = true;
		},
		supply: () => void (this.world.supply = true),
		'turn-round': (step) => this.#turnRound(step),
		'second-reel': () => void (this.world.secondReel = true),
		cage: (step) => this.#thread(step),
		arbor: (step) => this.#tie(step),
		end: (step) => this.#findEnd(step),
		off: (step) => this.#takeOff(step),
		tie: (step) => this.#putAway(step),
		hub: (step) => this.#free(step),
		join: (step) => this.#join(step),
		rejoin: (step) => this.#join(step),
		lay: (step) => this.#layOut(step),
		anchor: () => this.#anchor(),
		walk: (step) => this.#walk(step),
		'run-out': () => this.#runOut(),
		wind: (step) => this.#wind(step)
	};

	#thread(step: Step): void {
		const { world, setup } = this;
		const words = said(step);
		const open = setup.cage === 'open';
		need(world.supply, 'nothing to thread: the supply is not set up');
		need(open || world.mounted, 'the frame does not stand still');
		need(world.reel.length === 0, 'there is something on the spool already');
		const guide = words.indexOf("rod's first guide");
		if (guide >= 0) {
			need(world.mounted, 'the reel is not on the rod yet');
			need(open || guide < words.indexOf('opening'), 'through the guide after the opening');
			world.guided = true;
		}
		world.threaded = true;
	}

	#tie(step: Step): void {
		const { world, setup } = this;
		need(world.reel.length === 0, 'tied on an arbor that is not bare');
		need(world.threaded, 'tied before it is threaded');
		need(setup.schools.mount !== 'butt' || world.guided, 'tied before it went through the guide');
		need(
			setup.cage === 'open' || !said(step).includes('over the whole spool'),
			'no loop passes over a caged spool'
		);
		world.tied = true;
	}

	#findEnd(step: Step): void {
		const strand = this.strand(base(step.part!));
		const words = JSON.stringify([step.instructions, step.right]);
		need(strand.tag || !words.includes('Read the tag'), 'it came off another reel, and has no tag');
		if (strand.lies === 'tied') strand.outer = words.includes('either may go') ? 'both' : 'rear';
		need(
			strand.outer === 'rear' || strand.outer === 'both',
			`its ${strand.outer} end is the one that is free`
		);
	}

	/** The outermost strand onto a storage spool, or into the bucket: its outer end goes in first, and the other comes out on top. */
	#takeOff(step: Step): void {
		const { world } = this;
		const id = base(step.part!);
		const words = said(step);
		need(world.reel.at(-1) === id, `${id} is under something`);
		const strand = this.strand(id);
		if (words.includes('bucket')) {
			need(world.bucket > 0, 'no bucket');
			strand.lies = 'in the bucket';
		} else {
			need(words.includes('storage spool') && words.includes('axle'), 'nothing that turns to take it');
			world.storage--;
			need(world.storage >= 0, 'no storage spool left');
			strand.lies = 'on storage';
		}
		world.reel.pop();
		strand.outer = !isLine(id) ? 'both' : strand.outer === 'front' ? 'rear' : 'front';
		for (const pair of [...world.joined]) if (pair.split('>').includes(id)) world.joined.delete(pair);
		// A strand that was only taped leaves the arbor bare.
		if (world.reel.length === 0) [world.tied, world.threaded, world.guided] = [false, false, false];
	}

	#putAway(step: Step): void {
		const strand = this.strand(step.part!);
		need(strand.lies === 'on storage' || strand.lies === 'in the bucket', 'there is nothing to tie');
		need(
			strand.lies !== 'in the bucket' || said(step).includes('out of the bucket'),
			'tied inside the bucket'
		);
		strand.lies = 'put away';
	}

	#free(step: Step): void {
		const { world } = this;
		const strand = this.strand(step.part!);
		const words = said(step);
		if (strand.lies === 'on another reel') {
			if (words.includes('bucket')) need(world.bucket > 0, 'no bucket');
			else {
				need(words.includes('storage spool'), 'straight from a reel the front end would come first');
				world.storage--;
				need(world.storage >= 0, 'no storage spool left');
			}
			strand.lies = !words.includes('bucket')
				? 'on storage'
				: words.includes('tie it in two places')
					? 'tied'
					: 'in the bucket';
			strand.outer = 'rear';
			return;
		}
		need(
			[...world.joined].some((pair) => pair.endsWith(`>${step.part!}`)),
			'the ties come off before the coil is joined'
		);
		need(words.includes('ties off'), 'nobody says that the ties come off');
		strand.lies = 'turning';
	}

	#join(step: Step): void {
		const { world, setup } = this;
		const words = said(step);
		const at = setup.parts.findIndex(({ id }) => id === (step.part ?? this.#onTheGround()));
		const [under, over] = [setup.parts[at - 1]!, setup.parts[at]!];
		const [below, above] = [this.strand(under.id), this.strand(over.id)];
		need(above.lies !== 'on another reel', 'a reel does not pass through a loop');
		need(
			!world.loops.has(under.id) || !words.includes("surgeon's loop"),
			'a new loop is tied beside a sound one'
		);
		need(above.outer === 'rear' || above.outer === 'both', `the ${above.outer} end of ${over.id} is free`);
		const top = (world.second.length > 0 ? world.second : world.reel).at(-1);
		// Filled back to front, the line is on and the other comes; otherwise the other way round.
		if (above.lies === 'on the reel' || above.lies === 'on the second reel') {
			need(top === over.id, `${over.id} lies under something`);
			need(below.lies !== 'on the reel' && below.lies !== 'on the second reel', 'both are on');
			need(['front', 'both'].includes(below.outer), `the ${below.outer} end of ${under.id} is free`);
			need(!words.includes('whole coil'), 'it is no coil: it is on a reel');
		} else {
			need(below.lies === 'on the reel' && world.reel.at(-1) === under.id, `${under.id} can't be got at`);
			if (words.includes('whole coil'))
				need(
					above.lies === 'tied' || above.lies === 'on storage' || above.lies === 'put away',
					'a coil that is open does not pass through a loop'
				);
			if (above.lies === 'on the ground' && words.includes('loop.'))
				need(
					words.includes('off the anchor') || words.includes('pass the reel'),
					'a line that is fixed at its far end passes through nothing'
				);
		}
		world.joined.add(`${under.id}>${over.id}`);
	}
	#one(is: (strand: Strand) => boolean, nothing: string): string {
		const found = [...this.world.strands].find(([, strand]) => is(strand));
		need(found, nothing);
		return found[0];
	}
	#onTheGround = (): string => this.#one(({ lies }) => lies === 'on the ground', 'nothing lies out');
	#anchored = (): string => this.#one(({ anchored }) => anchored, 'nothing is anchored');

	#layOut(step: Step): void {
		const { world } = this;
		const words = said(step);
		const isNew = step.part !== undefined && world.strands.has(step.part);
		const id = isNew ? step.part! : this.#anchored();
		const strand = this.strand(id);
		if (isNew) {
			need(strand.lies === 'tied' || strand.lies === 'on storage', 'it is no coil');
			need(strand.outer !== 'unknown', 'nobody has found its rear end');
			need(words.includes('ties off') && words.includes('axle'), 'it does not come off a tied coil');
		} else if (strand.lies === 'on the reel') {
			need(world.reel.at(-1) === id, `${id} is under something`);
			need(words.includes('drag loose'), 'the drag holds it');
			world.reel.pop();
		}
		strand.lies = 'on the ground';
		strand.outer = 'both';
		if (isNew || /rear end lie(s)? free/.test(words))
			for (const pair of [...world.joined]) if (pair.endsWith(`>${id}`)) world.joined.delete(pair);
	}
	#anchor(): void {
		const lying = [...this.world.strands].find(([, { lies }]) => lies === 'on the ground')?.[0];
		const id = lying ?? this.world.reel.at(-1);
		need(id !== undefined && isLine(id), 'no line to anchor');
		this.strand(id).anchored = true;
	}
	#walk(step: Step): void {
		const id = this.#anchored();
		need(this.strand(id).lies === 'on the ground', 'it does not lie out');
		if (said(step).includes('out at the end'))
			need(![...this.world.joined].some((pair) => pair.endsWith(`>${id}`)), 'its rear end is not free');
	}

	#runOut(): void {
		const { world } = this;
		need(world.reel.length > 1, 'nothing to run out');
		const runs = world.reel.filter((id) => !id.startsWith('bed'));
		for (const id of runs) {
			this.strand(id).lies = 'on the ground';
			this.strand(id).outer = 'both';
		}
		world.reel = world.reel.filter((id) => !runs.includes(id));
		if (world.reel.length === 0) [world.tied, world.threaded, world.guided] = [false, false, false];
	}

	/** From its coil on to a storage spool, or out on the grass: its front end is the one that can be got at then. */
	#turnRound(step: Step): void {
		const strand = this.strand(base(step.part!));
		const onSpool = said(step).includes('storage spool');
		need(strand.lies === 'tied', 'it is no coil');
		need(!onSpool || this.world.storage > 0, 'no storage spool left');
		strand.lies = onSpool ? 'on storage' : 'on the ground';
		strand.outer = 'front';
	}

	#wind(step: Step): void {
		const { world } = this;
		const first = step.part!.startsWith('first.');
		const id = base(step.part!);
		const strand = this.strand(id);
		const onSecond = first && world.secondReel;
		const spool = onSecond ? world.second : world.reel;
		need(world.mounted, 'wound on a reel that is not mounted');
		this.#held(id, spool.at(-1), first, said(step));
		this.#comesFree(id, said(step));
		const rearFirst = !first || said(step).includes('rear end');
		const goesFirst = rearFirst ? 'rear' : 'front';
		// Only the end that is outside can go on first.
		if (first && isLine(id))
			need([goesFirst, 'both'].includes(strand.outer), `its ${strand.outer} end is the one outside`);
		strand.lies = onSecond ? 'on the second reel' : 'on the reel';
		strand.anchored = false;
		// Rear end on the arbor, as it stays: the front end is left outside. What is cut or level has two ends alike.
		strand.outer = !isLine(id) ? 'both' : rearFirst ? 'front' : 'rear';
		spool.push(id);
	}

	/** Something holds its inner end: the arbor, or the strand under it. */
	#held(id: string, under: string | undefined, first: boolean, words: string): void {
		const { world, setup } = this;
		const taped = first && (words.includes('Tape') || !isLine(id));
		if (under !== undefined) {
			const joint = first ? `${id}>${under}` : `${under}>${id}`;
			need(taped || world.joined.has(joint), `it is not joined to ${under}`);
			return;
		}
		need(taped || world.tied, 'nothing holds it on the arbor');
		const inside = first ? words.includes('opening') : world.threaded;
		need(setup.cage === 'open' || inside, 'it goes round the arbor outside the frame');
	}

	/** It comes off what it is on. */
	#comesFree(id: string, words: string): void {
		const { world } = this;
		const strand = this.strand(id);
		/** What has to be said of where it lies; null where it cannot be wound from. */
		const SAYS: Partial<Record<Lies, RegExp | null>> = {
			'on the reel': null,
			'on another reel': null,
			'put away': null,
			tied: /ties off/,
			'on storage': /axle|something that turns/,
			'in the bucket': /bucket/
		};
		const says = SAYS[strand.lies];
		need(says !== null && (says === undefined || says.test(words)), `it is ${strand.lies}`);
		need(!strand.anchored || words.includes('off the anchor last'), 'it is fixed to a post');
		if (strand.lies !== 'on the second reel') return;
		need(world.second.at(-1) === id, 'something lies over it on the second reel');
		world.second.pop();
	}

	/** What a remedy takes off lies on something that turns, its rear end outside, and is joined to nothing. */
	putRight({ off, back, reopens }: Remedy): void {
		const { world } = this;
		for (const id of reopens)
			for (const pair of [...world.joined])
				if (id.startsWith('join:') && pair.endsWith(`>${id.slice(5)}`)) world.joined.delete(pair);
		const again = off.map(base);
		for (const id of again) {
			const strand = this.strand(id);
			strand.lies = isLine(id) ? 'on storage' : 'on its bulk spool';
			strand.outer = isLine(id) ? 'rear' : 'both';
			if (back === `wind:${id}`) continue;
			for (const pair of [...world.joined]) if (pair.split('>').includes(id)) world.joined.delete(pair);
		}
		world.reel = world.reel.filter((id) => !again.includes(id));
		world.second = world.second.filter((id) => !again.includes(id));
		if (reopens.includes('arbor')) world.tied = false;
		if (reopens.includes('cage')) [world.threaded, world.guided] = [false, false];
	}
}
