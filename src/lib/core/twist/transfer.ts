import { NO_TURNS, plus, times, type Turns } from './belief';

/** What the line is on, and how wide its coils are there. Common practice; diameters are of the middle of the coils. */
export const SOURCES = {
	'maker-coil': { label: "Maker's coil", meanDiameterMm: 165 },
	'line-spool': { label: 'Plastic or card spool', meanDiameterMm: 130 },
	'bulk-spool': { label: 'Bulk spool', meanDiameterMm: 110 },
	reel: { label: 'Another reel', meanDiameterMm: 70 },
	loose: { label: 'Loose coils', meanDiameterMm: 220 },
	'laid-out': { label: 'Laid out straight', meanDiameterMm: null }
} as const;
export type TwistSource = keyof typeof SOURCES;

/** How it comes off. */
export const LEAVINGS = {
	turning: 'It turns as the line is pulled',
	'over-side': 'Over its side, standing still',
	bowl: 'Loose in a bowl or box',
	'both-sides': 'Half off one side, half off the other'
} as const;
export type Leaving = keyof typeof LEAVINGS;

/** What it goes on to. */
export const ONTO = {
	reel: 'On a reel that is turned',
	'hand-coils': 'Into coils by hand, all one way',
	'figure-eight': 'Into figures of eight'
} as const;
export type Onto = keyof typeof ONTO;

/**
 * Which way the place where the line leaves runs round, seen from the side it leaves to. Clockwise gives a
 * right-handed twist: the coil behind it is a right-handed screw, and what it had of that it keeps when it is straight.
 */
export type Seen = 'clockwise' | 'anticlockwise';

export interface Transfer {
	readonly lengthMm: number;
	readonly source: TwistSource;
	/** Mean diameter of its coils, mm; the source's usual one where nothing is said. */
	readonly diameterMm?: number;
	readonly leaving: Leaving;
	readonly seen: Seen;
	/** Share of coils that jump off in a bowl, 0–1; the usual one where nobody looked. */
	readonly jumpShare?: number;
	readonly onto: Onto;
	/** Coils made by hand, mm; and which way they are laid, seen from above. */
	readonly handDiameterMm?: number;
	readonly laid?: Seen;
}

/** How well a mean coil diameter is known, relative, 1σ. An assumption. */
const DIAMETER_SPREAD = 0.08;
/** Share of coils that jump off a spool which lies free in a bowl, each with a turn; 1σ. Assumptions. */
export const USUAL_JUMP_SHARE = 0.15;
const JUMPING_SD = 0.1;
/** How well someone who watched knows it, as a share of it, 1σ. An assumption. */
const WATCHED_SPREAD = 0.25;
/** How far "half" is off, as a share of the whole; 1σ. An assumption. */
const HALF_SPREAD = 0.04;
/** Coils made by hand, mm. Common practice. */
export const USUAL_HAND_COIL_MM = 250;

const SIGN: Record<Seen, 1 | -1> = { clockwise: 1, anticlockwise: -1 };

/** Coils of a mean diameter in a length: L / (π d). */
export const coilsIn = (lengthMm: number, diameterMm: number): number => lengthMm / (Math.PI * diameterMm);

function leavingTurns({ source, leaving, seen, lengthMm, diameterMm, jumpShare }: Transfer): Turns {
	const mean = diameterMm ?? SOURCES[source].meanDiameterMm;
	// What has no coils, or turns, gives none.
	if (mean === null || leaving === 'turning') return NO_TURNS;
	const coils: Turns = {
		mean: coilsIn(lengthMm, mean),
		sd: DIAMETER_SPREAD * coilsIn(lengthMm, mean)
	};
	switch (leaving) {
		case 'over-side':
			return times(coils, SIGN[seen]);
		case 'both-sides':
			// A turn each way for every coil: what is left is how far the halves are unequal.
			return { mean: 0, sd: 2 * HALF_SPREAD * coils.mean };
		case 'bowl':
			return times(
				{
					mean: (jumpShare ?? USUAL_JUMP_SHARE) * coils.mean,
					sd: (jumpShare === undefined ? JUMPING_SD : WATCHED_SPREAD * jumpShare) * coils.mean
				},
				SIGN[seen]
			);
	}
}

function ontoTurns({
	onto,
	lengthMm,
	handDiameterMm = USUAL_HAND_COIL_MM,
	laid = 'clockwise'
}: Transfer): Turns {
	// Figures of eight turn once each way; a reel that is turned takes the line as it comes.
	if (onto !== 'hand-coils') return NO_TURNS;
	const coils = coilsIn(lengthMm, handDiameterMm);
	return times({ mean: coils, sd: 2 * DIAMETER_SPREAD * coils }, SIGN[laid]);
}

/**
 * The twist that a transfer puts into a line, turns along its whole length.
 *
 * A line that leaves a standing coil keeps the coil's link: one turn a coil (Călugăreanu–White–Fuller, Lk = Tw + Wr;
 * pulled straight its writhe is gone, and the twist is what the coil's writhe was).
 *
 * @throws RangeError for a length or a diameter that is not above 0, or a share that is none
 */
export function transferTurns(transfer: Transfer): Turns {
	const { lengthMm, diameterMm, handDiameterMm } = transfer;
	for (const mm of [lengthMm, diameterMm, handDiameterMm])
		if (mm !== undefined && !(mm > 0)) throw new RangeError(`lengths are above 0 mm, got ${mm}`);
	const { jumpShare = 0 } = transfer;
	if (!(jumpShare >= 0 && jumpShare <= 1)) throw new RangeError(`a share lies in 0–1, got ${jumpShare}`);
	return plus(leavingTurns(transfer), ontoTurns(transfer));
}

/** Several transfers of one line, one after the other. */
export const transfersTurns = (transfers: readonly Transfer[]): Turns =>
	transfers.reduce((sum, transfer) => plus(sum, transferTurns(transfer)), NO_TURNS);

/** The way to do it that adds least, with everything else as it is: what it travels from, and on to, stays. */
export function gentlest(transfer: Transfer): Transfer {
	return {
		...transfer,
		leaving: 'turning',
		onto: transfer.onto === 'hand-coils' ? 'figure-eight' : transfer.onto
	};
}
