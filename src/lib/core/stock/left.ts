import type { StrandDensity } from '../line/strand';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction, WINDING_HANDS } from '../packing/packing';
import { gradient, posterior, varianceAlong, type Observed, type Posterior } from '../estimate/posterior';
import { depthSigmaMm, habitSigmaMm } from '../estimate/reading';
import { ranged, type Ranged } from '../estimate/ranged';
import { SURPRISE_Z } from '../estimate/surprise';
import { DEFAULT_SPREADS, READING_SPREADS } from '../uncertainty/spreads';

/** The spool that a length of backing came on. Its flanges are straight; diameters and width in mm. */
export interface BulkSpool {
	readonly rimDiameterMm: number;
	readonly arborDiameterMm: number;
	readonly widthMm: number;
}

/** A length of one strand as it came, on a spool or as a short end. */
export interface BulkLength {
	/** Length when it came; undefined where nobody knows it. */
	readonly newMm: number | undefined;
	readonly diameterMm: number;
	/** 1σ of the diameter, as a share of it. */
	readonly diameterShare: number;
	readonly density: StrandDensity;
	readonly spool?: BulkSpool | undefined;
	/** Mass of the empty spool, g; undefined where nobody weighed it. */
	readonly emptyG?: number | undefined;
}

interface Seen {
	/** What surprised was looked at again and is right: something was cut off, or came on, that nobody wrote down. */
	readonly changed?: boolean | undefined;
}

/** What happened to it, in the order of time. */
export type BulkEvent =
	| { readonly kind: 'cut'; readonly lengthMm: number; readonly sigmaMm: number }
	/** Spool and backing together on a scale. */
	| (Seen & { readonly kind: 'weighed'; readonly massG: number })
	/** A rule across the flanges down to the backing. */
	| (Seen & { readonly kind: 'depth'; readonly depthMm: number; readonly places?: number | undefined })
	/** The length that is left, as it was measured off. */
	| (Seen & { readonly kind: 'length'; readonly lengthMm: number });

/** How far one reading is from what was expected. */
export interface BulkReading {
	/** Place among the events. */
	readonly event: number;
	/** How far it is from what was expected, in standard deviations of that. */
	readonly z: number;
	/** Further than is believed ({@link SURPRISE_Z}), and nobody has said that it is right: it is left out. */
	readonly surprise: boolean;
}

export interface BulkLeft {
	/** Length that is left, mm. */
	readonly left: Ranged;
	readonly readings: readonly BulkReading[];
}

/** 1σ of the length on a label, as a share of it. Assumption: makers wind on by a counter. */
export const LABEL_SHARE = 0.01;
/** 1σ of a length that was measured off by hand, as a share of it, and at least, mm. Assumption. */
const BY_HAND_SHARE = 0.02;
const BY_HAND_LEAST_MM = 300;
/** 1σ of a length that somebody cut off or measured by hand, mm. */
export const byHandSigmaMm = (lengthMm: number): number =>
	Math.max(BY_HAND_SHARE * lengthMm, BY_HAND_LEAST_MM);
/** Nobody knows how long it was: a prior this wide, mean and 1σ, mm, where no spool says more. Assumption. */
const UNKNOWN_MM = 300_000;
/** A change that nobody wrote down, 1σ, as a share of the length when it came. */
const CHANGE_SHARE = 0.5;
/** The mass of an empty spool that nobody weighed, as a share of its full backing's, mean and 1σ. Assumption. */
const EMPTY_SHARE = 0.4;
const MM3_PER_CM3 = 1000;

/** The measures and the lengths that would be true at a state. */
interface BulkWorld {
	/** Length that is left after each event. */
	readonly leftMm: readonly number[];
	readonly gramsPerMm: number;
	readonly emptyG: number;
	/** Space that a millimetre of it takes, mm³ a mm. */
	readonly spaceMm2: number;
	readonly spool: BulkSpool | undefined;
	readonly habitMm: number;
}

/** Length that fills a straight spool up to its rim. */
const capacityMm = ({ rimDiameterMm, arborDiameterMm, widthMm }: BulkSpool, spaceMm2: number): number =>
	(Math.PI * (rimDiameterMm ** 2 - arborDiameterMm ** 2) * widthMm) / 4 / spaceMm2;

/** Space that a millimetre of backing takes on a spool that a machine wound, mm². */
export const spaceOf = (
	diameterMm: number,
	layEfficiency: number = WINDING_HANDS.machine.layEfficiency
): number => crossSectionMm2(diameterMm) / packingFraction(layEfficiency);

/** Diameter of the backing's surface on a spool with so much on it, mm. Below nothing it goes on smoothly. */
function surfaceDiameterMm(
	{ arborDiameterMm, widthMm }: BulkSpool,
	spaceMm2: number,
	lengthMm: number
): number {
	const square = arborDiameterMm ** 2 + (4 * lengthMm * spaceMm2) / (Math.PI * widthMm);
	return Math.sign(square) * Math.sqrt(Math.abs(square));
}

/** Radius of the surface on a spool with so much on it, mm, as a drawing has it. */
export const bulkSurfaceMm = (spool: BulkSpool, spaceMm2: number, lengthMm: number): number =>
	surfaceDiameterMm(spool, spaceMm2, lengthMm) / 2;

/**
 * Depth of the backing under the rims, from the length that is on: L = π(D² − d²)·w/(4·space), the wound-web formula of web-handling
 * handbooks with the web's thickness as space over width.
 */
function depthOf({ spool, spaceMm2, habitMm }: BulkWorld, leftMm: number): number {
	return (spool!.rimDiameterMm - surfaceDiameterMm(spool!, spaceMm2, leftMm)) / 2 + habitMm;
}

/** The places of the deviations that every length has; cuts and changes come after them. */
const SHARED = ['length', 'diameter', 'lay', 'density', 'empty', 'rim', 'arbor', 'width', 'habit'] as const;
const PLACE = Object.fromEntries(SHARED.map((name, i) => [name, i])) as Record<
	(typeof SHARED)[number],
	number
>;

/** How it began, with how far that may be off. */
function beginning(length: BulkLength): {
	newMm: number;
	newSigmaMm: number;
	emptyG: number;
	emptySigmaG: number;
} {
	const { newMm, spool, diameterMm, density, emptyG } = length;
	const guess = spool ? capacityMm(spool, spaceOf(diameterMm)) / 2 : UNKNOWN_MM;
	const [begins, newSigmaMm] = newMm === undefined ? [guess, guess] : [newMm, LABEL_SHARE * newMm];
	const fullG = (begins * crossSectionMm2(diameterMm) * density.gPerCm3) / MM3_PER_CM3;
	return {
		newMm: begins,
		newSigmaMm,
		emptyG: emptyG ?? EMPTY_SHARE * fullG,
		emptySigmaG: emptyG === undefined ? EMPTY_SHARE * fullG : READING_SPREADS.scaleG
	};
}

/** The world at a state of standard-normal deviations. Each cut, and each change that nobody wrote down, has one of its own. */
function worldOf(length: BulkLength, events: readonly BulkEvent[], x: readonly number[]): BulkWorld {
	const { newMm, newSigmaMm, emptyG, emptySigmaG } = beginning(length);
	const { diameterMm, diameterShare, density, spool } = length;
	const { layShare, rimMm, arborMm, widthMm } = DEFAULT_SPREADS;
	const at = (name: (typeof SHARED)[number]): number => x[PLACE[name]]!;
	const thickMm = diameterMm * Math.exp(diameterShare * at('diameter'));
	let next = SHARED.length;
	let left = newMm + newSigmaMm * at('length');
	const leftMm = events.map((event) => {
		if (event.kind === 'cut') left -= event.lengthMm + event.sigmaMm * x[next++]!;
		else if (event.changed) left += CHANGE_SHARE * newMm * x[next++]!;
		return left;
	});
	return {
		leftMm: [...leftMm, left],
		gramsPerMm:
			(crossSectionMm2(thickMm) * density.gPerCm3 * Math.exp(density.share * at('density'))) / MM3_PER_CM3,
		emptyG: emptyG + emptySigmaG * at('empty'),
		spaceMm2: spaceOf(thickMm, WINDING_HANDS.machine.layEfficiency * Math.exp(layShare * at('lay'))),
		spool: spool && {
			rimDiameterMm: spool.rimDiameterMm + rimMm * at('rim'),
			arborDiameterMm: spool.arborDiameterMm + arborMm * at('arbor'),
			widthMm: spool.widthMm + widthMm * at('width')
		},
		habitMm: habitSigmaMm(DEFAULT_SPREADS) * at('habit')
	};
}

/** A reading as the posterior sees it; undefined for a cut. @throws RangeError for a depth where no spool was measured */
function observedOf(length: BulkLength, event: BulkEvent, place: number): Observed<BulkWorld> | undefined {
	switch (event.kind) {
		case 'cut':
			return undefined;
		case 'weighed':
			return {
				value: event.massG,
				sigma: READING_SPREADS.scaleG,
				predict: ({ emptyG, gramsPerMm, leftMm }) => emptyG + gramsPerMm * leftMm[place]!
			};
		case 'depth':
			if (!length.spool) throw new RangeError('a depth on a spool that nobody measured');
			return {
				value: event.depthMm,
				sigma: depthSigmaMm({ places: event.places }, DEFAULT_SPREADS),
				predict: (world) => depthOf(world, world.leftMm[place]!)
			};
		case 'length':
			return {
				value: event.lengthMm,
				sigma: byHandSigmaMm(event.lengthMm),
				predict: ({ leftMm }) => leftMm[place]!
			};
	}
}

/** How far a reading is from what was expected before it, in standard deviations. */
function surpriseOf(
	space: Parameters<typeof posterior<BulkWorld>>[0],
	{ at, world, covariance }: Posterior<BulkWorld>,
	{ value, sigma, predict }: Observed<BulkWorld>
): number {
	const slope = gradient(space, at, predict);
	const variance = varianceAlong(covariance, slope) + sigma ** 2;
	return (value - predict(world)) / Math.sqrt(variance);
}

/**
 * How much is left of a length, from what it was, its cuts, and everything that was read since: one posterior, like every estimate
 * here. A reading further than {@link SURPRISE_Z} standard deviations from what was expected is left out until somebody says that it is right.
 *
 * @throws RangeError for a depth where no spool was measured
 */
export function bulkLeft(length: BulkLength, events: readonly BulkEvent[]): BulkLeft {
	const own = events.filter((event) => event.kind === 'cut' || event.changed).length;
	const space = {
		count: SHARED.length + own,
		worldAt: (x: readonly number[]) => worldOf(length, events, x)
	};
	const believed: Observed<BulkWorld>[] = [];
	const readings: BulkReading[] = [];
	let now = posterior(space, believed);
	events.forEach((event, place) => {
		const one = observedOf(length, event, place);
		if (!one) return;
		const z = surpriseOf(space, now, one);
		const told = event.kind !== 'cut' && event.changed;
		const surprise = Math.abs(z) > SURPRISE_Z && !told;
		readings.push({ event: place, z, surprise });
		if (surprise) return;
		believed.push(one);
		now = posterior(space, believed, now.at);
	});
	const leftNow = ({ leftMm }: BulkWorld): number => leftMm.at(-1)!;
	const slope = gradient(space, now.at, leftNow);
	const sigma = Math.sqrt(varianceAlong(now.covariance, slope));
	return { left: ranged(Math.max(leftNow(now.world), 0), sigma, 0), readings };
}
