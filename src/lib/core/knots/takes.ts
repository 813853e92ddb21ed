import { toMm } from '../units/units';

/** What is cut from what: a knot takes some of each. */
export type TakenFrom = 'backing' | 'line' | 'leader' | 'mono' | 'wire';

const inches = (value: number): number => toMm(value, 'in');
const NAIL = { backing: inches(10), mono: inches(10), leader: inches(10), line: inches(1) };

/** Length that a knot takes, what is trimmed off included, mm. Common practice, rounded up. */
export const KNOT_TAKES_MM = {
	'overhand-arbor': { backing: inches(18) },
	'uni-arbor': { backing: inches(18) },
	'spool-loop': { backing: inches(24) },
	'overhand-stopper': { backing: inches(4) },
	'double-uni': { backing: inches(10), mono: inches(10), line: inches(10) },
	'surgeons-loop': { backing: inches(24), mono: inches(24), leader: inches(10) },
	'surgeons-loop-two': { backing: inches(30) },
	bimini: { backing: inches(60) },
	'loop-to-loop': {},
	'nail-knot': NAIL,
	'nail-knot-tool': NAIL,
	'nail-knot-pulled': NAIL,
	albright: { backing: inches(10), mono: inches(10), leader: inches(10), line: inches(4) },
	'own-loop': { line: inches(4), mono: inches(24) },
	'needle-nail-knot': { leader: inches(14), line: inches(1) },
	'glued-splice': { leader: inches(3), line: inches(0.5) },
	'leader-uncoiled': {},
	'surgeons-join': { backing: inches(8), mono: inches(8), leader: inches(8) },
	'blood-knot': { mono: inches(8), leader: inches(8) },
	'wire-crimp': { wire: inches(5) },
	'swivel-tied': { backing: inches(8), mono: inches(8), line: inches(8) }
} as const satisfies Record<string, Partial<Record<TakenFrom, number>>>;

export type KnotSlug = keyof typeof KNOT_TAKES_MM;

/** What these knots take of one strand together, mm. */
export const takenMm = (knots: readonly KnotSlug[], from: TakenFrom): number =>
	knots.reduce((sum, slug) => {
		const takes: Partial<Record<TakenFrom, number>> = KNOT_TAKES_MM[slug];
		return sum + (takes[from] ?? 0);
	}, 0);
