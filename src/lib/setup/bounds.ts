import { fail, toMm, type LengthUnit, type Path, type Result } from '$lib/core';

/** Least and most of a quantity, in the unit in which people meet it. */
export interface Bounds {
	readonly min: number;
	readonly max: number;
	readonly unit: LengthUnit | 'g' | 'turns';
}

/**
 * What a quantity may sensibly be, typed or sent: wide enough for any reel, narrow enough to catch a slipped unit.
 */
export const BOUNDS = {
	/** Across rims, arbor or frame, and between the flanges. */
	spool: { min: 5, max: 400, unit: 'mm' },
	strand: { min: 0.05, max: 5, unit: 'mm' },
	backing: { min: 1, max: 2000, unit: 'm' },
	component: { min: 0.1, max: 2000, unit: 'm' },
	section: { min: 0.01, max: 200, unit: 'm' },
	line: { min: 1, max: 200, unit: 'm' },
	/** A whole line: a full spey line is about 60 g. */
	lineMass: { min: 1, max: 300, unit: 'g' },
	/** Backing on a bulk spool when it came, what is cut off it, and what is left. */
	bulk: { min: 1, max: 10_000, unit: 'm' },
	cut: { min: 0.1, max: 10_000, unit: 'm' },
	left: { min: 0, max: 10_000, unit: 'm' },
	/** A bulk spool on a scale, full or empty. */
	bulkMass: { min: 1, max: 10_000, unit: 'g' },
	leader: { min: 0.1, max: 20, unit: 'm' },
	gap: { min: 0, max: 100, unit: 'mm' },
	/** A gap as it was seen: the line may stand above the rim. */
	seenGap: { min: -20, max: 200, unit: 'mm' },
	depth: { min: 0, max: 200, unit: 'mm' },
	spread: { min: 0, max: 10, unit: 'mm' },
	turns: { min: 0, max: 100_000, unit: 'turns' },
	/** Turns of the spool for one of the handle: a fly reel has 1, a fast casting reel about 8. */
	gear: { min: 1, max: 8, unit: 'turns' }
} as const satisfies Record<string, Bounds>;

/** Least η: less than the loosest heap is a slip of the pen. The most is a matter of physics: see the packing. */
export const LEAST_LAY_EFFICIENCY = 0.4;
/** Most 1σ that is given as a share. */
export const MOST_SPREAD_SHARE = 0.5;

/** In millimetres, or in the unit itself where that is no length. */
const inside = (amount: number, unit: Bounds['unit']): number =>
	unit === 'g' || unit === 'turns' ? amount : toMm(amount, unit);

/** Issue `out_of_range` for a value, mm, g or turns, outside its bounds; undefined for one inside. */
export function outOf(
	{ min, max, unit }: Bounds,
	value: number,
	path: Path
): Extract<Result<never>, { ok: false }> | undefined {
	if (value >= inside(min, unit) && value <= inside(max, unit)) return undefined;
	return fail({ code: 'out_of_range', value, min, max, unit }, path);
}
