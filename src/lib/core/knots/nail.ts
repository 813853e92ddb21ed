import type { Vec3 } from './curve';
import { pullLeftDown, pullRight, type Movement } from './hands';
import { inOrder, staged, withTightening, type Knot, type KnotStage, type Pose } from './knot';
import { LOOSE } from './tight';
import { coilLength, coilWay, TURNS_ROUND } from './shapes';
import { around, strand, type KnotStrand, type KnotStrandRole } from './strand';
import { drawnTo, extended } from './path';

const LINE_MM = 1.7;
const REACH = 16;
/** Out of the picture: from here on a tool is not drawn. */
const FAR_OUT = 60;
const USUAL_GAP_MM = 0.8;
/** Where a tube or a stiff piece lies beside the line, as the end comes back through it. */
const BELOW = -Math.PI / 3;
const INNER = LINE_MM + 1 + USUAL_GAP_MM;

/** `end`: lying 0, a wrap 1, all wraps 2, through 3. `tip`: line beyond the wraps, mm. `out`: how far a tool is pulled out, mm. */
type OnLine = Pose<'end' | 'gap' | 'tip' | 'tag' | 'out'>;
type Nail = (pose: OnLine, wraps: number) => KnotStrand[];

function nail({ end, gap, tip, tag }: OnLine, turns: number): KnotStrand[] {
	const length = coilLength({ turns, radius: 1, gap });
	const way = coilWay({ x: 0, core: LINE_MM, radius: 1, standing: REACH, turns, gap, tag });
	return [
		strand('line', LINE_MM, [[-REACH - 6, 0, 0], [length + tip, 0, 0]], { start: 'standing', end: 'tag' }), // prettier-ignore
		tied('leader', drawnTo(way, end))
	];
}
const tied = (role: KnotStrandRole, points: readonly Vec3[]): KnotStrand => ({
	role,
	radiusMm: 1,
	closed: false,
	start: 'standing',
	end: 'tag',
	points
});
const object = (radiusMm: number, control: readonly Vec3[]): KnotStrand =>
	strand('tool', radiusMm, control, { start: 'object', end: 'object' });

/** A tube beside the line, or a tool with a groove: both cut open, so that the end is seen in it. */
const inTube: Nail = (pose, turns) => {
	if (pose.out >= FAR_OUT) return nail(pose, turns);
	const right = coilLength({ turns, radius: 1, gap: USUAL_GAP_MM }) + 0.3 - pose.out;
	const [, y, z] = around(0, BELOW, INNER);
	const wall = (off: number): KnotStrand =>
		object(0.3, [
			[right - coilLength({ turns, radius: 1, gap: USUAL_GAP_MM }) - 13, y + off, z],
			[right, y + off, z]
		]);
	return [...nail(pose, turns), wall(1.4), wall(-1.4)];
};

const DRAW = {
	title: 'Draw up',
	instruction:
		'Moisten. Pull both ends in turn, gently, and settle the wraps with a thumbnail before pulling hard.',
	signs: ['wet'],
	mistake: 'Pulled hard too early. The wraps then pile on each other.',
	looks: 'The wraps close up, none over another, and bite into the coating.'
} as const;
const TRIM = {
	title: 'Trim',
	instruction: 'Pull against the line, hard. Trim the end and the tip of the line close.',
	signs: ['cut'],
	mistake: 'A tag end left long. It catches in the guides, unless you want to feel it there.',
	looks: 'A smooth barrel; it does not slide.',
	cautions: ['blades']
} as const;
const OPEN = { gap: USUAL_GAP_MM, tip: 6, tag: 10, out: 0 } as const;
const TIED = { end: 3, ...OPEN, out: FAR_OUT } as const;
const WRAPS = { noun: 'wraps', least: 5, most: 10, usual: 6, counted: TURNS_ROUND } as const;

/** The end and the standing part together, the line held. */
const TIGHTENING = {
	curves: 'nail-knot' as const,
	loose: (wraps: number) => nail(TIED, wraps),
	still: [0],
	// Until the wraps have closed up: pulled on, ropes without a line that gives way climb over one another.
	movements: (_: readonly KnotStrand[], wraps: number): Movement[] => [
		{ grips: [pullRight(1, 0), pullLeftDown(1, 1)], friction: 0.5, mostMm: 20 + 1.6 * wraps }
	]
};

const tubeStages = (thing: string, lay: string): KnotStage[] =>
	staged(withTightening(inTube), [
		{
			title: 'Lay them together',
			instruction: lay,
			mistake: 'Too little to spare: the end runs out before the last wrap.',
			looks: "The leader's end points up the line, away from its tip.",
			pose: { end: 0, ...OPEN, ...LOOSE }
		},
		{
			title: 'Turn back, first wrap',
			instruction: `Turn the end back toward the tip of the line, and round line, ${thing} and itself.`,
			mistake: 'Wrapping away from the tip: the end then comes out on the wrong side.',
			looks: 'One wrap over all three, pinched under the thumb.',
			thumbs: [{ strand: 1, share: 0.9 }],
			pose: { end: 1, ...OPEN, ...LOOSE }
		},
		{
			title: 'Wrap',
			instruction: 'Wrap toward the tip, each wrap against the one before. Do not let go.',
			mistake: 'A wrap crosses another: unwind to there, it will not come right by itself.',
			looks: 'Even wraps side by side, like thread on a reel.',
			thumbs: [{ strand: 1, share: 0.97 }],
			pose: { end: 2, ...OPEN, ...LOOSE }
		},
		{
			title: 'Through',
			instruction: `Pass the end back through the ${thing}, under all wraps.`,
			mistake: 'Lifting your thumb to look. The wraps then spring apart.',
			looks: 'The end comes out where the wraps began.',
			thumbs: [{ strand: 1, share: 0.5 }],
			pose: { end: 3, ...OPEN, ...LOOSE }
		},
		{
			title: `The ${thing} out`,
			instruction: `Slide the ${thing} out toward the reel, the wraps under thumb and finger, and take up the slack.`,
			mistake: `Letting the wraps cross while the ${thing} comes out.`,
			looks: 'Line, leader, and an end under every wrap.',
			thumbs: [{ strand: 1, share: 0.5 }],
			pose: { ...TIED, ...LOOSE }
		},
		{ ...DRAW, pose: { ...TIED, tight: 1, trim: 0 } },
		{ ...TRIM, pose: { ...TIED, tight: 1, trim: 1 } }
	]);

export const NAIL_KNOT: Knot = {
	slug: 'nail-knot',
	name: 'Nail knot, over a tube',
	joins: 'Backing or leader to a fly line without a loop: 5–7 wraps, 7–10 in salt water or on sinking line.',
	wraps: WRAPS,
	tightening: TIGHTENING,
	stages: tubeStages(
		'tube',
		'Hold the line, a thin tube and the leader side by side, with 10 in of leader to spare. The tube is drawn cut open.'
	)
};

export const NAIL_KNOT_TOOL: Knot = {
	slug: 'nail-knot-tool',
	name: 'Nail knot, with a grooved tool',
	joins:
		'Backing or leader to a fly line, over a tool whose groove leads the end back: 5–7 wraps, 7–10 in salt.',
	wraps: WRAPS,
	tightening: TIGHTENING,
	stages: tubeStages(
		'tool',
		'Lay line and leader on the tool, its groove toward you, 10 in of leader to spare. Hold them with the thumb.'
	)
};

/** A stiff piece beside the line, and a loop of fine mono whose eye sticks out beyond the tip. */
function stiff(turns: number, out: number): KnotStrand[] {
	const length = coilLength({ turns, radius: 1, gap: USUAL_GAP_MM });
	const [, y, z] = around(0, BELOW, INNER);
	const piece = around(0, -Math.PI / 2 - 0.75, INNER - 0.4);
	const far = -15 - out;
	return [
		object(0.8, [[far - 3, piece[1], piece[2]], [length + 1 - out, piece[1], piece[2]]]), // prettier-ignore
		strand(
			'tippet',
			0.45,
			[
				[far, y + 0.9, z],
				[length + 0.4 - out, y + 0.9, z],
				[length + 2.4 - out, y + 0.4, z - 0.4],
				[length + 5.2 - out, y - 1.2, z - 1],
				[length + 7 - out, y - 3.6, z - 1],
				[length + 5.6 - out, y - 5.6, z - 1],
				[length + 3.2 - out, y - 4.6, z - 1],
				[length + 2.2 - out, y - 1.6, z - 0.4],
				[length + 0.6 - out, y - 0.9, z],
				[far, y - 0.9, z]
			],
			{ start: 'object', end: 'object' }
		)
	];
}

/** The end on its way through the eye instead of back under the wraps: 3 is through it. */
function throughEye({ end, gap, tip, tag, out }: OnLine, turns: number): KnotStrand[] {
	const length = coilLength({ turns, radius: 1, gap });
	const way = coilWay({ x: 0, core: LINE_MM, radius: 1, standing: REACH, turns, gap, tag });
	const wound = extended(
		[],
		{ control: way.control.slice(0, way.marks[2]! + 1), marks: way.marks.slice(0, 3) },
		[
			[length + 2.4, -6.4, 3.6],
			[length + 4.4, -6.5, 2.2],
			[length + 4.8, -6.7, -1],
			[length + 6.5, -8.2, -3.5]
		]
	);
	const [line] = nail({ end: 0, gap, tip, tag, out }, turns) as [KnotStrand];
	return [line, tied('leader', drawnTo(wound, end)), ...stiff(turns, out)];
}

export const NAIL_KNOT_PULLED: Knot = {
	slug: 'nail-knot-pulled',
	name: 'Nail knot, over a stiff piece, pulled through',
	joins:
		'The same knot with what is at hand: something thin and stiff, and a loop of fine mono that pulls the end through.',
	wraps: WRAPS,
	tightening: TIGHTENING,
	stages: inOrder(
		staged(throughEye, [
			{
				title: 'Lay them together',
				instruction:
					'Line, leader, a stiff thin piece and a loop of fine mono side by side; the eye of the loop beyond the tip.',
				mistake: 'The eye pointing the other way: it pulls the end out, not under.',
				looks: 'The eye sticks out beyond where the last wrap will be.',
				pose: { end: 0, ...OPEN, ...LOOSE }
			},
			{
				title: 'Turn back, first wrap',
				instruction: 'Turn the end back toward the tip, and round everything that is there.',
				mistake: 'Leaving the loop outside the wraps: then there is nothing to pull through.',
				looks: 'One wrap over line, leader, stiff piece and both strands of the loop.',
				pose: { end: 1, ...OPEN, ...LOOSE }
			},
			{
				title: 'Wrap',
				instruction: 'Wrap toward the tip, each wrap against the one before. Do not let go.',
				mistake: 'Wrapped so tight that the loop cannot move.',
				looks: 'Even wraps side by side; the eye still free.',
				pose: { end: 2, ...OPEN, ...LOOSE }
			},
			{
				title: 'Into the eye',
				instruction: 'Put the end through the eye of the loop, and fold it down.',
				mistake: 'Too little end through the eye: it slips out halfway.',
				looks: 'An inch of end hangs through the eye.',
				pose: { end: 3, ...OPEN, ...LOOSE }
			}
		]),
		staged(withTightening(nail), [
			{
				title: 'Pull it through',
				instruction:
					'Slide the stiff piece out and pull both strands of the loop: they draw the end back under all wraps.',
				mistake: 'Pulling with a jerk: the end folds over a wrap and takes it along.',
				looks: 'The loop is out; the end has come out where the wraps began.',
				pose: { end: 3, ...OPEN, ...LOOSE }
			},
			{ ...DRAW, pose: { ...TIED, tight: 1, trim: 0 } },
			{ ...TRIM, pose: { ...TIED, tight: 1, trim: 1 } }
		])
	)
};
