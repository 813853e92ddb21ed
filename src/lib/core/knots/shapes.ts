import { add, cross, norm, scale, sub, type Vec3 } from './curve';
import { around, helix } from './strand';
import { knotPath, type KnotPath } from './path';

/** How an overhand lies, mm: half the height of its braid, the loop over it, a half turn, the ends. */
export interface OverhandSize {
	readonly spread: number;
	readonly loop: number;
	readonly pitch: number;
	readonly lead: number;
}

/**
 * An overhand with its end passed `passes` times through the loop, as a two-strand braid closed over the top: the
 * standing part comes from the left, below; the end leaves to the right, below. Closing the ends gives the torus knot
 * T(2, 2·passes + 1). A tightened knot has less spread and a smaller loop. Rests: a loop 0, once through 1, out 2; how
 * the standing part lies depends on how far the end has come (`end`).
 */
export function overhandWay(passes: number, { spread, loop, pitch, lead }: OverhandSize, end = 2): KnotPath {
	const halfTurns = 2 * passes + 1;
	const half = (halfTurns * pitch) / 2;
	const perHalfTurn = 5;
	const count = perHalfTurn * halfTurns;
	// The end as far as it has come through the braid, and a little ahead of it.
	const from = Math.min(Math.max(end, 0), 1) * 2 * perHalfTurn + perHalfTurn;
	const reached = from + Math.max(end - 1, 0) * (count + 3 - from) + 0.7 * perHalfTurn;
	const braid = (phase: number, bent: (i: number) => number): Vec3[] =>
		Array.from({ length: count + 1 }, (_, i): Vec3 => {
			const angle = phase + (Math.PI * halfTurns * i) / count;
			const [along, share] = [i / count, bent(i)];
			const straight = spread * (2 * along - 1);
			return [
				half * (2 * along - 1),
				share * spread * Math.cos(angle) + (1 - share) * straight,
				share * spread * Math.sin(angle)
			];
		});
	/** The standing part is bent only where the end has been: before that it runs straight to its loop. */
	const bent = (i: number): number => smoothStep((reached - i) / perHalfTurn + 0.5);
	const before: Vec3[] = [
		[-half - lead, -spread - 1, 0],
		[-half - 0.5 * lead, -spread - 0.6, 0],
		...braid(Math.PI, bent),
		[half + 2.6, spread + 1.6, 0],
		[half + 2.4, spread + 0.55 * loop, 0],
		[0.6 * half, spread + loop, 0],
		[-0.6 * half, spread + loop, 0],
		[-half - 2.4, spread + 0.55 * loop, 0],
		[-half - 2.6, spread + 1.6, 0]
	];
	const control: Vec3[] = [
		...before,
		...braid(0, () => 1),
		[half + 0.5 * lead, -spread - 0.6, 0],
		[half + lead, -spread - 1, 0]
	];
	// The first crossing lies half a half turn along; a pass is two crossings more.
	const loopMade = before.length + perHalfTurn;
	return { control, marks: [loopMade, loopMade + 2 * perHalfTurn, control.length - 1] };
}

const smoothStep = (t: number): number => {
	const kept = Math.min(Math.max(t, 0), 1);
	return kept * kept * (3 - 2 * kept);
};

/** The curve beside a curve: moved by `byMm` to the left of its direction as it is looked at. */
export function beside(points: readonly Vec3[], byMm: number): Vec3[] {
	return points.map((point, i) => {
		const ahead = sub(points[Math.min(i + 1, points.length - 1)]!, points[Math.max(i - 1, 0)]!);
		const left = cross([0, 0, 1], ahead);
		return add(point, scale(left, byMm / (norm(left) || 1)));
	});
}

/** How the turns of a coil are counted. */
export const TURNS_ROUND = 'Count whole turns. The bend where the end turns back is not one of them.';

/** What a coil of turns is wound with. */
export interface Coil {
	/** Where it begins, mm along x; it grows to the right. */
	readonly x: number;
	readonly turns: number;
	/** Radius of what it is wound round, and of the strand itself, mm. */
	readonly core: number;
	readonly radius: number;
	/** Room between strands, mm. */
	readonly gap: number;
	/** How far the ends reach, mm. */
	readonly standing: number;
	readonly tag: number;
	/** Angles at which the standing part and the end lie inside, about the x axis: one above, one below the other. */
	readonly at?: readonly [standing: number, end: number];
}

/**
 * A strand that lies along something, turns back, is wound round both, and comes back through under its own turns:
 * what a nail knot and a uni have in common. The standing part comes from the right, the end leaves to the left.
 * Rests: lying along, the first turn, all turns, through.
 */
export function coilWay({ x, turns, core, radius, gap, standing, tag, at }: Coil): KnotPath {
	const [inAngle, outAngle] = at ?? [Math.PI / 3, -Math.PI / 3];
	const inner = core + radius + gap;
	const outer = inner + 2 * radius + gap;
	const middle = (inner + outer) / 2;
	// So many whole turns, and on to where the end goes in.
	const swept = inAngle - outAngle + 2 * Math.PI * turns;
	const length = ((2 * radius + gap) * swept) / (2 * Math.PI);
	const bulge = 1.25 * radius + gap;
	const right = x + length;
	const lying: Vec3[] = [
		around(right + standing, inAngle, inner),
		around(right + 0.4 * standing, inAngle, inner),
		...[0.75, 0.5, 0.25, 0].map((t) => around(x + t * length, inAngle, inner))
	];
	const wound: Vec3[] = [
		around(x - 0.8 * bulge, inAngle, inner + 0.15 * (outer - inner)),
		around(x - bulge, inAngle, middle),
		around(x - 0.8 * bulge, inAngle, outer - 0.15 * (outer - inner)),
		...helix({ x, angle: inAngle }, { x: right, angle: inAngle - swept }, outer)
	];
	const through: Vec3[] = [
		around(right + 0.8 * bulge, outAngle, outer - 0.15 * (outer - inner)),
		around(right + bulge, outAngle, middle),
		around(right + 0.8 * bulge, outAngle, inner + 0.15 * (outer - inner)),
		...[1, 0.75, 0.5, 0.25, 0].map((t) => around(x + t * length, outAngle, inner)),
		around(x - 0.5 * tag, outAngle, inner),
		around(x - tag, outAngle, inner)
	];
	const [atLying, atWound, atThrough] = knotPath(lying, wound, through).marks as [number, number, number];
	const firstTurn = atWound - (atWound - atLying - 4) * Math.max(0, 1 - (2 * Math.PI) / swept);
	return {
		control: [...lying, ...wound, ...through],
		marks: [atLying, firstTurn, atWound, atThrough]
	};
}

/** How long a coil is, mm along x. */
export const coilLength = ({ turns, radius, gap }: Pick<Coil, 'turns' | 'radius' | 'gap'>): number =>
	(2 * radius + gap) * (turns + 1 / 3);
