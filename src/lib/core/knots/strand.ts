import { ROLES, type Role } from '../fit/stack';
import { smooth, type Vec3 } from './curve';

/** What a strand is; it gives its colour and texture. A tool or a spool is an object, not a strand that is tied. */
export type KnotStrandRole = Role | 'tippet' | 'tool' | 'arbor' | 'sleeve';
/** The roles in their order from the reel to the fish. Of two strands that are joined, the earlier one is on the reel side. */
export const STANDS_OUTWARD: readonly KnotStrandRole[] = ['arbor', ...ROLES, 'tippet'];
/**
 * Where an end goes: on to the reel or the fish, cut off, or nowhere (an object's); the fine end of a leader and its
 * thick one.
 */
export type EndKind = 'standing' | 'tag' | 'fine' | 'butt' | 'object';

export interface KnotStrand {
	readonly role: KnotStrandRole;
	readonly radiusMm: number;
	readonly closed: boolean;
	readonly start: EndKind;
	readonly end: EndKind;
	readonly points: readonly Vec3[];
}

/** A strand through control points. Diagrams are drawn large: a millimetre here is a strand's radius, about. */
export const strand = (
	role: KnotStrandRole,
	radiusMm: number,
	control: readonly Vec3[],
	ends: { start: EndKind; end: EndKind; closed?: boolean }
): KnotStrand => ({
	role,
	radiusMm,
	closed: ends.closed ?? false,
	start: ends.start,
	end: ends.end,
	points: smooth(control, { closed: ends.closed ?? false })
});

/** Points of a helix round the x axis, `perTurn` to a turn, the first and the last included. */
export function helix(
	from: { x: number; angle: number },
	to: { x: number; angle: number },
	radius: number,
	perTurn = 10
): Vec3[] {
	const count = Math.max(2, Math.ceil((Math.abs(to.angle - from.angle) / (2 * Math.PI)) * perTurn));
	return Array.from({ length: count + 1 }, (_, i): Vec3 => {
		const t = i / count;
		return around(from.x + t * (to.x - from.x), from.angle + t * (to.angle - from.angle), radius);
	});
}

/** A point at an angle about the x axis: 0 toward whoever looks, a quarter turn up. */
export const around = (x: number, angle: number, radius: number): Vec3 => [
	x,
	radius * Math.sin(angle),
	radius * Math.cos(angle)
];
