import { isKnown, type KnownComponent, type Stack } from './stack';

/**
 * The slow oracle that tests hold the solver against: it winds a strand a small part of a turn at a time,
 * raises the surface by what that part brought, and knows no closed form, no volume and no inverse.
 * Used by tests and benchmarks only.
 */

/** A spool as the oracle sees it: a width to be asked for at any radius. */
export interface ReferenceSpool {
	arborRadiusMm: number;
	rimRadiusMm: number;
	widthAtMm: (radiusMm: number) => number;
}

export interface ReferenceLayer {
	lengthMm: number;
	turns: number;
	outerRadiusMm: number;
}

const diameterAt = (component: KnownComponent, lengthMm: number): number => {
	let from = 0;
	for (const { lengthMm: length, startDiameterMm, endDiameterMm } of component.sections) {
		if (lengthMm <= from + length && length > 0)
			return startDiameterMm + ((endDiameterMm - startDiameterMm) * (lengthMm - from)) / length;
		from += length;
	}
	return component.sections.at(-1)!.endDiameterMm;
};

/** Winds one component from a surface. Each part of a turn is a midpoint step of dr/dN = a/(φ·w(r)). */
function windReference(
	spool: ReferenceSpool,
	startRadiusMm: number,
	component: KnownComponent,
	partsPerTurn: number
): ReferenceLayer {
	const total = component.sections.reduce((sum, s) => sum + s.lengthMm, 0);
	const phi = component.layEfficiency * (Math.PI / 4);
	let [radius, laid, turns] = [startRadiusMm, 0, 0];
	while (laid < total - 1e-9) {
		const part = Math.min(1 / partsPerTurn, (total - laid) / (2 * Math.PI * radius));
		const rise = (r: number, d: number): number => ((Math.PI / 4) * d * d) / (phi * spool.widthAtMm(r));
		const half = radius + (part / 2) * rise(radius, diameterAt(component, laid));
		const middle = laid + Math.PI * half * part;
		radius += part * rise(half, diameterAt(component, middle));
		laid += 2 * Math.PI * half * part;
		turns += part;
	}
	return { lengthMm: total, turns, outerRadiusMm: radius };
}

export function windStackReference(
	spool: ReferenceSpool,
	stack: readonly KnownComponent[],
	partsPerTurn = 8
): ReferenceLayer[] {
	let radius = spool.arborRadiusMm;
	return stack.map((component) => {
		const layer = windReference(spool, radius, component, partsPerTurn);
		radius = layer.outerRadiusMm;
		return layer;
	});
}

/** The unknown length found by winding the whole stack again and again (bisection), mm. */
export function solveReference(
	spool: ReferenceSpool,
	stack: Stack,
	targetRadiusMm: number,
	partsPerTurn = 8
): number {
	const finalRadius = (lengthMm: number): number => {
		const complete = stack.map((component) =>
			isKnown(component)
				? component
				: {
						...component,
						sections: [
							{ lengthMm, startDiameterMm: component.diameterMm, endDiameterMm: component.diameterMm }
						]
					}
		);
		return windStackReference(spool, complete, partsPerTurn).at(-1)!.outerRadiusMm;
	};
	let [low, high] = [0, 1000];
	while (finalRadius(high) < targetRadiusMm) high *= 2;
	while (high - low > 1e-5 * high) {
		const middle = (low + high) / 2;
		if (finalRadius(middle) < targetRadiusMm) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
