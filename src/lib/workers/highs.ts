import type { Programme, Solve } from '$lib/core';
import loadHighs from 'highs';

/** Longest that a whole plan is thought about, s: what is found by then is taken, with how much better another could be. */
const MOST_SECONDS = 0.7;
/** A plan that is better by less than this is not looked for, m of backing. */
const SAME_M = 0.01;

type Highs = Awaited<ReturnType<typeof loadHighs>>;

/** Solves one programme; undefined where nothing was found in the time there is. */
function solved(highs: Highs, { text, start, share }: Programme): ReturnType<Solve> {
	return highs.withModel({ format: 'lp', data: text }, (model) => {
		model.options.set({
			output_flag: false,
			time_limit: MOST_SECONDS * share,
			mip_rel_gap: 0,
			mip_abs_gap: SAME_M,
			random_seed: 1
		});
		const known = [...start].map(([name, value]) => ({ index: model.getColByName(name), value }));
		model.setSolution({
			indices: known.map(({ index }) => index),
			values: known.map(({ value }) => value)
		});
		model.run();
		const { optimal } = highs.constants.modelStatus;
		const { colValue } = model.getSolution();
		if (model.info.get('primal_solution_status') !== highs.constants.solutionStatus.feasible)
			return undefined;
		const values = new Map(Array.from(colValue, (value, i) => [model.getColName(i), value]));
		if (model.getModelStatus() === optimal) return { values, withinM: 0 };
		const bound = Number(model.info.get('mip_dual_bound'));
		return { values, withinM: Math.max(0, model.getObjectiveValue() - bound) };
	});
}

/** The solver: HiGHS, compiled to WebAssembly. @param wasm where its code is, for a browser */
export async function highsSolver(wasm?: string): Promise<Solve> {
	const highs = await loadHighs(wasm === undefined ? {} : { locateFile: () => wasm });
	return (programme) => solved(highs, programme);
}
