import {
	byHandSigmaMm,
	fail,
	findMaterial,
	ok,
	straightSpool,
	under,
	withUnit,
	type BulkLength,
	type BulkSpool,
	type Result
} from '$lib/core';
import { BOUNDS } from '$lib/setup/bounds';
import { readField, readMass, readOptional, Reader, readStrandField } from '$lib/setup/read-text';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';
import type { AddStockEvent, StockEventKind, StockForm, StoredStockEvent } from './stock';

/** What a form says of a length of backing, mm and g; undefined for boxes. */
export interface ReadStock {
	readonly length: BulkLength | undefined;
	/** There is little left of its kind below this; undefined where nobody said. */
	readonly fewMm: number | undefined;
}

/** The measures of the bulk spool: all three or none. */
function readSpool(form: StockForm, units: UnitSystem, reader: Reader): BulkSpool | undefined {
	const typed = (['rim', 'arbor', 'width'] as const).filter((field) => form[field].trim() !== '');
	if (form.kind !== 'bulk' || typed.length === 0) return undefined;
	const read = (field: 'rim' | 'arbor' | 'width'): number =>
		reader.take(readField(form[field], smallUnit(units), BOUNDS.spool, [field]), 0);
	const spool = { rimDiameterMm: read('rim'), arborDiameterMm: read('arbor'), widthMm: read('width') };
	if (reader.issues.length > 0) return undefined;
	const built = straightSpool(spool);
	if (!built.ok)
		reader.take({ ok: false, issues: built.issues.map((one) => ({ ...one, path: ['arbor'] })) }, 0);
	return built.ok ? spool : undefined;
}

/** Reads what was typed of something on the shelf. Issues where it makes no sense. */
export function readStock(form: StockForm, units: UnitSystem): Result<ReadStock> {
	const reader = new Reader();
	const long = longUnit(units);
	if (form.kind === 'boxed') {
		if (form.boxes.trim() === '') return fail({ code: 'missing_value' }, ['boxes']);
		return ok({ length: undefined, fewMm: undefined });
	}
	const material = findMaterial(form.material);
	if (!material.ok) return { ok: false, issues: under(material.issues, 'material') };
	const { density, diameterMm, diameterSpread } = material.value;
	const typed = reader.take(
		readStrandField(form.diameter, smallUnit(units), density, ['diameter']),
		undefined
	);
	const newMm = reader.take(readOptional(form.length, long, BOUNDS.bulk, ['length']), undefined);
	if (form.kind === 'end' && form.length.trim() === '')
		reader.take(fail({ code: 'missing_value' }, ['length']), 0);
	const spool = readSpool(form, units, reader);
	const emptyG =
		form.kind === 'bulk' && form.empty.trim() !== ''
			? reader.take(readMass(form.empty, ['empty'], BOUNDS.bulkMass), undefined)
			: undefined;
	const fewMm = reader.take(readOptional(form.few, long, BOUNDS.bulk, ['few']), undefined);
	return reader.issues.length > 0
		? { ok: false, issues: reader.issues }
		: ok({
				length: {
					newMm,
					diameterMm: typed?.diameterMm ?? diameterMm,
					diameterShare: typed?.share ?? diameterSpread,
					density,
					spool,
					emptyG
				},
				fewMm
			});
}

/** The same with every bare number given the unit it was typed in. */
export const settleStock = (form: StockForm, units: UnitSystem): StockForm => ({
	...form,
	length: withUnit(form.length, longUnit(units)),
	few: withUnit(form.few, longUnit(units)),
	diameter: withUnit(form.diameter, smallUnit(units)),
	rim: withUnit(form.rim, smallUnit(units)),
	arbor: withUnit(form.arbor, smallUnit(units)),
	width: withUnit(form.width, smallUnit(units)),
	empty: withUnit(form.empty, 'g')
});

const isOfBoxes = (kind: StockEventKind): boolean => kind === 'came' || kind === 'took' || kind === 'counted';

function readAmount({ kind, amount }: AddStockEvent, units: UnitSystem): Result<number> {
	const path = ['amount'];
	if (amount.trim() === '') return fail({ code: 'missing_value' }, path);
	switch (kind) {
		case 'cut':
			return readField(amount, longUnit(units), BOUNDS.cut, path);
		case 'length':
			return readField(amount, longUnit(units), BOUNDS.left, path);
		case 'weighed':
			return readMass(amount, path, BOUNDS.bulkMass);
		case 'depth':
			return readField(amount, smallUnit(units), BOUNDS.depth, path);
		default: {
			const boxes = Number(amount.trim());
			const least = kind === 'counted' ? 0 : 1;
			return Number.isInteger(boxes) && boxes >= least && boxes <= 999
				? ok(boxes)
				: fail({ code: 'not_a_count', least }, path);
		}
	}
}

const unitOf = (kind: StockEventKind, units: UnitSystem) =>
	kind === 'weighed' ? 'g' : kind === 'depth' ? smallUnit(units) : longUnit(units);

/** Reads an event about something on the shelf. Issues where it cannot be one of it. */
export function readStockEvent(
	event: AddStockEvent,
	form: StockForm,
	units: UnitSystem
): Result<StoredStockEvent> {
	if (isOfBoxes(event.kind) !== (form.kind === 'boxed')) return fail({ code: 'not_of_this_stock' }, ['kind']);
	const read = readStock(form, units);
	if (event.kind === 'depth' && read.ok && !read.value.length?.spool)
		return fail({ code: 'bulk_spool_unmeasured' }, ['amount']);
	const value = readAmount(event, units);
	if (!value.ok) return value;
	const { kind, day, places, note } = event;
	return ok({
		kind,
		day,
		amount: isOfBoxes(kind) ? event.amount.trim() : withUnit(event.amount, unitOf(kind, units)),
		value: value.value,
		...(kind === 'cut' && { sigma: byHandSigmaMm(value.value) }),
		places,
		changed: false,
		note
	});
}
