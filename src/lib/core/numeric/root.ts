import { ROOT_ITERATIONS, ROOT_RELATIVE } from './tolerances';

/**
 * Root of a continuous `f` between `low` and `high`, where its sign changes.
 * Ridders' method (C. Ridders, IEEE Trans. Circuits Syst. 26, 1979): the bracket is kept and at
 * least halves each step, so it cannot run away. Exact to a relative 1e-13 of the bracket's larger end.
 *
 * @throws RangeError when the ends do not bracket a root
 */
export function findRoot(f: (x: number) => number, low: number, high: number): number {
	let [a, b] = [low, high];
	let [fa, fb] = [f(a), f(b)];
	if (fa === 0) return a;
	if (fb === 0) return b;
	if (!(fa * fb < 0)) throw new RangeError(`no sign change between ${low} (${fa}) and ${high} (${fb})`);

	const close = ROOT_RELATIVE * Math.max(Math.abs(low), Math.abs(high));
	for (let i = 0; i < ROOT_ITERATIONS && Math.abs(b - a) > close; i++) {
		const middle = a + (b - a) / 2;
		const fm = f(middle);
		if (fm === 0) return middle;
		const x = middle + ((middle - a) * Math.sign(fa - fb) * fm) / Math.sqrt(fm * fm - fa * fb);
		const fx = f(x);
		if (fx === 0) return x;
		if (fm * fx < 0) [a, fa, b, fb] = [middle, fm, x, fx];
		else if (fa * fx < 0) [b, fb] = [x, fx];
		else [a, fa] = [x, fx];
	}
	return a + (b - a) / 2;
}
