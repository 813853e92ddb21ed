import { metres, missingCosts, remaindersOf, sourceCost, type CutQuestion, type Cuts } from './cut-question';

/** What an integer programme came to: the value of each variable by its name, and how much better another could still be, m. */
export interface Solved {
	readonly values: ReadonlyMap<string, number>;
	readonly withinM: number;
}
/** An integer programme in the CPLEX LP format, what is known to be an answer, and the share of the time that it may take. */
export interface Programme {
	readonly text: string;
	readonly start: ReadonlyMap<string, number>;
	readonly share: number;
}
/** Solves an integer programme; undefined where it found no answer. */
export type Solve = (programme: Programme) => Solved | undefined;

/** A coefficient with its sign, exact to a tenth of a millimetre. */
const term = (factor: number, name: string): string =>
	`${factor < 0 ? '-' : '+'} ${Math.abs(factor).toFixed(4)} ${name}`;

/**
 * The question about one kind of backing as an integer programme in the CPLEX LP format, in metres. A piece i that is cut from a length j
 * is x_ij, a piece that no length is long enough for is s_i, u_j says that what is left of j is of use, and w_j is what is lost of it.
 */
export function programmeOf(question: CutQuestion): string {
	const { wanted, sources, usefulMm } = question;
	const useful = metres(usefulMm);
	const missing = missingCosts(question);
	const fits = (i: number, j: number): boolean =>
		wanted[i]!.what === sources[j]!.what && wanted[i]!.lengthMm <= sources[j]!.leftMm;
	const cut = (i: number, j: number): string => `x${i}_${j}`;
	const of = (j: number): number[] => wanted.flatMap((_, i) => (fits(i, j) ? [i] : []));
	const cost = [
		...wanted.map((_, i) => term(missing[i]!, `s${i}`)),
		...sources.flatMap((source, j) => [
			...of(j).map((i) => term(sourceCost(question, wanted[i]!, source), cut(i, j))),
			term(1, `w${j}`)
		])
	];
	const served = wanted.map(
		(_, i) =>
			` p${i}: ${sources.flatMap((_, j) => (fits(i, j) ? [term(1, cut(i, j))] : [])).join(' ')} + s${i} = 1`
	);
	const lengths = sources.flatMap(({ leftMm }, j) => {
		const left = metres(leftMm);
		const cuts = of(j).map((i) => term(metres(wanted[i]!.lengthMm), cut(i, j)));
		// Where a useful length is left, at least that much is; else all that is left counts as lost.
		const kept = left >= useful ? term(useful, `u${j}`) : '';
		const lost = left >= useful ? term(left, `u${j}`) : '';
		return [
			` l${j}: ${[...cuts, kept, `+ 0 w${j}`].join(' ')} <= ${left.toFixed(4)}`,
			` r${j}: ${[...cuts, lost, `+ 1 w${j}`].join(' ')} >= ${left.toFixed(4)}`
		];
	});
	const yesOrNo = sources.flatMap(({ leftMm }, j) => [
		...of(j).map((i) => cut(i, j)),
		...(metres(leftMm) >= useful ? [`u${j}`] : [])
	]);
	return [
		'Minimize',
		` cost: ${cost.join('\n ')}`,
		'Subject To',
		...served,
		...lengths,
		'Bounds',
		...wanted.map((_, i) => ` 0 <= s${i} <= 1`),
		...(yesOrNo.length > 0 ? ['Binaries', ` ${yesOrNo.join('\n ')}`] : []),
		'End'
	].join('\n');
}

/** The cuts that a solution means. */
export function cutsOf({ wanted, sources }: CutQuestion, { values }: Solved): Cuts {
	const cuts = new Map<string, string>();
	wanted.forEach((piece, i) =>
		sources.forEach((source, j) => {
			if ((values.get(`x${i}_${j}`) ?? 0) > 0.5) cuts.set(piece.id, source.id);
		})
	);
	return cuts;
}

/** The values of the variables of {@link programmeOf} that these cuts mean. */
export function valuesOf(question: CutQuestion, cuts: Cuts): Map<string, number> {
	const { wanted, sources, usefulMm } = question;
	const remainders = remaindersOf(question, cuts);
	return new Map([
		...wanted.flatMap(({ id }, i): [string, number][] => {
			const j = sources.findIndex((source) => source.id === cuts.get(id));
			return [[`s${i}`, j < 0 ? 1 : 0], ...(j < 0 ? [] : [[`x${i}_${j}`, 1] as [string, number]])];
		}),
		...sources.flatMap(({ leftMm }, j): [string, number][] => {
			const useful = remainders[j]! >= usefulMm;
			return [
				[`w${j}`, useful ? 0 : metres(remainders[j]!)],
				...(leftMm >= usefulMm ? [[`u${j}`, useful ? 1 : 0] as [string, number]] : [])
			];
		})
	]);
}
