import {
	gentlest,
	LEAVINGS,
	ONTO,
	SOURCES,
	type Leaving,
	type LetOutSituation,
	type Onto,
	type Seen,
	type Transfer,
	type TwistSource
} from '$lib/core';

/** What is asked of a line's way from one place to another: two ways side by side, and the place to get twist out. */
export interface TwistQuestion {
	readonly lengthMm: number;
	/** Each way may have several legs, one after the other. */
	readonly one: readonly Transfer[];
	readonly other: readonly Transfer[];
	readonly laneMm: number;
	readonly has: LetOutSituation['has'];
	readonly heightMm: number;
	readonly weakestLb: number;
}

const USUAL_LENGTH_MM = 27_432;
const MOST_MM = 1_000_000;
const HAS = ['current', 'height', 'swivel'] as const;

const keyOf = <K extends string>(record: Record<K, unknown>, text: string | undefined, usual: K): K =>
	text !== undefined && Object.hasOwn(record, text) ? (text as K) : usual;
function lengthOf(text: string | null, usual: number, most = MOST_MM): number {
	const value = Number(text);
	return text !== null && text !== '' && value >= 0 && value <= most ? value : usual;
}

const DIAMETERS_MM = [5, 2000] as const;
const within = (text: string | undefined, [low, high]: readonly [number, number]): number | undefined => {
	const value = Number(text);
	return text && value >= low && value <= high ? value : undefined;
};
const SEEN = { clockwise: 0, anticlockwise: 0 } as const;

/** A leg in an address: source, leaving, seen, onto; then what is not as usual: diameter, by hand, laid, coils of 100 that jump. */
function transferOf(text: string | null, lengthMm: number, usual: Transfer): Transfer {
	const [source, leaving, seen, onto, diameter, hand, laid, jump] = (text ?? '').split('.');
	const [diameterMm, handDiameterMm] = [within(diameter, DIAMETERS_MM), within(hand, DIAMETERS_MM)];
	const jumping = within(jump, [0, 100]);
	return {
		lengthMm,
		source: keyOf<TwistSource>(SOURCES, source, usual.source),
		leaving: keyOf<Leaving>(LEAVINGS, leaving, usual.leaving),
		seen: keyOf<Seen>(SEEN, seen, usual.seen),
		onto: keyOf<Onto>(ONTO, onto, usual.onto),
		...(diameterMm !== undefined && { diameterMm }),
		...(handDiameterMm !== undefined && { handDiameterMm }),
		...(laid === 'anticlockwise' && { laid }),
		...(jumping !== undefined && { jumpShare: jumping / 100 })
	};
}

/** Most legs of one way. */
export const MOST_LEGS = 5;
const BETWEEN = '~';

/** The legs of a way in an address. */
function legsOf(text: string | null, lengthMm: number, usual: readonly Transfer[]): readonly Transfer[] {
	if (text === null || text === '') return usual;
	return text
		.split(BETWEEN)
		.slice(0, MOST_LEGS)
		.map((leg) => transferOf(leg, lengthMm, usual[0]!));
}

/** What a line lies on after a leg: where the next one begins. */
const LIES_ON: Record<Onto, TwistSource> = { reel: 'reel', 'hand-coils': 'loose', 'figure-eight': 'loose' };
/** One leg more, from where the last one ended. */
export const nextLeg = (legs: readonly Transfer[]): Transfer => {
	const { lengthMm, onto } = legs.at(-1)!;
	return { lengthMm, source: LIES_ON[onto], leaving: 'turning', seen: 'clockwise', onto: 'reel' };
};

/**
 * The question of an address; what is not said, or makes no sense, is as it usually is.
 *
 * @param usualMm length where none is said
 */
export function twistQuestion(query: URLSearchParams, usualMm = USUAL_LENGTH_MM): TwistQuestion {
	const asked = lengthOf(query.get('length'), usualMm);
	const lengthMm = asked > 0 ? asked : usualMm;
	const usual: Transfer = {
		lengthMm,
		source: 'line-spool',
		leaving: 'over-side',
		seen: 'clockwise',
		onto: 'reel'
	};
	const one = legsOf(query.get('one'), lengthMm, [usual]);
	return {
		lengthMm,
		one,
		other: legsOf(query.get('other'), lengthMm, one.map(gentlest)),
		laneMm: lengthOf(query.get('lane'), 40_000),
		has: HAS.filter((thing) => (query.get('has') ?? '').split(' ').includes(thing)),
		heightMm: lengthOf(query.get('height'), 0, 200_000),
		weakestLb: Math.min(Math.max(lengthOf(query.get('weakest'), 20), 1), 200)
	};
}

const transferText = (leg: Transfer): string => {
	const { source, leaving, seen, onto, diameterMm, handDiameterMm, laid, jumpShare } = leg;
	const whole = (value: number | undefined): string => (value === undefined ? '' : String(Math.round(value)));
	return [
		source,
		leaving,
		seen,
		onto,
		whole(diameterMm),
		whole(handDiameterMm),
		laid === 'anticlockwise' ? laid : '',
		whole(jumpShare === undefined ? undefined : 100 * jumpShare)
	]
		.join('.')
		.replace(/\.+$/, '');
};

/** The address of a question. */
export const questionQuery = (question: TwistQuestion): URLSearchParams =>
	new URLSearchParams({
		length: String(question.lengthMm),
		one: question.one.map(transferText).join(BETWEEN),
		other: question.other.map(transferText).join(BETWEEN),
		lane: String(question.laneMm),
		has: question.has.join(' '),
		height: String(question.heightMm),
		weakest: String(question.weakestLb)
	});
