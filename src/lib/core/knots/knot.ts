import type { Caution } from '../procedure/phrase';
import type { Strand } from './strand';

/** One stage of tying: what to do, where people go wrong, how it should look. */
export interface KnotStage {
	readonly title: string;
	readonly instruction: string;
	readonly mistake: string;
	readonly looks: string;
	readonly cautions: readonly Caution[];
	/** The strands as they lie then, for so many wraps. */
	readonly strands: (wraps: number) => readonly Strand[];
	/** How it lies when the usual mistake was made, to hold against it. */
	readonly wrong?: { readonly strands: () => readonly Strand[]; readonly says: string };
}

/** A knot: what it is for, how many wraps it takes, and how it is tied. */
export interface Knot {
	readonly slug: string;
	readonly name: string;
	readonly joins: string;
	/** What is counted, and how many of it. One number where there is no choice. */
	readonly wraps: {
		readonly noun: string;
		readonly least: number;
		readonly most: number;
		readonly usual: number;
	};
	readonly stages: readonly KnotStage[];
}

/** How many wraps are drawn when so many are asked for: as many as the knot takes. */
export const wrapsOf = ({ wraps }: Knot, asked: number | undefined): number =>
	Math.min(Math.max(Math.round(asked ?? wraps.usual), wraps.least), wraps.most);
