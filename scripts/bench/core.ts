import {
	believe,
	DEFAULT_SPREADS,
	estimate,
	sampleEstimate,
	type Reading,
	matchPair,
	parseLineClass,
	simulate,
	solveFit,
	straightSpool,
	taperOf,
	type Component,
	type LineSection,
	type Problem
} from '../../src/lib/core';
import { windStackReference } from '../../src/lib/core/fit/reference';
import { findDrawnKnot } from '../../src/lib/core/knots/kept-curves';
import { signatureOf } from '../../src/lib/core/knots/flaws';
import { knotDrawing } from '../../src/lib/ui/charts/knot/layout';

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

const problem: Problem = {
	source: { kind: 'measured', rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 },
	gapMm: 4,
	stack: [
		{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 },
		{ role: 'line', layEfficiency: 0.88, sections: line('WF6F') }
	]
};
const planned = (() => {
	const small = straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 });
	const fit = small.ok ? solveFit(small.value, problem.stack, problem.gapMm) : small;
	if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
	return fit.value;
})();

export const simulateOnce = (): number =>
	simulate(problem, planned, { trials: 20_000, seed: 1 }).rubProbability;

/** Ten readings of a spool, a backing and a line, as a careful person would take them in one job. */
const READINGS: readonly Reading[] = [
	{ kind: 'measure', measure: 'rim', valueMm: 84.2 },
	{ kind: 'measure', measure: 'width', valueMm: 21.1 },
	{ kind: 'diameter', component: 0, diameterMm: 0.47 },
	{ kind: 'line-alone', depthMm: 12.4 },
	...[200, 400, 600, 800].map((turns): Reading => ({
		kind: 'depth',
		component: 0,
		turns,
		depthMm: 23 - turns * 0.0122
	})),
	{ kind: 'amount', component: 0, turns: 900 },
	{ kind: 'gap', gapMm: 4.2 }
];
export function estimateOnce(): number {
	const told = estimate(problem, READINGS);
	if (!told.ok) throw new Error(JSON.stringify(told.issues));
	return told.value.todo.turns.value;
}
export function sampleOnce(): number {
	const belief = believe(problem, READINGS, DEFAULT_SPREADS);
	if (!belief.ok) throw new Error(JSON.stringify(belief.issues));
	return sampleEstimate(belief.value, 20_000, 1).byDepth.rubProbability;
}

const spools = Array.from({ length: 50 }, (_, i) => {
	const made = straightSpool({ rimDiameterMm: 70 + i / 2, arborDiameterMm: 30, widthMm: 20 });
	if (!made.ok) throw new Error('no spool');
	return made.value;
});
const lines = Array.from({ length: 200 }, (_, i) => ({
	layEfficiency: 0.88,
	sections: line(`WF${1 + (i % 12)}F`)
}));

export const matrixOnce = (): number =>
	spools
		.flatMap((on) => lines.map((l) => matchPair(on, l, { diameterMm: 0.48, layEfficiency: 0.9 }, 4)))
		.filter((fit) => fit.ok && fit.value.fits).length;

/** The loop of two nail knots, nine wraps each: the most crossings that are drawn. */
const largest = (await findDrawnKnot('own-loop'))!.stages.at(-1)!.strands(9);
/** Crossings, polynomials of all strands, and how they are linked. */
export const knotOnce = (): number => signatureOf(largest).length;
/** What a drag of the view asks for: the strands laid out and drawn anew. */
export const drawKnotOnce = (): number =>
	knotDrawing(largest, { yaw: 0.1, pitch: 0.1, mirrored: false }).pieces.length;
