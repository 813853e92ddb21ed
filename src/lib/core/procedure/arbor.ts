import type { JobSetup } from './job';
import type { Drawn, Tying } from './joints';
import type { Sentence } from './phrase';
import { USUAL_TECHNIQUES, type Techniques } from './techniques';
import type { ToolKey } from './tools';

const ROUND = (turns: number): string => (turns === 1 ? 'once' : turns === 2 ? 'twice' : 'three times');
const HOLDS = {
	right: ["When you pull hard, the backing turns the spool and doesn't slide round the arbor."],
	wrong: ['The turns slip round the arbor, or the knot sticks up from it.'],
	then: ['Untie it, take one more turn or put tape under it, moisten, and pull it tight again.']
} as const;

/**
 * Least perimeter of a loop that passes over a spool's rim while it lies round the arbor, mm: two tangents from the rim's far edge to
 * the arbor and the arc between them, 4√(R² − r²) + r(2π − 4 arccos(r/R)). Plane geometry.
 */
export function loopOverSpoolMm({
	rimRadiusMm: R,
	arborRadiusMm: r
}: NonNullable<JobSetup['spool']>): number {
	return 4 * Math.sqrt(R * R - r * r) + r * (2 * Math.PI - 4 * Math.acos(r / R));
}

/** A loop over the whole spool is for open cages: in a closed one the usual knot takes its place. */
export const arborKnotOf = ({ cage, schools }: JobSetup): Techniques['arborKnot'] =>
	cage === 'closed' && schools.arborKnot === 'spool-loop' ? USUAL_TECHNIQUES.arborKnot : schools.arborKnot;

const ARBOR_TYINGS: Record<
	Techniques['arborKnot'],
	(turns: number, spool?: JobSetup['spool']) => readonly Sentence[]
> = {
	overhand: (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. An overhand knot round the standing part, and a stopper overhand in the tag.`
		]
	],
	doubled: (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. A doubled overhand, the end through twice, round the standing part, and a doubled stopper in the tag.`
		]
	],
	'stopper-first': (turns) => [
		['Tie a stopper overhand in the very end, on the table, and draw it tight.'],
		[
			`Round the arbor ${ROUND(turns)}. An overhand knot round the standing part with the end that has the stopper; the stopper keeps it from slipping through.`
		]
	],
	'stopper-doubled': (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. An overhand knot round the standing part, and a doubled stopper in the tag, the end through twice.`
		]
	],
	'uni-overhand': (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. Lay the tag back along the standing part, and wrap 4–5 turns through the loop that makes.`
		],
		[
			'Draw the wraps together, then slide the knot down to the arbor. Tie an overhand in the tag, close to it.'
		]
	],
	noose: (turns) => [
		[
			'Tie a slipped loop in the end: an overhand knot with the standing part pulled through as a bight, so that the loop runs.'
		],
		[
			`Lay the loop round the arbor${turns > 1 ? `, ${ROUND(turns)}` : ''}, and draw it down by the standing part.`
		]
	],
	hole: () => [
		['Lead the end in through the hole in the arbor, or round its post.'],
		['Tie a stopper overhand in the end, doubled in thin backing, and pull it back against the arbor.']
	],
	uni: (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. Lay the tag back along the standing part, and wrap 4–5 turns through the loop that makes.`
		],
		['Draw the wraps together, then slide the knot down to the arbor.']
	],
	'spool-loop': (turns, spool) => [
		[
			"Tie a surgeon's loop wide enough to go over the whole spool",
			...(spool ? [': it has to measure at least ', { smallMm: loopOverSpoolMm(spool) }, ' all round'] : []),
			'.'
		],
		[
			`Pass it over the spool${turns > 1 ? `, ${ROUND(turns)}, a twist each time,` : ''} so that the standing part leads from the loop's end toward the reel seat. Then it can't spin.`
		],
		[
			'What is slack when it lies on the arbor is drawn up through its knot: hitch the loop on itself and pull.'
		]
	]
};

const ARBOR_DRAWN: Record<Techniques['arborKnot'], (turns: number) => readonly Drawn[]> = {
	overhand: () => [{ slug: 'overhand-arbor', wraps: 1 }],
	'stopper-first': () => [{ slug: 'overhand-arbor', wraps: 1 }],
	'stopper-doubled': () => [
		{ slug: 'overhand-arbor', wraps: 1, unlike: true },
		{ slug: 'overhand-stopper', wraps: 2 }
	],
	doubled: () => [{ slug: 'overhand-arbor', wraps: 2 }],
	uni: () => [{ slug: 'uni-arbor', wraps: 4 }],
	'uni-overhand': () => [{ slug: 'uni-arbor', wraps: 4 }],
	noose: () => [{ slug: 'overhand-arbor', wraps: 1, unlike: true }],
	hole: () => [{ slug: 'overhand-stopper', wraps: 1 }],
	'spool-loop': (turns) => [{ slug: 'spool-loop', wraps: turns }]
};

/** What makes a slippery backing hold: nothing more is needed where it goes through the arbor. */
const GRIPS: Record<
	Techniques['grip'],
	{ readonly says: Sentence; readonly tools: readonly ToolKey[]; readonly knots: readonly Drawn[] }
> = {
	tape: {
		says: ['This backing slips on a bare arbor. Put one layer of tape round the arbor first.'],
		tools: ['tape'],
		knots: []
	},
	mono: {
		says: [
			"This backing slips on a bare arbor. Tie 5–8 ft of mono to the arbor first, with the knot below, and wind it on. Join the backing to it with a double uni or an Albright, kept small and in the middle of the spool's width."
		],
		tools: ['mono-bed'],
		knots: [{ slug: 'double-uni', wraps: 5, as: { line: 'bed', backing: 'backing' } }]
	},
	none: {
		says: ['This backing slips on a bare arbor. Take all three turns, and pull hard before you go on.'],
		tools: [],
		knots: []
	}
};

/** The knot on the arbor. It only keeps the spool from turning inside the backing, and should never be seen again. */
export function arborTying(setup: JobSetup): Tying {
	const [first] = setup.parts;
	const arborKnot = arborKnotOf(setup);
	const slips = first?.cuts ?? false;
	const grip = slips && arborKnot !== 'hole' ? GRIPS[setup.schools.grip] : undefined;
	return {
		knots: [...ARBOR_DRAWN[arborKnot](setup.arborTurns), ...(grip?.knots ?? [])],
		instructions: [
			...(grip ? [grip.says] : []),
			...ARBOR_TYINGS[arborKnot](setup.arborTurns, setup.spool),
			['Moisten it, rock it to and fro until it is tight, and trim to a millimetre or two.']
		],
		...HOLDS,
		cautions: slips ? ['blades', 'thin-braid'] : ['blades'],
		tools: grip?.tools ?? [],
		minutes: ARBOR_MINUTES[arborKnot] ?? 4
	};
}
/** Those that take longer, or less, than two plain knots. */
const ARBOR_MINUTES: Partial<Record<Techniques['arborKnot'], number>> = {
	uni: 5,
	'uni-overhand': 5,
	'spool-loop': 5,
	noose: 3
};
