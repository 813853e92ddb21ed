import type { SameHand } from '../calibrate/ratings';
import {
	TYPICAL_SHAPE_SIGMA,
	type ProfileSource,
	type RatedSource,
	type SpoolShape,
	type SpoolSource
} from '../calibrate/source';
import { isKnown, type Component, type Stack } from '../fit/stack';
import { scaleBulk } from '../line/sections';
import type { Matrix } from '../numeric/cholesky';
import { MAX_LAY_EFFICIENCY } from '../packing/packing';
import type { Spreads } from './spreads';

/** Everything a fit is worked out from. */
export interface Problem {
	readonly source: SpoolSource;
	readonly stack: Stack;
	readonly gapMm: number;
	/** What earlier windings have left of the spreads; undefined while nothing was learnt. */
	readonly learnt?: LearntSpreads | undefined;
}

/** The joint covariance of inputs that earlier windings have narrowed, in their own prior variances: 1 and 0 while nothing is known. */
export interface LearntSpreads {
	/** Ids of the inputs. */
	readonly inputs: readonly string[];
	readonly covariance: Matrix;
}

export type InputKey =
	| 'rim'
	| 'arbor'
	| 'width'
	| 'frame'
	| 'rating'
	| 'rated-gap'
	| 'arbor-shape'
	| 'width-shape'
	| 'diameter'
	| 'bulk'
	| 'lay';

/** An uncertain input, and how a problem changes when it is `z` standard deviations off. */
export interface UncertainInput {
	/** Names it among the inputs of its problem: "rim", "lay backing", "1 bulk". */
	readonly id: string;
	readonly key: InputKey;
	/** The component it belongs to, if it is not the spool's. */
	readonly component?: number;
	/** Shifts can follow one another: each moves its own input and keeps what the others moved. */
	readonly shift: (problem: Problem, z: number) => Problem;
	/** Of how tightly strands lie: what a deviation of one adds to ln η of each component, where that is all it does. */
	readonly layLn?: readonly number[] | undefined;
}

/** Where physics ends: a bulk or a thickness is never less than this share of what it is expected to be. Assumption. */
const LEAST_SHARE = 0.05;
/** By how much a quantity that stays positive is multiplied, `z` standard deviations off. */
const times = (z: number, share: number): number => Math.max(1 + z * share, LEAST_SHARE);

type SourceShift = readonly [InputKey, (source: SpoolSource, z: number) => SpoolSource];

/** A shift that only one kind of source knows. */
const of =
	<K extends SpoolSource['kind'], S extends Extract<SpoolSource, { kind: K }>>(
		kind: K,
		shift: (source: S, z: number) => S
	) =>
	(source: SpoolSource, z: number): SpoolSource => {
		if (source.kind !== kind) throw new RangeError(`a ${kind} spool became ${source.kind}`);
		return shift(source as S, z);
	};

const measuredShifts = ({ rimMm, arborMm, widthMm }: Spreads): SourceShift[] => [
	['rim', of('measured', (s, z) => ({ ...s, rimDiameterMm: s.rimDiameterMm + z * rimMm }))],
	['arbor', of('measured', (s, z) => ({ ...s, arborDiameterMm: s.arborDiameterMm + z * arborMm }))],
	['width', of('measured', (s, z) => ({ ...s, widthMm: s.widthMm + z * widthMm }))]
];

const profileShifts = ({ rimMm, arborMm, widthMm }: Spreads): SourceShift[] => {
	const moved = (source: ProfileSource, at: number, radiusMm: number): ProfileSource => ({
		...source,
		profile: source.profile.with(at, {
			...source.profile.at(at)!,
			radiusMm: source.profile.at(at)!.radiusMm + radiusMm
		})
	});
	return [
		['rim', of('profile', (s, z) => moved(s, -1, (z * rimMm) / 2))],
		['arbor', of('profile', (s, z) => moved(s, 0, (z * arborMm) / 2))],
		[
			'width',
			of('profile', (s, z) => ({
				...s,
				profile: s.profile.map((point) =>
					point.widthMm > 0 ? { ...point, widthMm: point.widthMm + z * widthMm } : point
				)
			}))
		]
	];
};

function ratedShifts(source: RatedSource, { rimMm, widthMm }: Spreads): SourceShift[] {
	const reshaped = (key: keyof SpoolShape) =>
		of('rated', (s, z) => ({
			...s,
			shape: { ...s.shape, [key]: s.shape[key] + z * TYPICAL_SHAPE_SIGMA[key] }
		}));
	const [hasRim, hasWidth] = [source.rimDiameterMm !== undefined, source.widthMm !== undefined];
	const shifts: SourceShift[] = [
		['rating', of('rated', (s, z) => ({ ...s, spaceFactor: s.spaceFactor * times(z, s.bulkSpread) }))],
		['rated-gap', of('rated', (s, z) => ({ ...s, ratedGapMm: s.ratedGapMm + z * s.gapSigmaMm }))]
	];
	if (hasRim)
		shifts.push(['rim', of('rated', (s, z) => ({ ...s, rimDiameterMm: s.rimDiameterMm! + z * rimMm }))]);
	if (hasWidth) shifts.push(['width', of('rated', (s, z) => ({ ...s, widthMm: s.widthMm! + z * widthMm }))]);
	if (!hasRim || !hasWidth) shifts.push(['arbor-shape', reshaped('arborOverRim')]);
	if (!hasRim && !hasWidth) shifts.push(['width-shape', reshaped('widthOverRim')]);
	return shifts;
}

const shiftsOf = (source: SpoolSource, spreads: Spreads): SourceShift[] => {
	switch (source.kind) {
		case 'measured':
			return measuredShifts(spreads);
		case 'profile':
			return profileShifts(spreads);
		case 'rated':
			return ratedShifts(source, spreads);
	}
};

/** What may be off in what is known of a spool. */
export function sourceShifts(source: SpoolSource, spreads: Spreads): SourceShift[] {
	const shifts = shiftsOf(source, spreads);
	return source.frameDiameterMm === undefined
		? shifts
		: [...shifts, ['frame', (s, z) => ({ ...s, frameDiameterMm: s.frameDiameterMm! + z * spreads.rimMm })]];
}

type ComponentShift = readonly [InputKey, (component: Component, z: number) => Component];

const componentShifts = (component: Component, general: Spreads): ComponentShift[] => {
	const { bulkShare, diameterShare } = { ...general, ...component.spreads };
	return isKnown(component)
		? [['bulk', (c, z) => (isKnown(c) ? { ...c, sections: scaleBulk(c.sections, times(z, bulkShare)) } : c)]]
		: [
				[
					'diameter',
					(c, z) => (isKnown(c) ? c : { ...c, diameterMm: c.diameterMm * times(z, diameterShare) })
				]
			];
};

/** A component that lies more densely by so much of ln η, up to the densest that there is. */
export const tighter = (component: Component, ln: number): Component => ({
	...component,
	layEfficiency: Math.min(component.layEfficiency * Math.exp(ln), MAX_LAY_EFFICIENCY)
});

type Family = 'backing' | 'line';
const familyOf = ({ role }: Component): Family => (role === 'backing' || role === 'bed' ? 'backing' : 'line');

/** Parts of the variance of ln η that all strands of a winder share, that those of one family share, and that is a strand's own. */
const LAY_PARTS = { winder: 1 / 2, family: 1 / 4, strand: 1 / 4 } as const;

/**
 * How tightly the strands lie: ln η = μ + s·(√½·winder + ½·family + ½·strand), so that one person's lines correlate 0.75 among
 * themselves and 0.5 with that person's backing. Assumption. A strand whose own spread is known lies by itself.
 */
function layInputs({ source, stack }: Problem, { layShare }: Spreads): UncertainInput[] {
	const common = (component: Component): boolean => component.spreads?.layShare === undefined;
	const known = source.kind === 'rated' && source.hand !== undefined;
	const of = (part: number, family?: Family): UncertainInput => ({
		id: family === undefined ? 'lay' : `lay ${family}`,
		key: 'lay',
		layLn: known
			? undefined
			: stack.map((c) =>
					common(c) && (family === undefined || familyOf(c) === family) ? layShare * Math.sqrt(part) : 0
				),
		shift: (p, z) => {
			const ln = z * layShare * Math.sqrt(part);
			const holds = (c: Component): boolean => common(c) && (family === undefined || familyOf(c) === family);
			const fills = (own: Family): number => (family === undefined || family === own ? Math.exp(ln) : 1);
			return {
				...p,
				source: withFill(p.source, ({ backingLay, lineLay }) => ({
					backingLay: backingLay * fills('backing'),
					lineLay: lineLay * fills('line')
				})),
				stack: p.stack.map((c, i) => (holds(stack[i]!) ? tighter(c, ln) : c))
			};
		}
	});
	const families = new Set(stack.filter(common).map(familyOf));
	const shared = [of(LAY_PARTS.winder), ...[...families].map((family) => of(LAY_PARTS.family, family))];
	const own = stack.map((component, index): UncertainInput => {
		const sigma = component.spreads?.layShare ?? layShare * Math.sqrt(LAY_PARTS.strand);
		return {
			id: `${index} lay`,
			key: 'lay',
			component: index,
			layLn: stack.map((_, i) => (i === index ? sigma : 0)),
			shift: (p, z) => ({ ...p, stack: p.stack.with(index, tighter(p.stack[index]!, z * sigma)) })
		};
	});
	return families.size > 0 ? [...shared, ...own] : own;
}

/** The same backing, by its nominal diameter, mm. */
const SAME_BACKING_MM = 0.005;

/** A known fill is moved as well, by what it has in common with the new one. */
const withFill = (source: SpoolSource, moved: (hand: SameHand) => Partial<SameHand>): SpoolSource =>
	source.kind === 'rated' && source.hand
		? { ...source, hand: { ...source.hand, ...moved(source.hand) } }
		: source;

const sameBacking = (source: SpoolSource, component: Component): boolean =>
	source.kind === 'rated' &&
	source.hand !== undefined &&
	!isKnown(component) &&
	source.ratings.every(
		({ backingDiameterMm }) => Math.abs(backingDiameterMm - component.diameterMm) < SAME_BACKING_MM
	);

/**
 * Every uncertain input of a problem by itself: standard-normal deviations that are independent as long as nothing was learnt.
 * What belongs together is drawn by `jointInputs`.
 */
export function uncertainInputs(problem: Problem, spreads: Spreads): UncertainInput[] {
	const spool = sourceShifts(problem.source, spreads).map(([key, moved]): UncertainInput => ({
		id: key,
		key,
		shift: (p, z) => ({ ...p, source: moved(p.source, z) })
	}));
	const same = (component: Component): boolean => sameBacking(problem.source, component);
	const stack = problem.stack.flatMap((component, index) =>
		componentShifts(component, spreads).map(([key, moved]): UncertainInput => ({
			id: `${index} ${key}`,
			key,
			component: index,
			shift: (p, z) => {
				const [before, after] = [p.stack[index]!, moved(p.stack[index]!, z)];
				const source =
					key === 'diameter' && same(component) && !isKnown(before) && !isKnown(after)
						? withFill(p.source, ({ backingDiameter }) => ({
								backingDiameter: (backingDiameter * after.diameterMm) / before.diameterMm
							}))
						: p.source;
				return { ...p, source, stack: p.stack.with(index, after) };
			}
		}))
	);
	return [...spool, ...stack, ...layInputs(problem, spreads)];
}

/** What a share of the variance belongs to. */
export type InputLabel = Pick<UncertainInput, 'key' | 'component'>;

export const labelOf = ({ key, component }: UncertainInput): InputLabel =>
	component === undefined ? { key } : { key, component };

/** Shares of the same label added up, largest first, made to add up to one. */
export function sharesOf<K extends string>(
	parts: readonly { label: { key: K; component?: number }; part: number }[]
): { key: K; component?: number; share: number }[] {
	const total = parts.reduce((sum, { part }) => sum + part, 0) || 1;
	const byLabel = new Map<string, { key: K; component?: number; share: number }>();
	for (const { label, part } of parts) {
		const id = `${label.key} ${label.component ?? ''}`;
		byLabel.set(id, { ...label, share: (byLabel.get(id)?.share ?? 0) + part / total });
	}
	return [...byLabel.values()].sort((a, b) => b.share - a.share);
}
