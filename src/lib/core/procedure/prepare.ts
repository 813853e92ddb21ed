import type { JobSetup } from './job';
import type { Sentence } from './phrase';
import { step, type Step } from './step';
import { PREPARING_SECONDS } from './times';

export const toolsStep = (): Step =>
	step('tools', {
		title: 'Lay everything out',
		instructions: [
			['Tick what is there. Where something is missing, what can stand in for it is beside it.'],
			['Leave the ties on every coil of line until it is its turn.']
		],
		right: ['Everything on the list is within reach, and the table is clear.'],
		wrong: ['Something has to be fetched with a half-tied knot in your fingers.'],
		then: ['Fetch it now, or take the stand-in.'],
		cautions: [],
		seconds: PREPARING_SECONDS.tools
	});

/** The same for a job that leaves most of the reel as it is. */
export const laidOutStep = (): Step =>
	step('tools', {
		title: 'Lay everything out',
		instructions: [
			['Tick what is there. Where something is missing, what can stand in for it is beside it.']
		],
		right: ['Everything on the list is within reach, and the table is clear.'],
		wrong: ['Something has to be fetched with a line half off.'],
		then: ['Fetch it now, or take the stand-in.'],
		cautions: [],
		seconds: PREPARING_SECONDS.tools / 2
	});

export const handStep = ({ hand }: JobSetup): Step =>
	step('hand', {
		title: `Set the reel for ${hand}-hand wind`,
		instructions: [
			[
				`Hold the reel as it hangs under the rod, handle on the ${hand}. Line leaves from the bottom, toward the tip.`
			],
			['Turn the handle in: it should run free. Pull line, or turn the spool out: the drag should bite.'],
			[
				'Most reels arrive set for left-hand wind. Turn yours now if need be: later the backing has to come off again.'
			]
		],
		right: ['In: free. Out: the drag bites.'],
		wrong: ['It bites on the way in, or runs free both ways.'],
		then: [
			'It is set for the other hand: flip the pawl, clutch or bearing as its leaflet says, and check both ways again.'
		],
		cautions: ['leaflet'],
		seconds: PREPARING_SECONDS.hand
	});

export const cageStep = ({ cage }: JobSetup): Step =>
	cage === 'closed'
		? step('cage', {
				title: 'Thread the closed cage first',
				instructions: [
					[
						"Pass the end in through the frame's opening, under the line guard, before it goes round the arbor."
					],
					['Tied on outside the frame, it is pinched when the spool goes home and the job starts again.']
				],
				right: ['The end runs freely through the opening, and the spool turns.'],
				wrong: ['It runs over a pillar, or outside the frame.'],
				then: ['Pull it out and thread it again, now, while nothing is tied.'],
				cautions: [],
				seconds: PREPARING_SECONDS.cage
			})
		: step('cage', {
				title: 'Open cage: spool out on the table',
				instructions: [
					['Take the spool out; the end can be tied to it on the table and the spool dropped back in.'],
					['Lead the strand under the line guard or pillar when it goes back.']
				],
				right: ['Nothing is caught between spool and frame.'],
				wrong: ['The spool does not click home, or the strand runs over a pillar.'],
				then: ['Lift the spool out, lead the strand under the guard, and drop it back in.'],
				cautions: [],
				seconds: PREPARING_SECONDS.cage
			});

const MOUNTING: Record<JobSetup['schools']['mount'], readonly Sentence[]> = {
	butt: [
		['Put the reel on the rod butt alone: foot in the hood, rings locked one after the other.'],
		['Lead the strand through the first stripping guide, so that it always comes from one direction.']
	],
	winder: [['Seat the reel on the winder, handle clear of everything, and lock it.']],
	drill: [
		[
			'Clamp the reel, and press the rubber cup on the middle of the spool. Set the drill to its lowest speed.'
		],
		['Try the direction with nothing on: it must turn the way the handle winds.']
	],
	table: [['Hold the reel down on the table, or strap its foot to the edge, handle toward you.']]
};

export const mountStep = ({ schools }: JobSetup): Step =>
	step('mount', {
		title: 'Mount the reel',
		instructions: MOUNTING[schools.mount],
		right: ['It does not rock, and the handle turns all the way round.'],
		wrong: ['The foot works loose, or the handle strikes something.'],
		then: ['Seat the foot again and lock both rings; turn the reel a little.'],
		cautions: schools.mount === 'drill' || schools.mount === 'winder' ? ['no-fly', 'drill'] : ['no-fly'],
		seconds: PREPARING_SECONDS.mount
	});

const SUPPLY: Record<JobSetup['schools']['tension'], readonly Sentence[]> = {
	fingers: [
		['Put it on a pencil or in a bowl. The line runs between thumb and finger: they give the tension.']
	],
	sitting: [
		['Put it on the floor behind you, on an axle, and sit on the strand: the seat gives the tension.']
	],
	helper: [['Your helper holds it on a pencil as an axle and brakes it with two fingers.']],
	drag: [['It comes off the second reel, its drag set to a firm, even pull.']],
	machine: [["Put it on the machine's axle and set its brake: firm, but the spool must turn."]]
};

export const supplyStep = ({ schools }: JobSetup): Step =>
	step('supply', {
		title: 'Let the supply turn',
		instructions: [
			...SUPPLY[schools.tension],
			['It must turn as the line leaves: pulled off over the flange, every turn puts a twist in.']
		],
		right: ['Pull a yard: the supply turns, and the strand hangs without curling.'],
		wrong: ['The spool stands still and coils slip off its side, or the slack curls up.'],
		then: ['Set it on edge or on an axle, and pull that yard again.'],
		cautions: schools.tension === 'machine' ? ['drill'] : schools.tension === 'sitting' ? ['stretch'] : [],
		seconds: PREPARING_SECONDS.supply
	});
