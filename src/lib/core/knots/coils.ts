import type { Vec3 } from './curve';
import type { Knot } from './knot';
import { coilLength, coilPath, overhandPath, type Coil } from './shapes';
import { around, strand, type Strand, type StrandRole } from './strand';

const LINE_MM = 1.7;
const REACH = 16;
const COIL = { x: 0, core: LINE_MM, radius: 1, standing: REACH, tag: 10 } as const;

const flyLine = (turns: number, gap: number, tip = 6): Strand =>
	strand(
		'line',
		LINE_MM,
		[
			[-REACH - 6, 0, 0],
			[coilLength({ turns, radius: 1, gap }) + tip, 0, 0]
		],
		{ start: 'standing', end: 'tag' }
	);
const coiled = (role: StrandRole, coil: Coil): Strand =>
	strand(role, coil.radius, coilPath(coil), { start: 'standing', end: 'tag' });

const lying = (turns: number): Strand =>
	strand(
		'leader',
		1,
		[
			around(coilLength({ turns, radius: 1, gap: 0.8 }) + REACH, Math.PI / 3, 3.2),
			around(-6, Math.PI / 3, 3.2)
		],
		{ start: 'standing', end: 'tag' }
	);
/** A thin tube beside the line: what the end is to go through. */
const tube = (turns: number): Strand =>
	strand(
		'tool',
		1.2,
		[
			around(-9, -Math.PI / 3, 3.4),
			around(coilLength({ turns, radius: 1, gap: 0.8 }) + 8, -Math.PI / 3, 3.4)
		],
		{ start: 'object', end: 'object' }
	);

const nail = (turns: number, gap: number, open = false): Strand[] => [
	flyLine(turns, gap),
	coiled('leader', { ...COIL, turns, gap, open })
];
/** With the tube still in it the coil is wider by as much as the tube is thicker. */
const nailOverTube = (turns: number): Strand[] => [
	flyLine(turns, 0.8),
	tube(turns),
	coiled('leader', { ...COIL, turns, gap: 0.8, open: true })
];

export const NAIL_KNOT: Knot = {
	slug: 'nail-knot',
	name: 'Nail knot',
	joins: 'Backing or leader to a fly line without a loop: 5–7 wraps, 7–10 in salt water or on sinking line.',
	wraps: { noun: 'wraps', least: 5, most: 10, usual: 6 },
	stages: [
		{
			title: 'Lay them together',
			instruction:
				'Hold the line, a thin tube or stiff piece, and the leader side by side, with 10 in of leader to spare.',
			mistake: 'Too little to spare: the end runs out before the last wrap.',
			looks: "The leader's end points up the line, away from its tip.",
			cautions: [],
			strands: (wraps) => [flyLine(wraps, 0.8), tube(wraps), lying(wraps)]
		},
		{
			title: 'Turn back, first wrap',
			instruction: 'Turn the end back toward the tip of the line, and round line, tube and itself.',
			mistake: 'Wrapping away from the tip: the end then comes out on the wrong side.',
			looks: 'One wrap over all three, pinched under the thumb.',
			cautions: [],
			strands: () => nailOverTube(1)
		},
		{
			title: 'Wrap',
			instruction: 'Wrap toward the tip, each wrap against the one before. Do not let go.',
			mistake: 'A wrap crosses another: unwind to there, it will not come right by itself.',
			looks: 'Even wraps side by side, like thread on a reel.',
			cautions: [],
			strands: (wraps) => nailOverTube(wraps)
		},
		{
			title: 'Through',
			instruction: 'Pass the end back through the tube, under all wraps, and slide the tube out.',
			mistake: 'Letting the wraps spring apart while the tube comes out.',
			looks: 'The end comes out where the wraps began.',
			cautions: [],
			strands: (wraps) => nail(wraps, 0.8)
		},
		{
			title: 'Draw up',
			instruction:
				'Moisten. Pull both ends in turn, gently, and settle the wraps with a thumbnail before pulling hard.',
			mistake: 'Pulled hard too early, the wraps pile on each other.',
			looks: 'The wraps close up, none over another, and bite into the coating.',
			cautions: [],
			strands: (wraps) => nail(wraps, 0.4)
		},
		{
			title: 'Trim',
			instruction: 'Pull against the line, hard. Trim the end and the tip of the line close.',
			mistake: 'A tag left long catches in the guides, unless you want to feel it.',
			looks: 'A smooth barrel; it does not slide.',
			cautions: ['blades'],
			strands: (wraps) => [
				flyLine(wraps, 0.2, 2.4),
				coiled('leader', { ...COIL, turns: wraps, gap: 0.2, tag: 4 })
			]
		}
	]
};

const ARBOR_MM = 11;
/** An overhand in the end, hanging below the standing part: so many passes, drawn snug or not yet. */
function stopper(from: Vec3, passes: number, loose: boolean): Vec3[] {
	const size = loose
		? { spread: 2.2, loop: 7, pitch: 4.6, lead: 5 }
		: { spread: 1.8, loop: 3.8, pitch: 3.8, lead: 5 };
	const path = overhandPath(passes, size);
	const [x, y] = path[0]!;
	// Turned half round, so that it runs to the left and its loop hangs down.
	return path.map(([px, py, pz]) => [from[0] - 7 - (px - x), from[1] - 3.4 - (py - y), from[2] + pz]);
}

interface Round {
	readonly turns: number;
	readonly gap: number;
	readonly tag: number;
	/** The end is not through its turns yet. */
	readonly open?: boolean;
	/** A knot in the end, of so many passes. */
	readonly stopped?: { readonly passes: number; readonly loose: boolean };
}

/** Backing that comes in along the axis, goes round the arbor, and comes back as the strand that is coiled. */
function roundArbor({ turns, gap, tag, open = false, stopped }: Round): Strand[] {
	const coil: Coil = { x: 0, core: 1, radius: 1, standing: 6, tag, turns, gap, open };
	const right = coilLength(coil) + 6;
	const centre = right + ARBOR_MM + 3;
	const r = ARBOR_MM + 1.3;
	const round = Array.from({ length: 9 }, (_, i): Vec3 => {
		const angle = -0.8 * Math.PI + (1.6 * Math.PI * i) / 8;
		return [centre + r * Math.cos(angle), r * Math.sin(angle), -0.4 + (0.8 * i) / 8];
	});
	const [back, ...wound] = coilPath(coil);
	const end = stopped ? stopper(wound.at(-1)!, stopped.passes, stopped.loose) : [];
	const left = Math.min(-REACH - 4, ...end.map(([x]) => x));
	const arbor = Array.from({ length: 24 }, (_, i): Vec3 => [
		centre + (ARBOR_MM - 1.4) * Math.cos((Math.PI * i) / 12),
		(ARBOR_MM - 1.4) * Math.sin((Math.PI * i) / 12),
		0
	]);
	const standing: Vec3[] = [
		[left, 0, 0],
		[-8, 0, 0],
		[0.5 * right, 0, 0],
		[right - 2, 0, 0]
	];
	return [
		strand('arbor', 1, arbor, { start: 'object', end: 'object', closed: true }),
		strand('backing', 1, [...standing, ...round, back!, ...wound, ...end], { start: 'standing', end: 'tag' })
	];
}

export const OVERHAND_ARBOR: Knot = {
	slug: 'overhand-arbor',
	name: 'Overhand and stopper on the arbor',
	joins:
		'Backing to the arbor: one overhand round the standing part, one in the end. Single, or both doubled.',
	wraps: { noun: 'passes', least: 1, most: 2, usual: 1 },
	stages: [
		{
			title: 'Round the arbor',
			instruction: 'Lead the end round the arbor and back, and over the standing part.',
			mistake: 'In a closed cage: threading it after tying. Through the opening first.',
			looks: 'The end lies across the standing part.',
			cautions: [],
			strands: () => roundArbor({ turns: 1, gap: 0.8, tag: 5, open: true })
		},
		{
			title: 'An overhand round the standing part',
			instruction:
				'Wind the end twice round the standing part and its own strand, three times for the doubled one, and tuck it back under those turns.',
			mistake: 'Round the end itself only: then nothing holds the standing part.',
			looks: 'The standing part runs straight through the knot.',
			cautions: [],
			strands: (wraps) => roundArbor({ turns: wraps + 1, gap: 0.9, tag: 11 })
		},
		{
			title: 'A stopper in the end',
			instruction: 'An overhand in the end itself, close behind the first.',
			mistake: 'Tied too far out: the first knot slips until it reaches it.',
			looks: 'Two knots, the second in the end alone.',
			cautions: [],
			strands: (wraps) =>
				roundArbor({ turns: wraps + 1, gap: 0.6, tag: 6, stopped: { passes: wraps, loose: true } })
		},
		{
			title: 'Draw up and slide',
			instruction:
				'Moisten and seat both. Slide the first down to the arbor: the stopper follows until it meets it. Trim.',
			mistake: 'Left dry it closes halfway and slips later.',
			looks: 'Both knots together against the arbor; pulled hard, the spool turns.',
			cautions: ['blades'],
			strands: (wraps) =>
				roundArbor({ turns: wraps + 1, gap: 0.45, tag: 4, stopped: { passes: wraps, loose: false } })
		}
	]
};

export const UNI_ARBOR: Knot = {
	slug: 'uni-arbor',
	name: 'Uni type on the arbor',
	joins: 'Backing to the arbor; slides down tight.',
	wraps: { noun: 'turns', least: 3, most: 6, usual: 4 },
	stages: [
		{
			title: 'Round the arbor',
			instruction: 'Lead the end round the arbor and back along the standing part.',
			mistake: 'In a closed cage: threading it after tying. Through the opening first.',
			looks: 'The two strands lie side by side.',
			cautions: [],
			strands: () => roundArbor({ turns: 1, gap: 0.8, tag: 5, open: true })
		},
		{
			title: 'Turns',
			instruction: 'Wrap the end round both strands, toward the arbor.',
			mistake: 'Wrapping round one strand only.',
			looks: 'Turns side by side over both.',
			cautions: [],
			strands: (wraps) => roundArbor({ turns: wraps, gap: 0.8, tag: 5, open: true })
		},
		{
			title: 'Through',
			instruction: 'Pass the end back under all turns, the way it came.',
			mistake: 'Through the last turn only.',
			looks: 'The end comes out beside the standing part.',
			cautions: [],
			strands: (wraps) => roundArbor({ turns: wraps, gap: 0.8, tag: 9 })
		},
		{
			title: 'Draw up and slide',
			instruction:
				'Moisten, pull the end to close the turns, then slide the knot down to the arbor and trim.',
			mistake: 'Sliding it before it is closed.',
			looks: 'A tight barrel against the arbor.',
			cautions: ['blades'],
			strands: (wraps) => roundArbor({ turns: wraps, gap: 0.45, tag: 5 })
		}
	]
};
