import { ROLE_NAMES, type Role } from '../fit/stack';
import type { Recast } from '../knots/knot';
import { CANDIDATES } from '../knots/candidates';
import type { KnotPlace } from '../knots/situation';
import type { KnotSlug } from '../knots/takes';
import { isUnder, type JobPart, type JobSetup, type Joint } from './job';
import type { Caution, Sentence } from './phrase';
import type { TechniqueKey, Techniques } from './techniques';
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
	/** It is tied another way than its picture shows: it only takes the same length. */
	readonly unlike?: boolean;
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
	'double-uni': 'double-uni',
	'swivel-tied': 'swivel',
	'wire-crimp': 'crimp'
};
/** What can join two strands: what the chooser of knots has for that place, in its order. */
export const jointsBetween = (under: Role, over: Role): readonly Joint[] =>
	CANDIDATES.filter(({ places }) => places.includes(placeBetween(under, over))).flatMap(
		({ slug }) => JOINT_OF[slug] ?? []
	);

/** How every knot is drawn up: slowly, and every wrap where it belongs. */
export const DRAW_UP: Sentence = [
	'Moisten it and draw it up slowly. Roll the wraps together with your thumbnail while you tug at one end and the other; forceps hold a short tag.'
];

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
	/** The line is on a reel, its rear end outermost. */
	readonly onReel?: boolean;
}

/** A running line with a large rear loop: the reel passes through that one, and the backing's may be small. */
export const hasLargeLoop = ({ schools }: JobSetup, { role }: JobPart): boolean =>
	role === 'running-line' && schools.runningLoop === 'large';

/** The knots of a loop to loop: one for the loop under it, where that is not there already. */
const loopedTo = (under: JobPart, part: JobPart, { loop }: Found): readonly Drawn[] => [
	...(isUnder(under.role) && !loop
		? [{ slug: 'surgeons-loop', wraps: loopPasses(under), as: { backing: under.role } } as const]
		: []),
	looped(under.role, part.role)
];

/** The loop in the strand under the joint: doubled in strong backing, tripled in thin. A line has its own. */
function loopUnder(
	setup: JobSetup,
	part: JobPart,
	under: JobPart,
	{ loop, onReel, laidOut }: Found
): Sentence {
	if (loop)
		return [
			`Look at the loop that the ${ROLE_NAMES[under.role]} has. If it is smooth and its knot is sound, use it again. Tie a new one only if it is worn.`
		];
	if (!isUnder(under.role))
		return [
			'Use the loop at the front of the strand that is on. If it has none, make one with two nail knots side by side.'
		];
	if (hasLargeLoop(setup, part))
		return [
			`Tie a small loop, 1–2 in, into the ${ROLE_NAMES[under.role]} with a ${loopPasses(under) === 2 ? 'double' : 'triple'} surgeon's loop. The large loop is at the running line's rear: check that you hold that end.`
		];
	return [
		`Tie a loop of 8–10 in into the backing with a ${loopPasses(under) === 2 ? 'double' : 'triple'} surgeon's loop. ${onReel ? `The spool with the ${ROLE_NAMES[part.role]} on it` : laidOut ? `All of the ${ROLE_NAMES[part.role]}` : 'The whole coil of line'} has to pass through it.`,
		...(under.cuts
			? [
					' Some make four passes in thin braid. Many double it first, since a single thin strand cuts into the line.'
				]
			: [])
	];
}

/** Drawing the two loops together: the strand that goes on passes through the loop of the one under it. */
const through = (
	setup: JobSetup,
	under: JobPart,
	part: JobPart,
	{ laidOut, onReel }: Found
): readonly Sentence[] => {
	const name = ROLE_NAMES[part.role];
	const loop = `${ROLE_NAMES[under.role]}'s loop`;
	if (hasLargeLoop(setup, part))
		return [
			[
				`Pass the ${name}'s large loop through the ${loop}, open it wide, and pass the reel through it, or the spool that the ${ROLE_NAMES[under.role]} is on. Draw up.`
			]
		];
	if (onReel)
		return [
			[
				`Pass the ${loop} through the ${name}'s loop. Then take the spool that the ${name} is on out of its reel, pass it through the ${loop}, and draw up.`
			]
		];
	return laidOut
		? [
				[`Pass the ${loop} through the ${name}'s loop.`],
				[
					`The ${name} lies out, so it can't go through as a coil. Take its front end off the anchor, draw the whole ${name} through the ${loop} without letting it turn, and fix the front end again.`
				],
				[
					`Or leave it fixed: cut the ${loop} off, and tie its end straight to the ${name}'s loop with a uni of 5 turns. It has to be cut at the next change.`
				]
			]
		: [
				[
					`Pass the ${loop} through the ${name}'s loop, then the whole coil of ${name}, still tied or on its spool, through the ${loop}, and draw up.`
				]
			];
};
const SQUARE = {
	right: ['The two loops lie square in each other, like a reef knot.'],
	wrong: ['One loop has hitched round the other and makes a lump.'],
	then: ['Push them apart, let the loop slide back over, and draw up again by pulling both sides at once.']
} as const;

/** A nail knot over something, or through a hoop of the strand itself. */
export function nailTied(setup: JobSetup, wraps: string, thin: string, thick: string): readonly Sentence[] {
	return setup.schools.nailKnot === 'fingers'
		? [
				[
					`Lay the end of the ${thin} along the ${thick} and back, so that it makes a hoop as long as your thumb. With the near side of the hoop, wrap ${wraps} turns round the ${thick} and the hoop's other side, away from the end.`
				],
				[
					"Hold every wrap under thumb and finger, and pull the hoop in by the long end. Don't let go before it is snug."
				]
			]
		: [[`Nail knot of ${wraps} wraps over a tube or tool, side by side. Don't let go before it is snug.`]];
}
export const nailTools = ({ schools }: JobSetup): readonly ToolKey[] =>
	schools.nailKnot === 'fingers' ? [] : ['nail-tool'];

/** Few wraps by those who want it slim, many by those who want it safe. */
function albrightWraps(setup: JobSetup, part: JobPart): { readonly said: string; readonly drawn: number } {
	if (setup.schools.albright === 'slim') return { said: '4–5', drawn: 5 };
	return manyWraps(setup, part) ? { said: '10–12', drawn: 11 } : { said: '8–10', drawn: 9 };
}

const TYINGS: Record<Joint, (setup: JobSetup, part: JobPart, under: JobPart, found: Found) => Tying> = {
	loops: (setup, part, under, found) => ({
		knots: loopedTo(under, part, found),
		instructions: [loopUnder(setup, part, under, found), ...through(setup, under, part, found)],
		...SQUARE,
		cautions: ['blades'],
		tools: [],
		minutes: 6
	}),
	'own-loop': (setup, part, under, found) => ({
		knots: [{ slug: 'own-loop', wraps: 6, as: { line: part.role } }, ...loopedTo(under, part, found)],
		instructions: [
			[
				"Make a loop in the line's rear end: fold it back, and put two nail knots of 12 lb mono side by side over both strands, 6–7 turns each."
			],
			DRAW_UP,
			['Seal the cut end with UV resin, so that no water gets into the core.'],
			loopUnder(setup, part, under, found),
			...through(setup, under, part, found)
		],
		...SQUARE,
		cautions: ['blades', 'adhesive'],
		tools: ['nail-tool', 'fine-mono', 'resin', 'forceps'],
		minutes: 16
	}),
	nail: (setup, part, under) => ({
		knots: [
			{
				slug: 'nail-knot',
				wraps: manyWraps(setup, part) ? 8 : 6,
				as: { leader: under.role, line: part.role },
				unlike: setup.schools.nailKnot === 'fingers'
			}
		],
		instructions: [
			...(isUnder(part.role)
				? []
				: [['If this end has a welded loop, cut it off. The knot needs plain line.']]),
			...nailTied(setup, nailWraps(setup, part), ROLE_NAMES[under.role], ROLE_NAMES[part.role]),
			DRAW_UP,
			tags(setup.schools.tag)
		],
		right: ["The wraps lie side by side and bite in, and a hard pull doesn't move them."],
		wrong: ['A wrap crosses another, or the knot slides along the line.'],
		then: ['Cut it off and tie it again on fresh line. A crossed wrap works loose.'],
		cautions: ['blades'],
		tools: [...nailTools(setup), 'forceps'],
		minutes: setup.schools.nailKnot === 'fingers' ? 10 : 8
	}),
	albright: (setup, part, under) => ({
		knots: [
			{
				slug: 'albright',
				wraps: albrightWraps(setup, part).drawn,
				as: { backing: under.role, line: part.role }
			}
		],
		instructions: [
			[
				'Fold a bight in the end of the thicker one. Lead the thinner through it and wrap back over all three strands.'
			],
			[
				`${albrightWraps(setup, part).said} wraps, touching; then out through the bight on the side where you came in.`
			],
			['Draw standing part and tag up in turn, a little each time.'],
			DRAW_UP,
			tags(setup.schools.tag)
		],
		right: ['The wraps lie side by side inside the bight; a hard pull does not move them.'],
		wrong: ['The wraps have jumped over the end of the bight, or the tag came out on the other side.'],
		then: ['Cut it off and tie it again, holding the wraps under thumb and finger while you draw up.'],
		cautions: ['blades'],
		tools: ['forceps'],
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
			['Draw each knot tight, then pull both long ends until the two knots meet.'],
			DRAW_UP,
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
		tools: ['forceps'],
		minutes: 6
	}),
	swivel: (_, part, under) => ({
		knots: [{ slug: 'swivel-tied', wraps: 5 }],
		instructions: [
			[
				`Tie a small swivel to the end of the ${ROLE_NAMES[under.role]} with a uni of 5 turns through its eye, twice through in thin braid.`
			],
			[
				`Tie the ${ROLE_NAMES[part.role]} to the other eye in the same way. Wire goes through the eye and back on itself, in a crimped sleeve.`
			],
			DRAW_UP,
			["It doesn't pass the guides, so the strand beyond it stays outside the rod when you reel in."]
		],
		right: ['The swivel turns freely between two tight knots.'],
		wrong: ['It turns stiffly, or a knot sits across its eye.'],
		then: ['Take a swivel one size larger, or tie that side again.'],
		cautions: ['blades'],
		tools: ['swivel', 'forceps'],
		minutes: 6
	}),
	crimp: (_, part, under) => ({
		knots: [{ slug: 'wire-crimp', wraps: 1 }],
		instructions: [
			[
				`Slide a sleeve that fits the wire over it, make a loop round the loop or the swivel of the ${ROLE_NAMES[isUnder(under.role) ? part.role : under.role]}, and lead the end back through the sleeve.`
			],
			[
				'Press the sleeve in its middle with the tool that belongs to it, not at its mouth: there it cuts the wire.'
			],
			['Pull hard, and cut the end short. File or tape what sticks out.']
		],
		right: ["The sleeve is pressed flat in its middle, and a hard pull doesn't move it."],
		wrong: ['The wire slides, or is nicked where it leaves the sleeve.'],
		then: ['Cut it off and take a new sleeve: a pressed one is never pressed again.'],
		cautions: ['wire', 'blades'],
		tools: ['crimper'],
		minutes: 5
	})
};

/** Where a technique makes no difference to this very job there is nothing to choose. */
export function concerns(setup: JobSetup, key: TechniqueKey): boolean {
	const { parts } = setup;
	const joints = parts.slice(1).map((part) => jointOf(setup, part));
	const asks: Partial<Record<TechniqueKey, boolean>> = {
		grip: parts[0]?.cuts === true,
		albright: joints.includes('albright'),
		runningLoop: parts.some(({ role }) => role === 'running-line'),
		tag: joints.some((joint) => joint !== 'loops' && joint !== 'own-loop')
	};
	return asks[key] ?? true;
}

export const tyingOf = (setup: JobSetup, part: JobPart, under: JobPart, found: Found = {}): Tying =>
	TYINGS[jointOf(setup, part)](setup, part, under, found);
