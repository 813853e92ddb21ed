/** A factored sparse symmetric positive definite matrix. */
export interface SparseFactor {
	/** x of Ax = b. */
	readonly solve: (b: ArrayLike<number>) => Float64Array;
}

/** Column by column of an upper triangle: where each begins, and which rows stand in it. */
interface Columns {
	readonly starts: Int32Array;
	readonly rows: Int32Array;
}

/** Where something stands in a symmetric matrix that is a sum of small blocks: worked out once, for values that change. */
export interface SparsePattern {
	/** How many values the upper triangle has. */
	readonly size: number;
	/** Place of each diagonal value. */
	readonly diagonal: Int32Array;
	/** Of each block the places of its own upper triangle, row by row. */
	readonly blocks: readonly Int32Array[];
	/** Factors the matrix with these values. See {@link patternOf}. */
	readonly factor: (values: Float64Array) => SparseFactor;
}

/** The upper triangle that blocks and the diagonal fill. */
function columnsOf(count: number, blocks: readonly Int32Array[]): Columns & Pick<SparsePattern, 'blocks'> {
	const places = Array.from({ length: count }, (_, i) => new Map([[i, 0]]));
	for (const block of blocks) for (const i of block) for (const j of block) if (i <= j) places[j]!.set(i, 0);
	const starts = new Int32Array(count + 1);
	places.forEach((column, i) => (starts[i + 1] = starts[i]! + column.size));
	const rows = new Int32Array(starts[count]!);
	places.forEach((column, i) => {
		let at = starts[i]!;
		for (const row of column.keys()) {
			rows[at] = row;
			column.set(row, at++);
		}
	});
	return {
		starts,
		rows,
		blocks: blocks.map((block) => {
			const own = new Int32Array((block.length * (block.length + 1)) / 2);
			let next = 0;
			for (let a = 0; a < block.length; a++)
				for (let b = a; b < block.length; b++) {
					const [i, j] = [block[a]!, block[b]!];
					own[next++] = places[Math.max(i, j)]!.get(Math.min(i, j))!;
				}
			return own;
		})
	};
}

/** Parents in the elimination tree, and how much stands in each column of L. */
function eliminationTree(
	{ starts, rows }: Columns,
	count: number
): { parents: Int32Array; sizes: Int32Array } {
	const [parents, seen, sizes] = [
		new Int32Array(count).fill(-1),
		new Int32Array(count).fill(-1),
		new Int32Array(count)
	];
	for (let k = 0; k < count; k++) {
		seen[k] = k;
		for (let p = starts[k]!; p < starts[k + 1]!; p++)
			for (let i = rows[p]!; seen[i] !== k; i = parents[i]!) {
				if (parents[i] === -1) parents[i] = k;
				sizes[i]!++;
				seen[i] = k;
			}
	}
	return { parents, sizes };
}

/**
 * The pattern of a sparse symmetric positive definite matrix. It is factored, A = LDLᵀ, in the order in which its unknowns stand: each
 * is eliminated and leaves its Schur complement to those after it. Little is filled in where what few blocks share stands before what
 * many do.
 * Source: T. A. Davis, Algorithm 849: a concise sparse Cholesky factorization package, ACM Transactions on Mathematical Software 31, 2005
 * (the up-looking method by its elimination tree).
 *
 * @param blocks the unknowns of each block, each once
 * @throws RangeError from `factor`, for a matrix that is not positive definite
 */
export function patternOf(count: number, blocks: readonly Int32Array[]): SparsePattern {
	const { blocks: places, ...upper } = columnsOf(count, blocks);
	const tree = eliminationTree(upper, count);
	const diagonal = new Int32Array(count);
	upper.rows.forEach((row, at) => {
		if (at < upper.starts[row + 1]! && at >= upper.starts[row]!) diagonal[row] = at;
	});
	return {
		size: upper.rows.length,
		diagonal,
		blocks: places,
		factor: (values) => factored(upper, values, tree)
	};
}

function factored(
	upper: Columns,
	values: Float64Array,
	{ parents, sizes }: ReturnType<typeof eliminationTree>
): SparseFactor {
	const count = parents.length;
	const starts = new Int32Array(count + 1);
	for (let i = 0; i < count; i++) starts[i + 1] = starts[i]! + sizes[i]!;
	const [rows, lower] = [new Int32Array(starts[count]!), new Float64Array(starts[count]!)];
	const [pivots, work] = [new Float64Array(count), new Float64Array(count)];
	const [pattern, seen, filled] = [
		new Int32Array(count),
		new Int32Array(count).fill(-1),
		new Int32Array(count)
	];
	for (let k = 0; k < count; k++) {
		let top = count;
		seen[k] = k;
		for (let p = upper.starts[k]!; p < upper.starts[k + 1]!; p++) {
			let i = upper.rows[p]!;
			work[i]! += values[p]!;
			let length = 0;
			for (; seen[i] !== k; i = parents[i]!) {
				pattern[length++] = i;
				seen[i] = k;
			}
			while (length > 0) pattern[--top] = pattern[--length]!;
		}
		let pivot = work[k]!;
		work[k] = 0;
		for (; top < count; top++) {
			const i = pattern[top]!;
			const value = work[i]!;
			work[i] = 0;
			const end = starts[i]! + filled[i]!;
			for (let p = starts[i]!; p < end; p++) work[rows[p]!]! -= lower[p]! * value;
			const by = value / pivots[i]!;
			pivot -= by * value;
			rows[end] = k;
			lower[end] = by;
			filled[i]!++;
		}
		if (!(pivot > 0)) throw new RangeError(`unknown ${k} of a sparse matrix has no positive pivot`);
		pivots[k] = pivot;
	}
	return {
		solve: (b) => {
			const x = Float64Array.from(b);
			for (let j = 0; j < count; j++)
				for (let p = starts[j]!; p < starts[j + 1]!; p++) x[rows[p]!]! -= lower[p]! * x[j]!;
			for (let j = count - 1; j >= 0; j--) {
				let value = x[j]! / pivots[j]!;
				for (let p = starts[j]!; p < starts[j + 1]!; p++) value -= lower[p]! * x[rows[p]!]!;
				x[j] = value;
			}
			return x;
		}
	};
}
