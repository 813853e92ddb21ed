import type { Role } from '$lib/core';
import { DEFAULT_UNITS, smallUnit, type UnitSystem } from '$lib/wording/units';
import type { ComponentForm, FillForm, Made, SetupForm, SpoolForm } from './form';

const WF5 = { taper: 'WF', number: 5, density: 'F' } as const;

/** The gap that is left unless somebody says otherwise: 4 mm, or the mark of a rule nearest to it. */
export const usualGap = (units: UnitSystem): string => (smallUnit(units) === 'in' ? '5/32 in' : '4 mm');

/** A component as the editor adds it. */
export function newComponent(id: string, role: Role, made: Made = usualMade(role)): ComponentForm {
	return {
		id,
		role,
		made,
		length: USUAL_LENGTH[role] ?? '',
		solve: false,
		joint: role === 'bed' || role === 'backing' ? 'double-uni' : 'loops',
		colour: '',
		note: ''
	};
}

/** Lengths to begin with, where a role has a usual one. Common practice. */
const USUAL_LENGTH: Partial<Record<Role, string>> = {
	bed: '8 ft',
	'running-line': '100 ft',
	head: '28 ft',
	tip: '12 ft',
	leader: '9 ft'
};

/** A table to begin with, where a head is known by its maker's. */
export const HEAD_TABLE = (density: 'F' | 'I' | 'S'): Extract<Made, { way: 'table' }> => ({
	way: 'table',
	density,
	rows: [
		{ length: '17 ft', start: '1.7 mm', end: '1.7 mm' },
		{ length: '11 ft', start: '1.7 mm', end: '1.1 mm' }
	]
});

/** What a component of a role is usually made of. Common practice. */
function usualMade(role: Role): Made {
	switch (role) {
		case 'bed':
			return { way: 'material', material: 'mono-20', diameter: '' };
		case 'backing':
			return { way: 'material', material: 'polyester-20', diameter: '' };
		case 'running-line':
			return { way: 'level', density: 'F', diameter: '0.9 mm' };
		case 'line':
			return { way: 'class', class: WF5 };
		case 'head':
			return { way: 'grains', density: 'F', mass: '420 gr' };
		case 'tip':
			return { way: 'grains', density: 'S', mass: '80 gr' };
		case 'leader':
			return { way: 'level', density: 'S', diameter: '0.45 mm' };
	}
}

export const NO_SPREADS: FillForm['spreads'] = {
	rim: '',
	arbor: '',
	width: '',
	depth: '',
	diameter: '',
	bulk: '',
	lay: ''
};

const backing = (): ComponentForm => ({ ...newComponent('backing', 'backing'), solve: true });

/** A new set-up: an ordinary #5 on a spool nobody has described yet. */
export const newSetup = (spool?: SpoolForm, units: UnitSystem = DEFAULT_UNITS): SetupForm => ({
	spool: spool ?? {
		name: '',
		hand: 'left',
		cage: 'open',
		way: 'rated',
		ratings: [{ line: WF5, material: 'polyester-20', length: '' }],
		allowance: 0.1,
		filled: { line: WF5, material: 'polyester-20', length: '', gap: '' },
		shape: 'straight',
		rim: '',
		arbor: '',
		width: '',
		low: '',
		floor: '',
		gear: '',
		frame: ''
	},
	fill: {
		stack: [backing(), newComponent('line', 'line')],
		swaps: [],
		gap: usualGap(units),
		winding: 'firm',
		lay: '',
		arborTurns: 2,
		leader: '9 ft',
		halfFit: '',
		reverseTurns: '',
		schools: {},
		spreads: NO_SPREADS
	}
});

export interface Preset {
	readonly slug: string;
	readonly label: string;
	readonly stack: () => ComponentForm[];
	readonly leader: string;
}

const withMade = (component: ComponentForm, made: Made, length = component.length): ComponentForm => ({
	...component,
	made,
	length
});
const line = (number: number, density: 'F' | 'I' | 'S' = 'F'): ComponentForm =>
	withMade(newComponent('line', 'line'), { way: 'class', class: { taper: 'WF', number, density } });
const braid = (material: string): ComponentForm =>
	withMade(backing(), { way: 'material', material, diameter: '' });
const bed = (): ComponentForm => newComponent('bed', 'bed');
const head = (mass: string, length: string): ComponentForm =>
	withMade(newComponent('head', 'head'), { way: 'grains', density: 'F', mass }, length);

/** Stacks to begin with. Lengths and diameters are ordinary ones, common practice; yours differ. */
export const PRESETS: readonly Preset[] = [
	{ slug: 'trout', label: 'Trout', leader: '9 ft', stack: () => [backing(), line(5)] },
	{ slug: 'big-river', label: 'Big river', leader: '9 ft', stack: () => [braid('polyester-30'), line(8)] },
	{
		slug: 'salt',
		label: 'Salt water',
		leader: '9 ft',
		stack: () => [bed(), braid('gel-spun-50'), line(9, 'I')]
	},
	{
		slug: 'switch',
		label: 'Switch',
		leader: '9 ft',
		stack: () => [
			braid('polyester-30'),
			newComponent('running-line', 'running-line'),
			head('420 gr', '24 ft')
		]
	},
	{
		slug: 'full-spey',
		label: 'Full spey',
		leader: '12 ft',
		stack: () => [
			braid('polyester-30'),
			newComponent('running-line', 'running-line'),
			head('600 gr', '30 ft'),
			newComponent('tip', 'tip')
		]
	},
	{
		slug: 'bed-under-braid',
		label: 'Bed under braid',
		leader: '6 ft',
		stack: () => [
			withMade(bed(), { way: 'material', material: 'mono-20', diameter: '' }, '60 yd'),
			braid('gel-spun-30'),
			withMade(newComponent('line', 'line'), { way: 'level', density: 'S', diameter: '0.7 mm' }, '50 yd')
		]
	}
];
