import { areaToRadius, widthAtRadius, type LineSection, sectionVolumeMm3, type Spool } from '$lib/core';

/** A row of wraps side by side: each is a circle of the strand's true diameter. */
export interface WrapRow {
	/** Radius of the circles' centres, mm. */
	readonly radiusMm: number;
	readonly diameterMm: number;
	/** Centres across the spool, mm from the middle. */
	readonly acrossMm: readonly number[];
}

export interface WoundLayer {
	readonly innerRadiusMm: number;
	readonly outerRadiusMm: number;
	readonly turns: number;
	/** The strand, from the end that is wound first. */
	readonly sections: readonly LineSection[];
}

/** Diameter over the share of bulk wound, for a line of sections. */
export function diameterByShare(sections: readonly LineSection[]): (share: number) => number {
	const ends: number[] = [];
	let total = 0;
	for (const section of sections) ends.push((total += sectionVolumeMm3(section)));
	return (share) => {
		const at = Math.min(Math.max(share, 0), 1) * total;
		const i = Math.max(
			ends.findIndex((end) => at <= end),
			0
		);
		const { startDiameterMm, endDiameterMm } = sections[i]!;
		const from = ends[i - 1] ?? 0;
		const within = ends[i]! > from ? (at - from) / (ends[i]! - from) : 0;
		return startDiameterMm + (endDiameterMm - startDiameterMm) * within;
	};
}

/** Heights of the rows that fill the layer: each as high as the wraps it holds are apart. */
function rowHeights(
	spool: Spool,
	layer: WoundLayer,
	areaMm2: number
): { height: number; diameterMm: number }[] {
	const { innerRadiusMm, outerRadiusMm, turns, sections } = layer;
	const diameterAtMm = diameterByShare(sections);
	const depth = outerRadiusMm - innerRadiusMm;
	// Space per wrap is d²/η; a square of it has this side, in diameters.
	const meanSquare = [0.1, 0.3, 0.5, 0.7, 0.9].reduce((sum, s) => sum + diameterAtMm(s) ** -2, 0) / 5;
	const spread = Math.sqrt((areaMm2 * meanSquare) / turns);
	const rows: { height: number; diameterMm: number }[] = [];
	let filled = 0;
	while (filled < depth) {
		const below = areaToRadius(spool, innerRadiusMm + filled) - areaToRadius(spool, innerRadiusMm);
		const diameterMm = diameterAtMm(below / areaMm2);
		const height = diameterMm * spread;
		if (depth - filled < height / 2 && rows.length > 0) break;
		rows.push({ height, diameterMm });
		filled += height;
	}
	const stretch = depth / filled;
	return rows.map((row) => ({ ...row, height: row.height * stretch }));
}

/**
 * Every wrap of a layer, row by row. Their number is the layer's turns, shared out by the space of each
 * row: the picture is the model, not a pattern.
 */
export function wrapRows(spool: Spool, layer: WoundLayer): WrapRow[] {
	const areaMm2 = areaToRadius(spool, layer.outerRadiusMm) - areaToRadius(spool, layer.innerRadiusMm);
	const total = Math.round(layer.turns);
	if (total < 1 || !(areaMm2 > 0)) return [];
	const rows = rowHeights(spool, layer, areaMm2);

	const weights: number[] = [];
	let radius = layer.innerRadiusMm;
	for (const { height, diameterMm } of rows) {
		weights.push((areaToRadius(spool, radius + height) - areaToRadius(spool, radius)) / diameterMm ** 2);
		radius += height;
	}
	const weight = weights.reduce((a, b) => a + b, 0);

	const laid: WrapRow[] = [];
	let [owed, put] = [0, 0];
	radius = layer.innerRadiusMm;
	rows.forEach(({ height, diameterMm }, i) => {
		owed += (total * weights[i]!) / weight;
		const count = Math.round(owed) - put;
		put += count;
		const radiusMm = radius + height / 2;
		radius += height;
		const free = Math.max(widthAtRadius(spool, radiusMm) - diameterMm, 0);
		const acrossMm = Array.from({ length: count }, (_, j) =>
			count > 1 ? (j / (count - 1) - 0.5) * free : 0
		);
		laid.push({ radiusMm, diameterMm, acrossMm });
	});
	return laid;
}
