import { RATED_BULK_SPREAD, RATED_GAP_SIGMA_MM } from '../calibrate/ratings';
import { TYPICAL_SHAPE_SIGMA, type SpoolSource } from '../calibrate/source';
import { isKnown, type Component, type Stack } from '../fit/stack';
import { scaleBulk } from '../line/sections';
import { MAX_LAY_EFFICIENCY } from '../packing/packing';
import type { Spreads } from './spreads';

/** Everything a fit is worked out from. */
export interface Problem {
	readonly source: SpoolSource;
	readonly stack: Stack;
	readonly gapMm: number;
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

/** An uncertain input: the problem as it would be if this input were `z` standard deviations off. */
export interface UncertainInput {
	readonly key: InputKey;
	/** The component it belongs to, if it is not the spool's. */
	readonly component?: number;
	readonly shifted: (z: number) => Problem;
}

type SpoolShift = readonly [InputKey, (z: number) => SpoolSource];

function sourceShifts(source: SpoolSource, spreads: Spreads): SpoolShift[] {
	const { rimMm, arborMm, widthMm } = spreads;
	const frame = source.frameDiameterMm;
	const frameShift: SpoolShift[] =
		frame === undefined ? [] : [['frame', (z) => ({ ...source, frameDiameterMm: frame + z * rimMm })]];
	switch (source.kind) {
		case 'measured':
			return [
				['rim', (z) => ({ ...source, rimDiameterMm: source.rimDiameterMm + z * rimMm })],
				['arbor', (z) => ({ ...source, arborDiameterMm: source.arborDiameterMm + z * arborMm })],
				['width', (z) => ({ ...source, widthMm: source.widthMm + z * widthMm })],
				...frameShift
			];
		case 'profile': {
			const last = source.profile.length - 1;
			const moved = (i: number, radiusMm: number): SpoolSource => ({
				...source,
				profile: source.profile.map((point, j) =>
					i === j ? { ...point, radiusMm: point.radiusMm + radiusMm } : point
				)
			});
			const widened = (z: number): SpoolSource => ({
				...source,
				profile: source.profile.map((point) =>
					point.widthMm > 0 ? { ...point, widthMm: point.widthMm + z * widthMm } : point
				)
			});
			return [
				['rim', (z) => moved(last, (z * rimMm) / 2)],
				['arbor', (z) => moved(0, (z * arborMm) / 2)],
				['width', widened],
				...frameShift
			];
		}
		case 'rated': {
			const { rimDiameterMm: rim, widthMm: width, shape } = source;
			const reshaped = (key: keyof typeof shape, z: number): SpoolSource => ({
				...source,
				shape: { ...shape, [key]: shape[key] + z * TYPICAL_SHAPE_SIGMA[key] }
			});
			const shifts: SpoolShift[] = [
				['rating', (z) => ({ ...source, spaceFactor: source.spaceFactor * (1 + z * RATED_BULK_SPREAD) })],
				['rated-gap', (z) => ({ ...source, ratedGapMm: source.ratedGapMm + z * RATED_GAP_SIGMA_MM })]
			];
			if (rim !== undefined) shifts.push(['rim', (z) => ({ ...source, rimDiameterMm: rim + z * rimMm })]);
			if (width !== undefined) shifts.push(['width', (z) => ({ ...source, widthMm: width + z * widthMm })]);
			if (rim === undefined || width === undefined)
				shifts.push(['arbor-shape', (z) => reshaped('arborOverRim', z)]);
			if (rim === undefined && width === undefined)
				shifts.push(['width-shape', (z) => reshaped('widthOverRim', z)]);
			return [...shifts, ...frameShift];
		}
	}
}

type ComponentShift = readonly [InputKey, (z: number) => Component];

function componentShifts(component: Component, spreads: Spreads): ComponentShift[] {
	const lay = (z: number): number =>
		Math.min(component.layEfficiency * (1 + z * spreads.layShare), MAX_LAY_EFFICIENCY);
	return [
		isKnown(component)
			? [
					'bulk',
					(z) => ({ ...component, sections: scaleBulk(component.sections, 1 + z * spreads.bulkShare) })
				]
			: [
					'diameter',
					(z) => ({ ...component, diameterMm: component.diameterMm * (1 + z * spreads.diameterShare) })
				],
		['lay', (z) => ({ ...component, layEfficiency: lay(z) })]
	];
}

/** Every uncertain input of a problem. */
export function uncertainInputs(problem: Problem, spreads: Spreads): UncertainInput[] {
	const spool = sourceShifts(problem.source, spreads).map(([key, source]): UncertainInput => ({
		key,
		shifted: (z) => ({ ...problem, source: source(z) })
	}));
	const stack = problem.stack.flatMap((component, index) =>
		componentShifts(component, spreads).map(([key, shifted]): UncertainInput => ({
			key,
			component: index,
			shifted: (z) => ({ ...problem, stack: problem.stack.map((c, i) => (i === index ? shifted(z) : c)) })
		}))
	);
	return [...spool, ...stack];
}
