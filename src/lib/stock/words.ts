import { showLong, showLongRange, type UnitSystem } from '$lib/wording/units';
import type { ToBuy } from './needs';
import type { StockEntry, StockEventKind } from './stock';
import { isBacking, whatName, whatShort } from './what';

/** What something on the shelf is called: as somebody named it, or by what it is. */
export const stockName = ({ form, what }: Pick<StockEntry, 'form' | 'what'>): string =>
	form.name.trim() || whatShort(what);

export const showBoxes = (boxes: number): string => (boxes === 1 ? '1 box' : `${boxes} boxes`);

/** How much is left, with its range where that is worth saying. */
export function showLeft({ leftMm, boxes }: Pick<StockEntry, 'leftMm' | 'boxes'>, units: UnitSystem): string {
	if (!leftMm) return showBoxes(boxes ?? 0);
	const { value, range } = leftMm;
	const [shown, between] = [showLong(value, units), showLongRange(range.low, range.high, units)];
	return between === shown ? shown : `about ${shown} (${between})`;
}

/** An amount of one kind. */
export const showAmount = (what: string, amount: number, units: UnitSystem): string =>
	isBacking(what) ? showLong(amount, units) : showBoxes(amount);

/** What is asked of each kind of entry, what its amount is, how it is undone, and what is said then. */
interface EventWords {
	readonly label: string;
	readonly amount: string;
	readonly undo: string;
	readonly undone: string;
}
export const EVENT_NAMES: Readonly<Record<StockEventKind, EventWords>> = {
	cut: {
		label: 'Backing was cut off',
		amount: 'Length that was cut',
		undo: 'Put this cut back',
		undone: 'The cut is back on its spool.'
	},
	weighed: {
		label: 'The spool was weighed',
		amount: 'Weight, spool and backing',
		undo: 'Strike out this weight',
		undone: 'The weight is struck out.'
	},
	depth: {
		label: 'The depth was read',
		amount: 'Rim down to the backing',
		undo: 'Strike out this depth',
		undone: 'The depth is struck out.'
	},
	length: {
		label: 'What is left was measured',
		amount: 'Length that is left',
		undo: 'Strike out this length',
		undone: 'The length is struck out.'
	},
	came: {
		label: 'Boxes came',
		amount: 'Boxes that came',
		undo: 'Undo this delivery',
		undone: 'The delivery is undone.'
	},
	took: {
		label: 'Boxes were taken',
		amount: 'Boxes that were taken',
		undo: 'Put this back',
		undone: 'The line is back in the stock.'
	},
	counted: {
		label: 'Boxes were counted',
		amount: 'Boxes that are there',
		undo: 'Strike out this count',
		undone: 'The count is struck out.'
	}
};

const WHY: Readonly<Record<Exclude<ToBuy['why'], 'orders'>, string>> = {
	low: 'little is left',
	care: 'may be needed after a check in the next month'
};

/** Why a line is on the shopping list. */
export const whyToBuy = ({ why, numbers }: ToBuy): string =>
	why === 'orders' ? `for ${numbers.length === 1 ? 'order' : 'orders'} ${numbers.join(', ')}` : WHY[why];

/** The shopping list as text: a line each. */
export const shoppingText = (list: readonly ToBuy[], units: UnitSystem): string =>
	list
		.map(
			(line) =>
				`${showAmount(line.what, line.amount, units)}${isBacking(line.what) ? ' in one piece' : ''}: ${whatName(line.what)}, ${whyToBuy(line)}`
		)
		.join('\n');
