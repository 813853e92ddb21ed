import { bulkLeft, dayOf, spaceOf, type BulkEvent, type BulkLeft } from '$lib/core';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { readStock } from './read-stock';
import type { StockEntry, StockForm, StoredStockEvent } from './stock';
import { whatOf } from './what';

/** Something on the shelf with what happened to it, in the order of time. */
export interface Shelved {
	readonly id: string;
	readonly version: number;
	readonly form: StockForm;
	readonly events: readonly (StoredStockEvent & { readonly id: string })[];
}

function bulkEvent({ kind, value, sigma = 0, places, changed }: StoredStockEvent): BulkEvent | undefined {
	switch (kind) {
		case 'cut':
			return { kind, lengthMm: value, sigmaMm: sigma };
		case 'weighed':
			return { kind, massG: value, changed };
		case 'depth':
			return { kind, depthMm: value, places, changed };
		case 'length':
			return { kind, lengthMm: value, changed };
		default:
			return undefined;
	}
}

/** Boxes that are left: what came and went since they were last counted. */
const boxesLeft = ({ form, events }: Shelved): number =>
	events.reduce(
		(left, { kind, value }) =>
			kind === 'counted' ? value : kind === 'came' ? left + value : kind === 'took' ? left - value : left,
		Number(form.boxes)
	);

/** Something on the shelf as it is answered. A saved form carries its units and was read before it was kept. */
export function stockEntry(shelved: Shelved): StockEntry {
	const { id, version, form, events } = shelved;
	const read = readStock(form, DEFAULT_UNITS);
	const length = read.ok ? read.value.length : undefined;
	// A depth counts for as long as somebody has measured the spool.
	const counted = events.flatMap((event) => {
		const one = bulkEvent(event);
		return one && (one.kind !== 'depth' || length?.spool) ? [{ id: event.id, event: one }] : [];
	});
	const left: BulkLeft | undefined =
		length &&
		bulkLeft(
			length,
			counted.map(({ event }) => event)
		);
	const surprising = new Set(
		left?.readings.flatMap(({ event, surprise }) => (surprise ? [counted[event]!.id] : []))
	);
	return {
		id,
		version,
		form,
		what: whatOf(form),
		leftMm: left?.left ?? null,
		boxes: form.kind === 'boxed' ? Math.max(boxesLeft(shelved), 0) : null,
		spool: length?.spool ?? null,
		spaceMm2: length ? spaceOf(length.diameterMm) : 0,
		events: events
			.map((event) => ({ ...event, day: dayOf(event.day), surprise: surprising.has(event.id) }))
			.reverse()
	};
}
