/** A point in space, mm: x to the right, y up, z toward whoever looks. */
export type Vec3 = readonly [x: number, y: number, z: number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [k * a[0], k * a[1], k * a[2]];
export const norm = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);
export const cross = (a: Vec3, b: Vec3): Vec3 => [
	a[1] * b[2] - a[2] * b[1],
	a[2] * b[0] - a[0] * b[2],
	a[0] * b[1] - a[1] * b[0]
];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** The direction of a polyline at one of its points, of length 1. */
export function directionAt(points: readonly Vec3[], i: number): Vec3 {
	const ahead = sub(points[Math.min(i + 1, points.length - 1)]!, points[Math.max(i - 1, 0)]!);
	return scale(ahead, 1 / (norm(ahead) || 1));
}
/** How far along a polyline each of its points is, mm. */
export function alongOf(points: readonly Vec3[]): number[] {
	const along = [0];
	for (let i = 1; i < points.length; i++) along.push(along[i - 1]! + norm(sub(points[i]!, points[i - 1]!)));
	return along;
}
/** How long a polyline is, mm. */
export const lengthOf = (points: readonly Vec3[]): number => alongOf(points).at(-1)!;
export const lerp = (a: Vec3, b: Vec3, t: number): Vec3 => add(scale(a, 1 - t), scale(b, t));

/**
 * A smooth curve through control points: centripetal Catmull–Rom, which neither loops nor overshoots between points
 * (Yuksel, Schaefer and Keyser, On the parameterization of Catmull–Rom curves, 2009), evaluated by Barry and Goldman's
 * pyramid. Returns points, `perSpan` to each span, the last one included.
 */
export function smooth(control: readonly Vec3[], { closed = false, perSpan = 5 } = {}): Vec3[] {
	const n = control.length;
	if (n < 2) throw new RangeError(`a curve needs two points, got ${n}`);
	if (n === 2) return [control[0]!, control[1]!];
	const at = (i: number): Vec3 => {
		if (closed) return control[(i + n) % n]!;
		// Beyond an end the curve goes on as it came.
		if (i < 0) return sub(scale(control[0]!, 2), control[1]!);
		if (i >= n) return sub(scale(control[n - 1]!, 2), control[n - 2]!);
		return control[i]!;
	};
	const points: Vec3[] = [];
	for (let i = 0; i < (closed ? n : n - 1); i++)
		for (let k = 0; k < perSpan; k++)
			points.push(onSpan(at(i - 1), at(i), at(i + 1), at(i + 2), k / perSpan));
	if (!closed) points.push(control[n - 1]!);
	return points;
}

function onSpan(p0: Vec3, p1: Vec3, p2: Vec3, p3: Vec3, u: number): Vec3 {
	const t0 = 0;
	const t1 = t0 + Math.sqrt(norm(sub(p1, p0)));
	const t2 = t1 + Math.sqrt(norm(sub(p2, p1)));
	const t3 = t2 + Math.sqrt(norm(sub(p3, p2)));
	const t = t1 + u * (t2 - t1);
	const mix = (a: Vec3, b: Vec3, from: number, to: number): Vec3 =>
		to === from ? a : lerp(a, b, (t - from) / (to - from));
	const a1 = mix(p0, p1, t0, t1);
	const a2 = mix(p1, p2, t1, t2);
	const a3 = mix(p2, p3, t2, t3);
	return mix(mix(a1, a2, t0, t2), mix(a2, a3, t1, t3), t1, t2);
}
