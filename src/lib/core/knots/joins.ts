import type { Vec3 } from './curve';
import { gripOn, hold, pullLeft, pullLeftDown, pullRight, pullRightUp } from './hands';
import { staged, withTightening, type Knot, type Pose } from './knot';
import { LOOSE } from './tight';
import { coilLength, coilWay, TURNS_ROUND } from './shapes';
import { around, helix, type KnotStrand, type KnotStrandRole } from './strand';
import { drawnTo, extended, knotPath } from './path';

const FAR = 26;
const one = (role: KnotStrandRole, points: readonly Vec3[]): KnotStrand => ({
	role,
	radiusMm: 1,
	closed: false,
	start: 'standing',
	end: 'tag',
	points
});
/** Half a turn about the line of sight: the other side of a join does the same from its own side. */
const fromOtherSide = (points: readonly Vec3[]): Vec3[] => points.map(([x, y, z]) => [-x, -y, z]);

/** `one`, `other`: how far each end is, lying 0, a turn 1, all turns 2, through 3; `apart`: half of what is between the two. */
type TwoCoils = Pose<'one' | 'other' | 'gap' | 'apart' | 'tag'>;

/** Two ends side by side, each wound round the other strand and itself. */
function doubleUni(pose: TwoCoils, turns: number): KnotStrand[] {
	const { gap, apart, tag } = pose;
	const length = coilLength({ turns, radius: 1, gap });
	const coil = coilWay({ x: -apart - length, core: 1, radius: 1, standing: 0.8, turns, gap, tag });
	// On the axis while it is inside the other's turns, beside the other strand in its own.
	const inner = around(0, Math.PI / 3, 2 + gap);
	const before: Vec3[] = [
		[apart + length + FAR, 0, 0],
		[apart + length + 4, 0, 0],
		[apart + 0.5 * length, 0, 0],
		[apart + 1, 0, 0],
		[apart - 1.4, 0, 0],
		[0, 0.5 * inner[1], 0.5 * inner[2]]
	];
	const way = extended(before, { control: coil.control.slice(2), marks: coil.marks.map((m) => m - 2) });
	return [one('line', fromOtherSide(drawnTo(way, pose.one))), one('backing', drawnTo(way, pose.other))];
}

const UNIS_TIED = { one: 3, other: 3, gap: 0.8, apart: 6, tag: 8 };

export const DOUBLE_UNI: Knot = {
	slug: 'double-uni',
	name: 'Double uni',
	joins: 'Two strands of about the same thickness: backing to mono bed or running line.',
	wraps: { noun: 'turns', least: 3, most: 6, usual: 4, counted: TURNS_ROUND },
	tightening: {
		curves: 'double-uni',
		loose: (turns) => doubleUni(UNIS_TIED, turns),
		movements: () => [
			{ grips: [hold(0, 0), pullRightUp(0, 1), hold(1, 0), pullLeftDown(1, 1)] },
			// A closed barrel holds its own strand: its end comes along as it slides.
			{
				grips: [pullLeft(0, 0), gripOn([-1.15, 0, 0])(0, 1), pullRight(1, 0), gripOn([1.15, 0, 0])(1, 1)],
				mostMm: 60
			},
			{ grips: [pullLeft(0, 0), pullRightUp(0, 1), pullRight(1, 0), pullLeftDown(1, 1)], mostMm: 16 }
		]
	},
	stages: staged(withTightening(doubleUni), [
		{
			title: 'Ends past each other',
			instruction: 'Lay the two ends side by side, pointing opposite ways, 8 in of overlap.',
			mistake: 'Too little overlap: the second knot has no end left.',
			looks: 'Two strands parallel, an end at either side.',
			pose: { one: 0, other: 0, gap: 0.8, apart: 6, tag: 8, ...LOOSE }
		},
		{
			title: 'Turn the first back',
			instruction: 'Turn one end back toward the middle, and round both strands.',
			mistake: 'Round the other strand only.',
			looks: 'One turn over both strands.',
			pose: { one: 1, other: 0, gap: 0.8, apart: 6, tag: 8, ...LOOSE }
		},
		{
			title: 'Turns, and through',
			instruction: 'Wind it on, side by side, and bring the end back under all its turns.',
			mistake: 'Out over the last turn instead of under all.',
			looks: 'A coil round both strands, its end pointing away from the middle.',
			pose: { one: 3, other: 0, gap: 0.8, apart: 6, tag: 8, ...LOOSE }
		},
		{
			title: 'The same from the other side',
			instruction: 'Do with the other end as you did with the first, as many turns.',
			mistake: 'Wound the other way round: it holds, but lies worse.',
			looks: 'Two coils alike, each turned half round from the other.',
			pose: { one: 3, other: 3, gap: 0.8, apart: 6, tag: 8, ...LOOSE }
		},
		{
			title: 'Close each',
			instruction: 'Moisten. Pull each end until its own turns have closed, not yet hard.',
			signs: ['wet'],
			mistake: 'Sliding them together first: then the turns cannot close.',
			looks: 'Two small barrels, some way apart.',
			pose: { ...UNIS_TIED, tight: 1, trim: 0 }
		},
		{
			title: 'Slide together and trim',
			instruction: 'Pull both standing parts until the barrels meet, then hard, and trim both ends.',
			signs: ['cut'],
			mistake: 'Trimmed before the hard pull.',
			looks: 'Two barrels close together, no slack between them.',
			cautions: ['blades'],
			pose: { ...UNIS_TIED, tight: 3, trim: 1 }
		}
	])
};

/** `one`, `other`: how far each end is, laid across 0, wound 1, back at the middle 2, through 3. */
type TwoWinds = Pose<'one' | 'other' | 'gap' | 'tag'>;

/** An end wound round the other strand away from the middle, brought back, and through between the two. */
function windWay({ gap, tag }: TwoWinds, turns: number, through: 1 | -1) {
	const r = 2 + gap;
	const back = r + 2 + gap;
	const middle = 4.6;
	// Wider than a strand is thick, so that turns of two strands side by side keep clear where they are steep.
	const pitch = 2.5 + gap;
	const length = pitch * turns;
	const winding = helix(
		{ x: middle, angle: Math.PI / 2 },
		{ x: middle + length, angle: Math.PI / 2 - 2 * Math.PI * turns },
		r
	);
	const laid: Vec3[] = [
		[-middle - length - FAR, 0, 0],
		[-middle - length - 3, 0, 0],
		[-middle - 0.5 * length, 0, 0],
		[-middle - 0.6, 0, 0],
		[-2.7, 2.2, 0],
		[1.6, r + 0.15, 0]
	];
	const returned: Vec3[] = [
		around(middle + length + 1.4, Math.PI / 2 - 0.5, r + 0.6),
		around(middle + length + 2.2, -0.3, (r + back) / 2),
		around(middle + length + 1.4, -Math.PI / 2 + 0.4, back - 0.3),
		around(middle + 0.8 * length, -Math.PI / 2, back),
		around(middle + 0.4 * length, -Math.PI / 2, back),
		[middle + 0.6, -back, 0]
	];
	// Over the other strand, down between the two, and out under its own: or all of that from behind.
	const out: Vec3[] = [
		[1.9, -r - 0.9, 2.2 * through],
		[1.4, -r + 0.5, 2.5 * through],
		[1.3, 0, 0],
		[1.4, r - 0.5, -2.5 * through],
		[1.8, r + 1.6, -2.2 * through],
		[2.2, r + 3 + tag, -2 * through]
	];
	return knotPath(laid, winding, returned, out);
}

const blood = (pose: TwoWinds, turns: number, second: 1 | -1 = -1): KnotStrand[] => [
	one('leader', drawnTo(windWay(pose, turns, 1), pose.one)),
	one('tippet', fromOtherSide(drawnTo(windWay(pose, turns, second), pose.other)))
];

const WOUND = { one: 3, other: 3, gap: 0.5, tag: 12 };

export const BLOOD_KNOT: Knot = {
	slug: 'blood-knot',
	name: 'Blood knot',
	joins: 'Leader to tippet, or mono to mono, of about the same thickness: slim and straight.',
	wraps: {
		noun: 'turns',
		least: 3,
		most: 7,
		usual: 5,
		counted: 'Count whole turns round the other strand, on each side of the middle.'
	},
	tightening: {
		curves: 'blood-knot',
		loose: (turns) => blood(WOUND, turns),
		movements: () => [{ grips: [pullLeft(0, 0), pullRight(1, 0), hold(0, 1), hold(1, 1)] }]
	},
	stages: staged(
		withTightening((pose: TwoWinds, wraps) => blood(pose, wraps)),
		[
			{
				title: 'Cross them',
				instruction: 'Cross the two ends, 6 in of each beyond the crossing.',
				mistake: 'The ends differ a lot in thickness. The thin one needs more turns, or another knot.',
				looks: 'The ends side by side in the middle.',
				pose: { one: 0, other: 0, gap: 0.5, tag: 12, ...LOOSE }
			},
			{
				title: 'Wind one',
				instruction: 'Wind one end round the other strand, away from the middle, five turns.',
				mistake: 'Letting go of the middle: the gap that is needed later closes.',
				looks: 'Turns lying close along the other strand.',
				pose: { one: 1, other: 0, gap: 0.5, tag: 12, ...LOOSE }
			},
			{
				title: 'Back, and between',
				instruction: 'Bring that end back to the middle, and through between the two strands.',
				mistake: 'Round the outside of the middle instead of between.',
				looks: 'The end stands out at right angles, held between the two.',
				pose: { one: 3, other: 0, gap: 0.5, tag: 12, ...LOOSE }
			},
			{
				title: 'Wind the other',
				instruction: 'Wind the other end round the first strand, the other way along, as many turns.',
				mistake: 'Fewer turns than on the first side.',
				looks: 'Both halves alike.',
				pose: { one: 3, other: 1, gap: 0.5, tag: 12, ...LOOSE }
			},
			{
				title: 'Through from the other side',
				instruction: 'Back to the middle, and through the same gap, against the first end.',
				mistake: 'Through in the same direction as the first end: the knot opens under load.',
				looks: 'The two ends leave the middle on opposite sides.',
				pose: { one: 3, other: 3, gap: 0.5, tag: 12, ...LOOSE },
				wrong: {
					strands: () => blood(WOUND, 3, 1),
					says: 'Both ends went through the gap from the same side: they work loose.'
				}
			},
			{
				title: 'Draw up and trim',
				instruction:
					'Moisten well. Pull both standing parts at once, evenly, until the turns roll up; trim both ends.',
				signs: ['wet', 'cut'],
				mistake: 'Pulled dry: it stops halfway, and breaks there.',
				looks: 'The turns roll over into an even barrel, the ends at its middle.',
				cautions: ['blades'],
				pose: { ...WOUND, tight: 1, trim: 1 }
			}
		]
	)
};
