import type { Vec3 } from './curve';
import { pullLeftDown, pullRightUp } from './hands';
import { staged, type Knot, type Pose } from './knot';
import { drawnTo } from './path';
import { coilLength, coilWay, TURNS_ROUND } from './shapes';
import { strand, type KnotStrand } from './strand';
import { LOOSE, tightened, type TightCurves, type Tightness } from './tight';

const LINE_MM = 1.7;
const REACH = 16;

/**
 * `first`, `second`: how far each of the two nail knots is tied, lying 0, a wrap 1, all wraps 2, through 3; at -1 it is
 * not begun.
 */
type OwnLoop = Pose<'first' | 'second' | keyof Tightness>;

const LEG = 1.85;
const MONO = 0.8;
const MONO_GAP = 0.9;
/** Between the two knots, mm. */
const APART = 12;

const monoCoil = (turns: number, way: number): KnotStrand => ({
	role: 'leader',
	closed: false,
	end: 'tag',
	points: drawnTo(coilWay({ x: 0, core: 3.6, radius: MONO, standing: 8, turns, gap: MONO_GAP, tag: 7 }), way),
	radiusMm: MONO,
	start: 'tag'
});

/** The line folded back on itself: both its strands, and the loop beyond `end`. */
function foldedLine(end: number): KnotStrand {
	const upper: Vec3[] = [
		[-REACH - 4, LEG, 0],
		[-2, LEG, 0],
		[end + 1, LEG, 0],
		[end + 4, LEG, 0],
		[end + 9, LEG + 2.6, 0],
		[end + 15, LEG + 3.4, 0],
		[end + 20, LEG + 1.6, 0],
		[end + 21.4, 0, 0]
	];
	const lower = upper
		.slice(2, -1)
		.reverse()
		.map(([x, y, z]): Vec3 => [x, -y, z]);
	return strand('line', LINE_MM, [...upper, ...lower, [-4, -LEG, 0]], { start: 'standing', end: 'tag' });
}

/** A nail knot over both strands of the folded line, and another beside it. */
function ownLoop(
	{ first, second, ...tightness }: OwnLoop,
	turns: number,
	curves: TightCurves | undefined
): KnotStrand[] {
	const length = coilLength({ turns, radius: MONO, gap: MONO_GAP });
	const second0 = length + APART;
	const line = foldedLine(second0 + length);
	const mono = (x: number, way: number): KnotStrand[] => {
		if (way <= -1) return [];
		const [, { points, ...coil }] = tightened([line, monoCoil(turns, way)], curves, tightness) as [
			KnotStrand,
			KnotStrand
		];
		return [{ ...coil, points: points.map(([px, y, z]): Vec3 => [px + x, y, z]) }];
	};
	return [line, ...mono(0, first), ...mono(second0, second)];
}

export const OWN_LOOP: Knot = {
	slug: 'own-loop',
	name: 'A loop of your own',
	joins:
		"A loop at the line's end where there is none: the line folded back under two nail knots of 12 lb mono.",
	wraps: { noun: 'wraps', least: 5, most: 9, usual: 6, counted: TURNS_ROUND },
	tightening: {
		curves: 'own-loop',
		still: [0],
		movements: (_, turns) => [
			{ grips: [pullRightUp(1, 0), pullLeftDown(1, 1)], friction: 0.5, mostMm: 13 + 1.5 * turns }
		],
		loose: (turns) => [
			foldedLine(2 * coilLength({ turns, radius: MONO, gap: MONO_GAP }) + APART),
			monoCoil(turns, 3)
		]
	},
	stages: staged(ownLoop, [
		{
			title: 'Fold the line',
			instruction: 'Fold the end of the line back on itself, 2 in, leaving a loop as wide as a fingertip.',
			mistake: 'A loop so small that the fold is bent sharp: the coating cracks there.',
			looks: 'Two strands of line side by side, the loop at the end.',
			pose: { first: -1, second: -1, ...LOOSE }
		},
		{
			title: 'Wraps over both',
			instruction: 'A nail knot of 12 lb mono over both strands, near the cut end: 6 or 7 wraps over a tube.',
			mistake: 'Over one strand only: the fold pulls straight out.',
			looks: 'Both strands inside every wrap.',
			pose: { first: 2, second: -1, ...LOOSE },
			jumps: true
		},
		{
			title: 'Through, and draw up',
			instruction: 'Bring its end back under the wraps, moisten, and draw it up until it bites.',
			signs: ['wet'],
			mistake: 'Drawn up over wraps that cross: it cuts the coating in one place.',
			looks: 'A narrow band, sunk a little into the coating.',
			pose: { first: 3, second: -1, tight: 1, trim: 0 },
			via: [{ first: 3, second: -1, ...LOOSE }]
		},
		{
			title: 'A second beside it',
			instruction: "The same again, nearer the loop, a knot's width from the first.",
			mistake: 'One knot alone: with 9 or 10 wraps it may do, two never let go.',
			looks: 'Two bands side by side.',
			pose: { first: 3, second: 3, tight: 1, trim: 0 },
			jumps: true
		},
		{
			title: 'Trim and seal',
			instruction:
				'Trim all tags. Cap the cut end of the line, and both knots, with UV resin or flexible glue.',
			signs: ['cut'],
			mistake: 'The cut end left open: water wicks into the core, and the tip sinks.',
			looks: 'Smooth to the fingernail from both sides; the loop stands open.',
			cautions: ['blades', 'adhesive'],
			pose: { first: 3, second: 3, tight: 1, trim: 1 }
		}
	])
};
