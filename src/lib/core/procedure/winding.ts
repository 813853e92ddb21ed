import { ROLE_NAMES } from '../fit/stack';
import { arborTying, jointOf, tyingOf } from './joints';
import { HAS_ENDS, JOINTS, type JobPart, type JobSetup } from './job';
import type { Caution } from './phrase';
import { step, type Step } from './step';
import { PREPARING_SECONDS, windingSeconds } from './times';

function arborStep(setup: JobSetup): Step {
	const { tools: _tools, minutes, ...tying } = arborTying(setup);
	return step('arbor', {
		title: `Tie the ${ROLE_NAMES[setup.parts[0]!.role]} to the arbor`,
		...tying,
		seconds: 60 * minutes
	});
}

function endStep(part: JobPart): Step {
	const head = part.role !== 'line';
	return step(
		'end',
		{
			title: `Find the ${ROLE_NAMES[part.role]}'s rear end`,
			instructions: [
				[`${part.label}.`],
				[
					head
						? 'The rear end has a tag or a coloured marker. That end goes to the reel.'
						: 'Read the tag: you join the end that says "this end to reel". A weight-forward line without a tag is thin and level for most of its length from the rear.'
				],
				...(part.role === 'head'
					? [['A head comes loose and tangles easily. Open its coil over your knee, one turn at a time.']]
					: [])
			],
			right: ['You hold the rear end, and the other end stays tied into the coil.'],
			wrong: ['You hold the thick end, or both ends are loose.'],
			then: [
				'Follow the line round to the other end before you tie. A line that is wound on backward casts like string.'
			],
			cautions: [],
			seconds: PREPARING_SECONDS.end
		},
		part.id
	);
}

function joinStep(setup: JobSetup, part: JobPart, under: JobPart): Step {
	const { tools: _tools, minutes, ...tying } = tyingOf(setup, part, under);
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
	sitting: 'Firm, sitting on the strand',
	helper: 'Firm against your helper',
	drag: "Firm against the second reel's drag",
	machine: "At the machine's even pull"
};

const windCautions = ({ schools }: JobSetup, part: JobPart): Caution[] => [
	...(part.cuts ? (['thin-braid'] as const) : []),
	...(schools.mount === 'drill' || schools.mount === 'winder' || schools.tension === 'machine'
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
function windWhole(setup: JobSetup, part: JobPart): Step {
	const bed = part.role === 'bed';
	return step(
		'wind',
		{
			title: `Wind the ${ROLE_NAMES[part.role]}`,
			instructions: [
				bed
					? [
							'Wind on all of it, level from flange to flange. What you wind over it can only be as even as this.'
						]
					: ['Keep a light tension and let the coil turn. Wind evenly, without loops or crossings.'],
				...(part.role === 'running-line'
					? [['If it changes colour every few yards, the colours later tell you how far a cast went.']]
					: []),
				...(bed ? [] : [['Leave the front end out of the reel.']])
			],
			right: [
				'All of it is on, and the surface is ',
				{ smallMm: part.depthMm },
				bed ? ' below the rim.' : ' below the rim; nothing rubs when you turn the spool once.'
			],
			wrong: ['Coils cross, or slack turns stick up between tight ones.'],
			then: ['Pull line off until you are below them, and wind on again with a little more tension.'],
			cautions: windCautions(setup, part),
			figure: {
				label: 'To wind on',
				value: { longMm: part.lengthMm },
				beside: ['about ', { turns: part.turns }, ' turns']
			},
			seconds: windingSeconds(setup, part.turns)
		},
		part.id
	);
}

/** The steps of one strand: find it, join it to the strand under it, wind it. */
export function partSteps(setup: JobSetup, part: JobPart, under: JobPart | undefined): Step[] {
	const wind = part.id === setup.stopPart ? windToStop(setup, part) : windWhole(setup, part);
	return [
		...(HAS_ENDS.includes(part.role) ? [endStep(part)] : []),
		under ? joinStep(setup, part, under) : arborStep(setup),
		wind
	];
}
