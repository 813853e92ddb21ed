import type { Cuts } from '$lib/core';
import { showLong, type UnitSystem } from '$lib/wording/units';
import type { StockNeed } from './stock';

/** A piece that is to be cut off a source, as a drawing shows it. */
export interface PlannedCut {
	readonly id: string;
	readonly label: string;
	readonly lengthMm: number;
}

/** What is to be cut off each source, by its id; what is due first comes off first. */
export function plannedCuts(
	needs: readonly StockNeed[],
	cuts: Cuts,
	units: UnitSystem
): ReadonlyMap<string, readonly PlannedCut[]> {
	const of = new Map<string, PlannedCut[]>();
	for (const { id, lengthMm, number, reel } of needs) {
		const source = cuts.get(id);
		if (source === undefined || lengthMm === null) continue;
		const label = `Order ${number}, ${reel || 'unnamed spool'}: ${showLong(lengthMm, units)}`;
		of.set(source, [...(of.get(source) ?? []), { id, label, lengthMm }]);
	}
	return of;
}
