import { ROLE_NAMES, type Role } from '../fit/stack';
import type { UntwistTechnique } from '../twist/let-out';
import { isUnder, type JobPart, type JobSetup } from './job';
import { tyingOf } from './joints';
import type { Sentence } from './phrase';
import { laidOutStep } from './prepare';
import { step, type Step } from './step';
import { windingSeconds } from './times';
import { tool, type Tool } from './tools';

/** A line that is stretched and walked, and what lies under it. */
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
				'Grass, sand or a quiet path, straight and empty. Nobody comes through, nothing for the line to catch on; someone keeps watch where people might.'
			],
			...(passes > 1
				? [[`It is shorter than the line: done in ${passes} parts, each part laid straight in its turn.`]]
				: [])
		],
		right: ['You see all of it, and it is longer than the line and a few steps.'],
		wrong: ['A path, a road, dogs, a fence of wire.'],
		then: ['Another place, or another day: an evening without wind on a playing field.'],
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
				`The ${ROLE_NAMES[role]}'s front end to a smooth post or a soft strap, at the height of your hand, so that it cannot turn there.`
			]
		],
		right: ['A firm pull moves nothing, and the loop is not cut into.'],
		wrong: ['It can spin at the anchor, or lies over an edge.'],
		then: ['A soft strap round the post, the loop through it, drawn up.'],
		cautions: ['no-fly'],
		seconds: SECONDS.anchor
	});

function layStep({ part, under, way }: UntwistPlan, pass: number): Step {
	const passes = way.passes ?? 1;
	const nth = ORDINALS[pass - 1] ?? 'next';
	const first: Sentence[] = [
		['Walk backward with the reel, drag slack, until it lies straight on the ground.'],
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
			right: ['It touches nothing, and has no bend or coil in it.'],
			wrong: ['It lies under itself, or round a stone.'],
			then: ['Lift it clear before you pinch it.'],
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
				['Back to the anchor. Pinch the line lightly between thumb and finger, in a damp cloth.'],
				[
					pass === passes
						? 'Walk its length to the free end. The twist runs ahead of your fingers, and out: the end turns.'
						: 'Walk to the end of this part. The twist runs ahead of your fingers, into what is still loose.'
				],
				['Once more if it still curls behind you.']
			],
			right: ['Held slack behind your fingers it hangs straight.'],
			wrong: ['It is dragged along instead of slipping through, or the end does not turn.'],
			then: ['Pinch less; shake the free end loose.'],
			cautions: [],
			seconds: SECONDS.walk
		},
		String(pass)
	);

function rejoinStep(setup: JobSetup, part: JobPart, under: JobPart): Step {
	const { tools: _tools, minutes, ...tying } = tyingOf(setup, part, under);
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
			title: 'Wind it in, walking to the anchor',
			instructions: [
				[
					'The line stays stretched between you and the anchor all the way: that is the tension it goes on under.'
				],
				['Level from flange to flange, as when it was new. The front end comes off the anchor last.']
			],
			right: ['It goes on firm and level, and the slack at the end hangs without curling.'],
			wrong: ['It went slack on the way: loose turns lie under tight ones.'],
			then: ['Walk back until you are below them, and wind in again.'],
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
			['Count how often it spins before it rests, and which way its legs wind. Write it in.']
		],
		right: ['It hangs open, or spins less than once.'],
		wrong: ['It spins and spins.'],
		then: ['Once more from the anchor: what is left shows in a line that was left for years.'],
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
