import { fail, ok, type Result } from '../issues';
import { crossSectionMm2, level, totalLengthMm, totalVolumeMm3 } from '../line/sections';
import { SURFACE_MM } from '../numeric/tolerances';
import { MAX_LAY_EFFICIENCY, packingFraction } from '../packing/packing';
import { volumeToRadius, type Spool } from '../spool';
import { isKnown, spaceMm3, type KnownComponent, type Role, type Stack } from './stack';
import { bareArbor, rearLengthOfVolume, windSection, type Surface } from './wind';

/** One component as it lies on the spool. */
export interface Layer {
	readonly role: Role;
	readonly lengthMm: number;
	/** Volume of the material itself; the space it takes is this over the packing. */
	readonly volumeMm3: number;
	readonly turns: number;
	readonly innerRadiusMm: number;
	readonly outerRadiusMm: number;
	/** Rim radius − outer radius: what a rule laid across the flanges reads. Negative above the rim. */
	readonly depthMm: number;
}

/** By how much the known components are too big. */
export interface Excess {
	/** What is missing of the wanted gap. */
	readonly gapMm: number;
	/** Length to cut off the rear of the outermost component so that it keeps the wanted gap. */
	readonly lengthMm: number;
	/** All of the outermost component would have to go, and that is not enough. */
	readonly notEnough: boolean;
}

export interface Fit {
	readonly fits: boolean;
	/** Final gap; negative when the line is above the rim or frame. */
	readonly gapMm: number;
	readonly layers: readonly Layer[];
	readonly solved?: { index: number; lengthMm: number; turns: number; stopDepthMm: number };
	readonly excess?: Excess;
}

function windAll(spool: Spool, stack: readonly KnownComponent[]): Layer[] {
	let surface: Surface = bareArbor(spool);
	return stack.map(({ role, layEfficiency, sections }) => {
		const inner = surface;
		let turns = 0;
		for (const section of sections) {
			const wound = windSection(spool, surface, section, packingFraction(layEfficiency));
			surface = wound.surface;
			turns += wound.turns;
		}
		return {
			role,
			lengthMm: totalLengthMm(sections),
			volumeMm3: totalVolumeMm3(sections),
			turns,
			innerRadiusMm: inner.radiusMm,
			outerRadiusMm: surface.radiusMm,
			depthMm: spool.rimRadiusMm - surface.radiusMm
		};
	});
}

/**
 * Surface radius that leaves `gapMm`. Issues `gap_leaves_no_room` (below the arbor) and `gap_above_rim`
 * (a frame wider than the rim would let line stand above it).
 */
export function surfaceForGap(spool: Spool, gapMm: number): Result<number> {
	const radiusMm = spool.gapFromRadiusMm - gapMm;
	if (!(radiusMm > spool.arborRadiusMm))
		return fail({ code: 'gap_leaves_no_room', gapMm, limitMm: spool.gapFromRadiusMm - spool.arborRadiusMm }, [
			'gapMm'
		]);
	if (radiusMm > spool.rimRadiusMm + SURFACE_MM)
		return fail({ code: 'gap_above_rim', gapMm, limitMm: spool.gapFromRadiusMm - spool.rimRadiusMm }, [
			'gapMm'
		]);
	return ok(radiusMm);
}

function checkStack(stack: Stack): Result<number> {
	const unknown = stack.flatMap((component, index) => (isKnown(component) ? [] : [index]));
	if (unknown.length > 1)
		return fail({ code: 'too_many_unknowns', count: unknown.length }, ['stack', unknown[1]!]);
	const dense = stack.findIndex((component) => component.layEfficiency > MAX_LAY_EFFICIENCY);
	if (dense >= 0)
		return fail(
			{
				code: 'packing_above_hexagonal',
				layEfficiency: stack[dense]!.layEfficiency,
				limit: MAX_LAY_EFFICIENCY
			},
			['stack', dense, 'layEfficiency']
		);
	return ok(unknown[0] ?? -1);
}

function excessOver(spool: Spool, stack: readonly KnownComponent[], wantedMm: number, gapMm: number): Excess {
	const targetMm3 = volumeToRadius(spool, Math.max(spool.gapFromRadiusMm - wantedMm, spool.arborRadiusMm));
	const tooMuchMm3 = stack.reduce((total, component) => total + spaceMm3(component), 0) - targetMm3;
	const outer = stack.at(-1)!;
	const lengthMm = rearLengthOfVolume(outer.sections, tooMuchMm3 * packingFraction(outer.layEfficiency));
	return { gapMm: wantedMm - gapMm, lengthMm, notEnough: tooMuchMm3 > spaceMm3(outer) };
}

/**
 * Fits a stack on a spool.
 *
 * With one component of unknown length, finds the length that brings the surface to `gapMm`; with none,
 * finds the gap. Winding a cross-section a on a surface follows φ·dV = a·dL, so the space each component
 * takes is its volume over φ, whatever its place in the stack: the length is closed-form. Turns of level
 * strands are exact (φ·ΔA/a), of tapers integrated to better than 1e-6.
 *
 * `fits` says that nothing stands above rim or frame and, when a length was looked for, that the wanted
 * gap is kept. Issues: those of {@link surfaceForGap}, `too_many_unknowns`, `packing_above_hexagonal`.
 */
export function solveFit(spool: Spool, stack: Stack, gapMm: number): Result<Fit> {
	const checked = checkStack(stack);
	if (!checked.ok) return checked;
	const index = checked.value;
	if (index < 0) return ok(fitOf(spool, stack as readonly KnownComponent[]));

	const target = surfaceForGap(spool, gapMm);
	if (!target.ok) return target;
	const unknown = stack[index]!;
	if (isKnown(unknown)) throw new RangeError(`component ${index} is not unknown`);

	const known = stack.filter(isKnown);
	const takenMm3 = known.reduce((total, component) => total + spaceMm3(component), 0);
	const roomMm3 = volumeToRadius(spool, target.value) - takenMm3;
	const lengthMm =
		Math.max(roomMm3, 0) * (packingFraction(unknown.layEfficiency) / crossSectionMm2(unknown.diameterMm));
	const complete = stack.map((component) =>
		isKnown(component) ? component : { ...component, sections: [level(lengthMm, unknown.diameterMm)] }
	);
	const fit = fitOf(spool, complete);
	const { turns, depthMm } = fit.layers[index]!;
	const solved = { index, lengthMm, turns, stopDepthMm: depthMm };
	if (roomMm3 >= 0) return ok({ ...fit, gapMm, solved });
	return ok({ ...fit, fits: false, solved, excess: excessOver(spool, known, gapMm, fit.gapMm) });
}

/** The stack as it lies, all lengths known. */
function fitOf(spool: Spool, stack: readonly KnownComponent[]): Fit {
	const layers = windAll(spool, stack);
	const surfaceMm = layers.at(-1)?.outerRadiusMm ?? spool.arborRadiusMm;
	const gapMm = spool.gapFromRadiusMm - surfaceMm;
	const leastMm = Math.max(0, spool.gapFromRadiusMm - spool.rimRadiusMm);
	const fits = gapMm >= leastMm - SURFACE_MM;
	return fits
		? { fits, gapMm, layers }
		: { fits, gapMm, layers, excess: excessOver(spool, stack, leastMm, gapMm) };
}

/** Line taken in by one turn of the handle on a surface of this radius, mm. */
export const retrievePerTurnMm = (radiusMm: number): number => 2 * Math.PI * radiusMm;
