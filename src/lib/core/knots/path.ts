import { add, scale, smooth, sub, type Vec3 } from './curve';

/** The whole way of a strand, and the places on it where the end rests for a while: indices of control points. */
export interface KnotPath {
	readonly control: readonly Vec3[];
	readonly marks: readonly number[];
}

/** A way in legs; the end of each leg is a place to rest. The first leg ends at mark 0. */
export function knotPath(...legs: readonly (readonly Vec3[])[]): KnotPath {
	const marks: number[] = [];
	let count = 0;
	for (const leg of legs) marks.push((count += leg.length) - 1);
	return { control: legs.flat(), marks };
}

const PER_SPAN = 5;

/**
 * The strand as far as its end has come: up to a mark, or part of the way from one to the next. What has been laid
 * does not move any more, so that the end passes through nothing on its way if the whole way does not.
 */
export function drawnTo({ control, marks }: KnotPath, mark: number): Vec3[] {
	const last = marks.length - 1;
	const at = Math.min(Math.max(mark, 0), last);
	const i = Math.min(Math.floor(at), last - 1);
	const reached = last === 0 ? marks[0]! : marks[i]! + (at - i) * (marks[i + 1]! - marks[i]!);
	return upTo(smooth(control, { perSpan: PER_SPAN }), reached * PER_SPAN);
}

/** A curve up to a place between two of its points. */
export function upTo(points: readonly Vec3[], place: number): Vec3[] {
	const whole = Math.floor(place);
	if (whole >= points.length - 1) return [...points];
	const [a, b] = [points[whole]!, points[whole + 1]!];
	const rest = place - whole;
	// A last piece of next to no length would have no direction.
	if (rest < 1e-6) return points.slice(0, whole + 1);
	return [...points.slice(0, whole + 1), add(a, scale(sub(b, a), rest))];
}

/** A way with something laid before it, and further legs after it. */
export function extended(
	before: readonly Vec3[],
	way: KnotPath,
	...after: readonly (readonly Vec3[])[]
): KnotPath {
	const control = [...before, ...way.control, ...after.flat()];
	const marks = way.marks.map((mark) => mark + before.length);
	let count = before.length + way.control.length;
	for (const leg of after) marks.push((count += leg.length) - 1);
	return { control, marks };
}
