import { ROLE_NAMES, type Role } from '../fit/stack';
import type { UntwistTechnique } from '../twist/let-out';
import { isUnder, type JobPart, type JobSetup } from './job';
import { tyingOf } from './joints';
import type { Sentence } from './phrase';
import { laidOutStep } from './prepare';
import { step, type Step } from './step';
import { windingSeconds } from './times';
import { tool, type Tool } from './tools';

/** A line that is stretched and walked, and the strand under it. */
export interface UntwistPlan {
	readonly part: JobPart;
	/** What it is joined to; none where it is tied to the arbor. */
	readonly under: JobPart | undefined;
	/** How it is done here: lane, passes, pull. */
	readonly way: UntwistTechnique;
}

const SECONDS = { lane: 120, anchor: 90, lay: 90, walk: 120, loopTest: 120 } as const;
const ORDINALS = ['first', 'second', 'third'] as const;

const laneStep = ({ laneMm, passes = 1 }: UntwistTechnique): Step =>
	step('lane', {
		title: 'Find an empty stretch',
		instructions: [
			[
				'Look for grass, sand or a quiet path, straight and empty, where nobody passes and the line catches on nothing. If people might pass, have someone keep watch.'
			],
			...(passes > 1
				? [[`It is shorter than the line: done in ${passes} parts, each part laid straight in its turn.`]]
				: [])
		],
		right: ['You can see all of it, and it is longer than the line and a few steps.'],
		wrong: ['There is a road or a path across it, dogs, or a wire fence.'],
		then: ['Choose another place or another day, such as a playing field on an evening without wind.'],
		cautions: ['stretch', 'scraps'],
		...(laneMm !== undefined && {
			figure: {
				label: 'Room to have',
				value: { longMm: laneMm },
				beside: passes > 1 ? [`for each of ${passes} parts`] : ['line, and room to stand']
			}
		}),
		seconds: SECONDS.lane
	});

const anchorStep = (role: Role): Step =>
	step('anchor', {
		title: 'Anchor the front end',
		instructions: [
			['Fly and leader off.'],
			[
				`The ${ROLE_NAMES[role]}'s front end goes to a smooth post or a soft strap, at the height of your hand, so that it can't turn there.`
			]
		],
		right: ['A firm pull moves nothing, and the loop is not cut into.'],
		wrong: ['The line can spin at the anchor, or lies over an edge.'],
		then: ['Put a soft strap round the post, pass the loop through it, and draw it up.'],
		cautions: ['no-fly'],
		seconds: SECONDS.anchor
	});

function layStep({ part, under, way }: UntwistPlan, pass: number): Step {
	const passes = way.passes ?? 1;
	const nth = ORDINALS[pass - 1] ?? 'next';
	const first: Sentence[] = [
		['Walk backward with the reel, with its drag loose, until the line lies straight on the ground.'],
		...(passes === 1
			? [
					[
						under
							? `Then part it from the ${ROLE_NAMES[under.role]}, and let its rear end lie free: the twist leaves there.`
							: 'Then let its rear end lie free: the twist leaves there.'
					]
				]
			: [['The rest stays loose beside the reel, in wide coils, free to turn.']])
	];
	const later: Sentence[] = [
		['Move the anchor to where you stopped: what is done lies behind it, and stays as it is.'],
		['Lay the next part straight from there.'],
		...(pass === passes
			? [
					[
						under
							? `Part it from the ${ROLE_NAMES[under.role]}: the rear end lies free, and the twist leaves there.`
							: 'The rear end lies free: the twist leaves there.'
					]
				]
			: [])
	];
	return step(
		'lay',
		{
			title: passes === 1 ? 'Lay it out straight' : `Lay the ${nth} part straight`,
			instructions: pass === 1 ? first : later,
			right: ['The line touches nothing, and has no bend or loop in it.'],
			wrong: ['The line crosses itself, or lies round a stone.'],
			then: ['Lift it free before you pinch it.'],
			cautions: ['stretch'],
			figure: {
				label: 'To lay out',
				value: { longMm: part.lengthMm / passes },
				beside: way.pullLb === undefined ? [] : [`never more than a ${Math.round(way.pullLb)} lb pull`]
			},
			seconds: SECONDS.lay
		},
		String(pass)
	);
}

const walkStep = (pass: number, passes: number): Step =>
	step(
		'walk',
		{
			title: 'Pinch it and walk',
			instructions: [
				['Go back to the anchor. Pinch the line lightly between thumb and finger, in a damp cloth.'],
				[
					pass === passes
						? 'Walk along it to the free end. The twist runs ahead of your fingers and out at the end, which turns.'
						: 'Walk to the end of this part. The twist runs ahead of your fingers, into what is still loose.'
				],
				['Once more if it still curls behind you.']
			],
			right: ["Behind your fingers the line hangs straight when it's slack."],
			wrong: ["You drag the line along instead of letting it slip through, or the end doesn't turn."],
			then: ['Pinch less; shake the free end loose.'],
			cautions: [],
			seconds: SECONDS.walk
		},
		String(pass)
	);

function rejoinStep(setup: JobSetup, part: JobPart, under: JobPart): Step {
	const { tools: _tools, minutes, ...tying } = tyingOf(setup, part, under, { loop: true, laidOut: true });
	return step('rejoin', {
		title: `Join it to the ${ROLE_NAMES[under.role]} again`,
		...tying,
		instructions: [...tying.instructions, ['Then tighten the drag to a firm, even pull.']],
		seconds: 60 * minutes
	});
}

const backIn = (setup: JobSetup, { part, way }: UntwistPlan): Step =>
	step(
		'wind',
		{
			title: 'Wind it in while you walk to the anchor',
			instructions: [
				['Keep the line stretched between you and the anchor all the way. That gives the tension.'],
				['Wind level from flange to flange. The front end comes off the anchor last.']
			],
			right: ['It goes on firm and level, and the slack at the end hangs without curling.'],
			wrong: ['The line went slack on the way, so loose turns lie under tight ones.'],
			then: ['Walk back until the loose turns are off, and wind in again.'],
			cautions: ['stretch'],
			figure: {
				label: 'To wind in',
				value: { longMm: part.lengthMm },
				beside: [
					'about ',
					{ turns: part.turns },
					' turns',
					...(way.pullLb === undefined ? [] : [`, at no more than ${Math.round(way.pullLb)} lb`])
				]
			},
			seconds: windingSeconds(setup, part.turns)
		},
		part.id
	);

const loopTestStep = (): Step =>
	step('loop-test', {
		title: 'Loop test',
		instructions: [
			['Strip a few metres, hold the two ends of a bight together, and let it hang free.'],
			['Count how often it spins before it stops, and see which way its legs wind. Type it in.']
		],
		right: ['The bight hangs open, or spins less than once.'],
		wrong: ['It keeps spinning.'],
		then: ['Walk it once more from the anchor. A line that lay twisted for years keeps some of it.'],
		cautions: [],
		seconds: SECONDS.loopTest
	});

/** The steps of stretching a line and walking it, with this reel, in this place. Content is common practice. */
export function untwistSteps(setup: JobSetup, plan: UntwistPlan): Step[] {
	const passes = plan.way.passes ?? 1;
	return [
		laidOutStep(),
		laneStep(plan.way),
		anchorStep(plan.part.role),
		...Array.from({ length: passes }, (_, i) => [layStep(plan, i + 1), walkStep(i + 1, passes)]).flat(),
		...(plan.under ? [rejoinStep(setup, plan.part, plan.under)] : []),
		backIn(setup, plan),
		loopTestStep()
	];
}

/** What it takes. */
export function untwistTools(setup: JobSetup, { part, under }: UntwistPlan): Tool[] {
	const tying = under ? tyingOf(setup, part, under).tools : [];
	const keys = [
		'strap' as const,
		'cloth' as const,
		...tying,
		...(under && isUnder(under.role) ? (['nippers'] as const) : [])
	];
	return [
		{ key: 'reel', name: ['Reel and rod butt'], purpose: 'the fly off' },
		...[...new Set(keys)].map(tool)
	];
}
