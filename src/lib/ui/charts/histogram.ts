import { bin, max, ticks } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';

export interface Bar {
	readonly x: number;
	readonly width: number;
	readonly y: number;
	readonly height: number;
	/** Middle of the bar, in the sample's unit. */
	readonly middle: number;
}

export interface Histogram {
	readonly bars: readonly Bar[];
	readonly x: ScaleLinear<number, number>;
	readonly ticks: readonly number[];
}

/** Bars of a sample in rising order, within `width` by `height` px; the outer half per cent at either end is left out. */
export function histogram(rising: ArrayLike<number>, width: number, height: number, count = 40): Histogram {
	const low = rising[Math.floor(0.003 * rising.length)] ?? 0;
	const high = rising[Math.ceil(0.997 * rising.length) - 1] ?? 1;
	const x = scaleLinear()
		.domain(high > low ? [low, high] : [low - 0.5, low + 0.5])
		.range([0, width]);
	const [from, to] = x.domain() as [number, number];
	const step = (to - from) / count;
	const bins = bin<number, number>()
		.domain([from, to])
		.thresholds(Array.from({ length: count - 1 }, (_, i) => from + (i + 1) * step))(Array.from(rising));
	const tallest = max(bins, (b) => b.length) ?? 1;
	const bars = bins.map((b) => {
		const [x0, x1] = [b.x0 ?? from, b.x1 ?? to];
		const tall = (b.length / tallest) * height;
		return {
			x: x(x0),
			width: Math.max(x(x1) - x(x0) - 1, 0.5),
			y: height - tall,
			height: tall,
			middle: (x0 + x1) / 2
		};
	});
	return { bars, x, ticks: ticks(from, to, Math.max(3, Math.round(width / 70))) };
}
