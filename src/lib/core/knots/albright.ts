import type { Vec3 } from './curve';
import { hold, pullLeft, pullRight } from './hands';
import { staged, withTightening, type Knot, type Pose } from './knot';
import { LOOSE } from './tight';
import { helix, strand, type KnotStrand } from './strand';
import { drawnTo, knotPath, type KnotPath } from './path';

const LINE_MM = 1.7;
const LEG = 1.85;
/** What holds both legs and the strand that lies on them, mm. */
const CORE = 3.75;
const ON_LEGS = 2.55;

/** `end`: laid along 0, a wrap 1, all wraps 2, out through the bight 3. `open`: room beyond the wraps, mm. */
type InBight = Pose<'end' | 'gap' | 'open' | 'tag'>;

/** A bight of thick line, and a thin strand that comes up through it, is wound back toward its end, and leaves as it came. */
function albright({ end, gap, open, tag }: InBight, turns: number, side: 1 | -1 = 1): KnotStrand[] {
	const outer = CORE + 1 + gap;
	const swept = 2 * Math.PI * (turns - 1) + Math.PI / 4;
	const length = ((2 + gap) * swept) / (2 * Math.PI);
	const wide = 4.9;
	const leg: Vec3[] = [
		[-24, LEG, 0],
		[-5, LEG, 0],
		[0.5 * length, LEG, 0],
		[length - 1.5, LEG, 0],
		[length + 1.5, LEG, 0],
		[length + 3.5, 2.8, 0],
		[length + 5.5, 4.5, 0],
		[length + 6.5 + open / 2, wide, 0],
		[length + 9 + open, 3.4, 0],
		[length + 10.2 + open, 0, 0]
	];
	const other = leg
		.slice(1, -1)
		.reverse()
		.map(([x, y, z]): Vec3 => [x, -y, z]);
	const beyond = length + 10.2 + open;
	const lying: Vec3[] = [
		[beyond + 14, 1.4, -3],
		[beyond + 4, 1.4, -3.2],
		[beyond - 0.5, 1.4, -3.1],
		[length + 8 + 0.3 * open, 1.35, -1.6],
		[length + 6.4, 1.2, 0.4],
		[length + 4.4, 0.8, 2.4],
		[length + 2, 0.1, 2.9],
		...[1, 0.8, 0.6, 0.4, 0.2, 0].map((t): Vec3 => [t * length, 0, ON_LEGS])
	];
	const turn: Vec3[] = [
		[-1.3, 0, ON_LEGS + 0.3],
		[-1.9, 0, (ON_LEGS + outer) / 2],
		[-1.3, 0, outer - 0.3]
	];
	const wound = [...turn, ...helix({ x: 0, angle: 0 }, { x: length, angle: -swept }, outer)];
	const out: Vec3[] = [
		[length + 2.2, -2.9, 3.3],
		[length + 4.4, -1.7, 2.6],
		[length + 6.4, -1.35, 0.6 * side + (side > 0 ? 0 : 3.4)],
		...(side > 0
			? ([
					[length + 8 + 0.3 * open, -1.35, -1.6],
					[beyond - 0.5, -1.4, -3.1],
					[beyond + 1 + tag, -1.5, -3.3]
				] satisfies Vec3[])
			: ([
					[beyond - 0.5, -1.4, 3.1],
					[beyond + 1 + tag, -1.5, 3.3]
				] satisfies Vec3[]))
	];
	const { control, marks } = knotPath(lying, wound, out);
	const [atLying, atWound, atOut] = marks as [number, number, number];
	const firstTurn = atWound - (atWound - atLying - 4) * Math.max(0, 1 - (2 * Math.PI) / swept);
	const way: KnotPath = { control, marks: [atLying, firstTurn, atWound, atOut] };
	return [
		strand('line', LINE_MM, [...leg, ...other], { start: 'standing', end: 'tag' }),
		{
			role: 'backing',
			radiusMm: 1,
			closed: false,
			start: 'standing',
			end: 'tag',
			points: drawnTo(way, end)
		}
	];
}

const WOUND = { end: 3, gap: 0.8, open: 3, tag: 8 };

export const ALBRIGHT: Knot = {
	slug: 'albright',
	name: 'Albright',
	joins: 'Thin to thick: backing to a fly line, without a tool. Some take 4–5 wraps, others 8–12.',
	wraps: {
		noun: 'wraps',
		least: 4,
		most: 12,
		usual: 8,
		counted: 'Count whole turns round all three strands.'
	},
	tightening: {
		curves: 'albright',
		loose: (wraps) => albright(WOUND, wraps),
		// The wraps close up first, then they slide toward the fold.
		movements: (_, wraps) => [
			{
				grips: [hold(0, 0), hold(0, 1), pullRight(1, 0), pullRight(1, 1)],
				friction: 0.5,
				mostMm: 8 + 1.5 * wraps
			},
			{ grips: [pullLeft(0, 0), pullLeft(0, 1), pullRight(1, 0), hold(1, 1)], friction: 0.5, mostMm: 8 }
		]
	},
	stages: staged(
		withTightening((pose: InBight, wraps) => albright(pose, wraps)),
		[
			{
				title: 'A bight, and through it',
				instruction:
					'Fold the end of the thicker one back. Bring the thinner up through the fold, and lay 10 in of it along both strands.',
				mistake: 'Folding the thin one instead of the thick.',
				looks: 'The thin strand comes from behind the fold and lies on top.',
				pose: { end: 0, gap: 0.8, open: 3, tag: 8, ...LOOSE }
			},
			{
				title: 'Back, first wrap',
				instruction: 'Turn its end back toward the fold, and round all three strands.',
				mistake: 'Wrapping away from the fold: there is nothing to hold the wraps.',
				looks: 'One wrap over both strands of the fold and over itself.',
				pose: { end: 1, gap: 0.8, open: 3, tag: 8, ...LOOSE }
			},
			{
				title: 'Wrap to the fold',
				instruction: 'Wrap on toward the fold, touching, each wrap under the thumb as it is made.',
				mistake: 'Wraps that cross, or so many that they push over the end of the fold.',
				looks: 'Even wraps, the open fold beyond them.',
				thumbs: [{ strand: 1, share: 0.97 }],
				pose: { end: 2, gap: 0.8, open: 3, tag: 8, ...LOOSE }
			},
			{
				title: 'Out the way it came',
				instruction: 'Pass the end through the fold, out on the side where the standing part came in.',
				mistake: 'Out on the other side: it then pulls across the fold and cuts.',
				looks: 'Standing part and end leave the fold side by side, both behind it.',
				pose: { end: 3, gap: 0.8, open: 3, tag: 8, ...LOOSE },
				wrong: {
					strands: () => albright(WOUND, 5, -1),
					says: 'The end leaves in front, the standing part behind: the fold sits between them, and they pull apart.'
				}
			},
			{
				title: 'Draw up',
				instruction:
					'Moisten. Draw standing part and end up in turn, a little each time, sliding the wraps toward the fold.',
				signs: ['wet'],
				mistake: 'Pulling the standing part alone: the wraps jump over the fold.',
				looks: 'The wraps close up against the end of the fold.',
				pose: { ...WOUND, tight: 1, trim: 0 }
			},
			{
				title: 'Trim',
				instruction: 'Pull hard, then trim the end and the cut end of the line close.',
				signs: ['cut'],
				mistake: 'Trimmed before it was pulled hard.',
				looks: 'The wraps lie side by side inside the fold; nothing moves.',
				cautions: ['blades'],
				pose: { ...WOUND, tight: 2, trim: 1 }
			}
		]
	)
};
