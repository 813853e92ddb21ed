import type { Result } from '../issues';
import { crossSectionMm2, totalVolumeMm3, type LineSection } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { volumeToRadius, type Spool } from '../spool';
import { solveFit, type Fit } from './solve';
import type { Stack } from './stack';

/** The backing that would go under every line. */
export interface MatchBacking {
	readonly diameterMm: number;
	readonly layEfficiency: number;
}

export interface MatchLine {
	readonly sections: readonly LineSection[];
	readonly layEfficiency: number;
}

const stackOf = (line: MatchLine, backing: MatchBacking): Stack => [
	{ role: 'backing', ...backing },
	{ role: 'line', ...line }
];

/** One cell of the matrix: this line on this spool over as much backing as leaves the gap. */
export const matchPair = (spool: Spool, line: MatchLine, backing: MatchBacking, gapMm: number): Result<Fit> =>
	solveFit(spool, stackOf(line, backing), gapMm);

/** What a pair comes to, small enough to keep ten thousand of. */
export interface MatchCell {
	readonly fits: boolean;
	readonly backingMm: number;
	readonly gapMm: number;
	readonly stopDepthMm: number;
}

/** Every spool with every line, a row a spool; a spool that the gap leaves no room on has no cells. */
export function* matchMatrix(
	spools: readonly Spool[],
	lines: readonly MatchLine[],
	backing: MatchBacking,
	gapMm: number
): Generator<number, MatchCell[][]> {
	const rows: MatchCell[][] = [];
	for (const spool of spools) {
		const row: MatchCell[] = [];
		for (const line of lines) {
			const fit = matchPair(spool, line, backing, gapMm);
			if (!fit.ok) break;
			const { fits, solved, gapMm: left } = fit.value;
			row.push({
				fits,
				backingMm: solved?.lengthMm ?? 0,
				gapMm: left,
				stopDepthMm: solved?.stopDepthMm ?? 0
			});
		}
		rows.push(row);
		yield rows.length;
	}
	return rows;
}

/** One backing under several lines. */
export interface SharedBacking {
	readonly lengthMm: number;
	/** Gap that each line leaves over it, in the order given, mm. */
	readonly gapsMm: readonly number[];
	/** The line that decides. */
	readonly tightest: number;
}

/**
 * The longest backing that lets every line keep at least its own smallest gap: what the bulkiest of them
 * leaves. Undefined when one of them does not even fit alone.
 */
export function sharedBacking(
	spool: Spool,
	lines: readonly (MatchLine & { leastGapMm: number })[],
	backing: MatchBacking
): SharedBacking | undefined {
	if (lines.length === 0) throw new RangeError('no lines to share a backing');
	const perMm = crossSectionMm2(backing.diameterMm) / packingFraction(backing.layEfficiency);
	const rooms = lines.map(({ sections, layEfficiency, leastGapMm }) => {
		const surfaceMm = Math.max(spool.gapFromRadiusMm - leastGapMm, spool.arborRadiusMm);
		return volumeToRadius(spool, surfaceMm) - totalVolumeMm3(sections) / packingFraction(layEfficiency);
	});
	const least = Math.min(...rooms);
	if (least < 0) return undefined;
	const lengthMm = least / perMm;
	const under = { role: 'backing' as const, layEfficiency: backing.layEfficiency };
	const level = { lengthMm, startDiameterMm: backing.diameterMm, endDiameterMm: backing.diameterMm };
	const gapsMm = lines.map(({ sections, layEfficiency }) => {
		const fit = solveFit(
			spool,
			[
				{ ...under, sections: [level] },
				{ role: 'line', sections, layEfficiency }
			],
			0
		);
		if (!fit.ok) throw new RangeError(`a known stack has no gap: ${fit.issues[0]!.code}`);
		return fit.value.gapMm;
	});
	return { lengthMm, gapsMm, tightest: rooms.indexOf(least) };
}
