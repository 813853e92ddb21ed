import { matchMatrix, matchPair } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { lineForms, ownLines, ownSpools } from './match';
import type { SetupForm } from './form';
import { newComponent, newSetup, PRESETS } from './presets';
import { measured } from './testing';

const linesOf = (...forms: SetupForm[]) => ownLines(lineForms(forms.map(({ fill }) => fill)), 'yd-mm');
const spey = () => {
	const form = measured('112 mm', '44 mm', '32 mm');
	form.fill.stack = PRESETS.find(({ slug }) => slug === 'full-spey')!.stack();
	form.fill.swaps = [
		{
			id: 'swap-1',
			of: 'head',
			made: { way: 'class', class: { taper: 'WF', number: 9, density: 'I' } },
			length: '',
			note: 'Winter head'
		}
	];
	return form;
};

describe('all my lines', () => {
	it('are lines and heads, swaps too, each once', () => {
		const lines = linesOf(measured(), measured(), spey());
		expect(lines.map(({ short }) => short).sort()).toEqual(['WF5F', 'Winter head', 'head 600 gr']);
		expect(new Set(lines.map(({ key }) => key)).size).toBe(3);
	});
	it('one that cannot be read is left out', () => {
		const form = measured();
		form.fill.stack[1] = { ...newComponent('line', 'line'), length: '1 yd' };
		expect(linesOf(form)).toEqual([]);
	});
});

describe('all my spools', () => {
	it('are those that are known well enough', () => {
		const spools = ownSpools(
			[
				{ id: 'a', form: measured().spool },
				{ id: 'b', form: newSetup().spool },
				{ id: 'c', form: { ...measured().spool, arbor: '90 mm' } },
				{ id: 'd', form: { ...measured().spool, name: 'Named' } }
			],
			'yd-mm'
		);
		expect(spools.map(({ id, name }) => [id, name])).toEqual([
			['a', 'Unnamed spool'],
			['d', 'Named']
		]);
	});
});

describe('the matrix', () => {
	const spools = ownSpools(
		[
			{ id: 'small', form: measured('70 mm', '44 mm', '16 mm').spool },
			{ id: 'large', form: measured('112 mm', '44 mm', '32 mm').spool }
		],
		'yd-mm'
	).map(({ spool }) => spool);
	const lines = linesOf(measured(), spey());
	const backing = { diameterMm: 0.48, layEfficiency: 0.9 };
	const run = (gapMm: number) => {
		const running = matchMatrix(spools, lines, backing, gapMm);
		const seen: number[] = [];
		for (;;) {
			const step = running.next();
			if (step.done) return { rows: step.value, seen };
			seen.push(step.value);
		}
	};

	it('reports each spool as it is done, and is what each pair is alone', () => {
		const { rows, seen } = run(4);
		expect(seen).toEqual([1, 2]);
		rows.forEach((row, i) =>
			row.forEach((cell, j) => {
				const alone = matchPair(spools[i]!, lines[j]!, backing, 4);
				if (!alone.ok) throw new Error('no pair');
				expect(cell).toEqual({
					fits: alone.value.fits,
					backingMm: alone.value.solved!.lengthMm,
					gapMm: alone.value.gapMm,
					stopDepthMm: alone.value.solved!.stopDepthMm
				});
			})
		);
	});
	it('a spool that the gap leaves no room on has no cells', () => {
		expect(run(14).rows.map((row) => row.length)).toEqual([0, lines.length]);
	});
});
