import { KNOTS } from '../../src/lib/core/knots/catalogue';
import { packed, type PackedCurves } from '../../src/lib/core/knots/tight';
import { tightCurvesOf } from '../../src/lib/core/rope/tight-curves';

/** The knots whose curves are kept, one for each name. */
export const KEPT = [
	...new Map(KNOTS.flatMap((knot) => (knot.tightening ? [[knot.tightening.curves, knot]] : []))).values()
];

/** How finely curves are kept, parts of a millimetre: those of the stages, and those on the way, which pass. */
const STAGES_PER_MM = 100;
const WAY_PER_MM = 20;

/** All curves of a knot, for every number of wraps, computed: the contents of its files. */
export function filesOf(knot: (typeof KEPT)[number]): Readonly<Record<string, PackedCurves>> {
	const { least, most } = knot.wraps;
	const counts = Array.from({ length: most - least + 1 }, (_, i) => least + i);
	const computed = counts.map((wraps) => ({ wraps, ...tightCurvesOf(knot, wraps) }));
	const name = knot.tightening!.curves;
	return {
		[`${name}.json`]: packed(
			Object.fromEntries(computed.map(({ wraps, stages }) => [wraps, stages])),
			STAGES_PER_MM
		),
		[`ways/${name}.json`]: packed(
			Object.fromEntries(computed.map(({ wraps, way }) => [wraps, way])),
			WAY_PER_MM
		)
	};
}

/** Of each its last moment, which is all that a picture of the finished knot needs. */
export const finishedOf = (curves: PackedCurves): PackedCurves =>
	Object.fromEntries(
		Object.entries(curves).map(([wraps, one]) => [wraps, { ...one, moments: one.moments.slice(-1) }])
	);
