import { logDensity, weightOf, type Observed } from '../estimate/posterior';
import type { World } from '../estimate/world';
import type { Matrix } from '../numeric/cholesky';
import { patternOf, type SparseFactor, type SparsePattern } from '../numeric/sparse';
import { linearise, localOf, type Linearised, type Local, type RackWinding } from './local';
import type { Mix } from './things';

/** Further than this from where a winding was linearised, in standard deviations, its slopes are taken anew. */
const SAME_SLOPES = 0.2;
/** The search rests when no deviation moves further than this. */
const AT_REST = 1e-3;
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

/** A winding and what it has a part in. */
interface Placed {
	readonly local: Local;
	/** Places in the rack's state, rising. */
	readonly places: Int32Array;
	/** What each of its own deviations is made of, by place in `places`. */
	readonly mixes: readonly (readonly (readonly [at: number, by: number])[])[];
}

/** And linearised where its own state is `at`. */
interface Near extends Placed {
	readonly at: readonly number[];
	readonly own: readonly Linearised[];
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

const ownState = ({ places, mixes }: Placed, x: ArrayLike<number>): number[] =>
	mixes.map((mix) => mix.reduce((sum, [at, by]) => sum + by * x[places[at]!]!, 0));

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
	for (const { mixes } of locals)
		for (const id of new Set(mixes.flat().map(([id]) => id))) times.set(id, (times.get(id) ?? 0) + 1);
	const order = [...times.keys()].sort((a, b) => times.get(a)! - times.get(b)!);
	const index = new Map(order.map((id, at) => [id, at]));
	const all = locals.map((local): Placed => {
		const ids = new Set(local.mixes.flat().map(([id]) => index.get(id)!));
		const places = Int32Array.from(ids).sort();
		const own = new Map(Array.from(places, (place, at) => [place, at]));
		return {
			local,
			places,
			mixes: local.mixes.map((mix) => mix.map(([id, by]) => [own.get(index.get(id)!)!, by] as const))
		};
	});
	return { index, all };
}

/** A winding's observations along the rack's state. */
const linesOf = ({ local, places, mixes }: Placed, own: readonly Linearised[]): Line[] =>
	own.map(({ constant, slopes }, k) => {
		const by = new Float64Array(places.length);
		mixes.forEach((mix, i) => {
			for (const [at, share] of mix) by[at]! += slopes[i]! * share;
		});
		return { reading: local.observed[k]!, possible: local.possible[k]!, constant, by };
	});

/** A winding linearised at a state of the rack; undefined where it would be no spool. */
function linearisedAt(one: Placed, x: Float64Array): Near | undefined {
	const at = ownState(one, x);
	const own = linearise(one.local, at);
	return own && { ...one, at, own, lines: linesOf(one, own) };
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
}

/** Damped Gauss–Newton from a state until it rests. */
function settle(from: Pick<Settled, 'x' | 'all'>, pattern: SparsePattern, trust: Trust): Settled {
	let { x, all } = from;
	let cost = costOf(all, x, trust);
	let damping = 0;
	for (let i = 0; i < MAX_ITERATIONS; i++) {
		const { values, slope } = normalEquations(all, pattern, x, trust, damping);
		const step = pattern.factor(values).solve(slope);
		const next = x.map((z, k) => z - step[k]!);
		const there = nearTo(all, next);
		const nextCost = there ? costOf(there, next, trust) : Infinity;
		const better = there !== undefined && nextCost <= cost + COST_ROUNDING;
		if (better) [x, all, cost] = [next, there, nextCost];
		if (step.every((s) => Math.abs(s) < AT_REST)) return { x, all, converged: true };
		if (better) damping = damping < 1e-3 ? 0 : damping / 10;
		else damping = damping === 0 ? 1e-2 : damping * 10;
	}
	return { x, all, converged: false };
}

/** Where the search starts: where the earlier solution left it, or where nothing is off. */
function startOf(index: ReadonlyMap<string, number>, all: readonly Placed[], before: Learnt | undefined) {
	const x = new Float64Array(index.size);
	if (before) {
		for (const [id, at] of index) x[at] = before.at[before.index.get(id) ?? -1] ?? 0;
		const near = all.map((one) => {
			const earlier = before.windings.get(one.local.winding.id);
			return earlier?.local === one.local
				? { ...one, at: earlier.at, own: earlier.own, lines: linesOf(one, earlier.own) }
				: linearisedAt(one, x);
		});
		const found = allOf(near);
		if (found) return { x, all: found };
		x.fill(0);
	}
	return {
		x,
		all: all.map((one): Near => {
			const { described } = one.local;
			return { ...one, at: ownState(one, x), own: described, lines: linesOf(one, described) };
		})
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
	const { x, all: near, converged } = settle(whole, pattern, WITH_CARE);
	return {
		index,
		at: x,
		factor: pattern.factor(normalEquations(near, pattern, x, WITH_CARE, 0).values),
		windings: new Map(near.map((one) => [one.local.winding.id, one])),
		converged
	};
}

/** Whether something that was read of a winding fits nothing else, so that it is more likely a slip than not. */
export function isDoubted({ windings, at }: Learnt, winding: string): boolean {
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
