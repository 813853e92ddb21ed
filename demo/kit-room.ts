import { newComponent, newSetup } from '../src/lib/setup/presets';
import type { ComponentForm, FillForm, SetupForm, SpoolForm } from '../src/lib/setup/form';
import type { WindingForm } from '../src/lib/inventory/winding';

/**
 * The kit room of a field centre on an island that does not exist. It lends reels for grayling, char
 * and sea-run char. Everything here is invented: measures plausible, makers none, people by their role.
 */
export interface DemoSpool {
	readonly form: SetupForm;
	/** A finished winding, if there was one. */
	readonly wound?: WindingForm;
	/** Steps already ticked on a job in hand. */
	readonly begun?: number;
}

const blank = newSetup();

interface Parts {
	line: ComponentForm;
	backing: ComponentForm;
	joint?: ComponentForm['joint'];
}

function setup(
	spool: Partial<SpoolForm>,
	{ line, backing, joint = 'loops', ...fill }: Parts & Partial<FillForm>
): SetupForm {
	const stack = [backing, { ...line, joint }];
	return { spool: { ...blank.spool, ...spool }, fill: { ...blank.fill, stack, ...fill } };
}

const line = (
	taper: 'WF' | 'DT' | 'L',
	number: number,
	density: 'F' | 'I' | 'S' = 'F',
	length = ''
): ComponentForm => ({
	...newComponent('line', 'line', { way: 'class', class: { taper, number, density } }),
	length
});

const measured = (rim: string, arbor: string, width: string, frame = ''): Partial<SpoolForm> => ({
	way: 'measured',
	rim,
	arbor,
	width,
	frame
});

const braid = (material: string): ComponentForm => ({
	...newComponent('backing', 'backing', { way: 'material', material, diameter: '' }),
	solve: true
});

export const KIT_ROOM: readonly DemoSpool[] = [
	{
		form: setup(
			{ name: 'Beck reel, grayling', ...measured('72 mm', '34 mm', '17.5 mm') },
			{ line: line('WF', 4), backing: braid('polyester-20'), gap: '4 mm' }
		),
		wound: {
			woundOn: '2026-03-14',
			turns: '389',
			depth: '13.1 mm',
			gap: '3.9 mm',
			note: 'Joint sits flat. The guide wants a brighter backing next time.',
			who: 'the warden'
		}
	},
	{
		form: setup(
			{ name: 'Beck reel, spare spool', ...measured('72 mm', '34 mm', '17.5 mm') },
			{ line: line('DT', 4), backing: braid('gel-spun-30'), gap: '3.5 mm', joint: 'nail' }
		),
		wound: {
			woundOn: '2026-03-14',
			turns: '338',
			depth: '17.2 mm',
			gap: '3.4 mm',
			note: '',
			who: 'the warden'
		}
	},
	{
		form: setup(
			{ name: 'Tarn reel A, char', ...measured('84 mm', '38 mm', '21 mm') },
			{ line: line('WF', 6), backing: braid('polyester-20'), gap: '4 mm' }
		),
		wound: {
			woundOn: '2026-04-02',
			turns: '905',
			depth: '12.0 mm',
			gap: '4.4 mm',
			note: 'Warden wound it by hand.',
			who: 'the warden'
		}
	},
	{
		form: setup(
			{ name: 'Tarn reel B, sinker', hand: 'right', ...measured('3 3/8 in', '1 5/8 in', '7/8 in') },
			{ line: line('WF', 6, 'S'), backing: braid('polyester-20'), gap: '5 mm', joint: 'nail' }
		),
		begun: 6
	},
	{
		form: setup(
			{
				name: 'Estuary reel, sea-run char',
				cage: 'closed',
				way: 'rated',
				ratings: [
					{ line: { taper: 'WF', number: 8, density: 'F' }, material: 'polyester-30', length: '150 yd' },
					{ line: { taper: 'WF', number: 9, density: 'F' }, material: 'polyester-30', length: '125 yd' }
				],
				rim: '98 mm',
				width: '26 mm'
			},
			{ line: line('WF', 8, 'I'), backing: braid('gel-spun-50'), gap: '5 mm', arborTurns: 3 }
		),
		wound: {
			woundOn: '2026-05-21',
			turns: '1380',
			depth: '10.9 mm',
			gap: '5.6 mm',
			note: 'Mono bed under the braid.',
			who: 'the warden'
		}
	},
	{
		form: {
			spool: {
				...blank.spool,
				name: 'Long rod, sea-run char',
				...measured('112 mm', '48 mm', '30 mm', '113 mm')
			},
			fill: {
				...blank.fill,
				stack: [
					{ ...braid('polyester-30'), colour: '#e4572e' },
					{ ...newComponent('running-line', 'running-line'), colour: '#7f9f86' },
					{
						...newComponent('head', 'head', {
							way: 'table',
							density: 'F',
							rows: [
								{ length: '18 ft', start: '1.9 mm', end: '1.9 mm' },
								{ length: '13 ft', start: '1.9 mm', end: '1.1 mm' }
							]
						}),
						note: 'Summer head'
					},
					newComponent('tip', 'tip')
				],
				swaps: [
					{
						id: 'swap-1',
						of: 'head',
						made: {
							way: 'table',
							density: 'I',
							rows: [
								{ length: '16 ft', start: '2.1 mm', end: '2.1 mm' },
								{ length: '12 ft', start: '2.1 mm', end: '1.2 mm' }
							]
						},
						length: '',
						note: 'Winter head'
					}
				],
				gap: '5 mm',
				leader: '9 ft'
			}
		}
	},
	{
		form: setup(
			{ name: 'Loan box, junior', ...measured('70 mm', '30 mm', '19 mm') },
			{ line: line('WF', 5, 'F', '25 yd'), backing: braid('polyester-20'), gap: '5 mm', winding: 'loose' }
		),
		wound: {
			woundOn: '2025-09-30',
			turns: '',
			depth: '',
			gap: '5 mm',
			note: 'Wound by a class; not counted.',
			who: 'the warden'
		}
	},
	{
		form: setup(
			{
				name: 'New arrival, boxed',
				way: 'rated',
				ratings: [
					{ line: { taper: 'WF', number: 7, density: 'F' }, material: 'polyester-20', length: '120 yd' }
				]
			},
			{ line: line('WF', 6), backing: braid('polyester-20') }
		)
	}
];

/** What the warden practised, and how it went: of three questions each. */
export const PRACTISED: readonly { readonly slug: string; readonly right: number; readonly on: string }[] = [
	{ slug: 'nail-knot', right: 2, on: '2026-10-04' },
	{ slug: 'overhand-arbor', right: 3, on: '2026-10-04' },
	{ slug: 'nail-knot', right: 3, on: '2026-10-12' },
	{ slug: 'loop-to-loop', right: 3, on: '2026-10-12' },
	{ slug: 'surgeons-loop', right: 1, on: '2026-11-02' }
];
/** The day the kit room is next wound. */
export const NEXT_SEASON = '2027-03-20';
