import { KNOTS } from './catalogue';
import { drawMovingKnot } from './kept-curves';
import type { DrawnKnot } from './knot';
import type { KnotStrand } from './strand';

/** All knots with their curves, those on the way too. */
export const DRAWN: readonly DrawnKnot[] = await Promise.all(KNOTS.map(drawMovingKnot));
/** The finished knot as it is tied, before it is drawn up: where its turns can be counted. */
export function tied(slug: string, wraps: number): readonly KnotStrand[] {
	const { tightening, stages } = findDrawn(slug)!;
	return tightening ? tightening.loose(wraps) : stages.at(-1)!.strands(wraps);
}
export const findDrawn = (slug: string): DrawnKnot | undefined => DRAWN.find((knot) => knot.slug === slug);
