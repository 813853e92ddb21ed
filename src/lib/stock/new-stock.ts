import { BACKING_MATERIALS } from '$lib/core';
import type { StockForm, StockKind } from './stock';

/** Something new on the shelf, before anybody has typed anything. */
export const newStock = (kind: StockKind): StockForm => ({
	kind,
	material: BACKING_MATERIALS[0]!.slug,
	line: { taper: 'WF', number: 6, density: 'F' },
	name: '',
	colour: '',
	length: '',
	diameter: '',
	rim: '',
	arbor: '',
	width: '',
	empty: '',
	boxes: '',
	few: '',
	fewBoxes: '',
	where: '',
	note: ''
});
