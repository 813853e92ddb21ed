import { GIVING_WAY, HABIT, type Nuisance } from '../estimate/world';
import { AGAIN_SHARE } from '../estimate/reading';
import { isKnown, type Component } from '../fit/stack';
import type { Problem, UncertainInput } from '../uncertainty/inputs';
import type { Spreads } from '../uncertainty/spreads';

/** A strand of one winding. */
export interface LearntStrand {
	/** The very strand, wherever it is. */
	readonly id: string;
	/** What it is sold as: strands of one kind have most of what they are in common. Left out of one that was measured by itself. */
	readonly kind?: string | undefined;
	/** The winding in which it was laid as it lies: backing that stays under a new line was laid before. */
	readonly laid: string;
}

/** What one winding shares with others. */
export interface Things {
	readonly spool: string;
	readonly winder: string;
	/** Years since anybody's first winding of the rack: a hand drifts. */
	readonly years: number;
	/** From the arbor outward. */
	readonly strands: readonly LearntStrand[];
}

/** A deviation as the sum of independent ones that belong to the things of a rack: their ids, and how much of each. */
export type Mix = readonly (readonly [id: string, by: number])[];

const KIND = 'kind ';
/** Whether a deviation belongs to a kind of strand. */
export const isKind = (id: string): boolean => id.startsWith(KIND);

/** 1σ by which one strand differs from others of its kind, as a share. Assumptions. */
const OWN_SHARE = { diameter: 0.015, bulk: 0.03 } as const;
/** 1σ by which a hand drifts in a year, as a share of η. Assumption. */
const DRIFT_SHARE = 0.01;
/** Part of how tightly a strand lies that its winder has in common with everything else they wind: √½ of the spread. */
const WINDER_PART = Math.SQRT1_2;
/** And the strand's own part, half the spread, of which {@link AGAIN_SHARE} is another each time it is laid. */
const STRAND_PART = 1 / 2;

const both = (whole: number, one: number): [own: number, rest: number] => {
	const own = Math.min(one / whole, 1);
	return [own, Math.sqrt(1 - own * own)];
};

function mixOfStrand(
	key: 'diameter' | 'bulk' | 'lay',
	component: Component,
	spreads: Spreads,
	{ id, kind, laid }: LearntStrand
): Mix {
	if (key === 'lay') {
		const sigma = component.spreads?.layShare ?? STRAND_PART * spreads.layShare;
		const [again, same] = both(sigma, AGAIN_SHARE);
		return [
			[`strand ${id}: lay`, same],
			[`laid ${laid}, ${id}: lay`, again]
		];
	}
	const { diameterShare, bulkShare } = { ...spreads, ...component.spreads };
	const [own, common] = both(isKnown(component) ? bulkShare : diameterShare, OWN_SHARE[key]);
	return kind === undefined || common === 0
		? [[`strand ${id}: ${key}`, 1]]
		: [
				[`${KIND}${kind}: ${key}`, common],
				[`strand ${id}: ${key}`, own]
			];
}

/** What an input of a problem is made of. */
export function mixOfInput(
	{ id, key, component }: UncertainInput,
	{ stack }: Problem,
	spreads: Spreads,
	{ spool, winder, years, strands }: Things
): Mix {
	if (component !== undefined)
		return mixOfStrand(key as 'diameter' | 'bulk' | 'lay', stack[component]!, spreads, strands[component]!);
	if (key !== 'lay') return [[`spool ${spool}: ${id}`, 1]];
	if (id !== 'lay') return [[`winder ${winder}: ${id}`, 1]];
	const drift = DRIFT_SHARE / (WINDER_PART * spreads.layShare);
	const passed = Array.from({ length: Math.floor(years) }, (_, year) => year + 1);
	return [
		[`winder ${winder}: lay`, 1],
		...passed.map((year) => [`winder ${winder}: year ${year}`, drift] as const)
	];
}

/** What a nuisance of a winding is made of. */
export function mixOfNuisance(
	{ id, component }: Nuisance,
	winding: string,
	{ winder, strands }: Things
): Mix {
	if (id === HABIT) return [[`winder ${winder}: habit`, 1]];
	if (id === GIVING_WAY) return [[id, 1]];
	const strand = component === undefined ? undefined : strands[component];
	return strand ? [[`laid ${strand.laid}, ${strand.id}: ${id}`, 1]] : [[`winding ${winding}: ${id}`, 1]];
}
