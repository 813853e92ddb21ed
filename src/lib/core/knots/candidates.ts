import {
	BARE,
	CUT_TO_CHANGE,
	FIRST,
	JOINTS,
	LOOP_OFF,
	NAIL_RULES,
	NEEDS_PRACTICE,
	nailWraps,
	passes,
	ratio,
	without,
	type Candidate,
	type Rule
} from './candidate-rules';

/** What each knot is good for, and for whom. Common practice; the points are a judgement of this application's. */
export const CANDIDATES: readonly Candidate[] = [
	{
		slug: 'overhand-arbor',
		wraps: ({ slick }) => (slick ? 2 : 1),
		places: ['arbor'],
		buys: 'Two plain knots that anyone remembers.',
		points: 3,
		rules: [
			BARE,
			{ when: (s) => s.skill === FIRST, points: 1, says: 'The easiest to get right the first time.' },
			{ when: (s) => s.slick, points: -1, says: 'In slick braid only doubled, and still the first to creep.' }
		]
	},
	{
		slug: 'uni-arbor',
		wraps: ({ slick }) => (slick ? 5 : 4),
		places: ['arbor'],
		buys: 'Slides down tight and holds well.',
		points: 2.5,
		rules: [
			BARE,
			{ when: (s) => s.slick, points: 1.5, says: 'Its turns grip thin braid.' },
			{ when: (s) => s.skill === 'daily', points: 0.5, says: 'Quick once it is in the fingers.' },
			{
				when: (s) => s.skill === FIRST,
				points: -0.5,
				says: 'One thing more to learn for a knot never seen again.'
			}
		]
	},
	{
		slug: 'spool-loop',
		wraps: ({ slick }) => (slick ? 3 : 2),
		places: ['arbor'],
		buys: 'Tied away from the spool, and comes off again whole.',
		points: 2,
		rules: [
			BARE,
			{ when: (s) => s.swaps === 'often', points: 1.5, says: 'Backing and all comes off in one piece.' },
			{ when: (s) => s.cage === 'closed', lacks: 'An open cage: it has to pass over the whole spool.' }
		]
	},
	{
		slug: 'double-uni',
		wraps: () => 4,
		places: ['bed', 'tippet', 'line-line'],
		buys: 'Each half is a knot you may know from the arbor; holds in braid as in mono.',
		points: 2.5,
		rules: [
			{ when: (s) => s.slick, points: 1, says: 'Grips slick braid; take a turn or two more there.' },
			{
				when: (s) => s.place !== 'bed' && ratio(s) > 1.6,
				points: -2,
				says: 'It needs two strands of about the same thickness.'
			},
			...CUT_TO_CHANGE.map((rule): Rule => ({
				...rule,
				when: (s) => s.place === 'line-line' && rule.when(s)
			}))
		]
	},
	{
		slug: 'surgeons-loop',
		wraps: passes,
		places: ['loop'],
		buys: 'Known to most, strong enough for any trout.',
		points: 3,
		rules: [{ when: (s) => passes(s) === 3, points: 0, says: 'Thin or slick: three passes.' }]
	},
	{
		slug: 'surgeons-loop-two',
		wraps: passes,
		places: ['loop'],
		buys: 'The loop stands straight and handles well.',
		points: 2.4,
		rules: [
			{
				when: (s) => s.swaps === 'often',
				points: 1,
				says: "You pass lines through it often, and it doesn't curl."
			},
			{ when: (s) => s.smooth, points: -0.7, says: 'Two small lumps in the guides instead of one.' }
		]
	},
	{
		slug: 'bimini',
		wraps: () => 20,
		places: ['loop'],
		buys: 'Nearly the full strength of the backing.',
		points: 0.5,
		rules: [
			{ when: (s) => s.water === 'salt', points: 1, says: 'For fish that take a lot of backing.' },
			{ when: (s) => s.skill === 'daily', points: 1, says: 'You have the practice for it.' },
			{ when: (s) => s.skill === FIRST, points: -3, says: 'Not from a page: learn it beside someone.' },
			{ when: (s) => s.water === 'fresh', points: -0.5, says: 'More than trout need.' }
		]
	},
	{
		slug: 'loop-to-loop',
		wraps: () => 1,
		places: JOINTS,
		buys: 'Changed in minutes, by anyone, without tools.',
		points: 3,
		rules: [
			{
				when: (s) => s.loop === 'none',
				lacks: 'There is no loop at this end of the line. Make one first: a loop of your own.'
			},
			{ when: (s) => s.swaps === 'often', points: 3, says: 'Lines are changed often here.' },
			{ when: (s) => s.swaps === 'seldom', points: 1, says: 'The next change takes minutes.' },
			{ when: (s) => s.smooth, points: -1.5, says: 'A lump that is felt in small guides.' },
			{ when: (s) => s.skill === FIRST, points: 0.5, says: 'You only have to learn to draw it up square.' }
		]
	},
	{
		slug: 'own-loop',
		wraps: () => 6,
		places: JOINTS,
		buys: 'A loop where there is none: from then on lines change in minutes.',
		points: 2,
		rules: [
			{ when: (s) => s.loop === 'welded', lacks: 'Not needed: this end has a loop.' },
			{
				when: (s) => s.swaps === 'often',
				points: 3,
				says: 'Worth the quarter of an hour when lines change often.'
			},
			{ when: (s) => s.swaps === 'seldom', points: 0.5, says: 'The next change takes minutes.' },
			{ when: (s) => s.smooth, points: -1, says: 'Two bands and a joint in the guides.' },
			{
				when: without('tube', 'nail-tool', 'stiff-piece'),
				points: -2,
				says: 'It takes two nail knots, and you have nothing to tie them over.'
			},
			{ when: without('glue'), points: -1, says: 'Its ends need sealing, and you have no glue.' },
			{ when: (s) => s.skill === FIRST, points: -1, says: 'Two nail knots to get right.' }
		]
	},
	{
		slug: 'nail-knot',
		wraps: nailWraps,
		places: JOINTS,
		buys: 'Slim and strong on plain line.',
		points: 3,
		rules: [...NAIL_RULES, { when: without('tube'), lacks: 'A thin tube to tie it over.' }]
	},
	{
		slug: 'nail-knot-tool',
		wraps: nailWraps,
		places: JOINTS,
		buys: 'The same knot, the tool holding the wraps.',
		points: 3.2,
		rules: [...NAIL_RULES, { when: without('nail-tool'), lacks: 'A grooved tool.' }]
	},
	{
		slug: 'nail-knot-pulled',
		wraps: nailWraps,
		places: JOINTS,
		buys: 'The same knot with what you have: a stiff thin piece and a loop of fine mono.',
		points: 2.6,
		rules: [
			...NAIL_RULES,
			{ when: without('stiff-piece'), lacks: 'Something thin and stiff, and a foot of fine mono.' }
		]
	},
	{
		slug: 'albright',
		wraps: ({ water, slick }) => (water === 'salt' || slick ? 10 : 8),
		places: ['backing-line', 'line-line', 'leader-line', 'bed'],
		buys: 'Joins thin to thick, and you need only your fingers.',
		points: 2.6,
		rules: [
			...CUT_TO_CHANGE,
			LOOP_OFF,
			NEEDS_PRACTICE,
			{ when: (s) => ratio(s) > 2.5, points: 0.5, says: 'Made for strands this different.' },
			{
				when: (s) => ratio(s) < 1.4,
				points: -1.5,
				says: 'The fold should be clearly thicker than what is wound on it.'
			},
			{ when: without('tube', 'nail-tool', 'stiff-piece'), points: 0.5, says: 'Needs no tool.' },
			{ when: (s) => s.smooth, points: 0.7, says: 'Smooth enough, a little bulkier than a nail knot.' }
		]
	},
	{
		slug: 'needle-nail-knot',
		wraps: () => 6,
		places: ['leader-line'],
		buys: "The leader leaves from the middle of the line's end: nothing catches at all.",
		points: 2.2,
		rules: [
			{ when: (s) => s.smooth, points: 3, says: 'The smoothest of the knots.' },
			...CUT_TO_CHANGE,
			LOOP_OFF,
			{ when: without('needle'), lacks: 'A needle.' },
			{
				when: (s) => s.skill === FIRST,
				points: -2,
				says: 'Slow work the first time, and the point is sharp.'
			}
		]
	},
	{
		slug: 'glued-splice',
		wraps: () => 1,
		places: ['leader-line'],
		buys: 'No lump at all.',
		points: 1.4,
		rules: [
			{ when: (s) => s.smooth, points: 3, says: 'Nothing to feel in the guides.' },
			...CUT_TO_CHANGE,
			LOOP_OFF,
			{ when: without('needle', 'glue'), lacks: 'A needle and flexible glue.' },
			{ when: (s) => !without('needle')(s) && without('glue')(s), lacks: 'Flexible glue.' },
			{ when: (s) => !without('glue')(s) && without('needle')(s), lacks: 'A needle.' },
			{ when: (s) => s.skill === FIRST, points: -1.5, says: 'It cannot be seen whether it holds.' },
			{
				when: (s) => s.water === 'salt',
				points: -1,
				says: 'Glue ages: a joint for strong fish is better tied.'
			}
		]
	},
	{
		slug: 'surgeons-join',
		wraps: passes,
		places: ['tippet', 'bed'],
		buys: 'Quick, and bears strands of rather different thickness.',
		points: 3,
		rules: [
			{ when: (s) => ratio(s) > 1.3, points: 1, says: 'The two differ in thickness.' },
			{
				when: (s) => s.skill === FIRST,
				points: 1,
				says: 'The easiest to get right, and in cold fingers too.'
			},
			{ when: (s) => s.smooth, points: -0.5, says: 'Bulkier, and a little bent.' },
			{ when: (s) => s.place === 'bed', points: -1.5, says: 'The whole bed has to be passed through.' }
		]
	},
	{
		slug: 'blood-knot',
		wraps: ({ thinMm }) => (thinMm < 0.2 ? 6 : 5),
		places: ['tippet'],
		buys: 'Slim and straight.',
		points: 2.8,
		rules: [
			{ when: (s) => s.smooth, points: 1, says: 'Runs through guides in a straight line.' },
			{ when: (s) => ratio(s) <= 1.2, points: 0.7, says: 'Two strands alike: what it is made for.' },
			{
				when: (s) => ratio(s) > 1.4,
				points: -2,
				says: 'The thinner one slips or breaks when they differ this much.'
			},
			{ when: (s) => s.slick, points: -2, says: 'Slick braid slides out of it.' },
			NEEDS_PRACTICE
		]
	},
	{
		slug: 'swivel-tied',
		wraps: () => 5,
		places: ['line-line'],
		buys: 'Twist goes out at it, and what is outside changes in a moment.',
		points: 1,
		rules: [
			{ when: (s) => s.smooth, points: -3, says: 'It stops at the tip guide.' },
			{ when: (s) => s.swaps === 'often', points: 0.5, says: 'Quick to change.' }
		]
	},
	{
		slug: 'wire-crimp',
		wraps: () => 1,
		places: ['wire', 'line-line'],
		buys: 'Wire that is too stiff to knot holds in a pressed sleeve.',
		points: 3,
		rules: [
			{
				when: (s) => s.place === 'line-line',
				points: -3.5,
				says: 'Only for a segment of wire: in anything else a knot is better.'
			},
			{ when: without('crimper'), lacks: 'A crimping tool that fits the sleeve: pliers cut the wire.' }
		]
	}
];
