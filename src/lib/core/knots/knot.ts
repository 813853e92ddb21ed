import type { Caution } from '../procedure/phrase';
import type { KnotStrand, KnotStrandRole } from './strand';

interface Words {
	readonly title: string;
	readonly instruction: string;
	readonly mistake: string;
	readonly looks: string;
	readonly cautions?: readonly Caution[];
	/** How it lies when the usual mistake was made, to hold against it. */
	readonly wrong?: { readonly strands: () => readonly KnotStrand[]; readonly says: string };
}

/** One stage of tying: what to do, where people go wrong, how it should look. */
export interface KnotStage extends Words {
	/** The strands as they lie then, for so many wraps. */
	readonly strands: (wraps: number) => readonly KnotStrand[];
	/** The way there from the stage before, from 0 to 1. Where strands would have to pass through one another, none. */
	readonly moved?: (wraps: number, share: number) => readonly KnotStrand[];
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

/** Numbers that say how a knot lies: how far the end has come, how far it is drawn up. */
export type Pose<K extends string> = Readonly<Record<K, number>>;

/**
 * Stages as poses of one shape. The poses between two stages show the way from one to the other, so that a shape
 * that keeps its strands apart at every pose can be followed all the way.
 *
 * @param stages each with its pose; `via` the poses on the way there; `jumps` where there is no way there
 */
export function staged<K extends string>(
	shape: (pose: Pose<K>, wraps: number) => readonly KnotStrand[],
	stages: readonly (Words & {
		readonly pose: Pose<K>;
		readonly via?: readonly Pose<K>[];
		readonly jumps?: true;
	})[]
): KnotStage[] {
	return stages.map(({ pose, via = [], jumps, ...words }, i) => {
		const before = stages[i - 1]?.pose;
		const stage: KnotStage = { ...words, strands: (wraps) => shape(pose, wraps) };
		if (!before || jumps) return stage;
		const rests = [before, ...via, pose];
		return { ...stage, moved: (wraps, share) => shape(onWay(rests, share), wraps) };
	});
}

/** Stages that are poses of one shape, then of another. */
export const inOrder = (...groups: readonly (readonly KnotStage[])[]): KnotStage[] => groups.flat();

function onWay<K extends string>(rests: readonly Pose<K>[], share: number): Pose<K> {
	const at = share * (rests.length - 1);
	const i = Math.min(Math.floor(at), rests.length - 2);
	return between(rests[i]!, rests[i + 1]!, at - i);
}

function between<K extends string>(from: Pose<K>, to: Pose<K>, share: number): Pose<K> {
	const keys = Object.keys(to) as K[];
	return Object.fromEntries(
		keys.map((key) => [key, from[key] + share * (to[key] - from[key])])
	) as unknown as Pose<K>;
}

/** What is to be seen between two stages. */
export interface KnotMoment {
	readonly strands: readonly KnotStrand[];
	/** Another picture that takes its place, where nothing moves: and how far it has come, 0–1. */
	readonly fading?: { readonly strands: readonly KnotStrand[]; readonly share: number };
}

/** The knot at a place between its stages: 0 is the first, 1.5 midway from the second to the third. */
export function momentOf({ stages }: Knot, wraps: number, place: number): KnotMoment {
	const at = Math.min(Math.max(place, 0), stages.length - 1);
	const [i, share] = [Math.floor(at), at - Math.floor(at)];
	const [from, to] = [stages[i]!, stages[i + 1]];
	if (share === 0 || !to) return { strands: from.strands(wraps) };
	if (to.moved) return { strands: to.moved(wraps, share) };
	return { strands: from.strands(wraps), fading: { strands: to.strands(wraps), share } };
}

/** What stands for what, where a knot is tied with other strands than it is usually drawn with. */
export type Recast = Partial<Record<KnotStrandRole, KnotStrandRole>>;

/** The same knot tied with other strands. */
export function recast(knot: Knot, as: Recast | undefined): Knot {
	if (!as) return knot;
	const cast = (strands: readonly KnotStrand[]): KnotStrand[] =>
		strands.map((strand) => ({ ...strand, role: as[strand.role] ?? strand.role }));
	return {
		...knot,
		stages: knot.stages.map((stage): KnotStage => {
			const { strands, moved, wrong } = stage;
			return {
				...stage,
				strands: (wraps) => cast(strands(wraps)),
				...(moved && { moved: (wraps, share) => cast(moved(wraps, share)) }),
				...(wrong && { wrong: { ...wrong, strands: () => cast(wrong.strands()) } })
			};
		})
	};
}

/** How many wraps are drawn when so many are asked for: as many as the knot takes. */
export const wrapsOf = ({ wraps }: Knot, asked: number | undefined): number =>
	Math.min(Math.max(Math.round(asked ?? wraps.usual), wraps.least), wraps.most);
