import { BACKING, LINE, problemOn } from '../estimate/testing';
import type { Reading } from '../estimate/reading';
import { DEFAULT_SPREADS } from '../uncertainty/spreads';
import type { RackWinding } from './local';
import type { LearntStrand } from './things';

const DESCRIBED: readonly LearntStrand[] = [
	{ id: 'backing', kind: 'polyester', laid: 'first' },
	{ id: 'line', kind: 'WF6F', laid: 'first' }
];

/** A winding of a 6-weight over backing, by its readings: turns and depth of the backing, and the gap. */
export function windingOf(
	id: string,
	{ turns, depthMm, gapMm }: { turns: number; depthMm: number; gapMm?: number },
	things: Partial<RackWinding> = {}
): RackWinding {
	const readings: Reading[] = [{ kind: 'depth', component: 0, turns, depthMm }];
	if (gapMm !== undefined) readings.push({ kind: 'gap', gapMm });
	return {
		id,
		problem: problemOn(undefined, [BACKING, LINE]),
		spreads: DEFAULT_SPREADS,
		readings,
		spool: 'spool',
		winder: 'ada',
		years: 0,
		strands: DESCRIBED.map((strand) => ({ ...strand, laid: id })),
		...things
	};
}
