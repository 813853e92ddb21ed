import { add, cross, norm, scale, sub, type Vec3 } from './curve';
import { around, helix } from './strand';

/**
 * An overhand with its end passed `passes` times through the loop, as a two-strand braid closed over the top: the
 * standing part comes from the left, below; the end leaves to the right, below. `passes` 0 is a loop that only crosses
 * itself. Closing the ends gives the torus knot T(2, 2·passes + 1).
 *
 * @param spread half the height of the braid, mm; a tightened knot has less of it and a smaller loop
 */
export function overhandPath(passes: number, { spread = 2.2, loop = 9, pitch = 4.4, lead = 9 } = {}): Vec3[] {
	const halfTurns = 2 * passes + 1;
	const half = (halfTurns * pitch) / 2;
	const braid = (phase: number): Vec3[] => {
		const count = 5 * halfTurns;
		return Array.from({ length: count + 1 }, (_, i): Vec3 => {
			const angle = phase + (Math.PI * halfTurns * i) / count;
			return [-half + (2 * half * i) / count, spread * Math.cos(angle), spread * Math.sin(angle)];
		});
	};
	return [
		[-half - lead, -spread - 1, 0],
		[-half - 0.5 * lead, -spread - 0.6, 0],
		...braid(Math.PI),
		[half + 2.6, spread + 1.6, 0],
		[half + 2.4, spread + 0.55 * loop, 0],
		[0.6 * half, spread + loop, 0],
		[-0.6 * half, spread + loop, 0],
		[-half - 2.4, spread + 0.55 * loop, 0],
		[-half - 2.6, spread + 1.6, 0],
		...braid(0),
		[half + 0.5 * lead, -spread - 0.6, 0],
		[half + lead, -spread - 1, 0]
	];
}

/** The curve beside a curve: moved by `byMm` to the left of its direction as it is looked at. */
export function beside(points: readonly Vec3[], byMm: number): Vec3[] {
	return points.map((point, i) => {
		const ahead = sub(points[Math.min(i + 1, points.length - 1)]!, points[Math.max(i - 1, 0)]!);
		const left = cross([0, 0, 1], ahead);
		return add(point, scale(left, byMm / (norm(left) || 1)));
	});
}

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
	/** The end is not through yet: it leaves after its last turn. */
	readonly open?: boolean;
	/** Angles at which the standing part and the end lie inside, about the x axis: one above, one below the other. */
	readonly at?: readonly [standing: number, end: number];
}

/**
 * A strand that lies along something, turns back, is wound round both, and comes back through under its own turns:
 * what a nail knot and a uni have in common. The standing part comes from the right, the end leaves to the left.
 */
export function coilPath({ x, turns, core, radius, gap, standing, tag, open = false, at }: Coil): Vec3[] {
	const [inAngle, outAngle] = at ?? [Math.PI / 3, -Math.PI / 3];
	const inner = core + radius + gap;
	const outer = inner + 2 * radius + gap;
	const middle = (inner + outer) / 2;
	const pitch = 2 * radius + gap;
	// Down the front from where the standing part turns back to where the end goes in: so often it is seen in front.
	const swept = inAngle - outAngle + 2 * Math.PI * (turns - 1);
	const length = (pitch * swept) / (2 * Math.PI);
	const bulge = 1.25 * radius + gap;
	const right = x + length;
	const start: Vec3[] = [
		around(right + standing, inAngle, inner),
		around(right + 0.4 * standing, inAngle, inner),
		...[0.75, 0.5, 0.25, 0].map((t) => around(x + t * length, inAngle, inner)),
		around(x - 0.8 * bulge, inAngle, inner + 0.15 * (outer - inner)),
		around(x - bulge, inAngle, middle),
		around(x - 0.8 * bulge, inAngle, outer - 0.15 * (outer - inner))
	];
	const wound = helix({ x, angle: inAngle }, { x: right, angle: inAngle - swept }, outer);
	if (open)
		return [
			...start,
			...wound,
			around(right + 0.4 * tag, outAngle - 0.35, outer + 0.3 * tag),
			around(right + 0.8 * tag, outAngle - 0.35, outer + 0.6 * tag)
		];
	return [
		...start,
		...wound,
		around(right + 0.8 * bulge, outAngle, outer - 0.15 * (outer - inner)),
		around(right + bulge, outAngle, middle),
		around(right + 0.8 * bulge, outAngle, inner + 0.15 * (outer - inner)),
		...[1, 0.75, 0.5, 0.25, 0].map((t) => around(x + t * length, outAngle, inner)),
		around(x - 0.5 * tag, outAngle, inner),
		around(x - tag, outAngle, inner)
	];
}

/** How long a coil is, mm along x. */
export const coilLength = ({ turns, radius, gap }: Pick<Coil, 'turns' | 'radius' | 'gap'>): number =>
	(2 * radius + gap) * (turns - 2 / 3);
