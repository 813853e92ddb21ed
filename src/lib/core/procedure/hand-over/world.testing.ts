import type { JobSetup } from '../job';
import type { Step } from '../step';
import type { OnSource } from '../swap';
import type { Tool } from '../tools';

/** Where things are while a job is done, for the tests: every strand, both of its ends, the reel and what stands beside it. */
export type Lies =
	| 'on its bulk spool'
	| 'tied'
	| 'turning'
	| 'on another reel'
	| 'on storage'
	| 'in the bucket'
	| 'on the ground'
	| 'on the second reel'
	| 'on the reel'
	| 'put away';
export type End = 'rear' | 'front';
export interface Strand {
	lies: Lies;
	/** The end that can be got at; of a tied coil only when somebody has looked for it. */
	outer: End | 'unknown' | 'both';
	/** It has its maker's tag, or its coil's label. */
	readonly tag: boolean;
	/** Its front end is fixed to something that stands still. */
	anchored: boolean;
}
export interface World {
	mounted: boolean;
	/** The strand that goes on is through the frame's opening, and through the rod's first guide. */
	threaded: boolean;
	guided: boolean;
	supply: boolean;
	secondReel: boolean;
	/** The strands on the reel, and on the second one, from the arbor outward. */
	reel: string[];
	second: string[];
	tied: boolean;
	strands: Map<string, Strand>;
	/** Strands that end in a loop which held a line before. */
	loops: Set<string>;
	/** `under>over`. */
	joined: Set<string>;
	/** Storage spools, and buckets, that are still empty. */
	storage: number;
	bucket: number;
}

export const said = ({ instructions }: Step): string => JSON.stringify(instructions);
export class Impossible extends Error {}
export function need(fact: unknown, what: string): asserts fact {
	if (!fact) throw new Impossible(what);
}
export const isLine = (id: string): boolean => !id.startsWith('backing') && !id.startsWith('bed');
export const base = (part: string): string => part.replace('first.', '');

/** The world when a job begins: the strands on coils and other reels, the tools on the list, and the strands on the reel already. */
export function worldOf(
	setup: JobSetup,
	on: readonly OnSource[],
	tools: readonly Tool[],
	lying: readonly string[]
): World {
	const count = (key: string): number => {
		const name = tools.find((tool) => tool.key === key)?.name[0];
		return name === undefined ? 0 : Number(/^(\d+) /.exec(String(name))?.[1] ?? 1);
	};
	const strands = new Map<string, Strand>();
	for (const { id, role } of setup.parts) {
		// A level running line has two ends that are the same, unless one has a loop as large as a reel.
		const level = !isLine(id) || (role === 'running-line' && setup.schools.runningLoop === 'small');
		const from = on.find(({ part }) => part === id)?.from;
		strands.set(id, {
			lies: !isLine(id) ? 'on its bulk spool' : from === 'reel' ? 'on another reel' : 'tied',
			outer: level ? 'both' : 'unknown',
			tag: from !== 'reel',
			anchored: false
		});
	}
	for (const id of lying)
		strands.set(id, { lies: 'on the reel', outer: 'front', tag: true, anchored: false });
	return {
		mounted: lying.length > 0,
		threaded: lying.length > 0,
		guided: lying.length > 0,
		supply: false,
		secondReel: false,
		reel: [...lying],
		second: [],
		tied: lying.length > 0,
		strands,
		joined: new Set(lying.slice(1).map((id, i) => `${lying[i]}>${id}`)),
		loops: new Set(),
		storage: count('storage'),
		bucket: count('bucket') > 0 ? Infinity : 0
	};
}
