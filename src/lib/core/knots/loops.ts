import type { Vec3 } from './curve';
import { pullLeft, pullRight } from './hands';
import { staged, withTightening, type Knot, type Pose } from './knot';
import { LOOSE } from './tight';
import { strand, type KnotStrand, type KnotStrandRole } from './strand';

/**
 * Two loops on their way into each other. The reel's loop: where it is (`at`), how far it reaches and how wide it is,
 * its legs' distance, and how it lies, +1 above and −1 below the line's, at its legs, its sides and its tip. The line's
 * loop: where it is, how wide, and how far its two strands are seen (`coil`), while the coil they end in goes through.
 */
type TwoLoops = Pose<
	'at' | 'reach' | 'wide' | 'leg' | 'legs' | 'sides' | 'tip' | 'lineAt' | 'lineWide' | 'coil'
>;

const LEAD = 18;
const REACH = 7.4;
/** Of the line's loop; the reel's is a little narrower, since two curves must not meet in a corner of both. */
const LEG = 1.9;
const LIFT = 3;

/** A bight that comes from the left, its two legs together, opens, and turns round on the right. */
function bight(
	{ reach, wide, leg, legs, sides, tip }: Omit<TwoLoops, 'at' | 'lineAt' | 'lineWide' | 'coil'>,
	lift: number,
	lead: number
): Vec3[] {
	const upper: Vec3[] = [
		[-lead, leg, 0],
		[-reach - 3.5, leg, 0],
		[-reach, leg, lift * legs],
		[-0.5 * reach, leg + 0.1 * (wide - leg), 0.5 * lift * (legs + sides)],
		[0.05 * reach, 0.5 * wide + 0.5 * leg, lift * sides],
		[0.5 * reach, wide, 0.5 * lift * (sides + tip)],
		[0.82 * reach, 0.86 * wide, 0.5 * lift * tip],
		[reach, leg, lift * tip],
		[1.05 * reach, 0, lift * tip]
	];
	const lower = upper.slice(0, -1).reverse();
	return [...upper, ...lower.map(([x, y, z]): Vec3 => [x, -y, z])];
}

const one = (role: KnotStrandRole, points: readonly Vec3[]): KnotStrand =>
	strand(role, 1, points, { start: 'standing', end: 'standing' });

/** A curve without what lies beyond `x`, at both its ends. */
function upToX(points: readonly Vec3[], x: number): Vec3[] {
	const first = points.findIndex((point) => point[0] <= x);
	const last = points.findLastIndex((point) => point[0] <= x);
	return points.slice(first, last + 1);
}

function twoLoops(pose: TwoLoops): KnotStrand[] {
	const { at, lineAt, lineWide, coil } = pose;
	// The far ends stay where they are, so that a loop that moves is led, not pushed.
	const reel = bight(pose, LIFT, LEAD + 4 + at).map(([x, y, z]): Vec3 => [x + at, y, z]);
	const flat = { reach: REACH, wide: lineWide, leg: LEG, legs: 0, sides: 0, tip: 0 };
	const line = bight(flat, 0, LEAD + 4 - lineAt).map(([x, y, z]): Vec3 => [lineAt - x, y, z]);
	const smoothed = one('line', line);
	return [one('backing', reel), { ...smoothed, points: upToX(smoothed.points, coil) }];
}

const APART: TwoLoops = { at: -9.5, reach: REACH, wide: 4.9, leg: LEG - 0.1, legs: 1, sides: 1, tip: 1, lineAt: 9.5, lineWide: 4.9, coil: 30 }; // prettier-ignore
const ABOVE: TwoLoops = { ...APART, at: -3.9, reach: 4, wide: 1.7, leg: 1.4, lineAt: 0, lineWide: 6.4 };
const DIPPED: TwoLoops = { ...ABOVE, sides: 0, tip: -1 };
const THROUGH: TwoLoops = { ...APART, at: 0, lineAt: 0, sides: -1, tip: -1 };
const COIL_TO_GO: TwoLoops = { ...THROUGH, coil: 5 };
const COIL_THROUGH: TwoLoops = { ...COIL_TO_GO, tip: 1 };
const SQUARE: TwoLoops = { ...THROUGH, tip: 1 };
const COILED: TwoLoops = { ...SQUARE, reach: 8.4, wide: 5.6, lineWide: 5.6 };

/** One loop hitched round the end of the other: the other stays straight, this one crosses itself. */
function hitched(): KnotStrand[] {
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
	tightening: {
		curves: 'loop-to-loop',
		loose: () => twoLoops(COILED),
		movements: () => [{ grips: [pullLeft(0, 0), pullLeft(0, 1), pullRight(1, 0), pullRight(1, 1)] }]
	},
	stages: staged(withTightening(twoLoops), [
		{
			title: 'Two loops',
			instruction: "Take the loop of the strand on the reel, and the line's own loop.",
			mistake: 'The loop is too small. The whole coil of line has to pass through the loop on the reel.',
			looks: 'Two loops, each open, pointing at each other.',
			pose: { ...APART, ...LOOSE }
		},
		{
			title: 'One through the other',
			instruction: "Pass the reel's loop down through the line's loop, and open it below.",
			mistake: 'Through it twice.',
			looks: "The reel's loop goes over the end of the line's loop, then under both its sides.",
			pose: { ...THROUGH, ...LOOSE },
			via: [ABOVE, DIPPED].map((pose) => ({ ...pose, ...LOOSE }))
		},
		{
			title: 'The coil through that',
			instruction: "Pass the whole coil of line up through the reel's loop.",
			mistake: 'Passing it through its own loop instead.',
			looks: 'Each loop goes round both strands of the other.',
			pose: { ...COILED, ...LOOSE },
			via: [COIL_TO_GO, COIL_THROUGH, SQUARE].map((pose) => ({ ...pose, ...LOOSE }))
		},
		{
			title: 'Draw up square',
			instruction: 'Pull both sides at once, and help the loops over each other with a thumbnail.',
			mistake: 'Pulling on one side only. Its loop flips over and hitches round the other.',
			looks: 'A square, like a reef knot: the same from both sides, no lump.',
			pose: { ...COILED, tight: 1, trim: 0 },
			wrong: {
				strands: hitched,
				says: 'One loop has flipped and makes a lump round the other. It cuts the line when you pull.'
			}
		}
	])
};
