import { ROLE_NAMES, type Role } from '../fit/stack';
import type { Recast } from '../knots/knot';
import { CANDIDATES } from '../knots/candidates';
import type { KnotPlace } from '../knots/situation';
import type { KnotSlug } from '../knots/takes';
import { isUnder, type JobPart, type JobSetup, type Joint } from './job';
import type { Caution, Sentence } from './phrase';
import { USUAL_TECHNIQUES, type Techniques } from './techniques';
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

/** Loops need a loop: whoever cuts the line's rear loop off wants a nail knot there. Backing has none to cut. */
export const jointOf = (setup: JobSetup, part: JobPart): Joint =>
	part.joint === 'loops' && setup.schools.weldedLoop === 'cut' && !isUnder(part.role) ? 'nail' : part.joint;

/** The place of a joint, as the chooser of knots has it. */
export function placeBetween(under: Role, over: Role): KnotPlace {
	if (isUnder(over)) return 'bed';
	return isUnder(under) ? 'backing-line' : 'line-line';
}
const JOINT_OF: Partial<Record<KnotSlug, Joint>> = {
	'loop-to-loop': 'loops',
	'nail-knot': 'nail',
	albright: 'albright',
	'own-loop': 'own-loop',
	'double-uni': 'double-uni'
};
/** What can join two strands: what the chooser of knots has for that place, in its order. */
export const jointsBetween = (under: Role, over: Role): readonly Joint[] =>
	CANDIDATES.filter(({ places }) => places.includes(placeBetween(under, over))).flatMap(
		({ slug }) => JOINT_OF[slug] ?? []
	);

const tags = (way: Techniques['tag']): Sentence => [
	way === 'trim'
		? 'Trim the tag ends flush, so that nothing catches in the guides.'
		: 'Leave the tag ends 3–6 mm long: when you feel them in the guides, the end is near.'
];

/** Passes of the loop's knot: thick polyester holds with two. Thin or slick braid slips, whatever it is sold to hold. */
const loopPasses = (under: JobPart): number => (!under.cuts && (under.strengthLb ?? 20) >= 30 ? 2 : 3);

/** What a joint finds when it is not the first of its kind there. */
export interface Found {
	/** The strand under the joint ends in a loop that held a line before. */
	readonly loop?: boolean;
	/** The line lies out straight, fixed at its front end. */
	readonly laidOut?: boolean;
}

/** The knots of a loop to loop: one for the loop under it, where that is not there already. */
const loopedTo = (under: JobPart, part: JobPart, { loop }: Found): readonly Drawn[] => [
	...(isUnder(under.role) && !loop
		? [{ slug: 'surgeons-loop', wraps: loopPasses(under), as: { backing: under.role } } as const]
		: []),
	looped(under.role, part.role)
];

/** The loop in the strand under the joint: doubled in strong backing, tripled in thin. A line has its own. */
function loopUnder(under: JobPart, { loop }: Found): Sentence {
	if (loop)
		return [
			`Look at the loop that the ${ROLE_NAMES[under.role]} has. If it is smooth and its knot is sound, use it again. Tie a new one only if it is worn.`
		];
	if (!isUnder(under.role))
		return [
			'Use the loop at the front of the strand that is on. If it has none, make one with two nail knots side by side.'
		];
	return [
		`Tie a loop of 8–10 in into the backing with a ${loopPasses(under) === 2 ? 'double' : 'triple'} surgeon's loop. The whole coil of line has to pass through it.`,
		...(under.cuts
			? [
					' Some make four passes in thin braid. Many double it first, since a single thin strand cuts into the line.'
				]
			: [])
	];
}

/** Drawing the two loops together: the strand that goes on passes through the loop of the one under it. */
const through = (under: JobPart, part: JobPart, { laidOut }: Found): readonly Sentence[] => {
	const name = ROLE_NAMES[part.role];
	const loop = `${ROLE_NAMES[under.role]}'s loop`;
	return laidOut
		? [
				[`Pass the ${loop} through the ${name}'s loop.`],
				[
					`The ${name} lies out, so it can't go through as a coil. Take its front end off the anchor, draw the whole ${name} through the ${loop} without letting it turn, and fix the front end again.`
				]
			]
		: [
				[
					`Pass the ${loop} through the ${name}'s loop, then the whole coil of ${name}, its ties still on, through the ${loop}, and draw up.`
				]
			];
};
const SQUARE = {
	right: ['The two loops lie square in each other, like a reef knot.'],
	wrong: ['One loop has hitched round the other and makes a lump.'],
	then: ['Push them apart, let the loop slide back over, and draw up again by pulling both sides at once.']
} as const;

const TYINGS: Record<Joint, (setup: JobSetup, part: JobPart, under: JobPart, found: Found) => Tying> = {
	loops: (_, part, under, found) => ({
		knots: loopedTo(under, part, found),
		instructions: [loopUnder(under, found), ...through(under, part, found)],
		...SQUARE,
		cautions: ['blades'],
		tools: [],
		minutes: 6
	}),
	'own-loop': (_, part, under, found) => ({
		knots: [{ slug: 'own-loop', wraps: 6, as: { line: part.role } }, ...loopedTo(under, part, found)],
		instructions: [
			[
				"Make a loop in the line's rear end: fold it back, and put two nail knots of 12 lb mono side by side over both strands, 6–7 turns each."
			],
			['Seal the cut end with UV resin, so that no water gets into the core.'],
			loopUnder(under, found),
			...through(under, part, found)
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
	}),
	'double-uni': (setup, part, under) => ({
		knots: [
			{
				slug: 'double-uni',
				wraps: under.cuts || part.cuts ? 5 : 4,
				as: { line: under.role, backing: part.role }
			}
		],
		instructions: [
			[
				'Lay the two ends side by side, pointing opposite ways. Tie a uni of 4 turns with each round the other.'
			],
			...(under.cuts || part.cuts ? [['Take 5 or 6 turns with the slick braid.']] : []),
			['Moisten, draw each knot tight, then pull both long ends until the two knots meet.'],
			...(under.role === 'bed'
				? [
						[
							"Keep the joint small, and let it lie in the middle of the spool's width, away from the flanges. Trim it close."
						]
					]
				: [tags(setup.schools.tag)])
		],
		right: ["The two knots lie against each other, and a hard pull doesn't move them."],
		wrong: ['There is a space between them, or one slips along the strand.'],
		then: ['Cut it off and tie it again, with one more turn in the strand that slipped.'],
		cautions: ['blades'],
		tools: [],
		minutes: 6
	})
};

export const tyingOf = (setup: JobSetup, part: JobPart, under: JobPart, found: Found = {}): Tying =>
	TYINGS[jointOf(setup, part)](setup, part, under, found);

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
	const { grip } = setup.schools;
	const arborKnot = arborKnotOf(setup);
	const under: Sentence[] = !slips
		? []
		: grip === 'tape'
			? [['This backing slips on a bare arbor. Put one layer of tape round the arbor first.']]
			: grip === 'mono'
				? [
						[
							"This backing slips on a bare arbor. Wind on 5–8 ft of mono first. Join the backing to it with a double uni or an Albright, kept small and in the middle of the spool's width."
						]
					]
				: [['This backing slips on a bare arbor. Take all three turns, and pull hard before you go on.']];
	return {
		knots: [ARBOR_DRAWN[arborKnot](setup.arborTurns)],
		instructions: [
			...under,
			...ARBOR_TYINGS[arborKnot](setup.arborTurns, setup.spool),
			['Moisten it, rock it to and fro until it is tight, and trim to a millimetre or two.']
		],
		...HOLDS,
		cautions: slips ? ['blades', 'thin-braid'] : ['blades'],
		tools: slips ? (grip === 'tape' ? ['tape'] : grip === 'mono' ? ['mono-bed'] : []) : [],
		minutes: arborKnot === 'uni' || arborKnot === 'spool-loop' ? 5 : 4
	};
}
