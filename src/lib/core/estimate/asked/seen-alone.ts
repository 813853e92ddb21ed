import { spoolOf } from '../../calibrate/source';
import { surfaceForGap } from '../../fit/solve';
import { isKnown, spaceMm3, stopOf, type Stack, type UnknownComponent } from '../../fit/stack';
import { layOfTurns } from '../../fit/wind';
import { fail, ok, within, type Result } from '../../issues';
import { scaleBulk } from '../../line/sections';
import { radiusAtVolume, volumeToRadius, type Spool } from '../../spool';
import type { Problem } from '../../uncertainty/inputs';
import { jointInputs } from '../../uncertainty/joint';
import { RANGE_Z, type Spreads } from '../../uncertainty/spreads';
import { AGAIN_SHARE, depthSigmaMm, habitSigmaMm, IMPOSSIBLE_Z } from '../reading';
import { volumeOfRadius } from '../surfaces';

/** The backing that goes under, if its length and turns are wanted too. */
export interface BackingUnder {
	readonly diameterMm: number;
	readonly layEfficiency: number;
}

/** The surface a rule reads: issues `depth_below_arbor` and `depth_above_rim`. */
export function surfaceAtDepth(spool: Spool, depthMm: number): Result<number> {
	const radiusMm = spool.rimRadiusMm - depthMm;
	const limitMm = spool.rimRadiusMm - spool.arborRadiusMm;
	if (!(radiusMm > spool.arborRadiusMm)) return fail({ code: 'depth_below_arbor', depthMm, limitMm });
	return depthMm >= 0 ? ok(radiusMm) : fail({ code: 'depth_above_rim', depthMm });
}

/** As good as nothing is known of the thickness of a backing that is only seen to lie there: 1σ as a share. */
const UNKNOWN_DIAMETER_SHARE = 0.3;

/** How far apart turns and what is usual may be before they contradict each other, as a factor. Assumption: five times the usual spread. */
const TURNS_FACTOR = 2;

/** The backing as so many turns between two surfaces show it: its thickness and tightness in one, put down to the thickness. */
export function lyingAs(
	spool: Spool,
	fromMm: number,
	toMm: number,
	turns: number,
	{ diameterMm, layEfficiency }: BackingUnder
): Result<UnknownComponent> {
	if (!(turns > 0)) return fail({ code: 'no_turns_yet' }, ['turns']);
	const shown = layOfTurns(spool, fromMm, toMm, turns, diameterMm) / layEfficiency;
	if (shown > TURNS_FACTOR || shown < 1 / TURNS_FACTOR)
		return fail(
			{
				code: 'turns_contradict',
				turns,
				low: turns / shown / TURNS_FACTOR,
				high: (turns / shown) * TURNS_FACTOR
			},
			['turns']
		);
	return ok({
		role: 'backing',
		layEfficiency,
		diameterMm: diameterMm / Math.sqrt(shown),
		spreads: { diameterShare: UNKNOWN_DIAMETER_SHARE, layShare: 0 }
	});
}

/** The strands above the backing, and the backing itself, as a half-fit or a reverse fill has shown them. */
export interface SeenAlone {
	/** Read with everything above the backing alone on the bare arbor. */
	readonly depthMm: number;
	/** Turns of backing that then went over it, to the gap. */
	readonly reverseTurns?: number | undefined;
}

const spaceOver = (stack: Stack, at: number): number =>
	stack.slice(at + 1).reduce((sum, c) => sum + spaceMm3(c), 0);

/** Step of the differences, in prior standard deviations. */
const STEP = 0.1;

/**
 * What the line alone is expected to read, and what the reading makes of the space that it takes: the estimate's update by one
 * reading at the plan's own linearisation, since Fit asks at every keystroke. Each world's space is that which leaves its stop
 * depth on the spool that is described.
 */
function lineSeen(problem: Problem, at: number, depthMm: number, spreads: Spreads) {
	const described = spoolIn(problem)!;
	const toMm = described.gapFromRadiusMm - problem.gapMm;
	const values = (moved: Problem): { depth: number; takes: number } | undefined => {
		const spool = spoolIn(moved);
		if (!spool) return undefined;
		const over = spaceOver(moved.stack, at);
		const depth = spool.rimRadiusMm - radiusAtVolume(spool, over);
		const targetMm = Math.max(spool.gapFromRadiusMm - problem.gapMm, spool.arborRadiusMm);
		const stopMm = radiusAtVolume(spool, Math.max(volumeToRadius(spool, targetMm) - over, 0));
		const stopHere = described.rimRadiusMm - (spool.rimRadiusMm - stopMm);
		return { depth, takes: volumeToRadius(described, toMm) - volumeOfRadius(described, stopHere) };
	};
	const here = values(problem)!;
	let [depths, both, spaces] = [depthSigmaMm({}, spreads) ** 2 + habitSigmaMm(spreads) ** 2, 0, 0];
	const { labels, moved } = jointInputs(problem, spreads);
	const none = labels.map(() => 0);
	for (let i = 0; i < none.length; i++) {
		const [up, down] = [values(moved(none.with(i, STEP))), values(moved(none.with(i, -STEP)))];
		const span = STEP * ((up ? 1 : 0) + (down ? 1 : 0));
		if (span === 0) continue;
		const depth = ((up ?? here).depth - (down ?? here).depth) / span;
		const takes = ((up ?? here).takes - (down ?? here).takes) / span;
		depths += depth * depth;
		both += depth * takes;
		spaces += takes * takes;
	}
	const off = depthMm - here.depth;
	return {
		expectedMm: here.depth,
		sigmaMm: Math.sqrt(depths),
		z: off / Math.sqrt(depths),
		takesMm3: here.takes + (both / depths) * off,
		takesSigmaMm3: Math.sqrt(Math.max(spaces - (both * both) / depths, 0))
	};
}

const spoolIn = ({ source }: Problem): Spool | undefined => {
	const built = spoolOf(source);
	return built.ok ? built.value.spool : undefined;
};

/**
 * A problem with what a half-fit has told of its line, by what was thought of it and by the depth read; and with a reverse fill, what
 * its turns have told of the backing. Issues: `depth_below_arbor`, `depth_above_rim` and `reading_contradicts` at `depthMm`; those of
 * {@link lyingAs} at `turns`.
 */
export function asSeenAlone(problem: Problem, seen: SeenAlone, spreads: Spreads): Result<Stack> {
	const at = stopOf(problem.stack);
	const built = within(spoolOf(problem.source), 'spool');
	if (!built.ok) return built;
	const { spool } = built.value;
	const surface = within(surfaceAtDepth(spool, seen.depthMm), 'depthMm');
	if (!surface.ok) return surface;
	const target = surfaceForGap(spool, problem.gapMm);
	if (!target.ok) return target;
	const told = lineSeen(problem, at, seen.depthMm, spreads);
	if (Math.abs(told.z) > IMPOSSIBLE_Z) {
		const [lowMm, highMm] = [
			told.expectedMm - RANGE_Z * told.sigmaMm,
			told.expectedMm + RANGE_Z * told.sigmaMm
		];
		const detail = { code: 'reading_contradicts', valueMm: seen.depthMm, lowMm, highMm } as const;
		return fail(detail, ['depthMm']);
	}
	const toMm = target.value;
	// A reverse fill measures the backing between the two surfaces that were read, whatever was thought of the line.
	const reversed = seen.reverseTurns !== undefined;
	const thoughtMm3 = spaceOver(problem.stack, at);
	const takesMm3 = reversed ? volumeToRadius(spool, surface.value) : told.takesMm3;
	const factor = takesMm3 / thoughtMm3;
	const bulkShare = told.takesSigmaMm3 / takesMm3;
	const stack = problem.stack.map((c, i) =>
		i <= at || !isKnown(c)
			? c
			: { ...c, sections: scaleBulk(c.sections, factor), spreads: { bulkShare, layShare: AGAIN_SHARE } }
	);
	const backing = stack[at]!;
	if (seen.reverseTurns === undefined || isKnown(backing)) return ok(stack);
	if (!(toMm > surface.value))
		return fail(
			{ code: 'line_alone_fills', gapMm: spool.gapFromRadiusMm - surface.value, wantedMm: problem.gapMm },
			['gapMm']
		);
	const lying = lyingAs(spool, surface.value, toMm, seen.reverseTurns, backing);
	if (!lying.ok) return lying;
	const shares = { diameterShare: 0, layShare: AGAIN_SHARE };
	return ok(stack.with(at, { ...backing, diameterMm: lying.value.diameterMm, spreads: shares }));
}
