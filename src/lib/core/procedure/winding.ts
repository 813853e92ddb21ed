import { ROLE_NAMES } from '../fit/stack';
import { arborTying } from './arbor';
import { hasLargeLoop, jointOf, tyingOf, type Found } from './joints';
import { HAS_ENDS, isUnder, JOINTS, type JobPart, type JobSetup } from './job';
import type { Caution, Sentence } from './phrase';
import { amount, step, type Step } from './step';
import { isDriven } from './prepare';
import { isStretchedOn, LAID_OUT, layOutSteps, wayOfNewLine, windInStretched } from './stretch';
import { PREPARING_SECONDS, windingSeconds } from './times';

/** What a strand comes from: its maker's spool, a coil that was put on a hub, or a storage spool it was wound on from a reel. */
type From = 'new' | 'coil' | 'reel';

export function arborStep(setup: JobSetup): Step {
	const { tools: _tools, minutes, ...tying } = arborTying(setup);
	return step('arbor', {
		title: `Tie the ${ROLE_NAMES[setup.parts[0]!.role]} to the arbor`,
		...tying,
		seconds: 60 * minutes
	});
}

/** Where the rear end is, by what the strand is and where it comes from. */
function rearEnd(part: JobPart, from: From): Sentence {
	if (from === 'reel')
		return ['It came off the other reel front end first, so the end that is outermost now is its rear.'];
	if (part.alike)
		return ['Its two ends are the same, so either may go to the reel. Take the one that comes free.'];
	if (part.role !== 'line')
		return ['The rear end has a tag or a coloured marker. That end goes to the reel.'];
	return [
		'Read the tag: you join the end that says "this end to reel". A weight-forward line without a tag is thin and level for most of its length from the rear.'
	];
}

function endStep(setup: JobSetup, part: JobPart, from: From, where: string): Step {
	return step(
		'end',
		{
			title: `Find the ${ROLE_NAMES[part.role]}'s rear end`,
			instructions: [
				[`${part.label}${where === '' ? '' : `: ${where}`}.`],
				hasLargeLoop(setup, part)
					? ['The end with the large loop is its rear: that end goes to the reel.']
					: rearEnd(part, from),
				...(part.role === 'head'
					? [['A head comes loose and tangles easily. Open its coil over your knee, one turn at a time.']]
					: [])
			],
			right: [
				from === 'reel'
					? 'You hold the rear end, and the rest stays on the storage spool.'
					: part.alike
						? 'You hold one end, and the other stays tied into the coil.'
						: 'You hold the rear end, and the other end stays tied into the coil.'
			],
			wrong: [part.alike ? 'Both ends are loose.' : 'You hold the thick end, or both ends are loose.'],
			then: [
				'Follow the line round to the other end before you tie. A line that is wound on backward casts like string.'
			],
			cautions: [],
			seconds: PREPARING_SECONDS.end
		},
		part.id
	);
}

export function joinStep(setup: JobSetup, part: JobPart, under: JobPart, found: Found): Step {
	const { tools: _tools, minutes, ...tying } = tyingOf(setup, part, under, found);
	return step(
		'join',
		{
			title: `Join ${ROLE_NAMES[under.role]} and ${ROLE_NAMES[part.role]}: ${JOINTS[jointOf(setup, part)]}`,
			...tying,
			seconds: 60 * minutes
		},
		part.id
	);
}

const FEEL: Record<JobSetup['schools']['tension'], string> = {
	fingers: 'Firm between thumb and finger',
	knees: 'Firm, the supply squeezed between your knees',
	sitting: 'Firm, sitting on the strand',
	helper: 'Firm against your helper',
	drag: "Firm against the second reel's drag",
	machine: "At the machine's even pull"
};

export const windCautions = ({ schools }: JobSetup, part: JobPart): Caution[] => [
	...(part.cuts ? (['thin-braid'] as const) : []),
	...((isDriven(schools.mount) && !(schools.mount === 'drill-hand' && !isUnder(part.role))) ||
	schools.tension === 'machine'
		? (['drill'] as const)
		: [])
];

/** A part wound to a depth: how deep it stands is what counts. */
function windToStop(setup: JobSetup, part: JobPart): Step {
	const { plan } = setup;
	return step(
		'wind',
		{
			title: `Wind the ${ROLE_NAMES[part.role]}`,
			instructions: [
				[
					`${FEEL[setup.schools.tension]}, level from flange to flange. If turns are loose or heaped, later turns bite into them and jam.`
				],
				[
					'Lay a rule across the rims now and then. Stop when the backing is ',
					{ smallMm: plan.stopDepthMm },
					' below it. The depth counts. The turns only tell you when to start measuring.'
				]
			],
			right: [
				"The backing is flat from flange to flange at the stop depth, and doesn't give when you press it with a thumb."
			],
			wrong: ['The backing is higher at one side, or soft.'],
			then: ['Unwind to where it was level, and wind on again, guiding the backing to the low side.'],
			cautions: windCautions(setup, part),
			figure: {
				label: 'Stop at this depth below the rim',
				value: { smallMm: plan.stopDepthMm },
				beside: ['about ', { turns: plan.turns }, ' turns, ', { longMm: plan.lengthMm }]
			},
			seconds: windingSeconds(setup, plan.turns)
		},
		part.id
	);
}

/** A part of a known length: it goes on whole. */
/** The line is joined with its ties on; they come off when it can turn. */
const SET_UP: Record<From, readonly Sentence[]> = {
	new: [
		[
			"Now put the line's own spool, or its coil on a hub, on something that turns, and take the ties off last. On a spool of two halves you can fold the ties over the rims instead: the halves stay together, and the line comes free."
		]
	],
	coil: [],
	reel: [['Put the storage spool on an axle, so that it turns as the line leaves it.']]
};

/** How a strand that goes on whole looks when all of it is on. */
export const whenAllOn = ({ depthMm, role }: JobPart): Pick<Step, 'right' | 'wrong' | 'then'> => ({
	right: [
		'All of it is on, and the surface is ',
		{ smallMm: depthMm },
		role === 'bed' ? ' below the rim.' : ' below the rim; nothing rubs when you turn the spool once.'
	],
	wrong: ['Coils cross, or slack turns stick up between tight ones.'],
	then: ['Pull line off until you are below them, and wind on again with a little more tension.']
});

function windWhole(setup: JobSetup, part: JobPart, from: From, inHand: boolean): Step {
	const bed = part.role === 'bed';
	return step(
		'wind',
		{
			title: `Wind the ${ROLE_NAMES[part.role]}`,
			instructions: [
				...(isUnder(part.role)
					? []
					: inHand
						? [
								[
									'Hold the coil over both hands or over your knees, so that it turns, and take the ties off last.'
								]
							]
						: SET_UP[from]),
				bed
					? [
							'Wind on all of it, level from flange to flange. What you wind over it can only be as even as this.'
						]
					: [
							'Keep a light tension, the line in a damp cloth, and let the coil turn. Wind evenly, without loops or crossings.'
						],
				...(setup.schools.mount === 'drill-hand' && !isUnder(part.role)
					? [['Take the drill off, and wind by the handle from here on.']]
					: []),
				...(part.role === 'running-line'
					? [['If it changes colour every few yards, the colours later tell you how far a cast went.']]
					: []),
				...(bed ? [] : [['Leave the front end out of the reel.']])
			],
			...whenAllOn(part),
			cautions: windCautions(setup, part),
			figure: amount('To wind on', part),
			seconds: windingSeconds(setup, part.turns, !isUnder(part.role))
		},
		part.id
	);
}

/** Finding the rear end, of a strand whose ends are not the same by what it is. */
export const endSteps = (setup: JobSetup, part: JobPart, from: From = 'new', where = ''): Step[] =>
	HAS_ENDS.includes(part.role) || hasLargeLoop(setup, part) ? [endStep(setup, part, from, where)] : [];

/** How a strand comes to be wound on. */
interface Coming {
	readonly from?: From;
	/** What is written on its coil, or the reel it came off. */
	readonly where?: string;
	/** It comes from another reel without a storage spool: tied into a coil that hands hold. */
	readonly inHand?: boolean;
	/** What comes between, once it is joined. */
	readonly ready?: readonly Step[];
}

/** The steps of one strand: find it, join it to the strand under it, wind it. */
export function partSteps(
	setup: JobSetup,
	part: JobPart,
	under: JobPart | undefined,
	{ from = 'new', where = '', ready = [], inHand = false, ...found }: Found & Coming = {}
): Step[] {
	const end = endSteps(setup, part, from, from === 'reel' ? '' : where);
	if (under && isStretchedOn(setup, part, under, from === 'new'))
		return [
			...end,
			...layOutSteps(setup, part),
			joinStep(setup, part, under, { ...found, ...LAID_OUT }),
			windInStretched(setup, part, wayOfNewLine(setup, part))
		];
	const wind = part.id === setup.stopPart ? windToStop(setup, part) : windWhole(setup, part, from, inHand);
	return [...end, under ? joinStep(setup, part, under, found) : arborStep(setup), ...ready, wind];
}
