import {
	estimate,
	level,
	seededRandom,
	solveFit,
	spoolOf,
	taperOf,
	totalVolumeMm3,
	type Component,
	type Estimate,
	type Problem,
	type Random,
	type Ranged,
	type Reading
} from '../../src/lib/core';

/**
 * What following Wendle comes to on true reels, by a simulation of its own: straight spools, in the formulas of a cylinder, knowing
 * nothing of the estimate but its answers. The default spreads are the truth.
 */

const GAP_MM = 4;
const MEASURES = { rimDiameterMm: 85, arborDiameterMm: 40, widthMm: 22 };
const BACKING: Component = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 };
const lineOf = (number: number): Component => ({
	role: 'line',
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number, density: 'F' })
});
const FIVE: Problem = {
	source: { kind: 'measured', ...MEASURES },
	gapMm: GAP_MM,
	stack: [BACKING, lineOf(5)]
};
const SPEY: Problem = {
	source: { kind: 'measured', rimDiameterMm: 100, arborDiameterMm: 50, widthMm: 30 },
	gapMm: 5,
	stack: [
		{ ...BACKING, diameterMm: 0.6 },
		{ role: 'running-line', layEfficiency: 0.88, sections: [level(30_000, 0.9)] },
		{ role: 'head', layEfficiency: 0.88, sections: [level(11_000, 2)] },
		{ role: 'tip', layEfficiency: 0.88, sections: [level(3000, 1.2)] }
	]
};
/** One place with a rule, 1σ, mm: a habit of a tenth, and the rest by chance. */
const HABIT_MM = 0.1;
const PLACE_MM = Math.sqrt(0.3 ** 2 - HABIT_MM ** 2);

/** A true reel, with what is thought of it. */
class Reel {
	readonly #rim: number;
	readonly #arbor: number;
	readonly #width: number;
	/** Cross-section that per turn, mm². */
	readonly #turn: number;
	/** Space of all that goes over the backing, mm³. */
	readonly #over: number;
	readonly #habit: number;
	readonly #random: Random;

	constructor({ source, stack }: Problem, random: Random) {
		if (source.kind !== 'measured') throw new RangeError('a measured reel');
		const n = random.normal;
		this.#random = random;
		this.#rim = (source.rimDiameterMm + 0.4 * n()) / 2;
		this.#arbor = (source.arborDiameterMm + 0.6 * n()) / 2;
		this.#width = source.widthMm + 0.4 * n();
		const [winder, braid, line] = [n(), n(), n()];
		const lay = (family: number): number =>
			Math.exp(0.06 * (Math.SQRT1_2 * winder + 0.5 * family + 0.5 * n()));
		const [backing, ...rest] = stack;
		if (!backing || 'sections' in backing) throw new RangeError('an open backing');
		this.#turn = (backing.diameterMm * (1 + 0.05 * n())) ** 2 / (backing.layEfficiency * lay(braid));
		this.#over = rest.reduce((sum, part) => {
			if (!('sections' in part)) throw new RangeError('one open strand');
			const volume = totalVolumeMm3(part.sections) * (1 + 0.05 * n());
			return sum + (4 / Math.PI) * (volume / (part.layEfficiency * lay(line)));
		}, 0);
		this.#habit = HABIT_MM * n();
	}
	#off(places: number): number {
		return this.#habit + (PLACE_MM / Math.sqrt(places)) * this.#random.normal();
	}
	depthAfter = (turns: number): number => this.#rim - this.#arbor - (turns * this.#turn) / this.#width;
	turnsTo = (depthMm: number): number => ((this.#rim - depthMm - this.#arbor) * this.#width) / this.#turn;
	lengthOf(turns: number): number {
		const radius = this.#rim - this.depthAfter(turns);
		return ((radius ** 2 - this.#arbor ** 2) * Math.PI * this.#width) / this.#turn;
	}
	turnsOf(lengthMm: number): number {
		const radius = Math.sqrt(this.#arbor ** 2 + (lengthMm * this.#turn) / (Math.PI * this.#width));
		return this.turnsTo(this.#rim - radius);
	}
	readDepth = (turns: number, places = 1): number => this.depthAfter(turns) + this.#off(places);
	/** Wound until a rule reads this. */
	windToDepth = (depthMm: number, places = 1): number => this.turnsTo(depthMm - this.#off(places));
	gap(turns: number): number {
		const radius = this.#rim - this.depthAfter(turns);
		return this.#rim - Math.sqrt(radius ** 2 + this.#over / (Math.PI * this.#width));
	}
	readGap = (turns: number, places = 1): number => this.gap(turns) + this.#off(places);
}

/** Gap errors and how often ranges held. */
class Tally {
	readonly #errors: number[] = [];
	#held = { 80: 0, 90: 0 };
	add(gapMm: number, wantedMm: number, foreseen?: Ranged): void {
		this.#errors.push(Math.abs(gapMm - wantedMm));
		if (!foreseen) return;
		const { low, high } = foreseen.range;
		const half = (high - low) / 2;
		const off = Math.abs(gapMm - foreseen.value);
		if (off <= half) this.#held[90]++;
		if (off <= (half * 1.2816) / 1.6449) this.#held[80]++;
	}
	get row() {
		const rising = [...this.#errors].sort((a, b) => a - b);
		const count = rising.length;
		const at = (p: number): number => rising[Math.min(Math.floor(p * count), count - 1)]!;
		// Standard error of a quantile, from the spread of order statistics around it.
		const width = Math.sqrt(0.95 * 0.05 * count);
		const low = rising[Math.max(Math.floor(0.95 * count - width), 0)]!;
		const high = rising[Math.min(Math.ceil(0.95 * count + width), count - 1)]!;
		return {
			error95Mm: at(0.95),
			standardErrorMm: (high - low) / 2,
			withinHalf: rising.filter((e) => e < 0.5).length / count,
			held80: this.#held[80] / count,
			held90: this.#held[90] / count
		};
	}
}

export const tallies = <K extends string>(names: readonly K[]): Record<K, Tally> =>
	Object.fromEntries(names.map((name) => [name, new Tally()])) as Record<K, Tally>;
export const rowsOf = (all: Record<string, Tally>) =>
	Object.entries(all).map(([name, tally]) => ({ name, ...tally.row }));

function ask(problem: Problem, readings: readonly Reading[]): Estimate {
	const told = estimate(problem, readings);
	if (!told.ok) throw new Error(JSON.stringify(told.issues));
	return told.value;
}
function planOf(problem: Problem) {
	const built = spoolOf(problem.source);
	const fit = built.ok ? solveFit(built.value.spool, problem.stack, problem.gapMm) : built;
	if (!built.ok || !fit.ok) throw new Error('no plan');
	return { ...fit.value.solved!, spool: built.value.spool };
}

export const PAUSES = [0.1, 0.2, 0.3, 0.45, 0.6, 0.75, 0.9] as const;

/** One depth read at a pause, then on by what Wendle says: by turns, by length, by depth; beside the plan and the bare reading. */
export function benchPause(share: number, count: number, seed: number) {
	const plan = planOf(FIVE);
	const { rimRadiusMm: rim, arborRadiusMm: arbor } = plan.spool;
	const all = tallies([
		'plan by turns',
		'plan by depth',
		'bare reading',
		'by turns',
		'by length',
		'by depth'
	]);
	for (let i = 0; i < count; i++) {
		const reel = new Reel(FIVE, seededRandom(seed + i));
		const turns = share * plan.turns;
		const depthMm = reel.readDepth(turns);
		const { todo, gap } = ask(FIVE, [{ kind: 'depth', component: 0, turns, depthMm }]);
		const stood = rim - depthMm - arbor;
		const bare = stood > 0 ? (turns * (rim - plan.stopDepthMm - arbor)) / stood : plan.turns;
		all['plan by turns'].add(reel.gap(plan.turns), GAP_MM);
		all['plan by depth'].add(reel.gap(reel.windToDepth(plan.stopDepthMm)), GAP_MM);
		all['bare reading'].add(reel.gap(Math.max(bare, turns)), GAP_MM);
		all['by turns'].add(reel.gap(turns + todo.turns.value), GAP_MM, gap.byTurns);
		const length = reel.lengthOf(turns) + todo.lengthMm.value;
		all['by length'].add(reel.gap(reel.turnsOf(length)), GAP_MM, gap.byLength);
		all['by depth'].add(reel.gap(reel.windToDepth(todo.stopDepthMm.value)), GAP_MM, gap.byDepth);
	}
	return rowsOf(all);
}

/** Wound to the planned depth and counted, the gap seen in so many places, and the backing changed as Wendle says. */
export function benchCorrection(places: number, count: number, seed: number) {
	const plan = planOf(FIVE);
	const all = tallies([
		'as it came out',
		'changed by turns',
		'changed by length',
		'changed to the depth, read again',
		'changed to just that depth'
	]);
	for (let i = 0; i < count; i++) {
		const reel = new Reel(FIVE, seededRandom(seed + i));
		const turns = reel.windToDepth(plan.stopDepthMm, places);
		const { todo, gap } = ask(FIVE, [
			{ kind: 'depth', component: 0, turns, depthMm: plan.stopDepthMm, places },
			{ kind: 'gap', gapMm: reel.readGap(turns, places), places }
		]);
		all['as it came out'].add(reel.gap(turns), GAP_MM, gap.asItIs);
		all['changed by turns'].add(reel.gap(turns + todo.turns.value), GAP_MM, gap.byTurns);
		const length = reel.lengthOf(turns) + todo.lengthMm.value;
		all['changed by length'].add(reel.gap(reel.turnsOf(length)), GAP_MM, gap.byLength);
		const then = reel.windToDepth(todo.stopDepthMm.value, places);
		all['changed to the depth, read again'].add(reel.gap(then), GAP_MM, gap.byDepth);
		// As far as the answer itself goes: what the rule adds at the new stop is left out.
		all['changed to just that depth'].add(reel.gap(reel.turnsTo(todo.stopDepthMm.value)), GAP_MM);
	}
	return rowsOf(all);
}

/** A spey stack laid by one hand, without a reading: do the ranges hold? */
export function benchSpey(count: number, seed: number) {
	const plan = planOf(SPEY);
	const { gap } = ask(SPEY, []);
	const all = tallies(['by turns', 'by length', 'by depth']);
	for (let i = 0; i < count; i++) {
		const reel = new Reel(SPEY, seededRandom(seed + i));
		all['by turns'].add(reel.gap(plan.turns), SPEY.gapMm, gap.byTurns);
		all['by length'].add(reel.gap(reel.turnsOf(plan.lengthMm)), SPEY.gapMm, gap.byLength);
		all['by depth'].add(reel.gap(reel.windToDepth(plan.stopDepthMm)), SPEY.gapMm, gap.byDepth);
	}
	return rowsOf(all);
}
