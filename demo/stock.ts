import type { AddStockEvent, StockForm } from '../src/lib/stock/stock';
import { newStock } from '../src/lib/stock/new-stock';

/** Something on the kit room's shelf, and what the warden wrote down about it: days before today, and amounts. Everything is invented. */
export interface DemoStock {
	readonly form: StockForm;
	readonly events?: readonly (readonly [
		daysAgo: number,
		kind: AddStockEvent['kind'],
		amount: string,
		places?: number
	])[];
}

type Size = readonly [rim: number, arbor: number, width: number, emptyG: number];
const LARGE: Size = [104, 40, 40, 58];
const WIDE: Size = [116, 42, 44, 72];
const MEDIUM: Size = [80, 35, 36, 34];
const SMALL: Size = [70, 30, 30, 26];

const bulk = (
	material: string,
	name: string,
	length: string,
	[rim, arbor, width, empty]: Size,
	colour: string,
	more: Partial<StockForm> = {}
): StockForm => ({
	...newStock('bulk'),
	material,
	name,
	length,
	rim: `${rim} mm`,
	arbor: `${arbor} mm`,
	width: `${width} mm`,
	empty: `${empty} g`,
	colour,
	...more
});
const end = (material: string, name: string, length: string, colour: string): StockForm => ({
	...newStock('end'),
	material,
	name,
	length,
	colour,
	where: 'tin by the window'
});
const boxed = (taper: 'WF' | 'DT', number: number, density: 'F' | 'S' | 'I', boxes: number): StockForm => ({
	...newStock('boxed'),
	line: { taper, number, density },
	boxes: String(boxes),
	fewBoxes: '2',
	where: 'line cupboard'
});

const ORANGE = '#d9772b';
const WHITE = '#d8d4c4';
const CHARTREUSE = '#a9b82f';
const BLUE = '#4f7d99';

export const STOCK: readonly DemoStock[] = [
	{
		form: bulk('polyester-20', 'Orange, shelf 1', '1000 m', LARGE, ORANGE, {
			few: '300 m',
			where: 'shelf 1'
		}),
		events: [
			[64, 'cut', '130 m'],
			[60, 'weighed', '193 g']
		]
	},
	{ form: bulk('polyester-20', 'Orange, new', '1000 m', LARGE, ORANGE, { where: 'store' }) },
	{
		form: bulk('polyester-20', 'White', '500 m', MEDIUM, WHITE, { where: 'shelf 1' }),
		events: [
			[40, 'cut', '160 m'],
			[22, 'cut', '95 m']
		]
	},
	{
		form: bulk('polyester-20', 'Chartreuse', '500 m', MEDIUM, CHARTREUSE, { where: 'shelf 1' }),
		events: [[18, 'cut', '210 m']]
	},
	{ form: bulk('polyester-30', 'Orange thirty', '1000 m', WIDE, ORANGE, { few: '300 m', where: 'shelf 2' }) },
	{
		form: bulk('polyester-30', 'White thirty', '500 m', LARGE, WHITE, { where: 'shelf 2' }),
		events: [
			[50, 'cut', '180 m'],
			[31, 'cut', '140 m']
		]
	},
	{
		form: bulk('polyester-30', 'Thirty, nobody knows', '', LARGE, BLUE, {
			where: 'shelf 2',
			note: 'Came with the old kit room. No label.'
		}),
		events: [[15, 'depth', '14 mm', 3]]
	},
	{
		form: bulk('gel-spun-30', 'Thin white', '500 m', SMALL, WHITE, { few: '250 m', where: 'drawer' }),
		events: [[44, 'cut', '240 m']]
	},
	{ form: bulk('gel-spun-50', 'Boat spool', '1000 m', MEDIUM, BLUE, { where: 'boat house' }) },
	{
		form: bulk('gel-spun-50', 'Boat spool, spare', '1000 m', MEDIUM, BLUE, { where: 'store' }),
		events: [[2, 'weighed', '111 g']]
	},
	{
		form: bulk('gel-spun-65', 'Estuary spool', '500 m', SMALL, CHARTREUSE, { where: 'drawer' }),
		events: [[2, 'weighed', '78 g']]
	},
	{ form: bulk('mono-20', 'Bed', '300 m', SMALL, WHITE, { where: 'drawer' }) },
	{ form: end('polyester-20', 'Orange end', '96 m', ORANGE) },
	{ form: end('polyester-20', 'White end', '38 m', WHITE) },
	{ form: end('polyester-20', 'Chartreuse end', '71 m', CHARTREUSE) },
	{ form: end('polyester-30', 'Thirty end', '64 m', ORANGE) },
	{ form: end('gel-spun-50', 'Boat end', '52 m', BLUE) },
	{ form: boxed('WF', 5, 'F', 6), events: [[30, 'came', '2']] },
	{ form: boxed('WF', 6, 'F', 4), events: [[8, 'counted', '3']] },
	{ form: boxed('WF', 8, 'F', 2) },
	{ form: boxed('WF', 6, 'S', 3) },
	{ form: boxed('DT', 5, 'F', 1) }
];
