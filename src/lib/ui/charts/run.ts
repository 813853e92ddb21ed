import type { RunoutPoint } from '$lib/core';
import { extent, max } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

/** Room of one curve, px. */
export interface CurveRoom {
	readonly width: number;
	readonly height: number;
	readonly left: number;
	readonly top: number;
}

export interface RunChart {
	readonly x: ScaleLinear<number, number>;
	readonly retrieveY: ScaleLinear<number, number>;
	readonly dragY: ScaleLinear<number, number>;
	readonly retrieve: string;
	readonly drag: string;
}

/** Retrieve per turn and growth of the drag over the length that is out: two curves, one above the other. */
export function runChart(points: readonly RunoutPoint[], upper: CurveRoom, lower: CurveRoom): RunChart {
	const x = scaleLinear()
		.domain([0, max(points, (p) => p.outMm) ?? 1])
		.range([upper.left, upper.left + upper.width]);
	const [low = 0, high = 1] = extent(points, (p) => p.retrieveMm);
	const retrieveY = scaleLinear()
		.domain([low, high])
		.nice(4)
		.range([upper.top + upper.height, upper.top]);
	const dragY = scaleLinear()
		.domain([1, max(points, (p) => p.dragFactor) ?? 2])
		.nice(3)
		.range([lower.top + lower.height, lower.top]);
	const curve = (y: (p: RunoutPoint) => number): string =>
		line<RunoutPoint>()
			.x((p) => x(p.outMm))
			.y(y)([...points]) ?? '';
	return {
		x,
		retrieveY,
		dragY,
		retrieve: curve((p) => retrieveY(p.retrieveMm)),
		drag: curve((p) => dragY(p.dragFactor))
	};
}
