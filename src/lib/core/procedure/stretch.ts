import { ROLE_NAMES, type Role } from '../fit/stack';
import { REACH_MM, stretchAndWalk, type UntwistTechnique } from '../twist/let-out';
import { isUnder, type JobPart, type JobSetup } from './job';
import type { Found } from './joints';
import { amount, step, type Step } from './step';
import { windingSeconds } from './times';
import type { ToolKey } from './tools';

/** A line that lies out straight, fixed at its front end, and is wound in from there: to take twist out, or to put none in. */
export const STRETCH_SECONDS = { lane: 120, anchor: 90, lay: 90, walk: 120 } as const;

/** What a fly line's core stands, lb: the weakest part where the backing is stronger. Common practice: about 20. */
export const CORE_LB = 20;

export const laneStep = ({ laneMm, passes = 1 }: UntwistTechnique): Step =>
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
		seconds: STRETCH_SECONDS.lane
	});

/** @param worn it was fished: fly and leader are still on */
export const anchorStep = (role: Role, worn = true): Step =>
	step('anchor', {
		title: 'Anchor the front end',
		instructions: [
			...(worn ? [['Take fly and leader off.']] : []),
			[
				`The ${ROLE_NAMES[role]}'s front end goes to a smooth post or a soft strap, at the height of your hand, so that it can't turn there.`
			]
		],
		right: ['A firm pull moves nothing, and the loop is not cut into.'],
		wrong: ['The line can spin at the anchor, or lies over an edge.'],
		then: ['Put a soft strap round the post, pass the loop through it, and draw it up.'],
		cautions: ['no-fly'],
		seconds: STRETCH_SECONDS.anchor
	});

/** @param last its free end is at the end of this stretch */
export const walkStep = (id: string, last: boolean): Step =>
	step(
		'walk',
		{
			title: 'Pinch it and walk',
			instructions: [
				['Go back to the anchor. Pinch the line lightly between thumb and finger, in a damp cloth.'],
				[
					last
						? 'Walk along it to the free end. The twist runs ahead of your fingers and out at the end, which turns.'
						: 'Walk to the end of this part. The twist runs ahead of your fingers, into what is still loose.'
				],
				['Once more if it still curls behind you.']
			],
			right: ["Behind your fingers the line hangs straight when it's slack."],
			wrong: ["You drag the line along instead of letting it slip through, or the end doesn't turn."],
			then: ['Pinch less; shake the free end loose.'],
			cautions: [],
			seconds: STRETCH_SECONDS.walk
		},
		id
	);

export const windInStretched = (setup: JobSetup, part: JobPart, { pullLb }: UntwistTechnique): Step =>
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
			figure: amount(
				'To wind in',
				part,
				pullLb === undefined ? [] : [`, at no more than ${Math.round(pullLb)} lb`]
			),
			seconds: windingSeconds(setup, part.turns)
		},
		part.id
	);

/** A new line goes on stretched where it is the one over the backing; the strands joined to its front go on after it. */
export const isStretchedOn = (
	setup: JobSetup,
	part: JobPart,
	under: JobPart | undefined,
	isNew: boolean
): boolean =>
	isNew &&
	setup.schools.newLine === 'stretched' &&
	(part.role === 'line' || part.role === 'running-line') &&
	under !== undefined &&
	isUnder(under.role);

/** How a join finds a line that is stretched on. */
export const LAID_OUT: Found = { laidOut: true };
export const STRETCHED_TOOLS: readonly ToolKey[] = ['spool-hub', 'strap', 'cloth'];

/** All of it lies straight at once: the place has to be as long as the line. */
export const wayOfNewLine = (setup: JobSetup, part: JobPart): UntwistTechnique =>
	stretchAndWalk({
		lengthMm: part.lengthMm,
		laneMm: part.lengthMm + REACH_MM,
		has: [],
		weakestLb: Math.min(setup.parts.find(({ role }) => role === 'backing')?.strengthLb ?? CORE_LB, CORE_LB),
		turns: 0
	});

const layNewStep = (part: JobPart): Step => {
	const name = ROLE_NAMES[part.role];
	return step(
		'lay',
		{
			title: `Lay the new ${name} out straight`,
			instructions: [
				[
					`Put the ${name}'s own spool, or its coil on the hub, on an axle where the anchor will be. Stand it on a stool or a crate, so that the line doesn't drag over its edge. Take the ties off now.`
				],
				[
					`Take the rear end and walk away from there, slowly, until all of it is off. The spool has to turn: a helper who turns it with one finger saves you the way back.`
				],
				['Lay the rear end down free, beside the reel. The front end is the one that comes off last.']
			],
			right: ['The line lies straight and touches nothing, with its rear end by the reel.'],
			wrong: ['It came off over the side of the spool, or lies across itself.'],
			then: ['Lift it free and shake it out from the free end before you go on.'],
			cautions: ['stretch'],
			figure: { label: 'To lay out', value: { longMm: part.lengthMm }, beside: ['plus room to stand'] },
			seconds: STRETCH_SECONDS.lay + 60
		},
		part.id
	);
};

/** The steps before a new line that is stretched on is joined: find a place, lay the line out, fix its front end, walk it. */
export const layOutSteps = (setup: JobSetup, part: JobPart): Step[] => [
	laneStep(wayOfNewLine(setup, part)),
	layNewStep(part),
	anchorStep(part.role, false),
	walkStep(part.id, true)
];
