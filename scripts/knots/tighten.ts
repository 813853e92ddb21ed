import { KNOTS } from '../../src/lib/core/knots/catalogue';
import { packed, type PackedCurves } from '../../src/lib/core/knots/tight';
import { tightCurvesOf } from '../../src/lib/core/rope/tight-curves';

/** The knots whose curves are kept, one for each name. */
export const KEPT = [
	...new Map(KNOTS.flatMap((knot) => (knot.tightening ? [[knot.tightening.curves, knot]] : []))).values()
];

/** All curves of a knot, for every number of wraps, computed. */
export function curvesOf(knot: (typeof KEPT)[number]): PackedCurves {
	const { least, most } = knot.wraps;
	const counts = Array.from({ length: most - least + 1 }, (_, i) => least + i);
	return packed(Object.fromEntries(counts.map((wraps) => [wraps, tightCurvesOf(knot, wraps)])));
}

/** Of each its last moment, which is all that a picture of the finished knot needs. */
export const finishedOf = (curves: PackedCurves): PackedCurves =>
	Object.fromEntries(
		Object.entries(curves).map(([wraps, one]) => [wraps, { ...one, moments: one.moments.slice(-1) }])
	);
