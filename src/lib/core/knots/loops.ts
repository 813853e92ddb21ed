import type { Vec3 } from './curve';
import type { Knot } from './knot';
import { strand, type Strand, type StrandRole } from './strand';

/** How a bight lies at the crossings it meets on its way: +1 above, −1 below the other. */
interface Lie {
	/** Its legs at the other's bight; its sides where both widen; the other's legs at its own bight. */
	readonly legs: 1 | -1;
	readonly sides: 1 | -1;
	readonly bight: 1 | -1;
}

/** Half widths and reaches, mm: the legs, the bight, how far it reaches past the middle. */
interface Size {
	readonly leg: number;
	readonly wide: number;
	readonly reach: number;
	readonly lift: number;
}
const LEAD = 18;

/** A bight that comes from the left, its two legs together, opens, and turns round on the right. */
function bight({ leg, wide, reach, lift }: Size, { legs, sides, bight: tip }: Lie): Vec3[] {
	const upper: Vec3[] = [
		[-LEAD, leg, 0],
		[-reach - 3.5, leg, 0],
		[-reach, leg, lift * legs],
		[-0.5 * reach, leg + 0.1 * (wide - leg), 0.5 * lift * (legs + sides)],
		// A little past the middle: two curves that are each other turned round must not meet in a point of both.
		[0.05 * reach, 0.5 * wide + 0.5 * leg, lift * sides],
		[0.5 * reach, wide, 0.5 * lift * (sides + tip)],
		[0.82 * reach, 0.86 * wide, 0.5 * lift * tip],
		[reach, leg, lift * tip],
		[1.05 * reach, 0, lift * tip]
	];
	const lower = upper.slice(0, -1).reverse();
	return [...upper, ...lower.map(([x, y, z]): Vec3 => [x, -y, z])];
}
const turnedRound = (points: readonly Vec3[]): Vec3[] => points.map(([x, y, z]) => [-x, y, z]);

const one = (role: StrandRole, points: readonly Vec3[]): Strand =>
	strand(role, 1, points, { start: 'standing', end: 'standing' });
const FLAT: Lie = { legs: 1, sides: 1, bight: 1 };

/** Two bights as a reef knot has them: at every crossing of one the other has gone on the other side before. */
const square = (size: Size): Strand[] => [
	one('backing', bight(size, { legs: 1, sides: -1, bight: 1 })),
	one('line', turnedRound(bight({ ...size, lift: 0 }, FLAT)))
];

const OPEN: Size = { leg: 1.9, wide: 4.9, reach: 7.4, lift: 2.8 };

const shifted = (points: readonly Vec3[], byX: number): Vec3[] => points.map(([x, y, z]) => [x + byX, y, z]);

/** One loop hitched round the end of the other: the other stays straight, this one crosses itself. */
function hitched(): Strand[] {
	const leg: Vec3[] = [
		[-LEAD, 1.4, 0],
		[-10.5, 1.4, -0.6],
		[-8.6, 1.4, -1.3],
		[-6, 1.3, 0.8],
		[-3.4, 1.3, 2.2],
		[-0.6, 1.6, 1.4],
		[0.6, 2.6, 0],
		[-0.6, 3.6, -1.6],
		[-3.4, 3.7, -2.3],
		[-6.4, 3.7, -0.4],
		[-8.4, 3, 0.9],
		[-8.7, 1.4, 1.3],
		[-8.7, 0, 1.5]
	];
	const other: Vec3[] = leg
		.slice(0, -1)
		.reverse()
		.map(([x, y, z]): Vec3 => [x, -y, z]);
	const plain: Vec3[] = [
		[LEAD, 3, 0],
		[8, 4.4, 0],
		[2, 6.2, 0],
		[-1.6, 5.8, 0],
		[-3.3, 3.7, 0],
		[-3.4, 1.3, 0],
		[-3.4, -1.3, 0],
		[-3.3, -3.7, 0],
		[-1.6, -5.8, 0],
		[2, -6.2, 0],
		[8, -4.4, 0],
		[LEAD, -3, 0]
	];
	return [one('backing', [...leg, ...other]), one('line', plain)];
}

export const LOOP_TO_LOOP: Knot = {
	slug: 'loop-to-loop',
	name: 'Loop to loop',
	joins: 'Backing to line, line to leader: lines swap in minutes.',
	wraps: { noun: 'loops', least: 1, most: 1, usual: 1 },
	stages: [
		{
			title: 'Two loops',
			instruction: "Take the loop of what is on the reel, and the line's own loop.",
			mistake: 'A loop too small: the whole coil of line has to pass through the one on the reel.',
			looks: 'Two loops, each open, pointing at each other.',
			cautions: [],
			strands: () => [
				one('backing', shifted(bight(OPEN, FLAT), -9.5)),
				one('line', shifted(turnedRound(bight(OPEN, FLAT)), 9.5))
			]
		},
		{
			title: 'One through the other',
			instruction: "Pass the reel's loop through the line's loop.",
			mistake: 'Through it twice.',
			looks: "The reel's loop comes up through the line's.",
			cautions: [],
			strands: () => [
				one(
					'backing',
					shifted(bight({ ...OPEN, wide: 2.4, lift: 3.2 }, { legs: 1, sides: 1, bight: 1 }), -3.4)
				),
				one('line', shifted(turnedRound(bight({ ...OPEN, wide: 6.4, lift: 0 }, FLAT)), 2))
			]
		},
		{
			title: 'The coil through that',
			instruction: "Pass the whole coil of line through the reel's loop.",
			mistake: 'Passing it through its own loop instead.',
			looks: 'Each loop goes round both legs of the other.',
			cautions: [],
			strands: () => square({ ...OPEN, reach: 8.4, wide: 5.6 })
		},
		{
			title: 'Draw up square',
			instruction: 'Pull both sides at once, and help the loops over each other with a thumbnail.',
			mistake: 'Pulling on one side only: its loop flips over and hitches round the other.',
			looks: 'A square, like a reef knot: the same from both sides, no lump.',
			cautions: [],
			strands: () => square(OPEN),
			wrong: {
				strands: hitched,
				says: 'Hitched: one loop has flipped and sits round the other as a lump. It cuts under load.'
			}
		}
	]
};
