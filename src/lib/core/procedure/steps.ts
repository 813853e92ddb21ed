import type { BackingMaterial } from '../line/material';

/** A piece of an instruction: words, or a quantity that the interface shows in the person's units. */
export type Phrase = string | { longMm: number } | { smallMm: number } | { turns: number };

export const CAUTIONS = {
	leaflet: "Turning a reel round differs from maker to maker: follow your reel's leaflet.",
	'no-fly': 'No fly on while spooling: moving line and hooks do not mix.',
	blades: 'Cut away from yourself.',
	'thin-braid': 'Thin braid under tension cuts: glove or tape the fingers that guide it.',
	drill: 'With a drill: low speed, light tension, no loose sleeves or hair. A running line burns.',
	adhesive:
		'UV resin and superglue: follow the label, wear gloves, ventilate, do not look into the lamp; superglue bonds skin.',
	scraps: 'Take every scrap of line home.'
} as const;
export type Caution = keyof typeof CAUTIONS;

export const STEP_KEYS = [
	'hand',
	'cage',
	'mount',
	'arbor',
	'backing',
	'joint',
	'line',
	'leader',
	'last-look'
] as const;
export type StepKey = (typeof STEP_KEYS)[number];

export interface Step {
	readonly key: StepKey;
	readonly title: string;
	readonly instructions: readonly (readonly Phrase[])[];
	/** How to tell that it came out right. */
	readonly check: readonly Phrase[];
	readonly cautions: readonly Caution[];
	/** The number that matters while doing it. */
	readonly figure?: { readonly label: string; readonly value: Phrase; readonly beside: readonly Phrase[] };
}

export const JOINTS = { loops: 'loop to loop', nail: 'nail knot', albright: 'Albright' } as const;
export type Joint = keyof typeof JOINTS;

/** What the job depends on. */
export interface JobSetup {
	readonly hand: 'left' | 'right';
	readonly cage: 'open' | 'closed';
	readonly arborTurns: number;
	readonly joint: Joint;
	readonly backing: Pick<BackingMaterial, 'label' | 'cuts'>;
	/** What is wound under the backing, if anything: it is what is tied to the arbor. */
	readonly bed?: { readonly label: string; readonly lengthMm: number };
	/** A shooting head goes on: its rear end has to be found. */
	readonly head: boolean;
	readonly lineLabel: string;
	/** Sinking and salt-water lines get more turns in a nail knot. */
	readonly sinking: boolean;
	readonly leaderMm: number;
	readonly plan: {
		readonly lengthMm: number;
		readonly stopDepthMm: number;
		readonly turns: number;
		readonly gapMm: number;
		readonly lineTurns: number;
	};
}

/** No backing fits, or so little that a joint and a knot are all of it: the line goes on the arbor itself. */
export const LEAST_BACKING_MM = 500;

const handStep = ({ hand }: JobSetup): Step => ({
	key: 'hand',
	title: `Set the reel for ${hand}-hand wind`,
	instructions: [
		[
			`Hold the reel as it hangs under the rod, handle on the ${hand}. Line leaves from the bottom, toward the tip.`
		],
		[
			'Most reels arrive set for left-hand wind. If yours is the wrong way round, turn it now: later the backing has to come off again.'
		]
	],
	check: ['Winding in turns freely; pulling line out, the drag bites.'],
	cautions: ['leaflet']
});

const cageStep = ({ cage }: JobSetup): Step =>
	cage === 'closed'
		? {
				key: 'cage',
				title: 'Thread the closed cage first',
				instructions: [
					[
						"Pass the backing's end in through the frame's opening, under the line guard, before it goes round the arbor."
					],
					['Tied on outside the frame, it is pinched when the spool goes home and the job starts again.']
				],
				check: ['The backing runs through the opening and the spool still turns.'],
				cautions: []
			}
		: {
				key: 'cage',
				title: 'Open cage: spool out on the table',
				instructions: [
					['Take the spool out; the backing can be tied to it on the table and the spool dropped back in.'],
					['Lead the backing under the line guard or pillar when it goes back.']
				],
				check: ['Nothing is caught between spool and frame.'],
				cautions: []
			};

const mountStep = (): Step => ({
	key: 'mount',
	title: 'Mount the reel, free the supply',
	instructions: [
		[
			'Put the reel on the rod butt alone, foot in the hood, rings locked one after the other; or on the winder.'
		],
		[
			'Put the backing spool on a pencil or axle, or in a bowl, so that it turns. Line pulled over the flange of a spool that stands still is twisted.'
		]
	],
	check: ['The supply spool turns as you pull.'],
	cautions: ['no-fly']
});

const arborStep = ({ arborTurns, backing, bed }: JobSetup): Step => ({
	key: 'arbor',
	title: bed ? 'Tie the bed to the arbor, and wind it on' : 'Tie the backing to the arbor',
	instructions: [
		[
			`Round the arbor ${arborTurns === 1 ? 'once' : `${arborTurns} times`}, an overhand knot round the standing part, and a stopper overhand in the tag.`
		],
		...(backing.cuts && !bed
			? [['Gel-spun slips on a bare arbor: begin with 5–8 ft of mono or a layer of tape under it.']]
			: []),
		['Moisten, rock it to and fro until it seats, trim to a millimetre or two.'],
		...(bed
			? [
					[
						`Wind on the bed, level from flange to flange: ${bed.label}, `,
						{ longMm: bed.lengthMm },
						'. Join the backing to it with a nail knot or a double uni, tags cut close.'
					]
				]
			: [])
	],
	check: ['Pulled hard, it turns the spool and does not slide round inside it.'],
	cautions: ['blades']
});

function backingStep({ backing, plan }: JobSetup): Step {
	return {
		key: 'backing',
		title: 'Wind the backing',
		instructions: [
			['Firm and level, evenly from side to side. Loose or heaped backing lets later turns bite in and jam.'],
			[
				'Lay a rule across the rims now and then. Stop when the backing stands ',
				{ smallMm: plan.stopDepthMm },
				' below: the depth counts, the turns only tell you when to start measuring.'
			]
		],
		check: ['The surface is flat from flange to flange at the stop depth.'],
		cautions: backing.cuts ? ['thin-braid', 'drill'] : ['drill'],
		figure: {
			label: 'Stop at this depth below the rim',
			value: { smallMm: plan.stopDepthMm },
			beside: ['about ', { turns: plan.turns }, ' turns, ', { longMm: plan.lengthMm }]
		}
	};
}

function jointStep({ joint, sinking, lineLabel }: JobSetup): Step {
	const how: Record<Joint, readonly string[]> = {
		loops: [
			"Tie a loop of 8–10 in in the backing: a double surgeon's loop in 30 lb, a triple in 20 lb. The whole line spool must pass through it.",
			"Backing loop through the line's loop, line spool through the backing loop, draw up."
		],
		nail: [
			`Nail knot of ${sinking ? '7–10' : '5–7'} turns, wraps side by side; do not let go before it is snug.`,
			'Cut the tags very close, or leave 3–6 mm on purpose as a sign that the line is near its end.'
		],
		albright: [
			'Fold a bight in the end of the line, wrap the backing back over it evenly, 8 to 12 turns, and out through the bight.',
			'Draw standing part and tag up in turn, then trim.'
		]
	};
	const right: Record<Joint, string> = {
		loops: 'The loops lie square in each other, neither one hitched round the other.',
		nail: 'The wraps lie side by side and grip; a hard pull does not move them.',
		albright: 'The wraps lie side by side within the bight; a hard pull does not move them.'
	};
	return {
		key: 'joint',
		title: `Join backing and line: ${JOINTS[joint]}`,
		instructions: [
			[`Read the tag on the ${lineLabel.toLowerCase()}: "this end to reel" is the end you join.`],
			...how[joint].map((text) => [text])
		],
		check: [right[joint]],
		cautions: joint === 'nail' ? ['blades', 'adhesive'] : ['blades']
	};
}

const lineStep = ({ plan, lineLabel, head }: JobSetup): Step => ({
	key: 'line',
	title: 'Wind the line',
	instructions: [
		[`${lineLabel}, under light tension, its spool turning. Even, without coils or crossings.`],
		...(head
			? [
					[
						"A head's rear end is tagged or carries a coloured marker: that end goes to the running line. Wound on backwards it casts like string."
					]
				]
			: []),
		['Leave the front end out: the leader goes on next.']
	],
	check: [
		'The surface stands ',
		{ smallMm: plan.gapMm },
		' clear of rim or frame, and nothing rubs through a whole turn.'
	],
	cautions: ['drill'],
	figure: {
		label: 'Gap when the line is on',
		value: { smallMm: plan.gapMm },
		beside: ['about ', { turns: plan.lineTurns }, ' turns']
	}
});

const leaderStep = ({ leaderMm }: JobSetup): Step => ({
	key: 'leader',
	title: 'Put on the leader',
	instructions: [
		[
			'Hold the coiled leader over three spread fingers, unwind the turns of its butt, and pull it off from there.'
		],
		[
			'Join it loop to loop: leader loop over line loop, the tip of the ',
			{ longMm: leaderMm },
			' leader through the line loop, draw up square. Without a loop: nail knot of about 6 turns.'
		],
		[
			'Draw it through the hand until it is warm and lies straight. Leave a little out of the reel so that its end is found again.'
		]
	],
	check: ['The joint runs smoothly through a guide.'],
	cautions: ['blades']
});

const lastLookStep = ({ hand }: JobSetup): Step => ({
	key: 'last-look',
	title: 'Last look',
	instructions: [
		[`Winds with the ${hand} hand, drag bites going out, line under the guard.`],
		['Level, nothing rubbing through a whole turn, knots trimmed and smooth.'],
		['Measure the gap and write it down below: that is what the rack will show.']
	],
	check: ['You would hand it to someone else to fish.'],
	cautions: ['scraps']
});

/** With no backing to wind, the line itself is tied to the arbor: two steps fall away. */
const withoutBacking = (steps: readonly Step[]): Step[] =>
	steps
		.filter(({ key }) => key !== 'backing' && key !== 'joint')
		.map((step) => (step.key === 'arbor' ? { ...step, title: 'Tie the line to the arbor' } : step));

/** The ordered steps of the job for this very set-up. Content is common practice. */
export function jobSteps(setup: JobSetup): Step[] {
	const steps = [
		handStep(setup),
		cageStep(setup),
		mountStep(),
		arborStep(setup),
		backingStep(setup),
		jointStep(setup),
		lineStep(setup),
		leaderStep(setup),
		lastLookStep(setup)
	];
	return setup.plan.lengthMm < LEAST_BACKING_MM ? withoutBacking(steps) : steps;
}
