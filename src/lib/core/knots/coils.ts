import type { Vec3 } from './curve';
import type { Knot } from './knot';
import { coilLength, coilPath, type Coil } from './shapes';
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
/** Backing that comes in along the axis, goes round the arbor, and comes back as the strand that is coiled. */
function roundArbor(turns: number, gap: number, tag: number, open = false): Strand[] {
	const coil: Coil = { x: 0, core: 1, radius: 1, standing: 6, tag, turns, gap, open };
	const right = coilLength(coil) + 6;
	const centre = right + ARBOR_MM + 3;
	const r = ARBOR_MM + 1.3;
	const round = Array.from({ length: 9 }, (_, i): Vec3 => {
		const angle = -0.8 * Math.PI + (1.6 * Math.PI * i) / 8;
		return [centre + r * Math.cos(angle), r * Math.sin(angle), -0.4 + (0.8 * i) / 8];
	});
	const [back, ...wound] = coilPath(coil);
	const arbor = Array.from({ length: 24 }, (_, i): Vec3 => [
		centre + (ARBOR_MM - 1.4) * Math.cos((Math.PI * i) / 12),
		(ARBOR_MM - 1.4) * Math.sin((Math.PI * i) / 12),
		0
	]);
	return [
		strand('arbor', 1, arbor, { start: 'object', end: 'object', closed: true }),
		strand(
			'backing',
			1,
			[[-REACH - 4, 0, 0], [-8, 0, 0], [0.5 * right, 0, 0], [right - 2, 0, 0], ...round, back!, ...wound],
			{
				start: 'standing',
				end: 'tag'
			}
		)
	];
}

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
			strands: () => roundArbor(1, 0.8, 5, true)
		},
		{
			title: 'Turns',
			instruction: 'Wrap the end round both strands, toward the arbor.',
			mistake: 'Wrapping round one strand only.',
			looks: 'Turns side by side over both.',
			cautions: [],
			strands: (wraps) => roundArbor(wraps, 0.8, 5, true)
		},
		{
			title: 'Through',
			instruction: 'Pass the end back under all turns, the way it came.',
			mistake: 'Through the last turn only.',
			looks: 'The end comes out beside the standing part.',
			cautions: [],
			strands: (wraps) => roundArbor(wraps, 0.8, 9)
		},
		{
			title: 'Draw up and slide',
			instruction:
				'Moisten, pull the end to close the turns, then slide the knot down to the arbor and trim.',
			mistake: 'Sliding it before it is closed.',
			looks: 'A tight barrel against the arbor.',
			cautions: ['blades'],
			strands: (wraps) => roundArbor(wraps, 0.45, 5)
		}
	]
};
