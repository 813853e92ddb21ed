import { lengthOf, smooth, type Vec3 } from './curve';
import { gripOn, hold, pullLeft, pullLeftDown } from './hands';
import { inOrder, staged, withTightening, type Knot, type Pose } from './knot';
import { LOOSE } from './tight';
import { beside, coilLength, coilWay, overhandWay, type Coil, TURNS_ROUND } from './shapes';
import { strand, type KnotStrand } from './strand';
import { drawnTo, extended, upTo } from './path';

const ARBOR_MM = 11;

/** The arbor, looked at along its axis. */
const arborAt = (x: number, y = 0, outsideMm = ARBOR_MM): KnotStrand =>
	strand(
		'arbor',
		1,
		Array.from({ length: 36 }, (_, i): Vec3 => [
			x + (outsideMm - 1.4) * Math.cos((Math.PI * i) / 18),
			y + (outsideMm - 1.4) * Math.sin((Math.PI * i) / 18),
			0
		]),
		{ start: 'object', end: 'object', closed: true }
	);

/** `end`: lying 0, a turn 1, all turns 2, through 3, a knot in it 4. */
type OnArbor = Pose<'end' | 'gap' | 'tag'>;

/** An overhand in the end, hanging below the standing part. */
function stopper(from: Vec3, passes: number): Vec3[] {
	const { control } = overhandWay(passes, { spread: 2.2, loop: 7, pitch: 4.6, lead: 5 });
	const [x, y] = control[0]!;
	// Turned half round, so that it runs to the left and its loop hangs down.
	return control.map(([px, py, pz]) => [from[0] - 7 - (px - x), from[1] - 3.4 - (py - y), from[2] + pz]);
}

/** Backing that comes in along the axis, goes round the arbor, and comes back as the strand that is coiled. */
function roundArbor({ end, gap, tag }: OnArbor, turns: number, passes = 0): KnotStrand[] {
	const coil: Coil = { x: 0, core: 1, radius: 1, standing: 6, tag, turns, gap };
	const right = coilLength(coil) + 6;
	const centre = right + ARBOR_MM + 3;
	const r = ARBOR_MM + 1.3;
	const round = Array.from({ length: 9 }, (_, i): Vec3 => {
		const angle = -0.8 * Math.PI + (1.6 * Math.PI * i) / 8;
		return [centre + r * Math.cos(angle), r * Math.sin(angle), -0.4 + (0.8 * i) / 8];
	});
	const way = coilWay(coil);
	const inEnd = passes > 0 ? stopper(way.control.at(-1)!, passes) : [];
	const left = Math.min(-20, ...inEnd.map(([x]) => x));
	const standing = [left, -8, 0.5 * right, right - 2].map((x): Vec3 => [x, 0, 0]);
	const whole = extended([...standing, ...round], way, ...(passes > 0 ? [inEnd] : []));
	return [
		arborAt(centre),
		{
			role: 'backing',
			radiusMm: 1,
			closed: false,
			start: 'standing',
			end: 'tag',
			points: drawnTo(whole, end)
		}
	];
}

const OVERHANDS_TIED = { end: 4, gap: 0.6, tag: 6 };
const UNI_TIED = { end: 3, gap: 0.8, tag: 9 };

export const OVERHAND_ARBOR: Knot = {
	slug: 'overhand-arbor',
	name: 'Overhand on the arbor, with its stopper',
	joins: 'Backing to the arbor with two plain knots. Doubled, each has one more pass.',
	wraps: { noun: 'passes', least: 1, most: 2, usual: 1 },
	tightening: {
		curves: 'overhand-arbor',
		loose: (passes) => roundArbor(OVERHANDS_TIED, passes, passes),
		movements: (loose, passes) => {
			const knotless = roundArbor({ ...OVERHANDS_TIED, end: 3 }, passes, passes)[1]!;
			const between = lengthOf(knotless.points) / lengthOf(loose[1]!.points);
			// Closed, the stopper lies in the middle of what it was tied with.
			const before = between + (passes > 1 ? 0.3 : 0.36) * (1 - between);
			const up = gripOn([1, 0.05, 0]);
			return [
				{ grips: [hold(1, between), pullLeft(1, 1)] },
				{ grips: [hold(1, 0), pullLeft(1, before), pullLeft(1, 1)], mostMm: 22 },
				{ grips: [pullLeft(1, 0), up(1, before)], friction: 0.05 },
				{ grips: [pullLeft(1, 0), pullLeftDown(1, 1)], friction: 0.2, mostMm: 3 }
			];
		}
	},
	stages: staged(
		withTightening((pose: OnArbor, wraps) => roundArbor(pose, wraps, wraps)),
		[
			{
				title: 'Round the arbor',
				instruction: 'Lead the end round the arbor, two turns or three, and back beside the standing part.',
				mistake: 'In a closed cage, threading it after tying. Pass it through the opening first.',
				looks: 'Two strands side by side, ten inches of end to work with.',
				pose: { end: 0, gap: 0.8, tag: 6, ...LOOSE }
			},
			{
				title: 'An overhand round it',
				instruction: 'Tie an overhand with the end, round the standing part.',
				mistake: 'Tied in the end alone, beside the standing part. Then nothing slides down.',
				looks: 'The standing part runs straight through the knot.',
				pose: { end: 3, gap: 0.6, tag: 6, ...LOOSE }
			},
			{
				title: 'A stopper in the end',
				instruction: 'An overhand in the end itself, close behind the first.',
				mistake: 'Tied too far out. The first knot then slips until it reaches the stopper.',
				looks: 'Two knots, the second in the end alone.',
				pose: { end: 4, gap: 0.6, tag: 6, ...LOOSE }
			},
			{
				title: 'Close the stopper',
				instruction: 'Moisten both knots. Hold the strand between the two knots, and pull the end.',
				signs: ['wet'],
				mistake: 'Left dry it closes halfway and slips later.',
				looks: 'The stopper is a small bead; the first knot is still open.',
				pose: { ...OVERHANDS_TIED, tight: 1, trim: 0 }
			},
			{
				title: 'Close the first knot',
				instruction: 'Hold the standing part, and pull the stopper away from the arbor.',
				mistake: 'Pulling the standing part as well: the knot then closes hard, and no longer slides.',
				looks: 'The first knot lies close round the standing part, and still slides on it.',
				pose: { ...OVERHANDS_TIED, tight: 2, trim: 0 }
			},
			{
				title: 'Slide it down',
				instruction:
					'Pull the standing part: the first knot slides down to the arbor, and the stopper follows.',
				mistake: 'Sliding the knot before it has closed: it catches on itself.',
				looks: 'The turns lie close round the arbor, the first knot against it.',
				pose: { ...OVERHANDS_TIED, tight: 3, trim: 0 }
			},
			{
				title: 'Pull hard and trim',
				instruction: 'Pull hard until the stopper meets the first knot and the spool turns. Trim the end.',
				signs: ['cut'],
				mistake: 'Trimmed before it was pulled hard: the end can slip back into the stopper.',
				looks: 'Both knots together against the arbor; pulled hard, the spool turns.',
				cautions: ['blades'],
				pose: { ...OVERHANDS_TIED, tight: 4, trim: 1 }
			}
		]
	)
};

export const UNI_ARBOR: Knot = {
	slug: 'uni-arbor',
	name: 'Uni type on the arbor',
	joins: 'Backing to the arbor; slides down tight.',
	wraps: { noun: 'turns', least: 3, most: 6, usual: 4, counted: TURNS_ROUND },
	tightening: {
		curves: 'uni-arbor',
		loose: (turns) => roundArbor(UNI_TIED, turns),
		movements: (_, turns) => [
			// The closed turns keep together while the standing part slides through them.
			{ grips: [hold(1, 0), pullLeftDown(1, 1)], friction: 0.5, mostMm: 26 + 2 * turns },
			{ grips: [pullLeft(1, 0)], friction: 0.05, mostMm: 60 },
			{ grips: [pullLeft(1, 0), pullLeftDown(1, 1)], friction: 0.5, mostMm: 1.5 }
		]
	},
	stages: staged(
		withTightening((pose: OnArbor, wraps) => roundArbor(pose, wraps)),
		[
			{
				title: 'Round the arbor',
				instruction: 'Lead the end round the arbor and back along the standing part.',
				mistake: 'In a closed cage, threading it after tying. Pass it through the opening first.',
				looks: 'The two strands lie side by side.',
				pose: { end: 0, gap: 0.8, tag: 9, ...LOOSE }
			},
			{
				title: 'Turn back',
				instruction: 'Turn the end back toward the arbor, over both strands and round them once.',
				mistake: 'Wrapping round one strand only.',
				looks: 'One turn round both; the end still long.',
				pose: { end: 1, gap: 0.8, tag: 9, ...LOOSE }
			},
			{
				title: 'Turns',
				instruction: 'Wrap on toward the arbor, four turns or five, side by side.',
				mistake: "One turn lies over another. Then the knot doesn't slide.",
				looks: 'Turns side by side over both strands.',
				pose: { end: 2, gap: 0.8, tag: 9, ...LOOSE }
			},
			{
				title: 'Through',
				instruction: 'Pass the end back under all turns, the way it came.',
				mistake: 'Through the last turn only.',
				looks: 'The end comes out beside the standing part.',
				pose: { end: 3, gap: 0.8, tag: 9, ...LOOSE }
			},
			{
				title: 'Close the turns',
				instruction: 'Moisten. Hold the standing part and pull the end until the turns have closed.',
				signs: ['wet'],
				mistake: 'Pulling the standing part instead: the turns slide before they have closed.',
				looks: 'Turns side by side, the loop round the arbor still wide.',
				pose: { ...UNI_TIED, tight: 1, trim: 0 }
			},
			{
				title: 'Slide it down',
				instruction: 'Pull the standing part: the knot slides down to the arbor.',
				mistake: 'Sliding it before it is closed.',
				looks: 'A barrel against the arbor.',
				pose: { ...UNI_TIED, tight: 2, trim: 0 }
			},
			{
				title: 'Pull hard and trim',
				instruction: 'Pull the standing part hard, then the end. Trim the end.',
				signs: ['cut'],
				mistake: 'Trimmed flush: leave a millimetre or two.',
				looks: 'A tight barrel against the arbor; pulled hard, the spool turns.',
				cautions: ['blades'],
				pose: { ...UNI_TIED, tight: 3, trim: 1 }
			}
		]
	)
};

/** `on`: beside the spool 0, half over it 1, on it 2. `slack`: room between loop and arbor, mm; `trim`: points off the end. */
type OverSpool = Pose<'on' | 'slack' | 'trim'>;
const PAIR_MM = 1.15;
const WIDE_ARBOR_MM = 18;

/** A surgeon's loop whose loop goes round the arbor so many times, the standing part to the left. */
function overSpool({ on, slack, trim }: OverSpool, turns: number): KnotStrand[] {
	const knot = smooth(overhandWay(2, { spread: 3.4, loop: 7.5, pitch: 6.2, lead: 8 }).control);
	const [endX, endY] = knot.at(-1)!;
	const inner = WIDE_ARBOR_MM + 0.9 + slack;
	const open = 0.18;
	const sweep = 2 * Math.PI * turns - 2 * open;
	const outer = inner + (turns > 1 ? (2.5 * sweep) / (2 * Math.PI) : 0);
	const centre: Vec3 = [endX + outer + 6, endY, 0];
	// From the outermost turn, upper leg first, inward; the inner end crosses over the other turns on its way out.
	const count = 24 * turns;
	const ring = Array.from({ length: count + 1 }, (_, i): Vec3 => {
		const share = i / count;
		const r = outer - (outer - inner) * share;
		const angle = Math.PI - open - sweep * share;
		return [centre[0] + r * Math.cos(angle), centre[1] + r * Math.sin(angle), 0];
	});
	const over: Vec3[] =
		turns > 1
			? Array.from({ length: turns }, (_, i): Vec3 => [
					centre[0] - inner + 0.2 - 2.5 * (i + 0.6),
					centre[1] - 2.2,
					2.8
				])
			: [];
	const [near, far] = [beside(knot, PAIR_MM), beside(knot, -PAIR_MM)];
	const legs = smooth([near.at(-1)!, ...ring, ...over, far.at(-1)!]).slice(1, -1);
	// Before the spool first, a part of the way over it, then back on to the arbor.
	const halfOver = 0.8 * (outer + 5);
	const settled = Math.min(Math.max(on - 1, 0) / 0.7, 1);
	const lift = on <= 1.7 ? 9 : 9 * ((2 - on) / 0.3);
	const aside = on < 1 ? -halfOver * (2.5 - 1.5 * on) : -halfOver * (1 - settled);
	const shift = ([x, y, z]: Vec3): Vec3 => [x + aside, y, z + lift];
	const points = [...near, ...legs, ...far.reverse()].map(shift);
	return [
		arborAt(centre[0], endY, WIDE_ARBOR_MM),
		{
			role: 'backing',
			radiusMm: 1,
			closed: false,
			start: 'standing',
			end: 'tag',
			points: upTo(points, points.length - 1 - trim)
		}
	];
}

export const SPOOL_LOOP: Knot = {
	slug: 'spool-loop',
	name: 'Loop over the spool',
	joins: "Backing to the arbor: a surgeon's loop passed over the whole spool, open cages only.",
	wraps: { noun: 'turns', least: 1, most: 3, usual: 2 },
	stages: inOrder(
		staged(
			(pose: OverSpool) => overSpool(pose, 1),
			[
				{
					title: 'A loop that goes over it',
					instruction: "Tie a double surgeon's loop, wide enough to go over the whole spool.",
					mistake: 'Measured on the arbor. The loop has to pass over the rims.',
					looks: 'The loop, held against the spool, is wider than the rim.',
					pose: { on: 0, slack: 3, trim: 0 }
				},
				{
					title: 'In front of the spool',
					instruction:
						'Hold the spool out of its frame, and the loop before it, the standing part toward the reel seat.',
					mistake: 'It leads away from the reel seat. Then the loop can turn with the arbor.',
					looks: "The loop's end points at the reel seat.",
					pose: { on: 1, slack: 3, trim: 0 }
				}
			]
		),
		staged(overSpool, [
			{
				title: 'Over the rim',
				instruction: 'Pass it over the rim on to the arbor. For more hold twist it, and pass it over again.',
				mistake: 'Passed again without a twist. The loop falls off the way it came.',
				looks: 'As many turns round the arbor as you wanted, crossed only where they leave.',
				pose: { on: 2, slack: 3, trim: 0 }
			},
			{
				title: 'Draw up',
				instruction:
					'Moisten and pull the standing part until the turns lie on the arbor, then trim the end.',
				signs: ['wet', 'cut'],
				mistake: 'Pulled up dry, or with the knot on top of a turn: it stands up under the backing.',
				looks: 'The knot lies where the turns begin; pulled hard, the spool turns with it.',
				cautions: ['blades'],
				pose: { on: 2, slack: 0.4, trim: 19 }
			}
		])
	)
};
