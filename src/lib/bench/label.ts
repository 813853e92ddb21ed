import type { Winding } from '$lib/inventory/winding';
import { showDay } from '$lib/wording/dates';
import { showLong, showSmall, type UnitSystem } from '$lib/wording/units';
import { asWound } from '$lib/inventory/wound';

/** Sizes that labels are sold in, mm. Common practice; anything is cut with scissors. */
export const LABEL_SIZES = [
	{ slug: 'small', widthMm: 50, heightMm: 25 },
	{ slug: 'usual', widthMm: 62, heightMm: 29 },
	{ slug: 'large', widthMm: 90, heightMm: 38 }
] as const;
export type LabelSize = (typeof LABEL_SIZES)[number];

/** What stands on a spool's label: its name, what is on it from the outside in, the gap, when. */
export interface Label {
	readonly name: string;
	readonly lines: readonly string[];
	readonly foot: string;
}

/** Undefined when the set-up had no answer, so that nothing is known of what is on it. */
export function labelOf(record: Winding, units: UnitSystem): Label | undefined {
	const wound = asWound(record.form, record);
	if (!wound) return undefined;
	const { workout } = wound;
	const { backingMm, backingMeasured } = record;
	const gap =
		record.gapMm === null
			? `gap ${showSmall(workout.fit.gapMm, units)} planned`
			: `gap ${showSmall(record.gapMm, units)}`;
	return {
		name: record.form.spool.name || 'Unnamed spool',
		lines: workout.parts
			.map(({ short }, i) =>
				i === workout.stopIndex
					? `${backingMeasured ? '' : 'about '}${showLong(backingMm, units)} ${short}`
					: `${short}, ${showLong(workout.fit.layers[i]!.lengthMm, units)}`
			)
			.reverse()
			.concat(`${record.form.spool.hand}-hand wind`),
		foot: `${gap}; ${showDay(record.woundOn)}`
	};
}
