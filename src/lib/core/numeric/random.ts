import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Chance that can be repeated: the same seed gives the same numbers. */
export interface Random {
	/** Uniform on [0, 1). */
	readonly uniform: () => number;
	/** Standard normal. */
	readonly normal: () => number;
}

/**
 * Seeded random numbers: xoroshiro128+ for the uniforms, Marsaglia's polar method for the normals (G.
 * Marsaglia & T. A. Bray, SIAM Review 6, 1964).
 */
export function seededRandom(seed: number): Random {
	const generator = xoroshiro128plus(seed);
	const uniform = (): number => uniformFloat64(generator);
	let spare: number | undefined;
	const normal = (): number => {
		if (spare !== undefined) {
			const kept = spare;
			spare = undefined;
			return kept;
		}
		for (;;) {
			const [x, y] = [2 * uniform() - 1, 2 * uniform() - 1];
			const s = x * x + y * y;
			if (s > 0 && s < 1) {
				const scale = Math.sqrt((-2 * Math.log(s)) / s);
				spare = y * scale;
				return x * scale;
			}
		}
	};
	return { uniform, normal };
}
