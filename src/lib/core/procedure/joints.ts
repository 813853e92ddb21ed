import type { Role } from '../fit/stack';
import type { Recast } from '../knots/knot';
import type { KnotSlug } from '../knots/takes';
import { isUnder, type JobPart, type JobSetup, type Joint } from './job';
import type { Caution, Sentence } from './phrase';
import type { Techniques } from './techniques';
import type { ToolKey } from './tools';

/** How something is tied: the words, how it looks when right and wrong, what it takes. */
export interface Tying {
	readonly instructions: readonly Sentence[];
	readonly right: Sentence;
	readonly wrong: Sentence;
	readonly then: Sentence;
	readonly cautions: readonly Caution[];
	readonly tools: readonly ToolKey[];
	/** The knots that are drawn for it, and how many wraps of each; see `knots/catalogue`. */
	readonly knots: readonly Drawn[];
	/** Assumption: someone who ties it a few times a year. */
	readonly minutes: number;
}

/** A knot by its name in the catalogue, with so many wraps, and what it is tied with here. */
export interface Drawn {
	readonly slug: KnotSlug;
	readonly wraps: number;
	readonly as?: Recast;
}
/** Loop to loop: the strand under the joint, and the one over it. */
export const looped = (under: Role, over: Role): Drawn => ({
	slug: 'loop-to-loop',
	wraps: 1,
	as: { backing: under, line: over }
});

/** More wraps where the water is salt or the line sinks. */
const manyWraps = (setup: JobSetup, part: JobPart): boolean => part.sinking || setup.schools.water === 'salt';
export const nailWraps = (setup: JobSetup, part: JobPart): string =>
	manyWraps(setup, part) ? '7–10' : '5–7';

/** Loops need a loop: with the line's own cut off, one is made. Backing has none to cut. */
export const jointOf = (setup: JobSetup, part: JobPart): Joint =>
	part.joint === 'loops' && setup.schools.weldedLoop === 'cut' ? 'own-loop' : part.joint;

const tags = (way: Techniques['tag']): Sentence => [
	way === 'trim'
		? 'Trim the tag ends flush, so that nothing catches in the guides.'
		: 'Leave the tag ends 3–6 mm long: when you feel them in the guides, the end is near.'
];

/** Passes of the loop's knot: strong backing holds with two, thin slips. */
const loopPasses = (under: JobPart): number => ((under.strengthLb ?? 20) >= 30 ? 2 : 3);

/** The knots of a loop to loop: one for the loop under it, where that is not there already. */
const loopedTo = (under: JobPart, part: JobPart): readonly Drawn[] => [
	...(isUnder(under.role)
		? [{ slug: 'surgeons-loop', wraps: loopPasses(under), as: { backing: under.role } } as const]
		: []),
	looped(under.role, part.role)
];

/** The loop in the strand under the joint: doubled in strong backing, tripled in thin. A line has its own. */
function loopUnder(under: JobPart): Sentence {
	if (!isUnder(under.role))
		return [
			'Use the loop at the front of the strand that is on. If it has none, make one with two nail knots side by side.'
		];
	return [
		`Tie a loop of 8–10 in into the backing with a ${loopPasses(under) === 2 ? 'double' : 'triple'} surgeon's loop. The whole coil of line has to pass through it.`
	];
}

const THROUGH: Sentence = [
	"Pass the backing loop through the line's loop, then the whole coil of line through the backing loop, and draw up."
];
const SQUARE = {
	right: ['The two loops lie square in each other, like a reef knot.'],
	wrong: ['One loop has hitched round the other and makes a lump.'],
	then: ['Push them apart, let the loop slide back over, and draw up again by pulling both sides at once.']
} as const;

const TYINGS: Record<Joint, (setup: JobSetup, part: JobPart, under: JobPart) => Tying> = {
	loops: (_, part, under) => ({
		knots: loopedTo(under, part),
		instructions: [loopUnder(under), THROUGH],
		...SQUARE,
		cautions: ['blades'],
		tools: [],
		minutes: 6
	}),
	'own-loop': (_, part, under) => ({
		knots: [{ slug: 'own-loop', wraps: 6, as: { line: part.role } }, ...loopedTo(under, part)],
		instructions: [
			[
				"Make a loop in the line's rear end: fold it back, and put two nail knots of 12 lb mono side by side over both strands, 6–7 turns each."
			],
			['Seal the cut end with UV resin, so that no water gets into the core.'],
			loopUnder(under),
			THROUGH
		],
		...SQUARE,
		cautions: ['blades', 'adhesive'],
		tools: ['nail-tool', 'fine-mono', 'resin'],
		minutes: 16
	}),
	nail: (setup, part, under) => ({
		knots: [
			{
				slug: 'nail-knot',
				wraps: manyWraps(setup, part) ? 8 : 6,
				as: { leader: under.role, line: part.role }
			}
		],
		instructions: [
			...(isUnder(part.role)
				? []
				: [['If this end has a welded loop, cut it off. The knot needs plain line.']]),
			[
				`Nail knot of ${nailWraps(setup, part)} wraps over a tube or tool, side by side. Don't let go before it is snug.`
			],
			['Moisten, draw both ends tight in turn.'],
			tags(setup.schools.tag)
		],
		right: ["The wraps lie side by side and bite in, and a hard pull doesn't move them."],
		wrong: ['A wrap crosses another, or the knot slides along the line.'],
		then: ['Cut it off and tie it again on fresh line. A crossed wrap works loose.'],
		cautions: ['blades'],
		tools: ['nail-tool'],
		minutes: 8
	}),
	albright: (setup, part, under) => ({
		knots: [
			{
				slug: 'albright',
				wraps: manyWraps(setup, part) ? 11 : 9,
				as: { backing: under.role, line: part.role }
			}
		],
		instructions: [
			[
				'Fold a bight in the end of the thicker one. Lead the thinner through it and wrap back over all three strands.'
			],
			[
				`${manyWraps(setup, part) ? '10–12' : '8–10'} wraps, touching; then out through the bight on the side where you came in.`
			],
			['Moisten. Draw standing part and tag up in turn, a little each time.'],
			tags(setup.schools.tag)
		],
		right: ['The wraps lie side by side inside the bight; a hard pull does not move them.'],
		wrong: ['The wraps have jumped over the end of the bight, or the tag came out on the other side.'],
		then: ['Cut it off and tie it again, holding the wraps under thumb and finger while you draw up.'],
		cautions: ['blades'],
		tools: [],
		minutes: 8
	})
};

export const tyingOf = (setup: JobSetup, part: JobPart, under: JobPart): Tying =>
	TYINGS[jointOf(setup, part)](setup, part, under);

const ROUND = (turns: number): string => (turns === 1 ? 'once' : turns === 2 ? 'twice' : 'three times');
const HOLDS = {
	right: ["When you pull hard, the backing turns the spool and doesn't slide round the arbor."],
	wrong: ['The turns slip round the arbor, or the knot sticks up from it.'],
	then: ['Untie it, take one more turn or put tape under it, moisten, and pull it tight again.']
} as const;

const ARBOR_TYINGS: Record<Techniques['arborKnot'], (turns: number) => readonly Sentence[]> = {
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
	uni: (turns) => [
		[
			`Round the arbor ${ROUND(turns)}. Lay the tag back along the standing part, and wrap 4–5 turns through the loop that makes.`
		],
		['Draw the wraps together, then slide the knot down to the arbor.']
	],
	'spool-loop': (turns) => [
		["Tie a surgeon's loop wide enough to go over the whole spool."],
		[
			`Pass it over the spool${turns > 1 ? `, ${ROUND(turns)}, a twist each time,` : ''} so that the standing part leads from the loop's end toward the reel seat. Then it can't spin.`
		]
	]
};

const ARBOR_DRAWN: Record<Techniques['arborKnot'], (turns: number) => Drawn> = {
	overhand: () => ({ slug: 'overhand-arbor', wraps: 1 }),
	doubled: () => ({ slug: 'overhand-arbor', wraps: 2 }),
	uni: () => ({ slug: 'uni-arbor', wraps: 4 }),
	'spool-loop': (turns) => ({ slug: 'spool-loop', wraps: turns })
};

/** The knot on the arbor. It only keeps the spool from turning inside the backing, and should never be seen again. */
export function arborTying(setup: JobSetup): Tying {
	const [first] = setup.parts;
	const slips = first?.cuts ?? false;
	const { arborKnot, grip } = setup.schools;
	const under: Sentence[] = !slips
		? []
		: grip === 'tape'
			? [['This backing slips on a bare arbor. Put one layer of tape round the arbor first.']]
			: grip === 'mono'
				? [
						[
							'This backing slips on a bare arbor. Wind on 5–8 ft of mono first, and join the backing to that.'
						]
					]
				: [['This backing slips on a bare arbor. Take all three turns, and pull hard before you go on.']];
	return {
		knots: [ARBOR_DRAWN[arborKnot](setup.arborTurns)],
		instructions: [
			...under,
			...ARBOR_TYINGS[arborKnot](setup.arborTurns),
			['Moisten it, rock it to and fro until it is tight, and trim to a millimetre or two.']
		],
		...HOLDS,
		cautions: slips ? ['blades', 'thin-braid'] : ['blades'],
		tools: slips ? (grip === 'tape' ? ['tape'] : grip === 'mono' ? ['mono-bed'] : []) : [],
		minutes: arborKnot === 'uni' || arborKnot === 'spool-loop' ? 5 : 4
	};
}
