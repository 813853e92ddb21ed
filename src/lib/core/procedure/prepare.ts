import type { JobSetup } from './job';
import type { Sentence } from './phrase';
import { step, type Step } from './step';
import { PREPARING_SECONDS } from './times';

export const toolsStep = (): Step =>
	step('tools', {
		title: 'Lay everything out',
		instructions: [
			['Tick what you have. If something is missing, use what it says beside it instead.'],
			['Leave the ties on every coil of line until you wind that line.']
		],
		right: ['Everything on the list is within reach, and the table is clear.'],
		wrong: ['You have to fetch something with a half-tied knot in your fingers.'],
		then: ['Fetch it now, or use something else instead.'],
		cautions: [],
		seconds: PREPARING_SECONDS.tools
	});

/** The same for a job that leaves most of the reel as it is. */
export const laidOutStep = (): Step =>
	step('tools', {
		title: 'Lay everything out',
		instructions: [['Tick what you have. If something is missing, use what it says beside it instead.']],
		right: ['Everything on the list is within reach, and the table is clear.'],
		wrong: ['You have to fetch something with the line half off.'],
		then: ['Fetch it now, or use something else instead.'],
		cautions: [],
		seconds: PREPARING_SECONDS.tools / 2
	});

export const handStep = ({ hand }: JobSetup): Step =>
	step('hand', {
		title: `Set the reel for ${hand}-hand wind`,
		instructions: [
			[
				`Hold the reel as it hangs under the rod, with the handle on the ${hand}. The line leaves from the bottom, toward the rod's tip.`
			],
			[
				'Turn the handle to wind in: it should run freely. Pull line out, or turn the spool backward: the drag should hold.'
			],
			[
				'Most reels come set for left-hand wind. Turn yours round now if you need to. If you do it later, all the backing has to come off again.'
			]
		],
		right: [
			'It runs freely when you wind in, and the drag holds when line goes out. A reel that only clicks does so both ways: feel for the harder pull when line goes out.'
		],
		wrong: ['The harder pull is there when you wind in, or there is none either way.'],
		then: [
			"It is set for the other hand. Turn the pawl, clutch or bearing round as the reel's leaflet says, and check both ways again."
		],
		cautions: ['leaflet'],
		seconds: PREPARING_SECONDS.hand
	});

export const cageStep = ({ cage, schools }: JobSetup): Step =>
	cage === 'closed'
		? step('cage', {
				title: 'Thread the closed cage first',
				instructions: [
					...(schools.mount === 'butt'
						? [
								[
									"Lead the end through the rod's first guide, from the tip's side, so that it always comes from the same direction."
								]
							]
						: []),
					[
						`${schools.mount === 'butt' ? 'Then pass it' : 'Pass the end'} in through the frame's opening, under the line guard, before you take it round the arbor.`
					],
					[
						'If you tie it on outside the frame, the spool pinches it when you push the spool home, and you have to start again.'
					]
				],
				right: ['The end runs freely through the opening, and the spool turns.'],
				wrong: ['It runs over a pillar, or outside the frame.'],
				then: ['Pull it out and thread it again now, while nothing is tied.'],
				cautions: [],
				seconds: PREPARING_SECONDS.cage
			})
		: step('cage', {
				title: 'Open cage: spool out on the table',
				instructions: [
					...(schools.mount === 'butt'
						? [
								[
									"Lead the end through the rod's first guide, so that it always comes from the same direction."
								]
							]
						: []),
					['Take the spool out. You tie the end to it on the table and drop the spool back in.'],
					['When you put the spool back, lead the strand under the line guard or pillar.']
				],
				right: ['Nothing is caught between spool and frame.'],
				wrong: ['The spool does not click home, or the strand runs over a pillar.'],
				then: ['Lift the spool out, lead the strand under the guard, and drop it back in.'],
				cautions: [],
				seconds: PREPARING_SECONDS.cage
			});

/** A machine turns the spool. */
export const isDriven = (mount: JobSetup['schools']['mount']): boolean =>
	mount === 'drill' || mount === 'drill-hand' || mount === 'winder';

const MOUNTING: Record<JobSetup['schools']['mount'], readonly Sentence[]> = {
	butt: [
		['Put the reel on the rod butt alone, with its foot in the hood, and lock the rings one after the other.']
	],
	winder: [['Seat the reel on the winder, handle clear of everything, and lock it.']],
	drill: [
		[
			'Clamp the reel, and press the rubber cup on the middle of the spool. Set the drill to its lowest speed.'
		],
		['Try the direction with nothing on the spool. It must turn the way the handle winds.']
	],
	'drill-hand': [
		[
			'Clamp the reel, and press the rubber cup on the middle of the spool. Set the drill to its lowest speed. The drill is for the backing; the line goes on by the handle.'
		],
		['Try the direction with nothing on the spool. It must turn the way the handle winds.']
	],
	table: [['Hold the reel down on the table, or strap its foot to the edge, with the handle toward you.']]
};

export const mountStep = ({ schools }: JobSetup): Step =>
	step('mount', {
		title: 'Mount the reel',
		instructions: MOUNTING[schools.mount],
		right: ["The reel doesn't rock, and the handle turns all the way round."],
		wrong: ['The foot works loose, or the handle hits something.'],
		then: ['Seat the foot again and lock both rings; turn the reel a little.'],
		cautions: isDriven(schools.mount) ? ['no-fly', 'drill'] : ['no-fly'],
		seconds: PREPARING_SECONDS.mount
	});

const SUPPLY: Record<JobSetup['schools']['tension'], readonly Sentence[]> = {
	fingers: [
		[
			'Put it on a pencil or in a bowl. Let the line run between your thumb and finger: they give the tension.'
		]
	],
	knees: [
		[
			'Put it on an axle and hold it between your knees. Squeeze its sides a little: that gives the tension, and both hands are free.'
		]
	],
	sitting: [['Put it on the floor behind you, on an axle, and sit on the strand: that gives the tension.']],
	helper: [['Your helper holds it on a pencil as an axle and brakes it with two fingers.']],
	drag: [["Wind it off the second reel, with that reel's drag set to a firm, even pull."]],
	machine: [["Put it on the machine's axle and set the brake firm, but so that the spool still turns."]]
};

export const supplyStep = ({ schools }: JobSetup): Step =>
	step('supply', {
		title: 'Set the backing spool up so that it can spin',
		instructions: [
			...SUPPLY[schools.tension],
			...(schools.supply === 'same' && schools.tension !== 'drag'
				? [
						[
							'Turn it so that the strand leaves it on the same side as it goes on to the reel: both then turn the same way, and the coils keep their set.'
						]
					]
				: []),
			[
				'The spool must turn as the line leaves it. If the line comes off over the flange, each coil puts a turn of twist in.'
			]
		],
		right: ['Pull off a yard: the spool turns, and the strand hangs without curling.'],
		wrong: ['The spool stands still and coils slip off its side, or the slack part curls up.'],
		then: ['Stand the spool on its edge or put it on an axle, and pull that yard again.'],
		cautions: schools.tension === 'machine' ? ['drill'] : schools.tension === 'sitting' ? ['stretch'] : [],
		seconds: PREPARING_SECONDS.supply
	});
