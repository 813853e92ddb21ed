import { crossingsOf, type Crossing } from './crossings';
import type { Vec3 } from './curve';
import { alexander, closedAbove, gaussCode, linkingNumber } from './invariants';
import type { KnotStrand } from './strand';

/**
 * What does not change however strands are pushed about while their ends are held: the Alexander polynomial of each,
 * and how each two are linked, every open strand closed above all others.
 */
export function signatureOf(strands: readonly KnotStrand[]): string {
	const curves = strands.map(({ points, closed }, i) => {
		if (closed) return { points, closed };
		const above = closedAbove(points);
		// Each is closed at a height of its own, so that what closes one does not meet what closes another.
		return {
			closed: true,
			points: above.points.map(([x, y, z], k): Vec3 =>
				k < points.length ? [x, y, z] : [x, y, z + 20 * (i + 1)]
			)
		};
	});
	const crossings = crossingsOf(curves);
	const knots = curves.map((_, i) => {
		const own = crossings.filter(({ over, under }) => over.curve === i && under.curve === i);
		return alexander(gaussCode(curves.length, own)[i]!).join();
	});
	const links = curves.flatMap((_, i) =>
		curves.slice(i + 1).map((_, k) => linkingNumber(crossings, i, i + 1 + k))
	);
	return `${knots.join(';')}|${links.join()}`;
}

const overs = (crossings: readonly Crossing[]): string[] =>
	crossings
		.map(
			({ over, under, x, y }) =>
				`${x.toFixed(4)},${y.toFixed(4)}:${over.curve}/${under.curve}:${over.at < under.at ? 1 : 0}`
		)
		.sort();

/** The strands with one crossing the other way: what was under is lifted over it. None if that turns others as well. */
export function flipped(
	strands: readonly KnotStrand[],
	crossing: Crossing
): readonly KnotStrand[] | undefined {
	const { over, under } = crossing;
	const lifted = strands[under.curve]!;
	const reach = 2.6 * (lifted.radiusMm + strands[over.curve]!.radiusMm);
	const height = over.z - under.z + 1.1 * (lifted.radiusMm + strands[over.curve]!.radiusMm);
	const points = lifted.points.map((point, i): Vec3 => {
		const away = Math.hypot(point[0] - crossing.x, point[1] - crossing.y);
		// Only the passage itself: the strand may come by the same place again.
		if (away > reach || Math.abs(i - under.at) > 25) return point;
		return [point[0], point[1], point[2] + height * Math.cos((Math.PI * away) / (2 * reach)) ** 2];
	});
	const made = strands.map((strand, i) => (i === under.curve ? { ...strand, points } : strand));
	const [before, after] = [overs(crossingsOf(strands)), overs(crossingsOf(made))];
	if (before.length !== after.length) return undefined;
	const changed = after.filter((entry) => !before.includes(entry));
	return changed.length === 1 ? made : undefined;
}

/** Every way to get one crossing wrong that makes another knot of it, as far as the invariants can tell. */
export function flaws(strands: readonly KnotStrand[]): (readonly KnotStrand[])[] {
	const right = signatureOf(strands);
	return crossingsOf(strands)
		.filter(({ over, under }) => [over, under].every(({ curve }) => strands[curve]!.start !== 'object'))
		.flatMap((crossing) => {
			const wrong = flipped(strands, crossing);
			return wrong && signatureOf(wrong) !== right ? [wrong] : [];
		});
}
