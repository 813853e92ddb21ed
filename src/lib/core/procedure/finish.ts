import type { JobSetup } from './job';
import { DRAW_UP, looped, nailTied, nailWraps } from './joints';
import { step, type Step } from './step';
import { LEADER_SECONDS, PREPARING_SECONDS } from './times';

export const gapStep = ({ plan }: JobSetup): Step =>
	step('gap', {
		title: 'Look at the gap',
		instructions: [
			[
				'Measure from the line to the nearest part of the frame, or to the rim if there is no frame. Do it in two places.'
			],
			['Type it in. Wendle then says whether to take backing off or add some.']
		],
		right: ['About ', { smallMm: plan.gapMm }, ' all round, and nothing rubs when you turn the spool once.'],
		wrong: ['The line rubs on a pillar, or the reel looks half empty.'],
		then: ['You can trim a little too much backing, but not a little too little. Open "Something is wrong".'],
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
			schools.frontLoop === 'keep'
				? looped(parts.at(-1)!.role, 'leader')
				: {
						slug: 'nail-knot',
						wraps: wraps === '5–7' ? 6 : 8,
						as: { line: parts.at(-1)!.role },
						unlike: schools.nailKnot === 'fingers'
					}
		],
		instructions: [
			[
				'Hold the coil over three spread fingers, unwind the turns of its thick end (the butt), and pull it off from the thin end.'
			],
			schools.frontLoop === 'keep'
				? [
						'Loop to loop: leader loop over line loop, the tip of the ',
						{ leaderMm },
						' leader through the line loop, draw up square.'
					]
				: ['Cut the front loop off, and tie the butt of the ', { leaderMm }, ' leader on with a nail knot.'],
			...(schools.frontLoop === 'keep' ? [] : [...nailTied(setup, wraps, "leader's butt", 'line'), DRAW_UP]),
			[
				'Draw it through your hand until it is warm and hangs straight. Leave a little of it out of the reel, so that you find its end again.'
			]
		],
		right: ['The joint runs smoothly through a guide, and the leader hangs straight.'],
		wrong: ['It hangs in coils, or the joint clicks in the guide.'],
		then: ['Draw it through the hand again; draw the joint up square, or trim it closer.'],
		cautions: ['blades'],
		seconds: LEADER_SECONDS[schools.frontLoop]
	});
}

export const lastLookStep = ({ hand }: JobSetup): Step =>
	step('last-look', {
		title: 'Last look',
		instructions: [
			[
				`It winds with the ${hand} hand, the drag holds when line goes out, and the line runs under the guard.`
			],
			[
				'The line is level, nothing rubs when you turn the spool once, and the knots are trimmed and run smoothly through the guides.'
			],
			["You can see the joint coming by the backing's colour, and no scrap of line is left on the floor."]
		],
		right: ['You would hand this reel to someone else to fish.'],
		wrong: ['You would have to explain something when you hand it over.'],
		then: ['Open "Something is wrong": it says how far back to go.'],
		cautions: ['scraps'],
		seconds: PREPARING_SECONDS['last-look']
	});

export const labelStep = (): Step =>
	step('label', {
		title: 'Label the spool',
		instructions: [
			['Write what is on it, how much, when, and which end comes first.'],
			['Wendle prints a label to size when you save the winding. A pencil works too.']
		],
		right: ['Someone who has never seen this reel knows what is on it.'],
		wrong: ['The label only says "line".'],
		then: ['Add the class, the length of backing, the gap and the date.'],
		cautions: [],
		seconds: PREPARING_SECONDS.label
	});
