import { withUnit } from '$lib/core';
import type { RecordForm, SetupForm } from './setup';
import { leaderUnit, longUnit, smallUnit, type UnitSystem } from './units';

/**
 * A form with every bare number given the unit it was typed in, so that it means the same tomorrow and
 * in another window. Nothing else changes: "3 3/8 in" stays "3 3/8 in".
 */
export function settleSetup({ spool, fill }: SetupForm, units: UnitSystem): SetupForm {
	const [long, small] = [longUnit(units), smallUnit(units)];
	return {
		spool: {
			...spool,
			ratings: spool.ratings.map((rating) => ({ ...rating, length: withUnit(rating.length, long) })),
			rim: withUnit(spool.rim, small),
			arbor: withUnit(spool.arbor, small),
			width: withUnit(spool.width, small),
			frame: withUnit(spool.frame, small)
		},
		fill: {
			...fill,
			line: { ...fill.line, length: withUnit(fill.line.length, long) },
			backing: { ...fill.backing, diameter: withUnit(fill.backing.diameter, small) },
			gap: withUnit(fill.gap, small),
			leader: withUnit(fill.leader, leaderUnit(units))
		}
	};
}

export const settleRecord = (record: RecordForm, units: UnitSystem): RecordForm => ({
	...record,
	depth: withUnit(record.depth, smallUnit(units)),
	gap: withUnit(record.gap, smallUnit(units))
});
