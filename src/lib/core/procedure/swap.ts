import { ROLE_NAMES, type Role } from '../fit/stack';
import { gapStep, labelStep, lastLookStep, leaderStep } from './finish';
import { isUnder, type JobPart, type JobSetup, type Joint } from './job';
import { nailTools, tyingOf } from './joints';
import { laidOutStep } from './prepare';
import { amount, step, type Step } from './step';
import { windingSeconds } from './times';
import { tool, type Tool } from './tools';
import { partSteps } from './winding';

/** A part that comes off, as it lies now. */
export interface OffPart {
	readonly id: string;
	readonly role: Role;
	readonly label: string;
	readonly lengthMm: number;
	readonly turns: number;
	/** How its rear end is joined to the strand under it. */
	readonly joint: Joint;
}

/** Where a part comes from that goes on. */
export interface OnSource {
	readonly part: string;
	readonly from: 'coil' | 'reel' | 'new';
	/** What is written on the coil, or the name of the reel. */
	readonly where: string;
}

/** What a spool changes from, and to. Strands below stay. */
export interface SwapPlan {
	/** The outermost first. */
	readonly off: readonly OffPart[];
	/** From the inside outward; each is a part of the set-up that is wound. */
	readonly on: readonly OnSource[];
	/** What stays outermost under them. */
	readonly over: Role | undefined;
}

const SECONDS = { leaderOff: 60, off: 60, tie: 180, tug: 120, hub: 120 } as const;

const isLooped = ({ joint }: OffPart): boolean => joint === 'loops' || joint === 'own-loop';
const parted = (part: OffPart): string =>
	isLooped(part)
		? 'Push the two loops together until they open, and part them. Both loops stay: they are used again.'
		: 'Cut the line close to the knot.';

/** Without a table, storage spool or hub: bare hands, and something for the coils. */
const onTheWay = ({ schools }: JobSetup): boolean => schools.swapPlace === 'water';

function offStep(setup: JobSetup, part: OffPart, outermost: boolean): Step {
	const loose = onTheWay(setup);
	return step(
		'off',
		{
			title: `Take the ${ROLE_NAMES[part.role]} off`,
			instructions: [
				...(outermost
					? [['Take the leader off, and straighten the front loop. Keep flies away from moving line.']]
					: []),
				['Loosen the drag all the way, so that the reel gives line without a pull.'],
				...(loose
					? [
							[
								'Pull the line off into a hat, a bucket or a dry bowl, coil on coil, front end first. Keep your feet and the wind away from it.'
							],
							[`The rear end comes last and lies on top. ${parted(part)}`]
						]
					: [
							[
								"Have the ties ready: lay them into the storage spool first, across its hub. Put it on an axle, hold the line's front end through the hole in its side, and make the first turns by hand."
							],
							[
								'Then wind the line on to it. Both the reel and the storage spool turn; some squeeze the storage spool between their knees for tension.'
							],
							[`The rear end comes last and ends up outermost. ${parted(part)}`]
						])
			],
			right: [
				loose
					? 'The coils lie one on the other, with the rear end on top.'
					: 'The line lies flat on the storage spool without curling, with its rear end outermost.'
			],
			wrong: [
				loose
					? 'Coils were lifted and turned over, or the wind got into them.'
					: 'The line came off over the side of something that stood still, or it springs up in loops.'
			],
			then: [
				loose
					? 'Leave it, and pull the line up from the top coil, one at a time. Never pull on a tangle.'
					: 'Let it run off again, lay it out straight, and wind it on with both turning.'
			],
			cautions: ['no-fly'],
			figure: amount('To take off', part),
			seconds: SECONDS.off + windingSeconds(setup, part.turns) + (outermost ? SECONDS.leaderOff : 0)
		},
		part.id
	);
}

const tieStep = (setup: JobSetup, part: OffPart): Step =>
	step(
		'tie',
		{
			title: `Tie and label the ${ROLE_NAMES[part.role]}`,
			instructions: [
				...(onTheWay(setup)
					? [
							[
								'Take it out of the bucket in coils as wide as your two hands, starting from the rear end on top. That puts some twist in. It goes out at home: stretch the line there before you wind it on again.'
							]
						]
					: []),
				[
					'Tie it in two to four places, evenly round, loose enough not to dent it. Use pipe cleaners or soft twine, never bare wire.'
				],
				['Type what the label says: what it is, which end comes first, and when. Wendle prints it to size.']
			],
			right: ['The coil keeps its shape when you hold it by one tie, and anyone can tell what it is.'],
			wrong: ['It has only one tie, so it opens in the drawer and tangles.'],
			then: ['Tie it again before it is put down.'],
			cautions: [],
			seconds: SECONDS.tie
		},
		part.id
	);

const tugStep = (): Step =>
	step('tug', {
		title: 'Tug-test the backing',
		instructions: [
			['Pull a few yards off, wrap them round a gloved hand or a smooth post, and pull hard, several times.'],
			['Look at it too. If it is stiff, faded, fluffy or smells of rot, it was wetted and dried too often.']
		],
		right: ["It doesn't give, and looks as it did before."],
		wrong: ['It breaks, or looks worn.'],
		then: ['Cut back the part that is bad and test again. If all of it is bad, take it off.'],
		cautions: ['thin-braid'],
		seconds: SECONDS.tug
	});

/** The same with bare hands: off another reel into the bucket, or the coil over two hands. */
function inHandStep(part: JobPart, reel: boolean, where: string): Step {
	const name = ROLE_NAMES[part.role];
	return step(
		'hub',
		{
			title: reel ? `Take the ${name} off ${where}` : `Hold the ${name}'s coil so that it turns`,
			instructions: reel
				? [
						[
							`${part.label} comes from ${where}. Loosen that reel's drag, take its leader off, and pull the line off into a bucket, front end first. Its rear end comes last and lies on top.`
						],
						[
							'Then take it up from the top in coils as wide as your two hands, with the rear end outside, and tie it in two places. A loose heap does not pass through a loop.'
						]
					]
				: [
						[
							'It is joined now. Hold the coil over both hands, or over your knees, and only then take the ties off, one after the other, from the inside.'
						],
						['Turn your hands over each other as the line leaves, so that it comes off without twisting.']
					],
			right: [
				reel
					? 'You hold one tied coil, its rear end outside.'
					: 'The line leaves from the outside of the coil.'
			],
			wrong: [reel ? 'The coils were turned over.' : 'Coils slip off over your fingertips.'],
			then: [
				reel
					? 'Pull the line up from the top coil, one at a time.'
					: 'Put two ties back on, lay the coil back together, and try again.'
			],
			cautions: [],
			seconds: SECONDS.hub
		},
		part.id
	);
}

function hubStep(setup: JobSetup, { from, where }: OnSource, part: JobPart): Step {
	const name = ROLE_NAMES[part.role];
	const reel = from === 'reel';
	if (onTheWay(setup)) return inHandStep(part, reel, where);
	return step(
		'hub',
		{
			title: reel ? `Take the ${name} off ${where}` : `Put the ${name}'s coil on a hub that turns`,
			instructions: reel
				? [
						[
							`${part.label} comes from ${where}. Put that reel on a second butt or in a clamp, with its drag loose, and take its leader off.`
						],
						[
							'Wind the line on to a storage spool, front end first, with both turning. Its rear end comes last, ends up outermost, and goes on first here.'
						]
					]
				: [
						[
							'It is joined now. Put the coil over the hub, which turns on an axle, and only then take the ties off, one after the other, from the inside.'
						]
					],
			right: [
				reel
					? 'All of it is on the storage spool, its rear end outermost.'
					: 'Pull off a yard: the hub turns, and the line hangs without curling.'
			],
			wrong: [
				reel
					? 'It came off over the side of something that stood still.'
					: 'Coils slip over the side, or the whole coil lifts off the hub.'
			],
			then: [
				reel
					? 'Let it run off again, lay it out straight, and wind it on with both turning.'
					: 'Put the ties back on, find a hub that fits better, and try again.'
			],
			cautions: [],
			seconds: SECONDS.hub
		},
		part.id
	);
}

/** What is taken off: off, tied, labelled; and the backing tested where it lies bare. */
const offSteps = (setup: JobSetup, { off, over }: SwapPlan): Step[] => [
	...off.flatMap((part, i) => [offStep(setup, part, i === 0), tieStep(setup, part)]),
	...(over === 'backing' ? [tugStep()] : [])
];

/**
 * The steps of a swap: the outermost strands come off, others go on in their place, and the strands under them stay. With
 * nothing to go on it ends when what came off is put away. Content is common practice.
 */
export function swapSteps(setup: JobSetup, plan: SwapPlan): Step[] {
	const on = plan.on.flatMap((source) => {
		const at = setup.parts.findIndex(({ id }) => id === source.part);
		const part = setup.parts[at];
		if (!part) return [];
		const hub = hubStep(setup, source, part);
		// A coil is joined while it is tied, so that it passes through the loop; what is on a reel has to come off it first.
		const innermost = source === plan.on[0] ? plan.off.at(-1) : undefined;
		const loop = innermost !== undefined && isLooped(innermost);
		return source.from === 'reel'
			? [hub, ...partSteps(setup, part, setup.parts[at - 1], { loop, from: 'reel', inHand: onTheWay(setup) })]
			: partSteps(setup, part, setup.parts[at - 1], {
					loop,
					from: 'coil',
					where: source.where,
					ready: [hub]
				});
	});
	return [
		laidOutStep(),
		...offSteps(setup, plan),
		...on,
		...(on.length > 0 ? [gapStep(setup), leaderStep(setup), lastLookStep(setup), labelStep()] : [])
	];
}

/** So many storage spools. */
const severalOf = (one: Tool, count: number): Tool => ({
	...one,
	name: [`${count} storage spools, one for each line that comes off`]
});

/** What a swap takes. */
export function swapTools(setup: JobSetup, { off, on, over }: SwapPlan): Tool[] {
	const parts = on.flatMap(({ part, where }) => {
		const at = setup.parts.findIndex(({ id }) => id === part);
		return at < 0 ? [] : [{ part: setup.parts[at]!, under: setup.parts[at - 1], where }];
	});
	/** One for each strand that comes off, of this reel or of another. */
	const storages = off.length + on.filter(({ from }) => from === 'reel').length;
	const loose = onTheWay(setup);
	const turning = on.some(({ from }) => from !== 'reel') ? (['hub', 'axle'] as const) : (['axle'] as const);
	const keys = [
		...(storages > 0 ? ([loose ? 'bucket' : 'storage'] as const) : []),
		...(off.length > 0 || (loose && storages > 0) ? (['ties', 'label'] as const) : []),
		...(loose ? [] : turning),
		...parts.flatMap(({ part, under }) => (under ? tyingOf(setup, part, under).tools : [])),
		...(parts.length > 0 && setup.schools.frontLoop === 'cut'
			? [...nailTools(setup), 'forceps' as const]
			: []),
		...(over === 'backing' || parts.some(({ part }) => isUnder(part.role)) ? (['glove'] as const) : []),
		...(parts.length > 0 ? (['rule', 'cloth'] as const) : []),
		'nippers' as const
	];
	return [
		{ key: 'reel', name: ['The reel, with its drag loose'], purpose: 'the leader off' },
		...parts.map(({ part, where }): Tool => ({
			key: `part:${part.id}`,
			name: [`${part.label}, `, { longMm: part.lengthMm }],
			purpose: where === '' ? 'its ties still on' : where
		})),
		...[...new Set(keys)]
			.map(tool)
			.map((one) => (one.key === 'storage' && storages > 1 ? severalOf(one, storages) : one))
	];
}
