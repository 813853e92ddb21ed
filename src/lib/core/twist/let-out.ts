import type { Caution } from '../procedure/phrase';
import { toMm } from '../units/units';

/** The place, and the line, that twist is to be let out of. */
export interface LetOutSituation {
	readonly lengthMm: number;
	/** The longest straight and empty stretch there is, mm; 0 for none. */
	readonly laneMm: number;
	/** Moving water, a high place, a swivel: what there is. */
	readonly has: readonly ('current' | 'height' | 'swivel')[];
	/** How high, mm. */
	readonly heightMm?: number;
	/** The weakest part that will be pulled, lb. */
	readonly weakestLb: number;
	/** Turns that are in it, and a metre. */
	readonly turns: number;
}

export type LetOutKey = 'stretch-and-walk' | 'current' | 'height' | 'spin-bight' | 'swivel';

export interface UntwistTechnique {
	readonly key: LetOutKey;
	readonly name: string;
	/** Share of the twist that goes, with its doubt (1σ). Assumptions. */
	readonly share: number;
	readonly shareSd: number;
	readonly minutes: number;
	readonly cautions: readonly Caution[];
	readonly steps: readonly string[];
	/** Lane that one pass takes, mm, and how many passes. */
	readonly laneMm?: number;
	readonly passes?: number;
	/** A steady pull, lb. */
	readonly pullLb?: number;
	/** What is missing, where it cannot be done here. */
	readonly lacks?: string;
}

/** Room beyond the line: an arm, a butt section, and a step back, mm. An assumption. */
export const REACH_MM = 4000;
const MOST_PASSES = 3;
/** A pull that straightens a line and hurts nothing: this share of the weakest part. Common practice is "well below half". */
const PULL_SHARE = 0.2;
const MOST_PULL_LB = 4;

/** Five minutes for a short line, ten for a long one, and longer in several passes. Common practice. */
function walkingMinutes(lengthMm: number, passes: number): number {
	const [short, long] = [toMm(20, 'yd'), toMm(40, 'yd')];
	const share = Math.min(Math.max((lengthMm - short) / (long - short), 0), 1);
	return (5 + 5 * share) * (1 + 0.5 * (passes - 1));
}

export function stretchAndWalk({ lengthMm, laneMm, weakestLb }: LetOutSituation): UntwistTechnique {
	const room = laneMm - REACH_MM;
	const passes = room > 0 ? Math.max(1, Math.ceil(lengthMm / room - 1e-9)) : Infinity;
	const possible = passes <= MOST_PASSES;
	const pullLb = Math.min(PULL_SHARE * weakestLb, MOST_PULL_LB);
	return {
		key: 'stretch-and-walk',
		name: 'Stretch it and walk it',
		share: passes === 1 ? 0.9 : 0.75,
		shareSd: 0.08,
		minutes: walkingMinutes(lengthMm, possible ? passes : 1),
		cautions: ['stretch', 'scraps'],
		steps: [
			'Find an empty stretch: nobody comes through, nothing for the line to catch on. Someone keeps watch if people might.',
			'Take the fly off. Fix the front end of the line to an anchor that does not cut it: a smooth post, a soft strap.',
			passes === 1
				? 'Walk away with the reel until the whole line lies straight. Take it off the backing, or let its rear end hang free.'
				: `The stretch is too short for all of it: do it in ${possible ? passes : 'several'} parts, each part laid straight, the rest loose beside the reel.`,
			'Go back to the anchor. Pinch the line lightly and walk its whole length: the twist runs ahead of your fingers and out at the free end, which turns.',
			'Join it to the backing again and tighten the drag.',
			'Wind in while you walk to the anchor, the line stretched all the time, so that it goes on under tension.',
			'A loop test: hold a bight, let it hang, count how far it spins. Write it down.'
		],
		pullLb,
		laneMm: Math.min(lengthMm, possible ? lengthMm / passes : lengthMm) + REACH_MM,
		...(possible && { passes }),
		...(!possible && {
			lacks: `A straight empty stretch: a third of the line and ${REACH_MM / 1000} m of room to stand, at least.`
		})
	};
}

/**
 * The ways to get twist out of a line here, the best first: those that can be done, by the share that goes; then what is
 * missing for the others. What each lets out is an assumption, to be checked by a loop test.
 */
export function untwistTechniques(situation: LetOutSituation): UntwistTechnique[] {
	const { lengthMm, has, heightMm = 0 } = situation;
	const metres = lengthMm / 1000;
	const ways: UntwistTechnique[] = [
		stretchAndWalk(situation),
		{
			key: 'current',
			name: 'Let it hang in a current',
			share: 0.6,
			shareSd: 0.15,
			minutes: 5 + metres / 10,
			cautions: ['wading', 'no-fly'],
			steps: [
				'Stand where the footing is sure. No fly, and the leader off, or its end free to turn.',
				'Let all of the line run out downstream and hold it there for some minutes: it turns by itself.',
				'Wind in slowly, under the tension that the water gives.'
			],
			...(!has.includes('current') && { lacks: 'Moving water, deep enough that nothing catches.' })
		},
		{
			key: 'height',
			name: 'Let it hang from a height',
			share: heightMm > 0 ? Math.min(0.7, (0.7 * heightMm) / lengthMm) : 0.5,
			shareSd: 0.15,
			minutes: 6,
			cautions: ['below', 'no-fly'],
			steps: [
				'Nobody below, no wires near. A small weight without edges on the free end.',
				'Let it down, steady it, and wait until it has stopped turning.',
				'Wind in between two fingers.'
			],
			...(!(has.includes('height') && heightMm > 0) && {
				lacks: 'A safe high place, a window or a bridge without wires.'
			})
		},
		{
			key: 'swivel',
			name: 'Trail it behind a swivel',
			share: 0.4,
			shareSd: 0.15,
			minutes: 8,
			cautions: ['no-fly'],
			steps: [
				'A small swivel between the line and a short end that drags: over clean grass, or behind a boat that is rowed.',
				'Draw it along for some minutes, all of the line out.',
				'Wind in under tension.'
			],
			...(!has.includes('swivel') && { lacks: 'A swivel that turns easily.' })
		},
		{
			key: 'spin-bight',
			name: 'Spin it out by the bight',
			share: 0.3,
			shareSd: 0.15,
			minutes: Math.max(3, metres / 4),
			cautions: [],
			steps: [
				'Strip a few metres, hold a bight and let it hang: it spins by itself.',
				'Help it with the fingers until it hangs still; then the next few metres, toward the free end.',
				'Only the part that is stripped gets rid of it: begin at the reel, work to the front.'
			]
		}
	];
	return ways.sort(
		(a, b) => Number(a.lacks !== undefined) - Number(b.lacks !== undefined) || b.share - a.share
	);
}
