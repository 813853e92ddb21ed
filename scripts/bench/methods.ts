import {
	BACKING_MATERIALS,
	DEFAULT_SPREADS,
	LINE_LAY_EFFICIENCY,
	playMethods,
	seededRandom,
	solveFit,
	spoolOf,
	summariseMethod,
	taperOf,
	toMm,
	type Density,
	type Fit,
	type MethodSlug,
	type Played,
	type Problem,
	type Random,
	type Rung,
	type Spool
} from '../../src/lib/core';

/** Fewer yards than this under a line, and nobody would ask how many. */
const LEAST_BACKING_MM = toMm(30, 'yd');

const between = (random: Random, low: number, high: number): number => low + (high - low) * random.uniform();
const oneOf = <T>(random: Random, values: readonly T[]): T =>
	values[Math.floor(random.uniform() * values.length)]!;

/** An invented set-up, from a brook reel to a salt reel: what the person believes. */
function invent(random: Random): { problem: Problem; spool: Spool; planned: Fit } | undefined {
	const rimDiameterMm = between(random, 66, 112);
	const material = oneOf(
		random,
		BACKING_MATERIALS.filter(({ slug }) => !slug.startsWith('mono'))
	);
	const line = {
		taper: oneOf(random, ['WF', 'WF', 'WF', 'DT'] as const),
		number: 3 + Math.floor(random.uniform() * 8),
		density: oneOf<Density>(random, ['F', 'F', 'I', 'S'])
	};
	const problem: Problem = {
		source: {
			kind: 'measured',
			rimDiameterMm,
			arborDiameterMm: rimDiameterMm * between(random, 0.36, 0.58),
			widthMm: rimDiameterMm * between(random, 0.2, 0.32)
		},
		gapMm: between(random, 3, 6),
		stack: [
			{ role: 'backing', layEfficiency: oneOf(random, [0.8, 0.9, 0.96]), diameterMm: material.diameterMm },
			{ role: 'line', layEfficiency: LINE_LAY_EFFICIENCY, sections: taperOf(line) }
		]
	};
	const built = spoolOf(problem.source);
	const fit = built.ok ? solveFit(built.value.spool, problem.stack, problem.gapMm) : built;
	if (!built.ok || !fit.ok || !fit.value.fits) return undefined;
	return (fit.value.solved?.lengthMm ?? 0) > LEAST_BACKING_MM
		? { problem, spool: built.value.spool, planned: fit.value }
		: undefined;
}

/** Plays every method once on each of `count` invented true spools. */
export function benchMethods(count: number, seed: number): Rung[] {
	const random = seededRandom(seed);
	const played = new Map<MethodSlug, { results: Played[]; wanted: number[] }>();
	for (let done = 0; done < count;) {
		const invented = invent(random);
		if (!invented) continue;
		const { problem, spool, planned } = invented;
		const belief = { problem, spool, planned, solved: planned.solved!, spreads: DEFAULT_SPREADS };
		for (const [slug, result] of playMethods(belief, seed + 1 + done)) {
			const kept = played.get(slug) ?? { results: [], wanted: [] };
			kept.results.push(result);
			kept.wanted.push(problem.gapMm);
			played.set(slug, kept);
		}
		done++;
	}
	return [...played].map(([slug, { results, wanted }]) => summariseMethod(slug, results, wanted));
}
