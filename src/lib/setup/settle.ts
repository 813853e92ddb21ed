import { withUnit, type LengthUnit } from '$lib/core';
import type { ComponentForm, Made, RatedOther, SetupForm } from './form';
import { leaderUnit, longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

function settleMade(made: Made, units: UnitSystem): Made {
	const [long, small] = [longUnit(units), smallUnit(units)];
	switch (made.way) {
		case 'material':
		case 'level':
			return { ...made, diameter: withUnit(made.diameter, small) };
		case 'weighed':
		case 'grains':
			return { ...made, mass: withUnit(made.mass, 'g') };
		case 'table':
			return {
				...made,
				rows: made.rows.map(({ length, start, end }) => ({
					length: withUnit(length, long),
					start: withUnit(start, small),
					end: withUnit(end, small)
				}))
			};
		case 'class':
			return made;
	}
}

const settleComponent = <C extends Pick<ComponentForm, 'made' | 'length'>>(
	component: C,
	units: UnitSystem
): C => ({
	...component,
	made: settleMade(component.made, units),
	length: withUnit(component.length, longUnit(units))
});

/** A weight is grams unless it says grains. */
const settleRated = (other: RatedOther, long: LengthUnit, small: LengthUnit): RatedOther =>
	other.kind === 'nylon'
		? { ...other, diameter: withUnit(other.diameter, small) }
		: { ...other, mass: withUnit(other.mass, 'g'), length: withUnit(other.length, long) };

/**
 * A form with every bare number given the unit it was typed in, so that it means the same tomorrow and
 * in another window. Nothing else changes: "3 3/8 in" stays "3 3/8 in".
 */
export function settleSetup({ spool, fill }: SetupForm, units: UnitSystem): SetupForm {
	const [long, small] = [longUnit(units), smallUnit(units)];
	const { rim, arbor, width, depth, ...shares } = fill.spreads;
	return {
		spool: {
			...spool,
			ratings: spool.ratings.map(({ other, ...rating }) => ({
				...rating,
				length: withUnit(rating.length, long),
				...(other && { other: settleRated(other, long, small) })
			})),
			filled: {
				...spool.filled,
				length: withUnit(spool.filled.length, long),
				gap: withUnit(spool.filled.gap, small)
			},
			rim: withUnit(spool.rim, small),
			arbor: withUnit(spool.arbor, small),
			width: withUnit(spool.width, small),
			low: withUnit(spool.low, small),
			floor: withUnit(spool.floor, small),
			frame: withUnit(spool.frame, small)
		},
		fill: {
			...fill,
			stack: fill.stack.map((component) => settleComponent(component, units)),
			swaps: fill.swaps.map((swap) => settleComponent(swap, units)),
			gap: withUnit(fill.gap, small),
			leader: withUnit(fill.leader, leaderUnit(units)),
			halfFit: withUnit(fill.halfFit, small),
			spreads: {
				...shares,
				rim: withUnit(rim, small),
				arbor: withUnit(arbor, small),
				width: withUnit(width, small),
				depth: withUnit(depth, small)
			}
		}
	};
}
