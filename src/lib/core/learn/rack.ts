import { logDensity, weightOf, type Observed } from '../estimate/posterior';
import type { World } from '../estimate/world';
import type { Matrix } from '../numeric/cholesky';
import { patternOf, type SparseFactor, type SparsePattern } from '../numeric/sparse';
import { linearise, localOf, type Linearised, type Local, type RackWinding } from './local';
import type { Mix } from './things';

/** Further than this from where a winding was linearised, in standard deviations, its slopes are taken anew. */
const SAME_SLOPES = 0.2;
/** The search rests after a step in which no deviation moved further than this: the next would be far smaller. */
const AT_REST = 1e-2;
/** A cost that rises by no more than this has not risen. */
const COST_ROUNDING = 1e-6;
const MAX_ITERATIONS = 40;

/** What an observation is off by, in its own σ, along the rack's state: `constant` less the sum of `by` at its winding's places. */
interface Line {
	readonly reading: Observed<World>;
	/** It can be, by what is described of its winding alone. */
	readonly possible: boolean;
	readonly constant: number;
	readonly by: Float64Array;
}

/** A winding with the places in the rack's state of what it has a part in. */
interface Placed {
	readonly local: Local;
	/** One for each of the winding's `ids`. */
	readonly places: Int32Array;
}

/** And linearised where its own state is `at`. */
interface Near extends Placed {
	readonly at: readonly number[];
	readonly lines: readonly Line[];
}

/** What the windings of a rack have taught: the joint posterior of everything that they share. */
export interface Learnt {
	/** Place of each deviation in the state, by its id. */
	readonly index: ReadonlyMap<string, number>;
	/** The most plausible state. */
	readonly at: Float64Array;
	readonly factor: SparseFactor;
	/** By the id of the winding; those that make no spool or have no reading are left out. */
	readonly windings: ReadonlyMap<string, Near>;
	readonly converged: boolean;
}

const ownState = ({ local, places }: Placed, x: ArrayLike<number>): number[] =>
	local.mixes.map((mix) => {
		let sum = 0;
		for (const [at, by] of mix) sum += by * x[places[at]!]!;
		return sum;
	});

/** Every winding with its places in the state: what few windings have a part in stands before what many do. */
function placed(
	windings: readonly RackWinding[],
	before: Learnt | undefined
): { index: Map<string, number>; all: Placed[] } {
	const locals = windings.flatMap((winding) => {
		const earlier = before?.windings.get(winding.id)?.local;
		return (earlier?.winding === winding ? earlier : localOf(winding)) ?? [];
	});
	const times = new Map<string, number>();
	for (const { ids } of locals) for (const id of ids) times.set(id, (times.get(id) ?? 0) + 1);
	const order = [...times].sort(([, a], [, b]) => a - b);
	const index = new Map(order.map(([id], at) => [id, at]));
	const all = locals.map((local): Placed => ({
		local,
		places: Int32Array.from(local.ids, (id) => index.get(id)!)
	}));
	return { index, all };
}

/** A winding's observations along what it has a part in. */
const linesOf = ({ observed, possible, ids, mixes }: Local, own: readonly Linearised[]): Line[] =>
	own.map(({ constant, slopes }, k) => {
		const by = new Float64Array(ids.length);
		mixes.forEach((mix, i) => {
			for (const [at, share] of mix) by[at]! += slopes[i]! * share;
		});
		return { reading: observed[k]!, possible: possible[k]!, constant, by };
	});

/** A winding linearised at a state of the rack; undefined where it would be no spool. */
function linearisedAt(one: Placed, x: Float64Array): Near | undefined {
	const at = ownState(one, x);
	const own = linearise(one.local, at);
	return own && { ...one, at, lines: linesOf(one.local, own) };
}

/** All of them, or undefined where one would be no spool. */
function allOf<T>(found: readonly (T | undefined)[]): readonly T[] | undefined {
	return found.every((one) => one !== undefined) ? found : undefined;
}

/** The windings linearised near a state, those that are still near kept. */
const nearTo = (all: readonly Near[], x: Float64Array): readonly Near[] | undefined =>
	allOf(
		all.map((one) => {
			const near = ownState(one, x).every((z, i) => Math.abs(z - one.at[i]!) <= SAME_SLOPES);
			return near ? one : linearisedAt(one, x);
		})
	);

/** How far an observation is off at a state, in its own σ. */
function residual({ places }: Placed, { constant, by }: Line, x: Float64Array): number {
	let off = constant;
	for (let k = 0; k < places.length; k++) off -= by[k]! * x[places[k]!]!;
	return off;
}

/** How readings enter: those that can be as they are and no others, or each as what may be a slip. */
type Trust = (line: Line) => Pick<Observed<World>, 'sigma' | 'slipWithin'> | undefined;
const WHOLLY: Trust = ({ reading: { sigma }, possible }) => (possible ? { sigma } : undefined);
const WITH_CARE: Trust = ({ reading }) => reading;

/** Information matrix I + JᵀWJ of the rack, sparse, and the slope of its cost at a state. */
function normalEquations(
	all: readonly Near[],
	{ size, diagonal, blocks }: SparsePattern,
	x: Float64Array,
	trust: Trust,
	damping: number
): { values: Float64Array; slope: Float64Array } {
	const values = new Float64Array(size);
	for (const at of diagonal) values[at] = 1 + damping;
	const slope = Float64Array.from(x);
	all.forEach((one, winding) => {
		const block = blocks[winding]!;
		for (const line of one.lines) {
			const off = residual(one, line, x);
			const trusted = trust(line);
			const weight = trusted ? weightOf(trusted, off) : 0;
			let next = 0;
			line.by.forEach((along, a) => {
				slope[one.places[a]!]! -= weight * off * along;
				for (let b = a; b < line.by.length; b++) values[block[next++]!]! += weight * along * line.by[b]!;
			});
		}
	});
	return { values, slope };
}

/** Minus the log of prior times likelihood, up to a constant. */
function costOf(all: readonly Near[], x: Float64Array, trust: Trust): number {
	let cost = 0;
	for (const z of x) cost += (z * z) / 2;
	for (const one of all)
		for (const line of one.lines) {
			const trusted = trust(line);
			if (trusted) cost -= logDensity(trusted, residual(one, line, x));
		}
	return cost;
}

interface Settled {
	readonly x: Float64Array;
	readonly all: readonly Near[];
	readonly converged: boolean;
	/** Of the information that the last step was taken with. */
	readonly factor: SparseFactor;
}

/** Damped Gauss–Newton from a state until it rests. */
function settle(from: Pick<Settled, 'x' | 'all'>, pattern: SparsePattern, trust: Trust): Settled {
	let { x, all } = from;
	let cost = costOf(all, x, trust);
	let damping = 0;
	for (let i = 1; ; i++) {
		const { values, slope } = normalEquations(all, pattern, x, trust, damping);
		const factor = pattern.factor(values);
		const step = factor.solve(slope);
		const next = x.map((z, k) => z - step[k]!);
		const there = nearTo(all, next);
		const nextCost = there ? costOf(there, next, trust) : Infinity;
		const better = there !== undefined && nextCost <= cost + COST_ROUNDING;
		if (better) [x, all, cost] = [next, there, nextCost];
		const converged = damping === 0 && step.every((s) => Math.abs(s) < AT_REST);
		if (converged || i === MAX_ITERATIONS) return { x, all, converged, factor };
		if (better) damping = damping < 1e-3 ? 0 : damping / 10;
		else {
			damping = damping === 0 ? 1e-2 : damping * 10;
			// It may be the cost from here that is not right: some were linearised a little way off.
			all = allOf(all.map((one) => linearisedAt(one, x))) ?? all;
			cost = costOf(all, x, trust);
		}
	}
}

/** Where the search starts: where the earlier solution left it, or where nothing is off. */
function startOf(index: ReadonlyMap<string, number>, all: readonly Placed[], before: Learnt | undefined) {
	const x = new Float64Array(index.size);
	if (before) {
		for (const [id, at] of index) x[at] = before.at[before.index.get(id) ?? -1] ?? 0;
		const near = all.map((one) => {
			const earlier = before.windings.get(one.local.winding.id);
			return earlier?.local === one.local ? { ...earlier, ...one } : linearisedAt(one, x);
		});
		const found = allOf(near);
		if (found) return { x, all: found };
		x.fill(0);
	}
	return {
		x,
		all: all.map((one): Near => ({
			...one,
			at: ownState(one, x),
			lines: linesOf(one.local, one.local.described)
		}))
	};
}

/**
 * Everything that the windings of a rack share, estimated at once: true spools, strands and kinds of strands, hands and rules. The
 * maximum a posteriori state by damped Gauss–Newton over one sparse system, and Laplace's covariance there: first with all readings
 * that can be, as they are, then with each as what may be a slip, so that a wild one counts little.
 * Source: C. M. Bishop, Pattern Recognition and Machine Learning, 4.4; sparse elimination as in `patternOf`.
 *
 * @param before an earlier solution, from which the search starts: quick where little has changed, and the same answer
 */
export function learnRack(windings: readonly RackWinding[], before?: Learnt): Learnt {
	const { index, all } = placed(windings, before);
	const pattern = patternOf(
		index.size,
		all.map(({ places }) => places)
	);
	const whole = settle(startOf(index, all, before), pattern, WHOLLY);
	const { x, all: near, converged, factor } = settle(whole, pattern, WITH_CARE);
	return {
		index,
		at: x,
		factor,
		windings: new Map(near.map((one) => [one.local.winding.id, one])),
		converged
	};
}

/** Whether something that was read of a winding fits nothing else, so that it is more likely a slip than not. */
export function isOdd({ windings, at }: Learnt, winding: string): boolean {
	const near = windings.get(winding);
	return near?.lines.some((line) => weightOf(line.reading, residual(near, line, at)) < 0.5) ?? false;
}

/** Some of what was learnt, jointly: in prior standard deviations. */
export interface Marginal {
	readonly ids: readonly string[];
	readonly mean: readonly number[];
	readonly covariance: Matrix;
}

/** The joint posterior of a few deviations of a rack; of ids that it does not know nothing was learnt, and they are left out. */
export function marginalOf({ index, at, factor }: Learnt, ids: readonly string[]): Marginal {
	const known = ids.filter((id) => index.has(id));
	const places = known.map((id) => index.get(id)!);
	const columns = places.map((place) => {
		const unit = new Float64Array(index.size);
		unit[place] = 1;
		return factor.solve(unit);
	});
	return {
		ids: known,
		mean: places.map((place) => at[place]!),
		covariance: places.map((place) => columns.map((column) => column[place]!))
	};
}

/** Mean and covariance of sums of a rack's deviations. What the rack does not know is a standard normal of its own. */
export function carried(
	mixes: readonly Mix[],
	{ ids, mean, covariance }: Marginal
): { mean: number[]; covariance: number[][] } {
	const places = new Map(ids.map((id, at) => [id, at]));
	const known = mixes.map((mix) =>
		mix.flatMap(([id, by]) => {
			const at = places.get(id);
			return at === undefined ? [] : [[at, by] as const];
		})
	);
	const unknown = mixes.map((mix) => new Map(mix.filter(([id]) => !places.has(id))));
	return {
		mean: known.map((mix) => mix.reduce((sum, [at, by]) => sum + by * mean[at]!, 0)),
		covariance: mixes.map((_, i) =>
			mixes.map((_, j) => {
				let sum = 0;
				for (const [a, byA] of known[i]!)
					for (const [b, byB] of known[j]!) sum += byA * byB * covariance[a]![b]!;
				for (const [id, by] of unknown[i]!) sum += by * (unknown[j]!.get(id) ?? 0);
				return sum;
			})
		)
	};
}
