import { ROLE_NAMES } from '../fit/stack';
import type { JobPart, JobSetup } from './job';
import { DRAW_UP, looped, nailTied, nailTools, nailWraps, type Drawn } from './joints';
import type { Sentence } from './phrase';
import { step, type Step } from './step';
import { tool, type Tool } from './tools';

/** What breaks on the water, and can be mended there with what is in the pocket. Common practice. */
export const MENDS = {
	'front-loop': { sign: "The line's front loop broke", title: "Mend the line's front end on the water" },
	'leader-loop': { sign: "The leader's loop failed", title: "Mend the leader's loop on the water" }
} as const;
export type Mend = keyof typeof MENDS;

const SECONDS = {
	ashore: 60,
	cutBack: 60,
	mend: 480,
	evening: 960,
	lookOver: 60,
	straighten: 60,
	guides: 120,
	last: 60
} as const;
/** Cut off with a broken loop: the loop and the stretch behind it, mm. Assumption. */
export const CUT_WITH_LOOP_MM = 50;

const outermost = ({ parts }: JobSetup): JobPart => parts.at(-1)!;

const ashoreStep = (): Step =>
	step('ashore', {
		title: 'Stop, and make the line safe',
		instructions: [
			['Get out of the current, or sit down in the boat. Take the fly off and hook it into its box.'],
			['Pull two rod lengths of line off the reel, and lay the rod where nobody steps on it.']
		],
		right: ['Both hands are free, and the end of the line is in front of you.'],
		wrong: ['You tie while standing in moving water.'],
		then: ['Wade out first. The knot takes ten minutes.'],
		cautions: ['wading'],
		seconds: SECONDS.ashore
	});

const pocketStep = (): Step =>
	step('tools', {
		title: 'Look what you have in your pocket',
		instructions: [['Tick what you have. If something is missing, use what it says beside it instead.']],
		right: ['You have all that the knot takes, and a dry place to put it.'],
		wrong: ['You look for the nippers with a half-tied knot in your fingers.'],
		then: ['Find them first, and hang them where one hand reaches them.'],
		cautions: [],
		seconds: SECONDS.ashore
	});

/** The leader on the line without a loop: holds for as long as you like, and costs a little line at each change. */
function nailedOn(setup: JobSetup): {
	readonly instructions: readonly Sentence[];
	readonly knots: readonly Drawn[];
} {
	const part = outermost(setup);
	const wraps = nailWraps(setup, part);
	return {
		instructions: nailTied(setup, wraps, "leader's butt", ROLE_NAMES[part.role]),
		knots: [
			{
				slug: 'nail-knot',
				wraps: wraps === '5–7' ? 6 : 8,
				as: { line: part.role },
				unlike: setup.schools.nailKnot === 'fingers'
			}
		]
	};
}

const mendSteps: Record<Mend, (setup: JobSetup) => readonly Step[]> = {
	'front-loop': (setup) => {
		const { instructions, knots } = nailedOn(setup);
		const name = ROLE_NAMES[outermost(setup).role];
		return [
			step('cut-back', {
				title: 'Cut back to sound line',
				instructions: [
					[
						`Cut the broken loop off the ${name}, and go on cutting, a finger's breadth at a time, until the coating is whole all round and the core doesn't show.`
					],
					['If the leader has a loop, cut that off too: its butt is tied straight to the line.']
				],
				right: ['The cut is clean, and the coating sits tight on the core.'],
				wrong: ['The coating slides on the core, or is cracked.'],
				then: [
					'Cut a little more. Two inches of line are nothing; a coating that slides off takes the leader with it.'
				],
				cautions: ['blades', 'scraps'],
				seconds: SECONDS.cutBack
			}),
			step('mend', {
				title: 'Tie the leader to the line: nail knot',
				knots,
				instructions: [...instructions, DRAW_UP, ['Trim the tags close.']],
				right: ["A hard pull doesn't move it, and it runs through the tip guide."],
				wrong: ['A wrap crosses another, or the knot slides along the line.'],
				then: [
					'Cut it off and tie it again. If it slides twice, fold the line end back and tie the knot over both strands.'
				],
				cautions: ['blades'],
				seconds: SECONDS.mend
			}),
			step('evening', {
				title: 'In the evening: make a new loop',
				instructions: [
					[
						'The nail knot may stay. If you change leaders often, make a loop at home: fold the line end back, two nail knots of 12 lb mono side by side over both strands, 6–7 turns each, and UV resin on the cut end.'
					],
					['Until then water can get into the core at the cut: let the line dry before you put it away.']
				],
				knots: [{ slug: 'own-loop', wraps: 6, as: { line: outermost(setup).role } }],
				right: ['The loop lies flat, and its end is sealed.'],
				wrong: ['The knots stand apart, or the end is open.'],
				then: ['Tie them again before the resin goes on.'],
				cautions: ['adhesive'],
				seconds: SECONDS.evening
			})
		];
	},
	'leader-loop': (setup) => {
		const keep = setup.schools.frontLoop === 'keep';
		const { instructions, knots } = nailedOn(setup);
		return [
			step('cut-back', {
				title: 'Cut the loop off the leader',
				instructions: [
					[
						"Cut the failed loop off the leader's butt, and feel along the first foot of it. Cut again behind any nick."
					]
				],
				right: ['The butt is round and smooth.'],
				wrong: ['It is flat, white or nicked.'],
				then: ['Cut behind that place. If less than two thirds of the leader is left, put on another one.'],
				cautions: ['blades', 'scraps'],
				seconds: SECONDS.cutBack
			}),
			step('mend', {
				title: keep ? 'Tie a new loop in the leader' : 'Tie the leader on again',
				knots: keep
					? [
							{ slug: 'surgeons-loop', wraps: 2, as: { backing: 'leader' } },
							looped(outermost(setup).role, 'leader')
						]
					: knots,
				instructions: keep
					? [
							[
								"Fold the leader's butt back, and tie a surgeon's loop in it, with two passes. Forceps hold its tag: draw it up wet and slowly."
							],
							["Leader loop over the line's loop, the leader's tip through the line's loop, draw up square."],
							[
								"Too short for a loop? Tie the butt to the line's loop with a uni of 5 turns. It holds till evening."
							]
						]
					: [...instructions, DRAW_UP],
				right: ["A hard pull doesn't move it, and the leader runs straight on from the line."],
				wrong: ['The loops hitch round each other, or the leader stands off at an angle.'],
				then: ['Push the loops apart and draw up again from both sides at once.'],
				cautions: ['blades'],
				seconds: SECONDS.mend / 2
			}),
			step('evening', {
				title: 'In the evening: put on a new leader',
				instructions: [
					[
						'A leader that failed once was nicked or old. Take it off and put a new one on, before the next day.'
					]
				],
				right: ['The new leader hangs straight.'],
				wrong: ['You find the old one on the rod again next morning.'],
				then: ['Change it before the first cast.'],
				cautions: ['scraps'],
				seconds: SECONDS.evening / 4
			})
		];
	}
};

/** The steps of a repair with what is in the pocket: what holds till evening, and what to do then. */
export const repairSteps = (setup: JobSetup, mend: Mend): Step[] => [
	ashoreStep(),
	pocketStep(),
	...mendSteps[mend](setup)
];

export const repairTools = (setup: JobSetup, mend: Mend): Tool[] => [
	{
		key: 'leader',
		name: ['Leader, ', { leaderMm: setup.leaderMm }],
		purpose: 'the one that is on, or a spare'
	},
	...(mend === 'front-loop' || setup.schools.frontLoop === 'cut' ? nailTools(setup).map(tool) : []),
	...(
		['forceps', 'nippers', ...(mend === 'front-loop' ? (['fine-mono', 'resin'] as const) : [])] as const
	).map(tool)
];

/** Before the first cast of a day: the leader straight and sound, the line through every guide, one last look before the fly. */
export const outingSteps = (setup: JobSetup): Step[] => [
	step('look-over', {
		title: 'Look the leader over',
		instructions: [
			[
				'Draw the leader through two fingers from the butt to the tip. Feel for nicks, flat places and wind knots.'
			],
			[
				"Put on a new leader if there is a knot in it that you can't pick out, if it is cloudy, stiff or flat anywhere, if it stays curled however long you stretch it, or if it was cut back so far that your tippet is much thinner than its end."
			],
			[
				`Pull on the joint of ${ROLE_NAMES[outermost(setup).role]} and leader, and look at the loop's neck: a crack there is where it breaks.`
			]
		],
		right: ['It is smooth all the way, and nothing gives.'],
		wrong: ['A fingernail catches on it.'],
		then: ['Cut that piece out or put on a new leader: a knot in a leader halves its strength.'],
		cautions: ['scraps'],
		seconds: SECONDS.lookOver
	}),
	step('straighten', {
		title: 'Stretch the leader straight',
		instructions: [
			[
				'Hold a foot of it between your hands and pull, slowly, until it is warm. Go on so to the tip; a piece of soft leather or rubber does it in one draw.'
			],
			['Then the first ten yards of line, the same way, a stretch of arms at a time.']
		],
		right: ['It hangs straight, without coils.'],
		wrong: ['It hangs in coils, or burns your fingers.'],
		then: ['Pull slower and hold it longer. If it stays curled, it is an old one: change it.'],
		cautions: [],
		seconds: SECONDS.straighten
	}),
	step('guides', {
		title: 'Lead the line through the guides',
		instructions: [
			[
				'Lay the reel down on something soft, and pull off two rod lengths. The line leaves from the bottom of the reel, under the line guard.'
			],
			[
				"Fold the line a foot behind the leader, and lead the fold through each guide, not the leader's tip. If you let go, the fold opens and stays in the guide."
			],
			['Count the guides as you go.']
		],
		right: ['The line runs straight from the reel through every guide.'],
		wrong: ['A guide is missed, or the line is wound once round the rod.'],
		then: [
			'Pull it out down to that guide and lead it through again, now: with the fly on it takes twice as long.'
		],
		cautions: ['no-fly'],
		seconds: SECONDS.guides
	}),
	step('before-the-fly', {
		title: 'One last look before the fly',
		instructions: [
			[
				'Pull three yards off by the leader: the drag holds evenly, and every joint clicks out through the tip guide without catching.'
			],
			['Wind them in: the line goes on level. Then tie the fly on.']
		],
		right: ['Nothing catches going out or coming in.'],
		wrong: ['A joint stops at a guide, or the reel winds in with a pull.'],
		then: ['Trim or draw up that joint. If it pulls when you wind in, the reel is set for the other hand.'],
		cautions: [],
		seconds: SECONDS.last
	})
];

export const outingTools = (setup: JobSetup): Tool[] => [
	{ key: 'reel', name: ['Rod and reel'], purpose: 'put together, the rod standing nowhere that it falls' },
	{ key: 'leader', name: ['A spare leader, ', { leaderMm: setup.leaderMm }], purpose: 'and tippet' },
	tool('nippers')
];
