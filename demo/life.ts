import type { CareEvent } from '../src/lib/core';

type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at' | 'day'> : never;
type Happened = Part<CareEvent>;

/** What happened to what is on a spool after it was wound: to all of it, or to the line or the backing alone. */
export interface LifeOf {
	readonly spool: string;
	readonly events: readonly (readonly [day: string, of: 'all' | 'line' | 'backing', what: Happened])[];
}

const out = (days: number, water: 'fresh' | 'salt' = 'fresh'): Happened => ({ kind: 'fished', days, water });
const did = (kind: 'cleaned' | 'dressed' | 'rinsed' | 'turned' | 'loop-rebuilt'): Happened => ({ kind });
const test = (spins: number): Happened => ({ kind: 'loop-test', bightMm: 2000, spins });

/** A season in the kit room, invented like everything in it. */
export const LIFE: readonly LifeOf[] = [
	{
		spool: 'Beck reel, grayling',
		events: [
			['2026-03-22', 'all', out(3)],
			['2026-04-05', 'all', out(2)],
			['2026-04-06', 'line', did('cleaned')],
			['2026-05-03', 'all', out(4)],
			['2026-05-04', 'line', did('cleaned')],
			['2026-06-14', 'all', out(5)],
			['2026-06-15', 'line', test(1)],
			['2026-06-15', 'line', did('dressed')],
			['2026-07-19', 'all', out(4)],
			['2026-07-20', 'line', did('cleaned')],
			['2026-09-13', 'all', out(6)],
			['2026-09-14', 'line', test(2.5)],
			['2026-09-20', 'line', { kind: 'let-out', share: 0.9, shareSd: 0.08 }],
			['2026-10-11', 'all', out(3)]
		]
	},
	{
		spool: 'Beck reel, spare spool',
		events: [
			['2026-04-19', 'all', out(2)],
			['2026-05-17', 'all', out(4)],
			['2026-05-18', 'line', did('cleaned')],
			['2026-06-28', 'all', out(5)],
			['2026-06-29', 'line', test(-1)]
		]
	},
	{
		spool: 'Estuary reel, sea-run char',
		events: [
			['2026-06-07', 'all', out(3, 'salt')],
			['2026-06-07', 'backing', did('rinsed')],
			['2026-06-08', 'line', did('cleaned')],
			['2026-07-05', 'all', out(4, 'salt')],
			['2026-07-06', 'line', did('cleaned')],
			['2026-08-16', 'all', out(5, 'salt')],
			['2026-08-17', 'line', test(3)],
			['2026-08-17', 'backing', { kind: 'wetted', times: 2 }]
		]
	},
	{
		spool: 'Loan box, junior',
		events: [
			['2025-10-12', 'all', out(2)],
			['2026-04-12', 'all', out(8)],
			['2026-04-13', 'line', did('cleaned')],
			['2026-05-31', 'all', out(9)],
			['2026-06-01', 'line', did('loop-rebuilt')],
			['2026-06-01', 'line', { kind: 'shortened', byMm: 120 }],
			['2026-07-31', 'all', out(14)],
			['2026-08-01', 'line', did('turned')]
		]
	}
];

/** In the summer the spare spool got a line that sinks slowly; its floating one lies on a coil. */
export const SUMMER_SWAP = {
	spool: 'Beck reel, spare spool',
	on: { taper: 'WF', number: 4, density: 'I' } as const,
	called: 'slow sinker',
	coil: 'Floating, for the spring',
	day: '2026-07-04',
	gap: '7.7 mm',
	after: [
		['2026-07-26', 'all', out(4)],
		['2026-08-23', 'all', out(3)],
		['2026-08-24', 'line', did('cleaned')]
	] as LifeOf['events']
} as const;

/** A head that was never wound here: it lies in its tin until the long rod needs it. */
export const BROUGHT = {
	id: 'd0d0d0d0-2026-4214-8214-d0d0d0d0d0d0',
	component: {
		role: 'head',
		made: { way: 'weighed', class: { taper: 'L', number: 8, density: 'I' }, mass: '430 gr' },
		length: '36 ft',
		note: 'Spring head'
	},
	came: '2026-02-14',
	label: 'Tin with the blue lid',
	used: { days: 4, water: 'fresh' },
	at: Date.parse('2026-02-14T18:30:00Z')
} as const;
