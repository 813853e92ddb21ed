import {
	parseLineClass,
	solveFit,
	straightSpool,
	taperOf,
	type Component,
	type LineSection
} from '../../src/lib/core';
import { windStackReference } from '../../src/lib/core/fit/reference';

const line = (text: string): LineSection[] => {
	const parsed = parseLineClass(text);
	return parsed.ok ? taperOf(parsed.value) : [];
};
const built = straightSpool({ rimDiameterMm: 110, arborDiameterMm: 45, widthMm: 30 });
if (!built.ok) throw new Error(JSON.stringify(built.issues));
const spool = built.value;

/** Bed, backing, two tapered lines and a tip: five components. */
const above: Component[] = ['WF8F', 'WF6S', 'DT4F'].map((text) => ({
	role: 'line',
	layEfficiency: 0.88,
	sections: line(text)
}));
const bed: Component = {
	role: 'bed',
	layEfficiency: 0.9,
	sections: [{ lengthMm: 5000, startDiameterMm: 0.45, endDiameterMm: 0.45 }]
};
const stack: Component[] = [bed, { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 }, ...above];

export function fitOnce(): number {
	const fit = solveFit(spool, stack, 4);
	if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
	return fit.value.solved!.lengthMm;
}

/** The oracle winding the same stack once, the length given to it. */
export function oracleOnce(lengthMm: number): number {
	const complete = stack.map((component) =>
		'sections' in component
			? component
			: {
					...component,
					sections: [{ lengthMm, startDiameterMm: component.diameterMm, endDiameterMm: component.diameterMm }]
				}
	);
	const reference = { arborRadiusMm: 22.5, rimRadiusMm: 55, widthAtMm: () => 30 };
	return windStackReference(reference, complete, 16).at(-1)!.outerRadiusMm;
}
