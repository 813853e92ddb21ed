import { smooth, type Vec3 } from './curve';
import type { Knot, KnotStage } from './knot';
import { beside, overhandPath } from './shapes';
import { strand, type EndKind, type Strand, type StrandRole } from './strand';

/** Drawn loose, half drawn up, and snug. */
const LOOSE = { spread: 2.6, loop: 12, pitch: 5.6, lead: 10 };
const SNUG = { spread: 1.8, loop: 3.8, pitch: 3.8, lead: 11 };

const single = (passes: number, size: Parameters<typeof overhandPath>[1]): Strand[] => [
	strand('backing', 1, overhandPath(passes, size), { start: 'standing', end: 'tag' })
];

const stopperStages = (turns: (wraps: number) => number): KnotStage[] => [
	{
		title: 'A loop',
		instruction: 'Lay the end back over the standing part, so that it makes a loop.',
		mistake: 'The end goes behind instead of over: then the next pass takes it out again.',
		looks: 'One crossing, the end on its own side of the loop.',
		cautions: [],
		strands: () => single(0, LOOSE)
	},
	{
		title: 'Through',
		instruction: 'Pass the end through the loop from behind; once more for the doubled one.',
		mistake: 'Twisting the loop instead of passing the end through it.',
		looks: 'The end comes out on the far side of where it went in.',
		cautions: [],
		strands: (wraps) => single(turns(wraps), LOOSE)
	},
	{
		title: 'Down to where it stops',
		instruction: 'Slide it close, moisten, and pull end and standing part apart.',
		mistake: 'Pulled dry it bites before it has closed.',
		looks: 'The turns lie beside each other without a gap.',
		cautions: [],
		strands: (wraps) => single(turns(wraps), { ...LOOSE, spread: 2, loop: 6.5, pitch: 4.4 })
	},
	{
		title: 'Snug',
		instruction: 'Pull hard, then trim to a millimetre or two.',
		mistake: 'Trimmed flush, it creeps back through itself.',
		looks: 'A small bead that a fingernail does not open.',
		cautions: ['blades'],
		strands: (wraps) => single(turns(wraps), SNUG)
	}
];

export const STOPPER: Knot = {
	slug: 'overhand-stopper',
	name: 'Overhand, single and doubled',
	joins: 'A stopper in an end, so that it cannot slip through.',
	wraps: { noun: 'passes', least: 1, most: 3, usual: 1 },
	stages: /* @__PURE__ */ stopperStages((wraps) => wraps)
};

/** A path followed by two strands side by side, joined or not at its end. */
const PAIR_MM = 1.15;
const DOUBLED = { spread: 4.6, pitch: 8, loop: 15, lead: 12 };
const DOUBLED_SNUG = { spread: 3.4, pitch: 6.2, loop: 8, lead: 13 };

/** The end of the path, where both strands turn into one another: a loop of so much. */
function looped(path: readonly Vec3[], reach: number): Vec3[] {
	const [near, far] = [beside(path, PAIR_MM), beside(path, -PAIR_MM)];
	const [x, y] = path.at(-1)!;
	const bight: Vec3[] = [
		[x + 0.45 * reach, y + 2.6, 0],
		[x + 0.9 * reach, y + 2.2, 0],
		[x + reach, y, 0],
		[x + 0.9 * reach, y - 2.2, 0],
		[x + 0.45 * reach, y - 2.6, 0]
	];
	return [...near, ...smooth([near.at(-1)!, ...bight, far.at(-1)!], {}).slice(1, -1), ...far.reverse()];
}

const loopStrand = (passes: number, size: typeof DOUBLED, reach: number): Strand[] => [
	{
		role: 'backing',
		radiusMm: 1,
		closed: false,
		start: 'standing',
		end: 'tag',
		points: looped(smooth(overhandPath(passes, size)), reach)
	}
];

export const SURGEONS_LOOP: Knot = {
	slug: 'surgeons-loop',
	name: "Surgeon's loop, double and triple",
	joins: 'A loop in backing or leader: double in 30 lb, triple in 20 lb.',
	wraps: { noun: 'passes', least: 2, most: 3, usual: 2 },
	stages: [
		{
			title: 'Fold it, and make a loop',
			instruction:
				'Fold 18–24 in of the end back on itself. From here on the two strands are one: lay them over themselves in a loop.',
			mistake: 'Too short a fold: the line spool does not pass through the loop later.',
			looks: 'Two strands side by side all the way round, the fold at the far end.',
			cautions: [],
			strands: () => loopStrand(0, DOUBLED, 16)
		},
		{
			title: 'Through once',
			instruction: 'Pass the fold through the loop.',
			mistake: 'The two strands cross each other on the way: keep them side by side.',
			looks: 'An overhand knot, tied with both strands at once.',
			cautions: [],
			strands: () => loopStrand(1, DOUBLED, 16)
		},
		{
			title: 'Again',
			instruction: 'Pass the fold through the same loop again: twice in all, three times in thin backing.',
			mistake: 'Through once only: that is a plain overhand loop, and it slips.',
			looks: 'Two turns round the loop, or three, side by side.',
			cautions: [],
			strands: (wraps) => loopStrand(wraps, DOUBLED, 16)
		},
		{
			title: 'Draw it up',
			instruction: 'Moisten. Pull the loop against both other ends together, a little at a time.',
			mistake: 'Pulling on one strand only: the knot rolls and one strand cuts the other.',
			looks: 'All strands tighten together and lie flat.',
			cautions: [],
			strands: (wraps) => loopStrand(wraps, { ...DOUBLED, loop: 11, pitch: 7 }, 18)
		},
		{
			title: 'Snug and trimmed',
			instruction: 'Pull each of the four strands hard, then trim the end.',
			mistake: 'A strand left slack inside takes no load.',
			looks: 'A compact knot; a loop of 8–10 in that stays open.',
			cautions: ['blades'],
			strands: (wraps) => loopStrand(wraps, DOUBLED_SNUG, 20)
		}
	]
};

/** Two strands that run along one path, each standing at its own side. */
function joined(passes: number, size: typeof DOUBLED): Strand[] {
	const path = smooth(overhandPath(passes, size));
	const one = (role: StrandRole, by: number, start: EndKind, end: EndKind): Strand => ({
		role,
		radiusMm: 1,
		closed: false,
		start,
		end,
		points: beside(path, by)
	});
	return [one('leader', PAIR_MM, 'standing', 'tag'), one('tippet', -PAIR_MM, 'tag', 'standing')];
}

export const SURGEONS_JOIN: Knot = {
	slug: 'surgeons-join',
	name: "Surgeon's join",
	joins: 'Leader to tippet, of rather different thickness.',
	wraps: { noun: 'passes', least: 2, most: 3, usual: 2 },
	stages: [
		{
			title: 'Side by side, and a loop',
			instruction:
				'Lay the two ends side by side, pointing opposite ways, 6 in of overlap, and make a loop of both together.',
			mistake: 'Both pointing the same way: then nothing is joined.',
			looks: 'Two strands parallel, an end at either side.',
			cautions: [],
			strands: () => joined(0, DOUBLED)
		},
		{
			title: 'Through once',
			instruction: 'Pass the leader end and the whole tippet through the loop.',
			mistake: 'Passing one of the two only.',
			looks: 'An overhand knot, tied with both at once.',
			cautions: [],
			strands: () => joined(1, DOUBLED)
		},
		{
			title: 'Again',
			instruction: 'Pass both through the same loop again; a third time in slick or thin material.',
			mistake: 'The strands cross: keep them side by side.',
			looks: 'Two turns, or three, beside each other.',
			cautions: [],
			strands: (wraps) => joined(wraps, DOUBLED)
		},
		{
			title: 'Drawn up',
			instruction: 'Moisten, pull all four ends evenly, then trim both short ones close.',
			mistake: 'Pulling only the long ones: the short ones slip in.',
			looks: 'A small figure of eight; both strands bend the same way.',
			cautions: ['blades'],
			strands: (wraps) => joined(wraps, DOUBLED_SNUG)
		}
	]
};
