import type { Day, Spool } from '$lib/core';
import { showLong, showSmall, type UnitSystem } from '$lib/wording/units';
import type { DrawnLayer } from '../../charts/section/layers';
import type { ThreadStrand } from '../../charts/thread/strands';

/** Something short about a spool: a strand and its length, the gap, or a few words. Lengths in mm. */
export type Fact =
	| { readonly said: string }
	| {
			readonly short: string;
			readonly lengthMm: number;
			/** A backing is told by its length first. */
			readonly isBacking: boolean;
			readonly about: boolean;
	  }
	| { readonly gapMm: number; readonly planned: boolean };

/** A spool as it stands on the shelf; its facts in words, or as they come from the server. */
export interface RackEntry<F extends string | Fact = string> {
	readonly id: string;
	readonly name: string;
	readonly hand: string;
	readonly href: string;
	readonly setupId?: string;
	readonly drawing?: {
		readonly spool: Spool;
		readonly layers: readonly DrawnLayer[];
		readonly faint: boolean;
	};
	/** The thread, from arbor to leader. */
	readonly strands?: readonly ThreadStrand[];
	/** Short facts, one a line. */
	readonly facts: readonly F[];
	/** When it was wound, and by whom. */
	readonly woundOn?: Day;
	readonly who?: string;
	/** A job begun or waiting. */
	readonly job?: {
		readonly href: string;
		readonly done: number;
		readonly total: number;
		/** A plan that nobody wound yet, to be dropped. */
		readonly planId?: string;
	};
	/** The winding that is on it. */
	readonly windingId?: string;
	/** Something that was wound: it can be swapped. */
	readonly swaps: boolean;
}

function inWords(fact: Fact, units: UnitSystem): string {
	if ('said' in fact) return fact.said;
	if ('gapMm' in fact) return `gap ${showSmall(fact.gapMm, units)}${fact.planned ? ' planned' : ''}`;
	const length = `${fact.about ? 'about ' : ''}${showLong(fact.lengthMm, units)}`;
	return fact.isBacking ? `${length}, ${fact.short}` : `${fact.short}, ${length}`;
}

/** The entry in the person's units. */
export const worded = (entry: RackEntry<Fact>, units: UnitSystem): RackEntry => ({
	...entry,
	facts: entry.facts.map((fact) => inWords(fact, units))
});
