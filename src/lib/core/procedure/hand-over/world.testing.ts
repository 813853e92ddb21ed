import type { Step } from '../step';

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
	/** What lies on the reel, and on the second one, from the arbor outward. */
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
