import { add, norm, scale, smooth, sub, type Vec3 } from './curve';
import { hold, pullLeft, pullLeftDown, pullRight, pullRightUp } from './hands';
import { staged, withTightening, type Knot, type Pose } from './knot';
import { LOOSE } from './tight';
import type { Movement } from './hands';
import { beside, overhandWay, type OverhandSize } from './shapes';
import type { EndKind, KnotStrand, KnotStrandRole } from './strand';
import { drawnTo, type KnotPath } from './path';

/** `end`: a loop 0, once through 1, out 2. */
type Overhand = Pose<'end'>;

const SINGLE: OverhandSize = { spread: 2.6, loop: 12, pitch: 5.6, lead: 10 };

const single = ({ end }: Overhand, passes: number): KnotStrand[] => [
	{
		role: 'backing',
		radiusMm: 1,
		closed: false,
		start: 'standing',
		end: 'tag',
		points: drawnTo(overhandWay(passes, SINGLE, end), end)
	}
];

export const STOPPER: Knot = {
	slug: 'overhand-stopper',
	name: 'Overhand, single and doubled',
	joins: 'A stopper in an end, so that it cannot slip through.',
	wraps: { noun: 'passes', least: 1, most: 3, usual: 1 },
	tightening: {
		curves: 'overhand-stopper',
		loose: (passes) => single({ end: 2 }, passes),
		movements: () => [{ grips: [pullLeft(0, 0), pullRight(0, 1)] }]
	},
	stages: staged(withTightening(single), [
		{
			title: 'A loop',
			instruction: 'Lay the end back over the standing part, so that it makes a loop.',
			mistake: 'The end goes behind instead of over: then the next pass takes it out again.',
			looks: 'One crossing, the end on its own side of the loop.',
			pose: { end: 0, ...LOOSE }
		},
		{
			title: 'Through',
			instruction: 'Pass the end through the loop from behind; once more for the doubled one.',
			mistake: 'Twisting the loop instead of passing the end through it.',
			looks: 'The end comes out on the far side of where it went in.',
			pose: { end: 2, ...LOOSE }
		},
		{
			title: 'Down to where it stops',
			instruction: 'Slide it close, moisten, and pull end and standing part apart.',
			signs: ['wet'],
			mistake: 'Pulled dry it bites before it has closed.',
			looks: 'The turns lie beside each other without a gap.',
			pose: { end: 2, tight: 0.67, trim: 0 }
		},
		{
			title: 'Snug',
			instruction: 'Pull hard, then trim to a millimetre or two.',
			signs: ['cut'],
			mistake: 'Trimmed flush, it creeps back through itself.',
			looks: 'A small bead that a fingernail does not open.',
			cautions: ['blades'],
			pose: { end: 2, tight: 1, trim: 1 }
		}
	])
};

/** Half of what two strands lie apart that run a way together. */
const PAIR_MM = 1.15;
const DOUBLED: OverhandSize = { spread: 4.6, pitch: 8, loop: 15, lead: 12 };
const DOUBLED_SNUG: OverhandSize = { spread: 3.4, pitch: 6.2, loop: 8, lead: 13 };
const mixed = (loose: OverhandSize, snug: OverhandSize, share: number): OverhandSize => ({
	spread: loose.spread + share * (snug.spread - loose.spread),
	loop: loose.loop + share * (snug.loop - loose.loop),
	pitch: loose.pitch + share * (snug.pitch - loose.pitch),
	lead: loose.lead + share * (snug.lead - loose.lead)
});

/**
 * Both strands along a path, turned into one another at its end: the fold, drawn as a loop that reaches so far ahead
 * once it is out of the knot.
 */
function folded(path: readonly Vec3[], reach: number): Vec3[] {
	const [near, far] = [beside(path, PAIR_MM), beside(path, -PAIR_MM)];
	const [last, before] = [path.at(-1)!, path.at(-2)!];
	const ahead = scale(sub(last, before), 1 / norm(sub(last, before)));
	const left: Vec3 = [-ahead[1], ahead[0], 0];
	const at = (along: number, aside: number): Vec3 =>
		add(last, add(scale(ahead, along * reach), scale(left, aside)));
	const wide = PAIR_MM + 1.45 * Math.min(1, reach / 14);
	const bight =
		reach > 4
			? [at(0.45, wide), at(0.9, 0.85 * wide), at(1, 0), at(0.9, -0.85 * wide), at(0.45, -wide)]
			: [at(0.7, 0.8 * PAIR_MM), at(1, 0), at(0.7, -0.8 * PAIR_MM)];
	return [...near, ...smooth([near.at(-1)!, ...bight, far.at(-1)!]).slice(1, -1), ...far.reverse()];
}
const SHORT_MM = 1.3;

/** `reach`: how far the loop reaches when it is out. */
type Looped = Pose<'end' | 'reach'>;

const doubled = (points: readonly Vec3[]): KnotStrand[] => [
	{ role: 'backing', radiusMm: 1, closed: false, start: 'standing', end: 'tag', points }
];

/** The fold travels short and opens only on the last stretch, when it is through everything. */
const opened = (end: number, last: number, reach: number): number =>
	SHORT_MM + (reach - SHORT_MM) * Math.min(Math.max((end - last + 0.25) / 0.25, 0), 1);

const surgeons = ({ end, reach }: Looped, passes: number): KnotStrand[] =>
	doubled(folded(drawnTo(overhandWay(passes, DOUBLED, end), end), opened(end, 2, reach)));

/** `snug`: from loose 0 to drawn up 1. */
type TwoLooped = Pose<'end' | 'snug' | 'reach'>;

/** One overhand after another on the same two strands. `end`: 2 is out of the first, 5 out of the second. */
const twoInARow = ({ end, snug, reach }: TwoLooped, passes: number): KnotStrand[] => {
	const size = mixed(DOUBLED, DOUBLED_SNUG, snug);
	const first = overhandWay(passes, size, end);
	const [from, to] = [first.control.at(-1)!, first.control[0]!];
	const offset = sub(from, to);
	const again = overhandWay(passes, size, end - 3)
		.control.slice(1)
		.map((point) => add(point, offset));
	const both: KnotPath = {
		control: [...first.control, ...again],
		marks: [...first.marks, ...first.marks.map((mark) => first.control.length - 1 + mark)]
	};
	return doubled(folded(drawnTo(both, end), opened(end, 5, reach)));
};

/** The loop, over a finger, against both ends together; then each end alone. */
function fourStrands(loose: readonly KnotStrand[]): Movement[] {
	const points = loose[0]!.points;
	const tip = points.reduce((far, p) => (p[0] > far[0] ? p : far));
	const peg = { x: tip[0] - 1.02 - FINGER_MM, y: tip[1], radiusMm: FINGER_MM };
	return [
		{ grips: [pullLeft(0, 0), pullLeftDown(0, 1)], peg },
		{ grips: [pullLeft(0, 0), hold(0, 1)], peg },
		{ grips: [hold(0, 0), pullLeftDown(0, 1)], peg }
	];
}
/** As thick as fits the fold, mm of the drawing. */
const FINGER_MM = 1.4;

const FOLD = {
	title: 'Fold it, and make a loop',
	instruction:
		'Fold 18–24 in of the end back on itself. From here on the two strands are one: lay them over themselves in a loop.',
	mistake: 'Too short a fold: the line spool does not pass through the loop later.',
	looks: 'Two strands side by side all the way round, the fold at the far end.'
};

export const SURGEONS_LOOP: Knot = {
	slug: 'surgeons-loop',
	name: "Surgeon's loop, double and triple",
	joins: 'A loop in backing or leader: double in 30 lb, triple in 20 lb.',
	wraps: { noun: 'passes', least: 2, most: 3, usual: 2 },
	tightening: {
		curves: 'surgeons-loop',
		loose: (passes) => surgeons({ end: 2, reach: 16 }, passes),
		movements: fourStrands
	},
	stages: staged(withTightening(surgeons), [
		{ ...FOLD, pose: { end: 0, reach: 16, ...LOOSE } },
		{
			title: 'Through once',
			instruction: 'Pass the fold through the loop.',
			mistake: 'The two strands cross each other on the way: keep them side by side.',
			looks: 'An overhand knot, tied with both strands at once.',
			pose: { end: 1, reach: 16, ...LOOSE }
		},
		{
			title: 'Again',
			instruction: 'Pass the fold through the same loop again: twice in all, three times in thin backing.',
			mistake: 'Through once only: that is a plain overhand loop, and it slips.',
			looks: 'Two turns round the loop, or three, side by side.',
			pose: { end: 2, reach: 16, ...LOOSE }
		},
		{
			title: 'Draw it up',
			instruction: 'Moisten. Pull the loop against both other ends together, a little at a time.',
			signs: ['wet'],
			mistake: 'Pulling on one strand only: the knot rolls and one strand cuts the other.',
			looks: 'All strands tighten together and lie flat.',
			pose: { end: 2, reach: 16, tight: 0.67, trim: 0 }
		},
		{
			title: 'Snug and trimmed',
			instruction: 'Pull each of the four strands hard, then trim the end.',
			signs: ['cut'],
			mistake: 'A strand left slack inside takes no load.',
			looks: 'A compact knot; a loop of 8–10 in that stays open.',
			cautions: ['blades'],
			pose: { end: 2, reach: 16, tight: 3, trim: 1 }
		}
	])
};

export const TWO_SURGEONS_LOOPS: Knot = {
	slug: 'surgeons-loop-two',
	name: "Two surgeon's knots in a row",
	joins: 'A loop in backing that handles straight: a second knot a few inches behind the first.',
	wraps: { noun: 'passes', least: 2, most: 3, usual: 2 },
	stages: staged(twoInARow, [
		{
			...FOLD,
			instruction:
				'Fold 30 in of the end back on itself, and lay both strands over themselves in a loop, far back in the fold.',
			pose: { end: 0, reach: 16, snug: 0 }
		},
		{
			title: 'The first knot',
			instruction: 'Pass the fold through the loop twice, three times in thin backing.',
			mistake: 'Tied near the fold: then there is no room for the second.',
			looks: "A surgeon's knot, the fold still long.",
			pose: { end: 2, reach: 16, snug: 0 }
		},
		{
			title: 'A loop again',
			instruction: 'Three or four inches nearer the fold, lay both strands over themselves once more.',
			mistake: 'The two strands twisted between the knots: they then pull unevenly.',
			looks: 'Both strands run side by side from the first knot to the second.',
			pose: { end: 3, reach: 16, snug: 0 }
		},
		{
			title: 'The second knot',
			instruction: 'Pass the fold through as often as before.',
			mistake: 'Fewer passes than in the first: the weaker one slips.',
			looks: 'Two knots alike.',
			pose: { end: 5, reach: 16, snug: 0 }
		},
		{
			title: 'Draw both up and trim',
			instruction: 'Moisten and pull the second snug, then the first, all four strands each. Trim.',
			signs: ['wet', 'cut'],
			mistake: 'The strand between them left slack: one strand then carries all.',
			looks: 'Two small knots, the loop standing straight beyond them.',
			cautions: ['blades'],
			pose: { end: 5, reach: 20, snug: 1 }
		}
	])
};

/** Two strands that run along one path, each standing at its own side. */
function joined({ end }: Overhand, passes: number): KnotStrand[] {
	const path = drawnTo(overhandWay(passes, DOUBLED, end), end);
	const one = (role: KnotStrandRole, by: number, from: EndKind, to: EndKind): KnotStrand => ({
		role,
		radiusMm: 1,
		closed: false,
		start: from,
		end: to,
		points: beside(path, by)
	});
	return [one('leader', PAIR_MM, 'standing', 'tag'), one('tippet', -PAIR_MM, 'tag', 'standing')];
}

export const SURGEONS_JOIN: Knot = {
	slug: 'surgeons-join',
	name: "Surgeon's join",
	joins: 'Leader to tippet, of rather different thickness.',
	wraps: { noun: 'passes', least: 2, most: 3, usual: 2 },
	tightening: {
		curves: 'surgeons-join',
		loose: (passes) => joined({ end: 2 }, passes),
		movements: () => [
			{ grips: [pullLeft(0, 0), pullRightUp(0, 1), pullLeftDown(1, 0), pullRight(1, 1)] },
			{ grips: [pullLeft(0, 0), pullRightUp(0, 1), hold(1, 0), hold(1, 1)] },
			{ grips: [hold(0, 0), hold(0, 1), pullLeftDown(1, 0), pullRight(1, 1)] }
		]
	},
	stages: staged(withTightening(joined), [
		{
			title: 'Side by side, and a loop',
			instruction:
				'Lay the two ends side by side, pointing opposite ways, 6 in of overlap, and make a loop of both together.',
			mistake: 'Both pointing the same way: then nothing is joined.',
			looks: 'Two strands parallel, an end at either side.',
			pose: { end: 0, ...LOOSE }
		},
		{
			title: 'Through once',
			instruction: 'Pass the leader end and the whole tippet through the loop.',
			mistake: 'Passing one of the two only.',
			looks: 'An overhand knot, tied with both at once.',
			pose: { end: 1, ...LOOSE }
		},
		{
			title: 'Again',
			instruction: 'Pass both through the same loop again; a third time in slick or thin material.',
			mistake: 'The strands cross: keep them side by side.',
			looks: 'Two turns, or three, beside each other.',
			pose: { end: 2, ...LOOSE }
		},
		{
			title: 'Draw it up',
			instruction: 'Moisten, and pull all four ends evenly.',
			signs: ['wet'],
			mistake: 'Pulling only the long ones: the short ones slip in.',
			looks: 'A figure of eight; both strands bend the same way.',
			pose: { end: 2, tight: 1, trim: 0 }
		},
		{
			title: 'Pull hard and trim',
			instruction: 'Pull each strand against its own end, hard, then trim both short ends close.',
			signs: ['cut'],
			mistake: 'A strand left slack inside takes no load.',
			looks: 'A small, even knot. No strand slips.',
			cautions: ['blades'],
			pose: { end: 2, tight: 3, trim: 1 }
		}
	])
};
