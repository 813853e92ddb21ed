import { smooth, type Vec3 } from './curve';
import { pullLeftDown, pullRight } from './hands';
import { staged, type Knot, type Pose } from './knot';
import { coilWay, TURNS_ROUND } from './shapes';
import { strand, type KnotStrand, type KnotStrandRole } from './strand';
import { drawnTo, extended, knotPath, type KnotPath } from './path';
import { LOOSE, tightened, type TightCurves, type Tightness } from './tight';

/** What is hollow is drawn cut open: two thin walls, and in between what is inside. */
const walls = (
	role: KnotStrandRole,
	radiusMm: number,
	half: number,
	xs: readonly number[],
	dented = 0
): KnotStrand[] =>
	[1, -1].map((side) =>
		strand(
			role,
			radiusMm,
			xs.map((x, i): Vec3 => [x, side * (half - (i % 2 === 1 ? dented : 0)), 0]),
			{ start: 'object', end: 'object' }
		)
	);
const part = (
	role: KnotStrandRole,
	radiusMm: number,
	points: readonly Vec3[],
	start: KnotStrand['start'] = 'standing',
	end: KnotStrand['end'] = 'tag'
): KnotStrand => ({ role, radiusMm, closed: false, start, end, points });

const COATING = 0.35;
const BORE = 1.35;
const LEADER = 0.85;

/** A fly line whose coating is cut open: the core up to `core`, the coating up to 0. */
const flyLine = (core: number, far = -46): KnotStrand[] => [
	...walls('line', COATING, BORE, [far, 0]),
	strand('line', LEADER, [[far, 0, 0], [core, 0, 0]], { start: 'standing', end: 'object' }) // prettier-ignore
];

/** `end`: in the bore 0, out of the side 1, laid along 2, a wrap 3, all wraps 4, through 5. `needle`: how far it is in, mm. */
type InLine = Pose<'end' | 'needle' | keyof Tightness>;
const OUT_AT = -9;
const NEEDLE_RADIUS = 0.55;

const GAP = 0.6;
const WHOLE = BORE + COATING;

/** The strand outside of the line, its coil further up, behind where it comes out of the side; and how far it reaches there. */
function outside(turns: number): { way: KnotPath; left: number } {
	const turned = coilWay({ x: 0, core: WHOLE + 0.2, radius: LEADER, standing: 4, turns, gap: GAP, tag: 8 });
	const shift = OUT_AT - 6 - turned.control[0]![0];
	const [, y, z] = turned.control[0]!;
	const onLine = (WHOLE + LEADER + 0.1) / Math.hypot(y, z);
	const out: Vec3 = [OUT_AT - 3.2, onLine * y, onLine * z];
	const way = extended([out], {
		control: turned.control.map(([x, ...rest]): Vec3 => [x + shift, ...rest]),
		marks: turned.marks
	});
	return { way, left: Math.min(...way.control.map(([x]) => x)) - 9 };
}

/**
 * What is tied, as it is before it is drawn up: the line whole, and the leader as if it went on along the line from
 * where it comes out of the side, so that it can be pulled against its end.
 */
const tiedOutside = (turns: number): KnotStrand[] => {
	const { way, left } = outside(turns);
	const [out] = way.control as [Vec3];
	const along = [20, 14, 8, 4].map((mm): Vec3 => [out[0] + mm, out[1], out[2]]);
	return [
		strand('line', WHOLE, [[left, 0, 0], [24, 0, 0]], { start: 'standing', end: 'object' }), // prettier-ignore
		part('leader', LEADER, drawnTo(extended(along, way), 3))
	];
};

function needleNail(
	{ end, needle, ...tightness }: InLine,
	turns: number,
	curves: TightCurves | undefined
): KnotStrand[] {
	const { way, left } = outside(turns);
	const [out] = way.control as [Vec3];
	const inside: Vec3[] = [
		[18, 0, 0],
		[1, 0, 0],
		[OUT_AT + 2.4, 0, 0],
		[OUT_AT + 1.2, 0, 0.5],
		[OUT_AT, 0.15 * out[1], 1.7],
		[OUT_AT - 1.4, 0.45 * out[1], 2.7]
	];
	const whole = { control: [...inside, ...way.control], marks: [2, 6, ...way.marks.map((m) => m + 6)] };
	const leader = (): readonly Vec3[] => {
		if (tightness.tight === 0) return drawnTo(whole, end);
		const [, coil] = tightened(tiedOutside(turns), curves, tightness) as [KnotStrand, KnotStrand];
		const outer = coil.points.filter(([x]) => x < OUT_AT - 3.2);
		const [x, y, z] = outer[0]!;
		return [...smooth([...inside, [x, y, z]]).slice(0, -1), ...outer];
	};
	return [
		...flyLine(OUT_AT - 3.2, left),
		...(end > -1 ? [part('leader', LEADER, leader())] : []),
		...(needle > 0
			? [
					strand(
						'tool',
						NEEDLE_RADIUS,
						[
							[22 - needle, 0, 0],
							[10 - needle, 0, 0],
							[Math.max(2 - needle, OUT_AT + 2.5), 0, 0],
							...(needle > 12 ? ([[OUT_AT + 0.6, 0.9, 2.1], [OUT_AT - 3.4, 3.4, 4.2]] satisfies Vec3[]) : []) // prettier-ignore
						],
						{ start: 'object', end: 'object' }
					)
				]
			: [])
	];
}

export const NEEDLE_NAIL_KNOT: Knot = {
	slug: 'needle-nail-knot',
	name: 'Needle nail knot',
	joins:
		"Leader to line, out of the middle of the line's end: the smoothest through the guides. The line is drawn cut open.",
	wraps: { noun: 'wraps', least: 5, most: 8, usual: 6, counted: TURNS_ROUND },
	tightening: {
		curves: 'needle-nail-knot',
		loose: tiedOutside,
		still: [0],
		movements: (_, turns) => [
			{ grips: [pullRight(1, 0), pullLeftDown(1, 1)], friction: 0.5, mostMm: 13 + 1.5 * turns }
		]
	},
	stages: staged(needleNail, [
		{
			title: 'Needle up the core',
			instruction:
				'Push a needle into the end of the line, up its core for half an inch, and out of the side.',
			mistake: 'Straight out through the coating near the end: it tears.',
			looks: 'The needle in the middle of the end, its point out of the side.',
			cautions: ['needle'],
			pose: { end: -1, needle: 13, ...LOOSE }
		},
		{
			title: 'Leader through',
			instruction:
				'Shave the butt of the leader to a point, draw the needle out, and pass the butt in at the end and out of the side.',
			mistake: 'A blunt butt: it folds in the core.',
			looks: 'A foot of butt stands out of the side of the line.',
			cautions: ['blades'],
			pose: { end: 1, needle: 0, ...LOOSE },
			jumps: true
		},
		{
			title: 'Lay it along',
			instruction: 'Lay the butt along the line toward the reel, a tube or needle beside it.',
			mistake: 'Laid toward the tip: the wraps then run over the hole.',
			looks: 'The butt runs up the line, away from its end.',
			pose: { end: 2, needle: 0, ...LOOSE }
		},
		{
			title: 'Wrap',
			instruction: 'Turn it back and wrap toward the hole, each wrap against the one before.',
			mistake: 'Wrapping over the hole: the leader then leaves at an angle.',
			looks: 'Even wraps that end just short of where the leader comes out.',
			pose: { end: 4, needle: 0, ...LOOSE }
		},
		{
			title: 'Through',
			instruction: 'Pass the end back under all wraps, and take the tube out.',
			mistake: 'The wraps spring apart: keep the thumb on them.',
			looks: 'The end comes out where the wraps began.',
			pose: { end: 5, needle: 0, ...LOOSE }
		},
		{
			title: 'Draw up and trim',
			instruction:
				'Moisten, draw up both ends in turn, pull hard, trim. A drop of flexible glue seals the end.',
			signs: ['wet', 'cut'],
			mistake: 'Pulled by the leader alone before the wraps have closed: it cuts along the coating.',
			looks: 'The leader leaves the line from its middle, in one line with it.',
			cautions: ['blades', 'adhesive'],
			pose: { end: 5, needle: 0, tight: 1, trim: 1 }
		}
	])
};

/** `end`: at the mouth 0, in as far as it goes 1. `glue`: how much of it carries glue, 0–1. */
type Spliced = Pose<'end' | 'needle'>;

function splice({ end, needle }: Spliced): KnotStrand[] {
	const leader = knotPath([[26, 0, 0], [14, 0, 0], [4, 0, 0]], [[-4, 0, 0], [-12, 0, 0], [-17, 0, 0]]); // prettier-ignore
	return [
		...flyLine(-20, -36),
		...(needle > 0
			? [strand('tool', NEEDLE_RADIUS, [[22 - needle, 0, 0], [-needle, 0, 0]], { start: 'object', end: 'object' })] // prettier-ignore
			: [part('leader', LEADER, drawnTo(leader, end), 'standing', end < 0.5 ? 'tag' : 'object')])
	];
}

export const GLUED_SPLICE: Knot = {
	slug: 'glued-splice',
	name: 'Glued splice',
	joins: 'Leader butt glued into the core of the line: no lump at all. The line is drawn cut open.',
	wraps: { noun: 'joint', least: 1, most: 1, usual: 1 },
	stages: staged(splice, [
		{
			title: 'Open the core',
			instruction:
				'Cut the end square. Work a needle up the core, 1–1.5 in, and turn it until the core has opened.',
			signs: ['cut'],
			mistake: 'Less than an inch: the glue has too little to hold.',
			looks: 'The needle runs in the middle, the coating whole.',
			cautions: ['needle'],
			pose: { end: 0, needle: 17 }
		},
		{
			title: 'Roughen the butt',
			instruction:
				'Shave the butt to a point and roughen as much of it as goes in, with fine sandpaper. Try the fit dry.',
			mistake: 'A smooth butt: the glue lets go of it.',
			looks: 'A dull, tapered end that slides in to the mark.',
			cautions: ['blades'],
			pose: { end: 0, needle: 0 },
			jumps: true
		},
		{
			title: 'Glue, and in',
			instruction: 'A thin film of flexible superglue on the butt, and in to the mark in one push.',
			mistake: 'Stopping halfway: it sets there, and cannot be moved again.',
			looks: 'The leader runs into the core to the end of the hole.',
			cautions: ['adhesive'],
			pose: { end: 1, needle: 0 }
		},
		{
			title: 'Let it set, then pull',
			instruction:
				'Leave it as long as the label says, then pull hard, and flex it: nothing may creep or crack.',
			mistake: 'Trusting it untried; cold and age make it brittle, so look at it each season.',
			looks: 'Line and leader in one line, the coating smooth up to the end.',
			pose: { end: 1, needle: 0 }
		}
	])
};

/** `end`: through the sleeve 0, round the loop 1, back through 2. `pressed`: 0–1. `tube`: where the shrink tube is, mm. `shrunk`: 0–1. */
type Crimped = Pose<'end' | 'pressed' | 'tube' | 'shrunk' | 'reach'>;
const WIRE = 0.7;

function crimp({ end, pressed, tube, shrunk, reach }: Crimped): KnotStrand[] {
	const y = 0.82;
	const wire = knotPath(
		[[-34, 0, 0], [-12, 0, 0], [-4, y, 0], [4, y, 0], [10, y, 0]], // prettier-ignore
		[[13, y + 1, 0], [10 + 0.55 * reach, y + 2.6, 0], [10 + 0.9 * reach, y + 1.6, 0], [10 + reach, 0, 0], [10 + 0.9 * reach, -y - 1.6, 0], [10 + 0.55 * reach, -y - 2.6, 0], [13, -y - 1, 0]], // prettier-ignore
		[[10, -y, 0], [4, -y, 0], [-1.6, -y, 0], [-2.6, -y, 0]] // prettier-ignore
	);
	const sleeve = walls('sleeve', 0.4, 2.15, [0, 1.2, 2.6, 4, 5.4, 6.8, 8], 0.18 * pressed);
	const from = tube - 7;
	return [
		part('leader', WIRE, drawnTo(wire, end)),
		...sleeve,
		...walls('tool', 0.45, 3.9 - 0.75 * shrunk, [from, from + 14])
	];
}

export const CRIMP: Knot = {
	slug: 'wire-crimp',
	name: 'Crimped sleeve on wire',
	joins: 'A loop in a wire bite leader: a sleeve that is pressed, under heat-shrink. Drawn cut open.',
	wraps: { noun: 'sleeve', least: 1, most: 1, usual: 1 },
	stages: staged(crimp, [
		{
			title: 'Tube and sleeve on',
			instruction:
				'Slide a piece of heat-shrink and then the sleeve on the wire. The sleeve must be made for that wire.',
			mistake: 'Forgetting the heat-shrink: it does not go on later.',
			looks: 'Wire through both, an inch or two beyond the sleeve.',
			cautions: ['wire'],
			pose: { end: 0, pressed: 0, tube: -16, shrunk: 0, reach: 16 }
		},
		{
			title: 'A loop, and back',
			instruction: 'Bend the wire to a loop and bring the end back.',
			mistake: 'A loop bent to a kink: wire breaks there.',
			looks: 'A round loop, no kink.',
			pose: { end: 1, pressed: 0, tube: -16, shrunk: 0, reach: 16 }
		},
		{
			title: 'Through the sleeve again',
			instruction: 'Pass the end back through the sleeve until it shows on the far side.',
			mistake: 'The end stopping inside: then only a part of the sleeve holds it.',
			looks: 'Both strands side by side in the sleeve, the end just showing.',
			pose: { end: 2, pressed: 0, tube: -16, shrunk: 0, reach: 16 }
		},
		{
			title: 'Press',
			instruction:
				'Press the sleeve with the tool its maker names, in two places or three, not at its very ends.',
			mistake: 'Pressed with flat pliers, or at the edge: it cuts the wire.',
			looks: 'Even dents, the ends of the sleeve still round.',
			pose: { end: 2, pressed: 1, tube: -16, shrunk: 0, reach: 14 }
		},
		{
			title: 'Cover and shrink',
			instruction:
				'Slide the heat-shrink over the sleeve and the end of the wire, and warm it gently until it lies close.',
			mistake: 'A flame held near the leader: heat weakens mono at once.',
			looks: 'No end of wire to be felt.',
			cautions: ['flame'],
			pose: { end: 2, pressed: 1, tube: 2.5, shrunk: 1, reach: 14 }
		}
	])
};
