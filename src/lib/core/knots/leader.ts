import { smooth, type Vec3 } from './curve';
import { inOrder, staged, type Knot, type Pose } from './knot';
import type { KnotStrand } from './strand';
import { drawnTo, knotPath } from './path';

/** `coils`: turns still coiled; `wrapped`: the butt's turns round them, 0 off, 1 on; `run`: straight leader drawn off, mm. */
type Coiled = Pose<'coils' | 'wrapped' | 'run'>;
const RADIUS = 0.8;
const BETWEEN = 2;
const INNERMOST = 8;

/** A leader as it is sold: coiled, the butt wound round the coils. The fine end is the inner one and leaves to the left. */
function coiled({ coils, wrapped, run }: Coiled, wraps: number): KnotStrand[] {
	const outermost = INNERMOST + BETWEEN * coils;
	const perTurn = 20;
	const count = Math.max(6, Math.round(coils * perTurn));
	// From the fine end outward, ending at the right, where the butt's turns are.
	const ring = Array.from({ length: count + 1 }, (_, i): Vec3 => {
		const share = i / count;
		const angle = 2 * Math.PI * coils * (share - 1);
		const r = INNERMOST + (outermost - INNERMOST) * share;
		return [r * Math.cos(angle), r * Math.sin(angle), 0];
	});
	const [first, second] = ring as [Vec3, Vec3];
	const away = Math.atan2(first[1] - second[1], first[0] - second[0]);
	// The fine end comes away over the coils, toward whoever looks, and goes straight from there.
	const off: Vec3[] =
		run > 0
			? [1, 0.7, 0.4, 0.15].map((share): Vec3 => [
					first[0] + run * share * Math.cos(away),
					first[1] + run * share * Math.sin(away),
					Math.min(2.6, 1.2 * run * share)
				])
			: [];
	const middle = INNERMOST + (outermost - INNERMOST) * 0.5;
	const [across, deep] = [(outermost - INNERMOST) / 2 + 2.5, 2.6];
	const turns = Array.from({ length: 10 * wraps + 1 }, (_, i): Vec3 => {
		const angle = 0.2 + (i / 10) * 0.36;
		const phase = (2 * Math.PI * i) / 10;
		const r = middle + across * Math.cos(phase);
		return [r * Math.cos(angle), r * Math.sin(angle), deep * Math.sin(phase)];
	});
	const way = knotPath([...off, ...ring], turns);
	return [
		{
			role: 'leader',
			radiusMm: RADIUS,
			closed: false,
			start: 'fine',
			end: 'butt',
			points: drawnTo(way, wrapped)
		}
	];
}

/** A leader laid out, still remembering its coils: `wave` is how high, mm. */
function laidOut({ wave }: Pose<'wave'>): KnotStrand[] {
	const control = Array.from({ length: 41 }, (_, i): Vec3 => {
		const x = -32 + 1.6 * i;
		return [x, wave * Math.sin((2 * Math.PI * i) / 12), 0.6 * wave * Math.cos((2 * Math.PI * i) / 12)];
	});
	return [
		{ role: 'leader', radiusMm: RADIUS, closed: false, start: 'fine', end: 'butt', points: smooth(control) }
	];
}

export const LEADER: Knot = {
	slug: 'leader-uncoiled',
	name: 'A leader, uncoiled and straightened',
	joins: 'Not a knot: a new leader off its coil without a tangle, and its memory out of it.',
	wraps: { noun: 'turns of the butt', least: 3, most: 5, usual: 3 },
	stages: inOrder(
		staged(coiled, [
			{
				title: 'On three fingers',
				instruction: 'Spread three fingers inside the coil, so that it stays round and open.',
				mistake: 'Taken out of its bag and shaken: the coils fall through one another.',
				looks: 'A ring, the thick butt wound round it.',
				pose: { coils: 3, wrapped: 1, run: 0 }
			},
			{
				title: "Unwind the butt's turns",
				instruction: 'Find the thick end and unwind its turns from the ring, one by one.',
				mistake: 'Pulling at the thick end instead: the turns tighten on the ring.',
				looks: 'The ring free, the butt hanging from it.',
				pose: { coils: 3, wrapped: 0, run: 0 }
			},
			{
				title: 'Off from the small end',
				instruction: 'Take the fine end and draw it off, the coils falling from the fingers one at a time.',
				mistake: 'Letting the ring go: then every coil can fall through every other.',
				looks: 'Straight leader on one side, fewer coils on the other.',
				pose: { coils: 1.4, wrapped: 0, run: 30 }
			}
		]),
		staged(laidOut, [
			{
				title: 'Laid out',
				instruction: 'Hold it by both ends. It still remembers its coils.',
				mistake: 'Fished like this: it lands in a heap.',
				looks: 'Waves as wide as the coils were.',
				pose: { wave: 3.4 }
			},
			{
				title: 'Warm it straight',
				instruction:
					'Draw it slowly through the closed hand, or a soft cloth, until it is warm, and hold it stretched for a moment.',
				mistake: 'Drawn fast over rubber or an edge: heat and a nick take half its strength.',
				looks: 'It hangs straight by itself.',
				pose: { wave: 0 }
			}
		])
	)
};
