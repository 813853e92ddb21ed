import { careState, dayOf, type Strand } from '$lib/core';
import { newComponent } from '$lib/setup/presets';
import { describe, expect, it } from 'vitest';
import { coilLabel, sectionsOf } from './coil-label';

const LINE: Strand = {
	id: 's:line',
	kind: 'line',
	label: 'Floating 6',
	lengthMm: 27_432,
	doubleTaper: false
};

describe('the label of a coil', () => {
	const state = careState(LINE, [
		{ id: 'a', at: 0, day: dayOf('2026-04-01'), kind: 'moved', to: { on: 'coil', label: 'box' } },
		{ id: 't', at: 9, day: dayOf('2026-05-02'), kind: 'loop-test', bightMm: 2000, spins: -2 }
	]);
	it('says what it is, which end comes first, its twist and hand, and since when it is on the coil', () => {
		const label = coilLabel(LINE, state, 'yd-mm');
		expect(label.name).toBe('Floating 6');
		expect(label.lines.slice(0, 3)).toEqual(['line, 30 yd', 'rear end first', 'box']);
		expect(label.foot).toMatch(/^1 Apr 2026; twist \d\.\d a metre left$/);
	});
	it('backing has neither a rear end nor a twist worth saying', () => {
		const label = coilLabel({ ...LINE, kind: 'backing' }, state, 'm-mm');
		expect(label.lines[0]).toBe('backing, 27 m');
		expect([...label.lines, label.foot].join()).not.toMatch(/rear|twist/);
	});
	it('is drawn as it is made: a taper as its taper, backing level', () => {
		const line = sectionsOf(newComponent('line', 'line'), 27_432);
		expect(line.length).toBeGreaterThan(2);
		const backing = sectionsOf({ ...newComponent('b', 'backing'), solve: true }, 90_000);
		expect(backing).toMatchObject([{ lengthMm: 90_000 }]);
	});
});
