import { crossingsOf } from '../knots/crossings';
import { add, cross, dot, norm, scale, sub, type Vec3 } from '../knots/curve';
import { linkingNumber } from '../knots/invariants';

const unit = (v: Vec3): Vec3 => scale(v, 1 / norm(v));
const arcsine = (x: number): number => Math.asin(Math.min(Math.max(x, -1), 1));

/**
 * Writhe of a closed polygon: the Gauss double integral, exact for straight pieces, as the solid angles that each two of
 * them are seen under (Klenin and Langowski, Computation of writhe in modeling of supercoiled DNA, Biopolymers 54, 2000,
 * method 1a).
 */
export function writheOf(points: readonly Vec3[]): number {
	const n = points.length;
	let sum = 0;
	for (let i = 0; i < n; i++)
		for (let j = i + 2; j < n; j++) {
			if (i === 0 && j === n - 1) continue;
			sum += solidAngle(points[i]!, points[i + 1]!, points[j]!, points[(j + 1) % n]!);
		}
	return sum / (2 * Math.PI);
}

function solidAngle(p1: Vec3, p2: Vec3, p3: Vec3, p4: Vec3): number {
	const [r13, r14, r24, r23] = [sub(p3, p1), sub(p4, p1), sub(p4, p2), sub(p3, p2)];
	const normals = [cross(r13, r14), cross(r14, r24), cross(r24, r23), cross(r23, r13)];
	if (normals.some((normal) => norm(normal) < 1e-12)) return 0;
	const [n1, n2, n3, n4] = normals.map(unit) as [Vec3, Vec3, Vec3, Vec3];
	const area = arcsine(dot(n1, n2)) + arcsine(dot(n2, n3)) + arcsine(dot(n3, n4)) + arcsine(dot(n4, n1));
	return area * Math.sign(dot(cross(sub(p4, p3), sub(p2, p1)), r13));
}

/** A closed line with a side marked on it: its middle, and at every point which way the mark looks. */
export interface Ribbon {
	readonly points: readonly Vec3[];
	readonly marks: readonly Vec3[];
}

/**
 * How often the mark goes round the line, as seen along it: at each corner, what is left of the mark's turn after the
 * line's own has been taken along by the least rotation (Bergou and others, Discrete elastic rods, SIGGRAPH 2008).
 */
export function twistOf({ points, marks }: Ribbon): number {
	const n = points.length;
	const pieces = points.map((point, i) => {
		const along = unit(sub(points[(i + 1) % n]!, point));
		const mark = add(marks[i]!, marks[(i + 1) % n]!);
		return { along, mark: unit(sub(mark, scale(along, dot(mark, along)))) };
	});
	let sum = 0;
	pieces.forEach(({ along, mark }, i) => {
		const next = pieces[(i + 1) % n]!;
		const taken = rotated(mark, along, next.along);
		sum += Math.atan2(dot(next.along, cross(taken, next.mark)), dot(taken, next.mark));
	});
	return sum / (2 * Math.PI);
}

/** A vector turned as the least rotation turns one direction into another (Rodrigues). */
function rotated(v: Vec3, from: Vec3, to: Vec3): Vec3 {
	const axis = cross(from, to);
	const c = dot(from, to);
	return add(add(scale(v, c), cross(axis, v)), scale(axis, dot(axis, v) / (1 + c)));
}

/** How often a line and its marked side are linked: from where they cross. */
export function linkOf({ points, marks }: Ribbon, widthMm: number): number {
	// Looked at askew, so that nothing lies exactly behind anything.
	const [c, s, d, e] = [Math.cos(0.7), Math.sin(0.7), Math.cos(0.31), Math.sin(0.31)];
	const turned = ([x, y, z]: Vec3): Vec3 => {
		const [x1, z1] = [c * x + s * z, -s * x + c * z];
		return [x1, d * y - e * z1, e * y + d * z1];
	};
	const side = points.map((point, i) => turned(add(point, scale(marks[i]!, widthMm))));
	const curves = [points.map(turned), side].map((all) => ({ points: all, closed: true }));
	return linkingNumber(crossingsOf(curves), 0, 1);
}

/**
 * A line that comes along an axis, lies in so many coils round it, and leaves along it, closed far away; the mark looks
 * outward, as on a spool where the line lies without twist. `hand` +1 is a right-handed screw.
 */
export function coil(
	turns: number,
	{ radiusMm = 30, pitchMm = 4, hand = 1 as 1 | -1, perTurn = 60 } = {}
): Ribbon {
	const [points, marks]: [Vec3[], Vec3[]] = [[], []];
	const put = (point: Vec3, mark: Vec3): void => {
		points.push(point);
		marks.push(mark);
	};
	const [height, far] = [turns * pitchMm, 40 * radiusMm];
	const up: Vec3 = [0, 1, 0];
	const straight = (from: Vec3, to: Vec3, pieces: number): void => {
		for (let i = 0; i < pieces; i++) put(add(scale(from, 1 - i / pieces), scale(to, i / pieces)), up);
	};
	straight([0, 0, -far], [0, 0, -radiusMm], 20);
	// Out to the coil and in again over a turn and a half, so slowly that the mark stays across the line.
	const count = turns * perTurn;
	for (let i = 0; i <= count; i++) {
		const share = i / count;
		const angle = hand * 2 * Math.PI * turns * share + Math.PI / 2;
		const ramp = Math.min(1, (share * turns) / 1.5, ((1 - share) * turns) / 1.5);
		const r = radiusMm * ramp * ramp * (3 - 2 * ramp);
		const z = -radiusMm * (1 - share) + (height + radiusMm) * share;
		const outward: Vec3 = [Math.cos(angle), Math.sin(angle), 0];
		put([r * outward[0], r * outward[1], z], outward);
	}
	straight([0, 0, height + radiusMm + 1], [0, 0, far], 20);
	straight([0, 0, far], [far, 0, far], 20);
	straight([far, 0, far], [far, 0, -far], 20);
	straight([far, 0, -far], [0, 0, -far], 20);
	return { points, marks };
}
