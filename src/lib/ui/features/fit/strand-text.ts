import { ROLE_NAMES, withUnit, type LineClass } from '$lib/core';
import { newComponent } from '$lib/setup/presets';
import { lineLabel } from '$lib/wording/strands';
import type { Made } from '$lib/setup/form';
import type { Goes } from '$lib/inventory/swap';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

export const STRAND_ROLES = ['line', 'running-line', 'head', 'tip'] as const;
export type StrandRole = (typeof STRAND_ROLES)[number];

/**
 * A strand as it is typed in a few words: a line by its class, a running line by its diameter, a head or a tip by its
 * weight. Who knows more of it says so in Fit.
 */
export interface StrandText {
	readonly role: StrandRole;
	readonly line: LineClass;
	/** What is empty is as usual: for a line, as its class has it. */
	readonly length: string;
	readonly diameter: string;
	readonly weight: string;
	readonly called: string;
}

/** Common practice. */
export const USUAL: Record<StrandRole, Pick<StrandText, 'length' | 'diameter' | 'weight'>> = {
	line: { length: '', diameter: '', weight: '' },
	'running-line': { length: '100 ft', diameter: '0.9 mm', weight: '' },
	head: { length: '28 ft', diameter: '', weight: '420 gr' },
	tip: { length: '12 ft', diameter: '', weight: '80 gr' }
};

/** A strand of a role, to begin with. */
export const newStrand = (role: StrandRole): StrandText => ({
	role,
	line: { taper: 'WF', number: 5, density: 'F' },
	...USUAL[role],
	called: ''
});

/** What was typed, or what is usual. */
const given = (text: StrandText, field: keyof (typeof USUAL)['line']): string =>
	text[field].trim() || USUAL[text.role][field];

function madeOf(text: StrandText, units: UnitSystem): Made {
	const { role, line } = text;
	if (role === 'line') return { way: 'class', class: line };
	const { density } = line;
	if (role === 'running-line')
		return { way: 'level', density, diameter: withUnit(given(text, 'diameter'), smallUnit(units)) };
	return { way: 'grains', density, mass: withUnit(given(text, 'weight'), 'g') };
}

/** How it is called: as the person says, else by what is known of it. */
export function strandLabel(text: StrandText): string {
	const { role, line, called } = text;
	if (called.trim() !== '') return called.trim();
	if (role === 'line') return lineLabel(line);
	return `${given(text, role === 'running-line' ? 'diameter' : 'weight')} ${ROLE_NAMES[role]}`;
}

/** It as a component of a stack. */
export const componentOf = (text: StrandText, units: UnitSystem): Goes => ({
	...newComponent(text.role, text.role, madeOf(text, units)),
	length: withUnit(given(text, 'length'), longUnit(units)),
	// A line's class names it by itself.
	note: text.role === 'line' ? text.called.trim() : strandLabel(text)
});
