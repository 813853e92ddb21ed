import type { Vec3 } from './curve';

const clamp = (x: number): number => Math.min(Math.max(x, 0), 1);

/**
 * Where two segments are nearest to each other: the share of each, from where it begins (Ericson, Real-Time Collision
 * Detection, 5.1.9). `u` and `v` lead from each one's beginning to its end, `r` from the second's beginning to the first's.
 */
export function nearestShares(
	[ux, uy, uz]: Vec3,
	[vx, vy, vz]: Vec3,
	[rx, ry, rz]: Vec3
): [first: number, second: number] {
	// A segment of no length is taken as next to none.
	const a = ux * ux + uy * uy + uz * uz || 1e-12;
	const e = vx * vx + vy * vy + vz * vz || 1e-12;
	const b = ux * vx + uy * vy + uz * vz;
	const c = ux * rx + uy * ry + uz * rz;
	const f = vx * rx + vy * ry + vz * rz;
	const denominator = a * e - b * b;
	// Of parallel ones every place is as good as the next.
	const s = denominator > 1e-9 * a * e ? clamp((b * f - c * e) / denominator) : 0.5;
	const t = (b * s + f) / e;
	if (t < 0) return [clamp(-c / a), 0];
	if (t > 1) return [clamp((b - c) / a), 1];
	return [s, t];
}
