import type { JobSetup } from './job';
import { looped, nailWraps } from './joints';
import { step, type Step } from './step';
import { LEADER_SECONDS, PREPARING_SECONDS } from './times';

export const gapStep = ({ plan }: JobSetup): Step =>
	step('gap', {
		title: 'Look at the gap',
		instructions: [
			['Measure from the line to the nearest part of the frame, else to the rim, in two places.'],
			['Write it in: that says whether anything should be taken off or added.']
		],
		right: ['About ', { smallMm: plan.gapMm }, ' all round, and nothing rubs through a whole turn.'],
		wrong: ['The line rubs on a pillar, or the reel looks half empty.'],
		then: ['A little too full can be trimmed; too little cannot. Open "Something is wrong".'],
		cautions: [],
		figure: { label: 'Gap when all of it is on', value: { smallMm: plan.gapMm }, beside: [] },
		seconds: PREPARING_SECONDS.gap
	});

export function leaderStep(setup: JobSetup): Step {
	const { schools, leaderMm, parts } = setup;
	const wraps = nailWraps(setup, parts.at(-1)!);
	return step('leader', {
		title: 'Put on the leader',
		knots: [
			{ slug: 'leader-uncoiled', wraps: 3 },
			schools.weldedLoop === 'keep'
				? looped(parts.at(-1)!.role, 'leader')
				: { slug: 'nail-knot', wraps: wraps === '5–7' ? 6 : 8, as: { line: parts.at(-1)!.role } }
		],
		instructions: [
			[
				'Hold the coil over three spread fingers, unwind the turns of its butt, and pull it off from the small end.'
			],
			schools.weldedLoop === 'keep'
				? [
						'Loop to loop: leader loop over line loop, the tip of the ',
						{ leaderMm },
						' leader through the line loop, draw up square.'
					]
				: [
						'Cut the front loop off. Nail knot of ',
						wraps === '5–7' ? 'about 6' : wraps,
						' turns with the butt of the ',
						{ leaderMm },
						' leader.'
					],
			[
				'Draw it through the hand until it is warm and lies straight. Leave a little out of the reel so that its end is found again.'
			]
		],
		right: ['The joint runs smoothly through a guide, and the leader hangs straight.'],
		wrong: ['It hangs in coils, or the joint clicks in the guide.'],
		then: ['Draw it through the hand again; draw the joint up square, or trim it closer.'],
		cautions: ['blades'],
		seconds: LEADER_SECONDS[schools.weldedLoop]
	});
}

export const lastLookStep = ({ hand }: JobSetup): Step =>
	step('last-look', {
		title: 'Last look',
		instructions: [
			[`Winds with the ${hand} hand, drag bites going out, line under the guard.`],
			['Level, nothing rubbing through a whole turn, knots trimmed and smooth through the guides.'],
			['Backing in a colour that shows the joint coming; every scrap off the floor.']
		],
		right: ['You would hand it to someone else to fish.'],
		wrong: ['Anything you would explain when handing it over.'],
		then: ['Open "Something is wrong": it says how far back to go.'],
		cautions: ['scraps'],
		seconds: PREPARING_SECONDS['last-look']
	});

export const labelStep = (): Step =>
	step('label', {
		title: 'Label the spool',
		instructions: [
			['What is on it, how much, when, and which end comes first.'],
			['Wendle prints one to size when the winding is written down; a pencil does as well.']
		],
		right: ['Someone who has never seen this reel knows what is on it.'],
		wrong: ['It says "line".'],
		then: ['Add the class, the length of backing, the gap and the date.'],
		cautions: [],
		seconds: PREPARING_SECONDS.label
	});
