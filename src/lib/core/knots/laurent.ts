/** A polynomial in t and 1/t with whole coefficients: `low` is the exponent of the first of them. Zero has none. */
export interface Laurent {
	readonly low: number;
	readonly c: readonly bigint[];
}

const ZERO: Laurent = { low: 0, c: [] };

/** Without zeros at either end. */
function trimmed(low: number, c: readonly bigint[]): Laurent {
	const first = c.findIndex((x) => x !== 0n);
	if (first < 0) return ZERO;
	return { low: low + first, c: c.slice(first, c.findLastIndex((x) => x !== 0n) + 1) };
}

export const isZero = ({ c }: Laurent): boolean => c.length === 0;
/** ±1 times a power of t: what divides everything. */
const isUnit = ({ c }: Laurent): boolean => c.length === 1 && (c[0] === 1n || c[0] === -1n);

export function plus(a: Laurent, b: Laurent): Laurent {
	if (isZero(a)) return b;
	if (isZero(b)) return a;
	const low = Math.min(a.low, b.low);
	const high = Math.max(a.low + a.c.length, b.low + b.c.length);
	const sum = new Array<bigint>(high - low).fill(0n);
	for (const { low: from, c } of [a, b]) c.forEach((x, i) => (sum[from - low + i]! += x));
	return trimmed(low, sum);
}

function times(a: Laurent, b: Laurent): Laurent {
	if (isZero(a) || isZero(b)) return ZERO;
	const product = new Array<bigint>(a.c.length + b.c.length - 1).fill(0n);
	a.c.forEach((x, i) => b.c.forEach((y, j) => (product[i + j]! += x * y)));
	return trimmed(a.low + b.low, product);
}

/** Minus a, divided by a unit. */
const minusOver = ({ low, c }: Laurent, unit: Laurent): Laurent => ({
	low: low - unit.low,
	c: c.map((x) => -x * unit.c[0]!)
});

/** A row of a matrix that is mostly zero: what is not, by its column. */
export type Row = Map<number, Laurent>;

/**
 * The determinant up to a unit, of a square matrix: rows with a unit are used to clear its column and dropped, which
 * keeps everything whole; what is left, small as a rule, is expanded along its first row.
 */
export function determinantUpToUnit(rows: readonly Row[]): Laurent {
	let left = rows.map((row) => new Map(row));
	for (;;) {
		const found = cheapest(left);
		if (!found) return expanded(left);
		const { pivot, column } = found;
		const unit = pivot.get(column)!;
		left = left.filter((row) => row !== pivot);
		for (const row of left) {
			const entry = row.get(column);
			if (!entry) continue;
			const factor = minusOver(entry, unit);
			for (const [at, value] of pivot) {
				const sum = plus(row.get(at) ?? ZERO, times(factor, value));
				if (isZero(sum)) row.delete(at);
				else row.set(at, sum);
			}
		}
	}
}

/** The unit whose row and column touch least of the rest: Markowitz, The elimination form of the inverse, 1957. */
function cheapest(rows: readonly Row[]): { pivot: Row; column: number } | undefined {
	const inColumn = new Map<number, number>();
	for (const row of rows)
		for (const column of row.keys()) inColumn.set(column, (inColumn.get(column) ?? 0) + 1);
	let best: { pivot: Row; column: number; cost: number } | undefined;
	for (const pivot of rows)
		for (const [column, entry] of pivot) {
			if (!isUnit(entry)) continue;
			const cost = (pivot.size - 1) * (inColumn.get(column)! - 1);
			if (!best || cost < best.cost) best = { pivot, column, cost };
		}
	return best;
}

function expanded(rows: readonly Row[]): Laurent {
	const [first, ...others] = rows;
	if (!first) return { low: 0, c: [1n] };
	const columns = [...new Set(rows.flatMap((row) => [...row.keys()]))].sort((a, b) => a - b);
	let sum: Laurent = ZERO;
	for (const [column, entry] of first) {
		const minor = others.map((row) => new Map([...row].filter(([at]) => at !== column)));
		const term = times(entry, expanded(minor));
		const odd = columns.indexOf(column) % 2 === 1;
		sum = plus(sum, odd ? { ...term, c: term.c.map((x) => -x) } : term);
	}
	return sum;
}
