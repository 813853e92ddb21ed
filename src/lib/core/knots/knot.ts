import type { Caution } from '../procedure/phrase';
import type { Movement } from './hands';
import { handsOn, laidSince, thumbsOn, type Hand, type Laid, type Thumb } from './signs';
import type { KnotStrand, KnotStrandRole } from './strand';
import { tightened, type CurvesByWraps, type CurvesName, type TightCurves, type Tightness } from './tight';

interface Words {
	readonly title: string;
	readonly instruction: string;
	readonly mistake: string;
	readonly looks: string;
	readonly cautions?: readonly Caution[];
	/** Whether the knot is moistened or something is cut in this stage. */
	readonly signs?: readonly StageSign[];
	/** Where thumbs hold the wraps. */
	readonly thumbs?: readonly Thumb[];
	/** How it lies when the usual mistake was made, to hold against it. */
	readonly wrong?: { readonly strands: () => readonly KnotStrand[]; readonly says: string };
}

export type StageSign = 'wet' | 'cut';

/** One stage of tying: what to do, where people go wrong, how it should look; and how it is drawn from its curves. */
export interface KnotStage extends Words {
	/** Tightened: strands touch, and one crossing can't be told from the next. */
	readonly tight: boolean;
	/** How many movements of the hands have been made by then, and whether the ends have been trimmed. */
	readonly made: number;
	readonly trimmed: boolean;
	/** The strands as they lie then, for so many wraps. */
	readonly lies: Lies;
	/** The way there from the stage before, from 0 to 1. Where strands would have to pass through one another, none. */
	readonly onWay?: (share: number) => Lies;
}
/** Strands for so many wraps. A tight stage needs the curves. */
export type Lies = (wraps: number, curves: TightCurves | undefined) => readonly KnotStrand[];

/** A knot: what it is for, how many wraps it takes, and how it is tied. */
export interface Knot<Stage extends Words = KnotStage> {
	readonly slug: string;
	readonly name: string;
	readonly joins: string;
	/** What is counted, and how many of it. One number where there is no choice. */
	readonly wraps: {
		readonly noun: string;
		readonly least: number;
		readonly most: number;
		readonly usual: number;
		/** How to count them, where people could count in two ways. */
		readonly counted?: string;
	};
	readonly stages: readonly Stage[];
	/** How it is pulled tight. A knot without it has no computed stages. */
	readonly tightening?: {
		/** The name of the file with its curves. Knots that are tightened alike share one. */
		readonly curves: CurvesName;
		readonly loose: (wraps: number) => readonly KnotStrand[];
		/** Strands that stay as they are, counted from 0: too stiff to be bent. */
		readonly still?: readonly number[];
		readonly movements: (loose: readonly KnotStrand[], wraps: number) => readonly Movement[];
	};
}

/** A knot whose curves are at hand: every stage can be drawn. */
export type DrawnKnot = Knot<DrawnStage>;
export interface DrawnStage extends Words {
	readonly tight: boolean;
	readonly strands: (wraps: number) => readonly KnotStrand[];
	readonly moved?: (wraps: number, share: number) => readonly KnotStrand[];
	/** Where hands hold and pull, and what is laid in this stage. */
	readonly hands: (wraps: number) => readonly Hand[];
	readonly laid: (wraps: number) => readonly Laid[];
}

/** A knot together with its computed curves. `moving`: with those on the way from loose to tight. */
export const drawn = (knot: Knot, curves: CurvesByWraps | undefined, moving = false): DrawnKnot => ({
	...knot,
	stages: knot.stages.map(({ lies, onWay, made, trimmed, ...words }, i): DrawnStage => {
		const before = knot.stages[i - 1];
		const strands = (wraps: number): readonly KnotStrand[] => lies(wraps, curves?.[wraps]);
		return {
			...words,
			strands,
			...(onWay &&
				(moving || !words.tight) && { moved: (wraps, share) => onWay(share)(wraps, curves?.[wraps]) }),
			hands: (wraps) => {
				const { tightening } = knot;
				const kept = curves?.[wraps];
				if (!tightening || !kept || made === 0) return thumbsOn(strands(wraps), words.thumbs ?? []);
				const loose = tightening.loose(wraps);
				const movements = tightening.movements(loose, wraps);
				return handsOn(
					{ strands: strands(wraps), loose, curves: kept, movements, made, trimmed },
					before?.made ?? 0
				);
			},
			laid: (wraps) => (words.tight ? [] : laidSince(before?.lies(wraps, curves?.[wraps]), strands(wraps)))
		};
	})
});

/** Numbers that say how a knot lies: how far the end has come, how far it is drawn up. */
export type Pose<K extends string> = Readonly<Record<K, number>>;

/** What lies how at a pose. */
export type Shape<K extends string> = (
	pose: Pose<K>,
	wraps: number,
	curves: TightCurves | undefined
) => readonly KnotStrand[];

/** A shape whose tight poses are read from computed curves. */
export const withTightening =
	<K extends string>(
		shape: (pose: Pose<K>, wraps: number) => readonly KnotStrand[]
	): Shape<K | keyof Tightness> =>
	(pose, wraps, curves) =>
		tightened(shape(pose, wraps), curves, pose as Tightness);

/**
 * Stages as poses of one shape. The poses between two stages show the way from one to the other, so that a shape
 * that keeps its strands apart at every pose can be followed all the way.
 *
 * @param stages each with its pose; `via` the poses on the way there; `jumps` where there is no way there
 */
export function staged<K extends string>(
	shape: Shape<K>,
	stages: readonly (Words & {
		readonly pose: Pose<K>;
		readonly via?: readonly Pose<K>[];
		readonly jumps?: true;
	})[]
): KnotStage[] {
	return stages.map(({ pose, via = [], jumps, ...words }, i) => {
		const before = stages[i - 1]?.pose;
		const lies =
			(at: Pose<K>): Lies =>
			(wraps, curves) =>
				shape(at, wraps, curves);
		const { tight: made = 0, trim = 0 } = pose as Partial<Tightness>;
		const stage: KnotStage = { ...words, tight: made !== 0, made, trimmed: trim !== 0, lies: lies(pose) };
		if (!before || jumps) return stage;
		const rests = [before, ...via, pose];
		return { ...stage, onWay: (share) => lies(onWay(rests, share)) };
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
	const still = from['tight' as K] === to['tight' as K] || from['trim' as K] === to['trim' as K];
	const shareOf = (key: K): number => {
		if (still) return share;
		if (key === 'trim') return Math.max(0, 1 - (1 - share) / TRIMMING);
		return Math.min(1, share / (1 - TRIMMING));
	};
	return Object.fromEntries(
		keys.map((key) => [key, from[key] + shareOf(key) * (to[key] - from[key])])
	) as unknown as Pose<K>;
}
/** Where it is pulled and then trimmed, trimming is this last part of the way. */
const TRIMMING = 0.2;

/** What is to be seen between two stages. */
export interface KnotMoment {
	readonly strands: readonly KnotStrand[];
	/** Another picture that takes its place, where nothing moves: and how far it has come, 0–1. */
	readonly fading?: { readonly strands: readonly KnotStrand[]; readonly share: number };
}

/** The knot at a place between its stages: 0 is the first, 1.5 midway from the second to the third. */
export function momentOf({ stages }: DrawnKnot, wraps: number, place: number): KnotMoment {
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
export function recast(knot: DrawnKnot, as: Recast | undefined): DrawnKnot {
	if (!as) return knot;
	const cast = (strands: readonly KnotStrand[]): KnotStrand[] =>
		strands.map((strand) => ({ ...strand, role: as[strand.role] ?? strand.role }));
	return {
		...knot,
		stages: knot.stages.map((stage): DrawnStage => {
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
export const wrapsOf = ({ wraps }: Pick<Knot, 'wraps'>, asked: number | undefined): number =>
	Math.min(Math.max(Math.round(asked ?? wraps.usual), wraps.least), wraps.most);
