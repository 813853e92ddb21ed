import { ROLE_NAMES } from '../fit/stack';
import { REACH_MM } from '../twist/let-out';
import type { JobPart, JobSetup } from './job';
import { firstKnotLengthMm, knotLengthMm } from './knot-lengths';
import type { Sentence } from './phrase';
import type { ReverseWay } from './reverse-ways';
import { amount, step, type Step } from './step';
import { STRETCH_SECONDS } from './stretch';
import { windingSeconds } from './times';
import { whenAllOn, windCautions } from './winding';

/** A coil has its rear end outside: a line that goes on front end first has to be turned round before. */
const FROM_ITS_FRONT: Record<Exclude<ReverseWay, 'spools'>, Sentence> = {
	twin: [
		'Its rear end lies outside on the coil, and here the front end goes on first. So put the coil on the hub, take the ties off, and wind it on to an empty storage spool, both on an axle: then its front end lies outside.'
	],
	ground: [
		'Its rear end lies outside on the coil, and here the front end goes on first. So put the coil on the hub, on an axle, take the ties off, and lay the line out on the grass. Take it up from its front end.'
	]
};

const FROM_WHERE: Record<ReverseWay, string> = {
	spools: 'Put its coil on the hub, on an axle, take the ties off, and wind all of it on.',
	twin: 'Wind all of it on from the storage spool, on its axle.',
	ground: 'Wind all of it on from the grass.'
};

/** Assumptions: someone who does this a few times a year. */
const SECONDS = { cut: 120, twin: 120, off: 60, runOut: 300 } as const;
/** Turned round before it goes on front end first; a strand whose ends are alike needs none of it. */
export const turnRound = (first: JobSetup, part: JobPart, way: Exclude<ReverseWay, 'spools'>): Step[] =>
	part.alike
		? []
		: [
				step(
					'turn-round',
					{
						title: `Turn the ${ROLE_NAMES[part.role]} round`,
						instructions: [FROM_ITS_FRONT[way]],
						right: ['Its front end is the one that you hold.'],
						wrong: ['You hold the end that is tagged for the reel.'],
						then: ['Then it has not been turned round yet, or twice: wind it over once more.'],
						cautions: [],
						seconds: SECONDS.off + windingSeconds(first, part.turns, true)
					},
					part.id
				)
			];

/** A line that goes on before the backing. */
export function firstOn(first: JobSetup, part: JobPart, way: ReverseWay, outset: boolean): Step {
	const name = ROLE_NAMES[part.role];
	const rear = way === 'spools';
	return step(
		'wind',
		{
			title: outset
				? `Wind the ${name} on first, ${rear ? 'rear' : 'front'} end on the arbor`
				: `Wind the ${name} on after it`,
			instructions: [
				...(outset
					? [
							...(first.cage === 'closed'
								? [["Lead the end in through the frame's opening, under the line guard."]]
								: []),
							[
								`Tape the ${name}'s ${rear ? 'rear' : 'front'} end to ${way === 'twin' ? "the second reel's arbor" : 'the arbor'} with one turn of tape. It only has to hold for now.`
							]
						]
					: rear
						? [[`Tape the ${name}'s rear end to the front end that is on.`]]
						: []),
				[
					`${FROM_WHERE[part.alike ? 'spools' : way]} Rough is enough this time, but don't leave it loose: a loose fill takes more room.`
				]
			],
			right: ['All of it is on, level enough that you can lay a rule across the rims.'],
			wrong: ['It is heaped at one side, or so loose that it gives under a thumb.'],
			then: ['Pull it off down to where it was even, and wind on with a little more tension.'],
			cautions: windCautions(first, part),
			figure: amount('To wind on', part),
			seconds: windingSeconds(first, part.turns, true)
		},
		part.id
	);
}

/** The backing goes over the line until the gap is right: its length is the amount that was looked for. */
export const overIt = (first: JobSetup, part: JobPart): Step =>
	step(
		'wind',
		{
			title: `Wind ${ROLE_NAMES[part.role]} over it until the gap is right`,
			instructions: [
				[
					'Wind level and firm, as it will be wound in the end. Count the turns: Wendle then knows the length, and when to look.'
				],
				[
					'Stop when the gap is ',
					{ smallMm: first.plan.gapMm },
					'. Lay a rule across the rims in two places, and save what you read. Go by the gap, even if the turns say otherwise.'
				]
			],
			right: ['The gap is the one you want to fish with, all round, and nothing rubs.'],
			wrong: ['The gap is less on one side, or you have wound past it.'],
			then: ['Wind back until it is right. Here nothing is cut yet.'],
			cautions: windCautions(first, part),
			figure: {
				label: 'Stop at this gap',
				value: { smallMm: first.plan.gapMm },
				beside: ['about ', { turns: first.plan.turns }, ' turns, ', { longMm: first.plan.lengthMm }]
			},
			seconds: windingSeconds(first, first.plan.turns)
		},
		part.id
	);

export const cutStep = (setup: JobSetup, { id, role }: JobPart, way: ReverseWay): Step =>
	step('cut', {
		title: `Cut the ${ROLE_NAMES[role]}`,
		instructions: [
			[
				way === 'spools' ? 'Its two knots take about ' : 'The knot on the arbor takes about ',
				{ leaderMm: way === 'spools' ? knotLengthMm(setup, id) : firstKnotLengthMm(setup, id) },
				' more. Leave that much beyond the spool, then cut.'
			],
			['Hold the end, or tape it down, so that nothing springs off.']
		],
		right: ['The end is held, and long enough for its knots.'],
		wrong: ['It is cut right where it leaves the spool.'],
		then: ['Then it ends a little lower than planned. It makes the gap a hair wider: go on.'],
		cautions: setup.parts.some(({ cuts }) => cuts) ? ['blades', 'thin-braid'] : ['blades'],
		seconds: SECONDS.cut
	});

/** A strand comes off again onto a storage spool: the end that goes on first comes off last. */
export function offAgain(first: JobSetup, part: JobPart, next: string): Step {
	const name = ROLE_NAMES[part.role];
	return step(
		'off',
		{
			title: `Take the ${name} off again`,
			instructions: [
				['Loosen the drag all the way. Put an empty storage spool on an axle, or on the drill with its cup.'],
				[
					`Hold the end through the hole in the storage spool's side, make the first turns by hand, then wind all of the ${name} on to it. Both the reel and the storage spool turn; a helper brakes the reel with one finger.`
				],
				[next]
			],
			right: [`All of the ${name} is on its own storage spool, its end taped down.`],
			wrong: ['It comes off over the side of something that stands still.'],
			then: ['Stop, put an axle through it, and go on.'],
			cautions: windCautions(first, part),
			figure: amount('To take off', part),
			seconds: SECONDS.off + windingSeconds(first, part.turns)
		},
		part.id
	);
}

/** The backing once it has been cut: all of it goes on, and it ends where it should. */
export const windCut = (setup: JobSetup, stop: JobPart, way: ReverseWay): Step =>
	step(
		'wind',
		{
			title: `Wind the ${ROLE_NAMES[stop.role]} on again, all of it`,
			instructions: [
				way === 'spools'
					? ['Put its storage spool on an axle, and wind firmly and level, as you mean it to stay.']
					: way === 'twin'
						? [
								"Set the second reel's drag to a firm, even pull, point it at this one, and wind firmly and level, as you mean it to stay."
							]
						: [
								'Wind firmly and level, as you mean it to stay. The backing on the ground gives some tension; a helper who lets it run through a gloved hand gives the rest.'
							],
				[
					'It was cut to the right length, so turns and depth are only a check: the depth should come to ',
					{ smallMm: setup.plan.stopDepthMm },
					'.'
				]
			],
			right: [
				way === 'spools'
					? 'All of it is on, flat from flange to flange.'
					: 'The joint comes in with the backing flat from flange to flange under it.'
			],
			wrong: ['The backing is higher at one side, or soft.'],
			then: ['Unwind to where it was level, and wind on again, guiding it to the low side.'],
			cautions: windCautions(setup, stop),
			figure: amount('To wind on', setup.plan),
			seconds: windingSeconds(setup, setup.plan.turns)
		},
		stop.id
	);

/** A line that comes on joined already. */
export const windJoined = (setup: JobSetup, part: JobPart, way: ReverseWay): Step => {
	const name = ROLE_NAMES[part.role];
	return step(
		'wind',
		{
			title: `Wind the ${name} after it`,
			instructions: [
				['It is joined already: go on winding, with a lighter tension.'],
				[
					way === 'twin'
						? `The ${name}'s front end comes off the second reel last. Free its tape, and leave the end out of the reel.`
						: `Walk toward its front end as it comes in, and leave that end out of the reel.`
				]
			],
			...whenAllOn(part),
			cautions: windCautions(setup, part),
			figure: amount('To wind on', part),
			seconds: windingSeconds(setup, part.turns, true)
		},
		part.id
	);
};

export const twinStep = (): Step =>
	step('second-reel', {
		title: 'Set the second reel up beside it',
		instructions: [
			[
				'Take a reel of the same model, or the same reel with its spare spool, empty. The amount is only right if both spools are alike.'
			],
			[
				'Put it on a second butt or in a clamp, set for the same hand, with the drag loose. Everything goes on it first, back to front.'
			]
		],
		right: ['The rims and arbors of both spools measure the same.'],
		wrong: ['The second spool is deeper or wider.'],
		then: ['Use two storage spools instead: the amount then is found on the very spool that it is for.'],
		cautions: ['no-fly'],
		seconds: SECONDS.twin
	});

/** Everything walked out on the ground, and turned round there. */
export const runOutStep = (lengthMm: number): Step =>
	step('run-out', {
		title: 'Run all of it out on the ground',
		instructions: [
			[
				'Find a beach or a field where nobody passes, straight and as long as all of it. Have someone keep watch.'
			],
			[
				"Tie the backing's end to a stick or a peg. Loosen the drag all the way, and walk away with the reel until the line's front end comes off the spool. Take the tape off it, and peg it down."
			],
			['Walk back along it to the stick, with the empty reel. It lies in the right order now: backing first.']
		],
		right: ['All of it lies straight, with both ends held, and the spool is empty.'],
		wrong: ['It crosses itself, or has caught on stones or reeds.'],
		then: ['Lift it free along its whole length before you wind. A pull from one end makes a knot of it.'],
		cautions: ['stretch', 'scraps'],
		figure: { label: 'Room to have', value: { longMm: lengthMm + REACH_MM }, beside: ['in a straight line'] },
		seconds: SECONDS.runOut + STRETCH_SECONDS.lane
	});
