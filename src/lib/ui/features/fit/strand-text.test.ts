import { toMm } from '$lib/core';
import { readBrought } from '$lib/inventory/strands';
import { describe, expect, it } from 'vitest';
import { componentOf, newStrand, STRAND_ROLES, strandLabel, type StrandText } from './strand-text';

const read = (text: StrandText) => {
	const component = { ...componentOf(text, 'm-mm'), solve: false };
	return { component, kept: readBrought({ id: 'x', component }) };
};

describe('a strand in a few words', () => {
	it.each(STRAND_ROLES)('as it begins a %s makes sense', (role) => {
		const { kept } = read(newStrand(role));
		expect(kept).toMatchObject({ ok: true, value: { kind: role, label: strandLabel(newStrand(role)) } });
	});
	it('a number alone is in the units shown, a weight in grams', () => {
		const head = { ...newStrand('head'), length: '10', weight: '25' };
		expect(read(head).component).toMatchObject({ length: '10 m', made: { way: 'grains', mass: '25 g' } });
		expect(
			componentOf({ ...newStrand('running-line'), length: '30', diameter: '0.8' }, 'yd-in')
		).toMatchObject({ length: '30 yd', made: { way: 'level', diameter: '0.8 in' } });
	});
	it('what is left empty is as usual: a line as its class has it', () => {
		expect(read(newStrand('line')).kept).toMatchObject({ value: { lengthMm: toMm(30, 'yd') } });
		for (const role of STRAND_ROLES) {
			const bare = { ...newStrand(role), length: ' ', diameter: '', weight: '' };
			expect(componentOf(bare, 'm-mm')).toEqual(componentOf(newStrand(role), 'm-mm'));
		}
	});
	it('what makes no sense says where', () => {
		const paths = (text: StrandText) => {
			const { kept } = read(text);
			return kept.ok ? [] : kept.issues.map(({ path }) => path.at(-1));
		};
		expect(paths({ ...newStrand('tip'), weight: 'light' })).toEqual(['mass']);
		expect(paths({ ...newStrand('running-line'), diameter: 'thin' })).toEqual(['diameter']);
		expect(paths({ ...newStrand('line'), length: 'long' })).toEqual(['length']);
	});
	it('is called what it is called, else what is known of it', () => {
		expect(strandLabel({ ...newStrand('head'), called: ' winter head ' })).toBe('winter head');
		expect(strandLabel(newStrand('head'))).toBe('420 gr head');
		expect(strandLabel(newStrand('running-line'))).toBe('0.9 mm running line');
	});
});
