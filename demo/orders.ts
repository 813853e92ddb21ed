import type { OrderState } from '../src/lib/orders/order';
import type { SpoolForm } from '../src/lib/setup/form';

/** What the kit room winds for its guests in a season. Everything here is invented; guests go by their hut or their course. */
export interface DemoOrder {
	readonly who: string;
	/** Days from today on which it is due; undefined: no day was agreed. */
	readonly due?: number;
	readonly state: OrderState;
	readonly notes?: string;
	readonly price?: string;
	readonly reels: readonly {
		readonly wish: string;
		/** The guest's reel as the warden measured it: across the rims, across the arbor, between the flanges, mm. */
		readonly mm?: readonly [rim: number, arbor: number, width: number];
		readonly hand?: SpoolForm['hand'];
	}[];
}

export const ORDERS: readonly DemoOrder[] = [
	{
		who: 'Hut 1',
		due: -62,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF4F on my 4, left hand, 20 lb', mm: [70, 32, 18] }]
	},
	{
		who: 'Hut 3',
		due: -58,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF6F on my old 6, 20 lb polyester', mm: [84, 40, 21] }]
	},
	{
		who: 'Course, Monday',
		due: -55,
		state: 'handed-over',
		reels: [
			{ wish: 'WF5F on the first course reel, 20 lb', mm: [78, 36, 20] },
			{ wish: 'WF5F on the second course reel, 20 lb', mm: [78, 36, 20] }
		]
	},
	{
		who: 'Hut 7',
		due: -49,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF8F on my 8, right hand, 30 lb', mm: [95, 46, 24], hand: 'right' }]
	},
	{
		who: 'Hut 2',
		due: -44,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'DT5F on my 5, 20 lb', mm: [80, 30, 22] }]
	},
	{
		who: 'Boat house',
		due: -40,
		state: 'handed-over',
		reels: [{ wish: 'WF9I on the boat reel, gel-spun 50 lb', mm: [102, 52, 26] }]
	},
	{
		who: 'Hut 5',
		due: -33,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF7F on my 7, left hand, 30 lb', mm: [90, 44, 23] }]
	},
	{
		who: 'Hut 9',
		due: -28,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF6S on my 6, 20 lb', mm: [84, 40, 21] }]
	},
	{
		who: 'Hut 4',
		due: -20,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF5F on my 5, left hand, 20 lb, 5 mm gap', mm: [78, 36, 20] }]
	},
	{
		who: 'Course, Friday',
		due: -12,
		state: 'handed-over',
		reels: [{ wish: 'WF6F on the third course reel, 20 lb', mm: [84, 38, 21] }]
	},
	{
		who: 'Hut 6',
		due: -6,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'WF8I on my 8, right hand, 30 lb', mm: [95, 46, 24], hand: 'right' }]
	},
	{
		who: 'Hut 8',
		due: -3,
		state: 'handed-over',
		price: '6.00',
		reels: [{ wish: 'DT4F on my 4, 20 lb', mm: [70, 32, 18] }]
	},
	{
		who: 'Hut 2',
		due: 0,
		state: 'done',
		price: '6.00',
		reels: [{ wish: 'WF5F on the river reel, left hand, 20 lb', mm: [78, 36, 20] }]
	},
	{
		who: 'Hut 11',
		due: 1,
		state: 'done',
		price: '6.00',
		reels: [{ wish: 'WF7S on my 7, 30 lb', mm: [90, 44, 23] }]
	},
	{
		who: 'Boat house',
		due: 0,
		state: 'bench',
		notes: 'The skipper collects it at four.',
		reels: [{ wish: 'WF9F on the big boat reel, gel-spun 50 lb', mm: [104, 54, 26] }]
	},
	{
		who: 'Hut 3',
		due: 1,
		state: 'bench',
		price: '12.00',
		reels: [
			{ wish: 'WF6F on my first 6, 20 lb', mm: [84, 40, 21] },
			{ wish: 'WF6S on my second 6, 20 lb', mm: [84, 40, 21] }
		]
	},
	{
		who: 'Hut 10',
		due: -1,
		state: 'ready',
		price: '6.00',
		reels: [{ wish: 'WF4F on my brook reel, left hand, 20 lb', mm: [68, 32, 17] }]
	},
	{
		who: 'Hut 1',
		due: 0,
		state: 'ready',
		price: '6.00',
		reels: [{ wish: 'WF8F on my 8, left hand, 30 lb', mm: [95, 46, 24] }]
	},
	{
		who: 'Hut 12',
		due: 2,
		state: 'ready',
		price: '6.00',
		reels: [{ wish: 'WF5F on my new 5, right hand, 20 lb', mm: [80, 38, 20], hand: 'right' }]
	},
	{
		who: 'Course, Monday',
		due: 2,
		state: 'ready',
		reels: [
			{ wish: 'WF5F on the fourth course reel, 20 lb', mm: [78, 36, 20] },
			{ wish: 'WF5F on the fifth course reel, 20 lb', mm: [78, 36, 20] }
		]
	},
	{ who: 'Hut 5', due: 5, state: 'ready', reels: [{ wish: 'WF6F on the Loan box, junior, 20 lb' }] },
	{
		who: 'Hut 9',
		due: 4,
		state: 'waiting',
		notes: 'Gel-spun comes with the Thursday ferry.',
		reels: [{ wish: 'WF8S on my estuary 8, gel-spun 30 lb', mm: [96, 48, 24] }]
	},
	{
		who: 'Hut 4',
		due: 9,
		state: 'waiting',
		reels: [{ wish: '480 gr head 28 ft on my long reel, 30 lb', mm: [108, 56, 30] }]
	},
	{
		who: 'Hut 7',
		due: 3,
		state: 'taken-in',
		reels: [{ wish: 'WF6F on my 6, left hand, 20 lb, the usual knot' }]
	},
	{
		who: 'Hut 6',
		state: 'taken-in',
		notes: 'Asks whether 30 lb fits under it.',
		reels: [{ wish: '#7 floating on my salmon reel, 30 lb' }]
	}
];
