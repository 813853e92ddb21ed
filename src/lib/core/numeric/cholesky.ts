/** A square matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

/**
 * Lower triangle L of a symmetric positive definite matrix, A = LLᵀ; undefined of another (G. H. Golub & C. F. Van Loan, Matrix
 * Computations, 4.2).
 */
function tryCholesky(matrix: Matrix): number[][] | undefined {
	const lower = matrix.map((row) => row.map(() => 0));
	for (let i = 0; i < matrix.length; i++)
		for (let j = 0; j <= i; j++) {
			let sum = matrix[i]![j]!;
			for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!;
			if (i === j) {
				if (!(sum > 0)) return undefined;
				lower[i]![i] = Math.sqrt(sum);
			} else lower[i]![j] = sum / lower[j]![j]!;
		}
	return lower;
}

/** Ridges tried one after another, against the largest diagonal: rounding, then what is far from it. */
const RIDGES = [0, 1e-15, 1e-13, 1e-11, 1e-9, 1e-6, 1e-3] as const;

/**
 * Lower triangle L of a symmetric matrix that is positive definite but for rounding, as sums over very unequal readings are: with the
 * least ridge on its diagonal that makes it so.
 *
 * @throws RangeError for a matrix that is not
 */
export function choleskyOf(matrix: Matrix): number[][] {
	const most = Math.max(...matrix.map((row, i) => row[i]!));
	for (const ridge of RIDGES) {
		const raised = ridge === 0 ? matrix : matrix.map((row, i) => row.with(i, row[i]! + ridge * most));
		const lower = tryCholesky(raised);
		if (lower) return lower;
	}
	throw new RangeError('not positive definite, however much is allowed for rounding');
}

/** x of LLᵀx = b. */
export function solveCholesky(lower: Matrix, b: readonly number[]): number[] {
	const x = [...b];
	for (let i = 0; i < x.length; i++) {
		for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!;
		x[i]! /= lower[i]![i]!;
	}
	for (let i = x.length - 1; i >= 0; i--) {
		for (let k = i + 1; k < x.length; k++) x[i]! -= lower[k]![i]! * x[k]!;
		x[i]! /= lower[i]![i]!;
	}
	return x;
}

/** Inverse of a symmetric positive definite matrix. */
export function inverseOf(matrix: Matrix): number[][] {
	const lower = choleskyOf(matrix);
	return matrix.map((_, i) =>
		solveCholesky(
			lower,
			matrix.map((_, j) => (i === j ? 1 : 0))
		)
	);
}
