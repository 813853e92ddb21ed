import { corrected, NO_TURNS, plus, times, type Turns } from './belief';

/** What a line's twist depends on, in the order it happened. Turns are along the whole line unless said otherwise. */
export type TwistEntry =
	| { readonly kind: 'new' }
	| { readonly kind: 'transfer'; readonly turns: Turns }
	/** Days fished since the entry before. */
	| { readonly kind: 'fished'; readonly days: number }
	/** Share that was let out, 0–1, with its doubt. */
	| { readonly kind: 'let-out'; readonly share: number; readonly shareSd: number }
	/** A bight held up: turns a metre, as measured. */
	| { readonly kind: 'loop-test'; readonly perMetre: Turns }
	/** Something that leaves its twist as it is. */
	| { readonly kind: 'nothing' };

/** Twist that a day out adds, turns a metre, and how much days differ. Assumptions until loop tests say otherwise. */
export const USUAL_GROWTH: Turns = { mean: 0.06, sd: 0.06 };
/** What a line has that comes new from its maker, turns a metre. An assumption. */
const NEW_LINE: Turns = { mean: 0, sd: 0.1 };

export interface TwistNow {
	/** Turns along the whole line. */
	readonly turns: Turns;
	readonly perMetre: Turns;
}

/**
 * The twist of a line after each of its entries, turns a metre: transfers and days added, what was let out taken off, loop
 * tests as corrections (a Kalman filter with one state).
 *
 * @param growth what a day out adds, turns a metre
 * @throws RangeError for a line without length
 */
export function twistAlong(
	entries: readonly TwistEntry[],
	lengthMm: number,
	growth: Turns = USUAL_GROWTH
): Turns[] {
	if (!(lengthMm > 0)) throw new RangeError(`a line has a length, got ${lengthMm} mm`);
	const metres = lengthMm / 1000;
	let now = NO_TURNS;
	return entries.map((entry) => times((now = after(now, entry, metres, growth)), 1 / metres));
}

function after(now: Turns, entry: TwistEntry, metres: number, growth: Turns): Turns {
	switch (entry.kind) {
		case 'nothing':
			return now;
		case 'new':
			return times(NEW_LINE, metres);
		case 'transfer':
			return plus(now, entry.turns);
		case 'fished':
			// Days are unlike each other: their doubts add up as squares.
			return plus(now, {
				mean: growth.mean * entry.days * metres,
				sd: growth.sd * Math.sqrt(entry.days) * metres
			});
		case 'let-out': {
			const left = 1 - entry.share;
			return { mean: left * now.mean, sd: Math.hypot(left * now.sd, entry.shareSd * now.mean) };
		}
		case 'loop-test':
			return corrected(now, times(entry.perMetre, metres));
	}
}

/** How a held bight is read: a count is good to so many turns, and friction and stiffness stop it short; 1σ. Assumptions. */
const COUNT_SD_TURNS = 0.25;
const STOPS_SHORT_SD = 0.15;

/**
 * Twist a metre from a loop test: a bight of `bightMm` of line held by both ends spins `spins` times, positive when its
 * legs wind into a right-handed screw. Each spin takes a turn out of either leg.
 *
 * @throws RangeError for a bight without length
 */
export function loopTest(bightMm: number, spins: number): Turns {
	if (!(bightMm > 0)) throw new RangeError(`a bight has a length, got ${bightMm} mm`);
	const perSpin = 2000 / bightMm;
	return {
		mean: perSpin * spins,
		sd: perSpin * Math.hypot(COUNT_SD_TURNS, STOPS_SHORT_SD * spins)
	};
}

/**
 * What a day out adds, learnt: each two loop tests with nothing but fishing between them say how much it was. Starts
 * from the usual, turns a metre a day.
 */
export function learnGrowth(entries: readonly TwistEntry[]): Turns {
	let belief = USUAL_GROWTH;
	let last: Turns | undefined;
	let days = 0;
	for (const entry of entries) {
		if (entry.kind === 'fished') days += entry.days;
		else if (entry.kind === 'loop-test') {
			if (last && days > 0)
				belief = corrected(belief, {
					mean: (entry.perMetre.mean - last.mean) / days,
					// Both tests err, and days differ.
					sd: Math.hypot(Math.hypot(entry.perMetre.sd, last.sd) / days, USUAL_GROWTH.sd / Math.sqrt(days))
				});
			[last, days] = [entry.perMetre, 0];
		} else if (entry.kind !== 'nothing') [last, days] = [undefined, 0];
	}
	return belief;
}

/** From here on a slack line throws loops, turns a metre; from there on it kinks on the water. Common practice. */
export const TWIST_LIMITS = { noticed: 0.5, loops: 1.5 } as const;
export type TwistVerdict = 'none' | 'noticed' | 'loops';

export const twistVerdict = (perMetre: number): TwistVerdict =>
	Math.abs(perMetre) < TWIST_LIMITS.noticed
		? 'none'
		: Math.abs(perMetre) < TWIST_LIMITS.loops
			? 'noticed'
			: 'loops';
