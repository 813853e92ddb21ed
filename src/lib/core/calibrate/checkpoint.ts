import { bareArbor, surfaceAt, windSection, type Surface } from '../fit/wind';
import { solveFit, surfaceForGap, type Fit } from '../fit/solve';
import { isKnown, spaceMm3, type Component, type KnownComponent } from '../fit/stack';
import { fail, ok, under, type Result } from '../issues';
import { crossSectionMm2, cutFromRear, totalLengthMm, totalVolumeMm3 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { areaToRadius, radiusAtArea, radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import { uncertainInputs, type Problem } from '../uncertainty/inputs';
import { propagate, type Move, type Range } from '../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../uncertainty/spreads';
import { surfaceAtDepth } from './half-fit';
import { spoolOf } from './source';

/** A pause in winding: which component is going on, its turns so far, and the depth a rule reads. */
export interface CheckpointReading {
	readonly component: number;
	readonly turns: number;
	readonly depthMm: number;
}

export interface Checkpoint {
	readonly lengthSoFarMm: number;
	readonly remaining: { readonly turns: number; readonly lengthMm: number };
	/** Depth at which this component ends. */
	readonly stopDepthMm: number;
	/** Final gap after the remaining turns and everything above. */
	readonly gapMm: number;
	/** η that the reading amounts to, the diameter taken as given. */
	readonly layEfficiency: number;
	readonly ranges: Record<'lengthSoFarMm' | 'turns' | 'lengthMm' | 'stopDepthMm' | 'gapMm', Range>;
}

/** The same without ranges; `turns` and `lengthMm` are what remains. */
export type CheckpointPlan = Omit<Checkpoint, 'ranges' | 'remaining'> & { turns: number; lengthMm: number };

/** What lies below and what comes above a component. */
interface Place {
	readonly spool: Spool;
	readonly component: Component;
	/** Surface the component started on. */
	readonly from: Surface;
	readonly at: Surface;
	readonly turns: number;
	/** Space of all that comes over it, mm³. */
	readonly aboveMm3: number;
	readonly targetMm3: number;
}

/** Turns by area and length by volume since the component started: N = φ·ΔA/a, L = φ·ΔV/a, so L = N·ΔV/ΔA. */
function soFar({ spool, from, at, turns }: Place): { turnsPerMm2: number; lengthMm: number } {
	const areaMm2 = areaToRadius(spool, at.radiusMm) - areaToRadius(spool, from.radiusMm);
	const turnsPerMm2 = turns / areaMm2;
	return { turnsPerMm2, lengthMm: turnsPerMm2 * (at.filledMm3 - from.filledMm3) };
}

/** The component whose length is looked for: on to the depth that leaves the gap. */
function toGap(place: Place, diameterMm: number): CheckpointPlan {
	const { spool, at, aboveMm3, targetMm3 } = place;
	const { turnsPerMm2, lengthMm: lengthSoFarMm } = soFar(place);
	const stop = surfaceAt(spool, Math.max(targetMm3 - aboveMm3, 0));
	return {
		lengthSoFarMm,
		turns: turnsPerMm2 * (areaToRadius(spool, stop.radiusMm) - areaToRadius(spool, at.radiusMm)),
		lengthMm: turnsPerMm2 * (stop.filledMm3 - at.filledMm3),
		stopDepthMm: spool.rimRadiusMm - stop.radiusMm,
		gapMm: spool.gapFromRadiusMm - radiusAtVolume(spool, stop.filledMm3 + aboveMm3),
		layEfficiency: (turnsPerMm2 * crossSectionMm2(diameterMm)) / packingFraction(1)
	};
}

/** A component of known length: the rest goes on as loosely or densely as the part that is on. */
function toEnd(place: Place, component: KnownComponent): CheckpointPlan {
	const { spool, from, at, aboveMm3 } = place;
	const lengthSoFarMm = Math.min(soFar(place).lengthMm, totalLengthMm(component.sections));
	const rest = cutFromRear(component.sections, lengthSoFarMm);
	const onMm3 = totalVolumeMm3(component.sections) - totalVolumeMm3(rest);
	const packing = onMm3 / (at.filledMm3 - from.filledMm3);
	let surface = at;
	let turns = 0;
	for (const section of rest) {
		const wound = windSection(spool, surface, section, packing);
		surface = wound.surface;
		turns += wound.turns;
	}
	return {
		lengthSoFarMm,
		turns,
		lengthMm: totalLengthMm(rest),
		stopDepthMm: spool.rimRadiusMm - surface.radiusMm,
		gapMm: spool.gapFromRadiusMm - radiusAtVolume(spool, surface.filledMm3 + aboveMm3),
		layEfficiency: packing / packingFraction(1)
	};
}

/** Where a component of a problem starts and how much room it has, all lengths planned. */
function placeOf(problem: Problem, planned: Fit, at: CheckpointReading): Result<Place> {
	const { component: index, turns, depthMm } = at;
	const component = problem.stack[index];
	if (!component)
		return fail({ code: 'no_such_component', index, count: problem.stack.length }, ['component']);
	const built = spoolOf(problem.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const { spool } = built.value;
	const surface = surfaceAtDepth(spool, depthMm);
	if (!surface.ok) return { ok: false, issues: under(surface.issues, 'depthMm') };
	const startRadiusMm = index === 0 ? spool.arborRadiusMm : planned.layers[index]!.innerRadiusMm;
	if (!(surface.value > startRadiusMm))
		return fail({ code: 'depth_below_start', depthMm, limitMm: spool.rimRadiusMm - startRadiusMm }, [
			'depthMm'
		]);
	const target = surfaceForGap(spool, problem.gapMm);
	if (!target.ok) return target;
	const surfaceOf = (radiusMm: number): Surface => ({ radiusMm, filledMm3: volumeToRadius(spool, radiusMm) });
	return ok({
		spool,
		component,
		from: index === 0 ? bareArbor(spool) : surfaceOf(startRadiusMm),
		at: surfaceOf(surface.value),
		turns,
		aboveMm3: problem.stack.slice(index + 1).reduce((sum, c) => sum + spaceMm3(c), 0),
		targetMm3: volumeToRadius(spool, target.value)
	});
}

const valuesOf = (place: Place): CheckpointPlan =>
	isKnown(place.component) ? toEnd(place, place.component) : toGap(place, place.component.diameterMm);

/** Final gap on the true spool when the remaining turns of the plan are wound. */
function gapAfterTurns(truth: Place, remainingTurns: number): number {
	const { spool, at, aboveMm3 } = truth;
	const { turnsPerMm2 } = soFar(truth);
	if (isKnown(truth.component)) return valuesOf(truth).gapMm;
	const areaMm2 = Math.max(areaToRadius(spool, at.radiusMm) + remainingTurns / turnsPerMm2, 0);
	return (
		spool.gapFromRadiusMm -
		radiusAtVolume(spool, volumeToRadius(spool, radiusAtArea(spool, areaMm2)) + aboveMm3)
	);
}

/** What a reading tells, without its ranges. Issues as in {@link checkpoint}. */
export function checkpointPlan(
	problem: Problem,
	planned: Fit,
	at: CheckpointReading
): Result<CheckpointPlan> {
	if (!(at.turns > 0)) return fail({ code: 'no_turns_yet' }, ['turns']);
	const place = placeOf(problem, planned, at);
	return place.ok ? ok(valuesOf(place.value)) : place;
}

/**
 * At a pause: turns so far and the depth read give φ/a = N/ΔA, so that neither the strand's diameter nor
 * the tightness of the winding is needed any more. Remaining turns, length and stop depth follow; on a
 * straight spool the length so far is L = πN(D₀ + D₁)/2.
 *
 * Paths of issues: `component`, `turns`, `depthMm` for the reading, else those of the problem.
 */
export function checkpoint(
	problem: Problem,
	at: CheckpointReading,
	spreads: Spreads = DEFAULT_SPREADS
): Result<Checkpoint> {
	const built = spoolOf(problem.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const planned = solveFit(built.value.spool, problem.stack, problem.gapMm);
	if (!planned.ok) return planned;
	const told = checkpointPlan(problem, planned.value, at);
	if (!told.ok) return told;
	const nominal = told.value;

	type Answer = keyof CheckpointPlan;
	const answers = (truth: Problem, depthErrorMm = 0): CheckpointPlan | undefined => {
		const moved = placeOf(truth, planned.value, { ...at, depthMm: at.depthMm - depthErrorMm });
		if (!moved.ok) return undefined;
		return { ...valuesOf(moved.value), gapMm: gapAfterTurns(moved.value, nominal.turns) };
	};
	const moves: Move<Answer, string>[] = uncertainInputs(problem, spreads)
		// What lies below is on the spool already, and what is going on has just been measured.
		.filter(({ component }) => component === undefined || component > at.component)
		.map(({ key, shift }) => ({ label: key, answers: (z) => answers(shift(problem, z)) }));
	moves.push({ label: 'depth-reading', answers: (z) => answers(problem, z * spreads.depthMm) });
	const { range } = propagate<Answer, string>(nominal, moves);
	const { lengthSoFarMm, turns, lengthMm, stopDepthMm, gapMm, layEfficiency } = nominal;
	return ok({
		lengthSoFarMm,
		remaining: { turns, lengthMm },
		stopDepthMm,
		gapMm,
		layEfficiency,
		ranges: {
			lengthSoFarMm: range('lengthSoFarMm', 0),
			turns: range('turns'),
			lengthMm: range('lengthMm'),
			stopDepthMm: range('stopDepthMm'),
			gapMm: range('gapMm')
		}
	});
}
