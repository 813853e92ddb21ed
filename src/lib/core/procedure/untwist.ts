import { ROLE_NAMES } from '../fit/stack';
import type { UntwistTechnique } from '../twist/let-out';
import type { JobPart, JobSetup } from './job';
import { tyingOf } from './joints';
import type { Sentence } from './phrase';
import { laidOutStep } from './prepare';
import { step, type Step } from './step';
import { anchorStep, laneStep, STRETCH_SECONDS, walkStep, windInStretched } from './stretch';
import { tool, type Tool } from './tools';

/** A line that is stretched and walked, and the strand under it. */
export interface UntwistPlan {
	readonly part: JobPart;
	/** What it is joined to; none where it is tied to the arbor. */
	readonly under: JobPart | undefined;
	/** How it is done here: lane, passes, pull. */
	readonly way: UntwistTechnique;
}

const LOOP_TEST_SECONDS = 120;
const ORDINALS = ['first', 'second', 'third'] as const;

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
			seconds: STRETCH_SECONDS.lay
		},
		String(pass)
	);
}

function rejoinStep(setup: JobSetup, part: JobPart, under: JobPart): Step {
	const { tools: _tools, minutes, ...tying } = tyingOf(setup, part, under, { loop: true, laidOut: true });
	return step('rejoin', {
		title: `Join it to the ${ROLE_NAMES[under.role]} again`,
		...tying,
		instructions: [...tying.instructions, ['Then tighten the drag to a firm, even pull.']],
		seconds: 60 * minutes
	});
}

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
		seconds: LOOP_TEST_SECONDS
	});

/** The steps of stretching a line and walking it, with this reel, in this place. Content is common practice. */
export function untwistSteps(setup: JobSetup, plan: UntwistPlan): Step[] {
	const passes = plan.way.passes ?? 1;
	return [
		laidOutStep(),
		laneStep(plan.way),
		anchorStep(plan.part.role),
		...Array.from({ length: passes }, (_, i) => [
			layStep(plan, i + 1),
			walkStep(String(i + 1), i + 1 === passes)
		]).flat(),
		...(plan.under ? [rejoinStep(setup, plan.part, plan.under)] : []),
		windInStretched(setup, plan.part, plan.way),
		loopTestStep()
	];
}

/** What it takes. */
export function untwistTools(setup: JobSetup, { part, under }: UntwistPlan): Tool[] {
	const tying = under ? tyingOf(setup, part, under).tools : [];
	const keys = ['strap' as const, 'cloth' as const, ...tying, ...(under ? (['nippers'] as const) : [])];
	return [
		{ key: 'reel', name: ['Reel and rod butt'], purpose: 'the fly off' },
		...[...new Set(keys)].map(tool)
	];
}
