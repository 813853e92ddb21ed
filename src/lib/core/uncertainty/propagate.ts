import { RANGE_Z } from './spreads';

/** From the 5th to the 95th percentile: 9 times out of 10 the truth lies within. */
export interface Range {
	readonly low: number;
	readonly high: number;
}

/** One uncertain input and the answers there would be if it were `z` standard deviations off. */
export interface Move<Answer extends string, Label> {
	readonly label: Label;
	readonly answers: (z: number) => Readonly<Record<Answer, number>> | undefined;
}

export interface Propagated<Answer extends string, Label> {
	/** 1σ of an answer. */
	readonly sigma: (answer: Answer) => number;
	/** Clamped at `floor`, where nature does: no negative length or turns. */
	readonly range: (answer: Answer, floor?: number) => Range;
	/** What an answer's variance comes from, largest first; the shares add up to one. */
	readonly shares: (answer: Answer) => { label: Label; share: number }[];
}

/** Step of the central difference, in standard deviations. */
const STEP_Z = 0.5;

/**
 * First-order (derivative) propagation: each input is moved by half its spread to either side, and the
 * variances the moves bring are added. Good where the answers are nearly linear over the spreads. A side
 * on which there is no answer is left out.
 * Source: ISO/IEC Guide 98-3 (GUM), 5.1.2, inputs uncorrelated.
 */
export function propagate<Answer extends string, Label>(
	nominal: Readonly<Record<Answer, number>>,
	moves: readonly Move<Answer, Label>[]
): Propagated<Answer, Label> {
	const names = Object.keys(nominal) as Answer[];
	const slopes = moves.flatMap(({ label, answers }) => {
		const [up, down] = [answers(STEP_Z), answers(-STEP_Z)];
		const span = STEP_Z * ((up ? 1 : 0) + (down ? 1 : 0));
		if (span === 0) return [];
		const slope = (name: Answer): number => ((up ?? nominal)[name] - (down ?? nominal)[name]) / span;
		return [{ label, by: Object.fromEntries(names.map((n) => [n, slope(n)])) as Record<Answer, number> }];
	});
	const variance = (answer: Answer): number => slopes.reduce((sum, { by }) => sum + by[answer] ** 2, 0);
	const sigma = (answer: Answer): number => Math.sqrt(variance(answer));
	return {
		sigma,
		range: (answer, floor = -Infinity) => {
			const half = RANGE_Z * sigma(answer);
			return {
				low: Math.max(nominal[answer] - half, floor),
				high: Math.max(nominal[answer] + half, floor)
			};
		},
		shares: (answer) => {
			const total = variance(answer) || 1;
			return slopes
				.map(({ label, by }) => ({ label, share: by[answer] ** 2 / total }))
				.sort((a, b) => b.share - a.share);
		}
	};
}
