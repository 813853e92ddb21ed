import { describe, expect, it } from 'vitest';
import { codes, measured, worked } from './testing';
import { settleSetup } from './settle';
import { newComponent, PRESETS } from './presets';
import { SetupForm } from './form';
import { jobOf } from '$lib/bench/job';
import { type Workout } from './evaluate-form';

/** A measured set-up with its stack changed. */
const changed = (edit: (form: SetupForm) => void): SetupForm => {
	const form = measured();
	edit(form);
	return form;
};
const gap = (form: SetupForm): number => worked(form).fit.gapMm;
const stop = (form: SetupForm): number => worked(form).fit.solved!.stopDepthMm;

describe('ways to know the spool', () => {
	it('by what is on it now: the same line and backing come out again', () => {
		const form = changed(({ spool }) => {
			spool.way = 'filled';
			spool.filled = { ...spool.filled, length: '90 yd', gap: '6 mm' };
			[spool.rim, spool.width] = ['', ''];
		});
		form.fill.gap = '6 mm';
		expect(worked(form).fit.solved!.lengthMm / 914.4).toBeCloseTo(90, 6);
		const { low, high } = worked(form).estimate.ranges.lengthMm;
		const boxed = changed(({ spool, fill }) => {
			spool.way = 'rated';
			spool.ratings[0]!.length = '100 yd';
			[spool.rim, spool.width, fill.gap] = ['', '', '6 mm'];
		});
		const box = worked(boxed).estimate.ranges.lengthMm;
		expect(high - low).toBeLessThan(box.high - box.low);
	});
	it('dished: less room than straight; flared to the rim: more room above', () => {
		const dished = changed(({ spool }) =>
			Object.assign(spool, { shape: 'dished', arbor: '44 mm', low: '36 mm' })
		);
		const straight = changed(({ spool }) => (spool.arbor = '36 mm'));
		expect(worked(dished).fit.solved!.lengthMm).toBeLessThan(worked(straight).fit.solved!.lengthMm);
		expect(stop(dished)).toBeCloseTo(stop(straight), 6);
		const flared = changed(({ spool }) =>
			Object.assign(spool, { shape: 'flared', width: '26 mm', floor: '21 mm' })
		);
		expect(worked(flared).fit.solved!.lengthMm).toBeGreaterThan(worked(measured()).fit.solved!.lengthMm);
	});
	it('names the measure that is missing or contradicts', () => {
		expect(codes(changed(({ spool }) => (spool.shape = 'dished')))).toEqual(['spool.low: missing_value']);
		const upside = changed(({ spool }) => Object.assign(spool, { shape: 'dished', low: '50 mm' }));
		expect(codes(upside)).toEqual(['spool.arbor: profile_not_rising']);
	});
});

describe('a stack of any components', () => {
	it.each(PRESETS.map((preset) => [preset.slug, preset] as const))(
		'%s works out on a large reel',
		(_, preset) => {
			const form = measured('112 mm', '44 mm', '32 mm');
			form.fill.stack = preset.stack();
			form.fill.leader = preset.leader;
			const { fit, parts, stopIndex } = worked(form);
			expect(fit.fits).toBe(true);
			expect(parts[stopIndex]!.role).toBe('backing');
			expect(SetupForm.parse(settleSetup(form, 'yd-mm'))).toBeTruthy();
			expect(jobOf(form, worked(form)).plan.lineTurns).toBeGreaterThan(10);
		}
	);
	it('a bed takes its room from the backing, and order does not change the gap', () => {
		const bedded = changed(({ fill }) =>
			fill.stack.unshift({ ...newComponent('bed', 'bed'), length: '20 yd' })
		);
		expect(worked(bedded).fit.solved!.lengthMm).toBeLessThan(worked(measured()).fit.solved!.lengthMm);
		const given = (order: number[]) =>
			changed(({ fill }) => {
				const parts = [
					{ ...fill.stack[0]!, solve: false, length: '60 yd' },
					fill.stack[1]!,
					{ ...newComponent('tip', 'tip') }
				];
				fill.stack = order.map((i) => parts[i]!);
			});
		expect(gap(given([0, 1, 2]))).toBeCloseTo(gap(given([2, 0, 1])), 9);
	});
	it('two open lengths, or an open taper, are named', () => {
		const two = changed(({ fill }) => fill.stack.push({ ...newComponent('tip', 'tip'), solve: true }));
		expect(codes(two)).toEqual(['fill.stack.2.length: too_many_unknowns']);
		const taper = changed(({ fill }) => {
			fill.stack[0]!.solve = false;
			fill.stack[0]!.length = '50 yd';
			fill.stack[1]!.solve = true;
		});
		expect(codes(taper)).toEqual(['fill.stack.1.length: only_level_is_solved']);
	});
	it('a backing known by wraps on a rule or by its weight', () => {
		const by = (diameter: string): Workout =>
			worked(
				changed(({ fill }) => (fill.stack[0]!.made = { way: 'material', material: 'polyester-20', diameter }))
			);
		const diameter = ({ problem }: Workout): number => {
			const backing = problem.stack[0]!;
			return 'diameterMm' in backing ? backing.diameterMm : NaN;
		};
		expect(diameter(by('20 wraps in 11 mm'))).toBeCloseTo(0.55, 9);
		expect(diameter(by('2.5 g in 10 m'))).toBeCloseTo(Math.sqrt(10 / (Math.PI * 0.9 * 10)), 6);
		const span = ({ estimate }: Workout): number =>
			estimate.ranges.lengthMm.high - estimate.ranges.lengthMm.low;
		expect(span(by('20 wraps in 9.6 mm'))).toBeLessThan(span(by('0.48 mm')));
		expect(
			codes(
				changed(
					({ fill }) =>
						(fill.stack[0]!.made = {
							way: 'material',
							material: 'polyester-20',
							diameter: '20 wraps in 0 mm'
						})
				)
			)
		).toEqual(['fill.stack.0.made.diameter: unreadable_quantity']);
	});
	it('a line weighed whole takes the bulk of its weight', () => {
		const weighed = (mass: string): SetupForm =>
			changed(({ fill }) => {
				fill.stack[1]!.made = { way: 'weighed', class: { taper: 'WF', number: 5, density: 'F' }, mass };
			});
		const { stack } = worked(weighed('20 g'));
		const cm3 = stack[1]!.sections.reduce((sum, s) => {
			const [d0, d1] = [s.startDiameterMm, s.endDiameterMm];
			return sum + (Math.PI * s.lengthMm * (d0 * d0 + d0 * d1 + d1 * d1)) / 12_000;
		}, 0);
		expect(cm3).toBeCloseTo(20 / 0.88, 6);
		expect(codes(weighed('2 kg'))).toEqual(['fill.stack.1.made.mass: out_of_range']);
	});
	it('half-fit: the depth of the line alone and what its class says both count, the depth the more', () => {
		const known = (number: number, halfFit = '12.3 mm'): SetupForm =>
			changed(({ fill }) => {
				fill.stack[1] = newComponent('line', 'line', {
					way: 'class',
					class: { taper: 'WF', number, density: 'F' }
				});
				fill.halfFit = halfFit;
			});
		expect(worked(known(5)).halfFitted).toBe(true);
		const apart = (halfFit: string): number => stop(known(5, halfFit)) - stop(known(7, halfFit));
		expect(Math.abs(apart('12.3 mm'))).toBeLessThan(0.4 * Math.abs(apart('')));
		expect(codes(known(5, '19 mm'))).toEqual(['fill.halfFit: reading_contradicts']);
		const span = (form: SetupForm): number => {
			const { low, high } = worked(form).estimate.ranges.gapMm;
			return high - low;
		};
		expect(span(known(5))).toBeLessThan(0.8 * span(measured()));
		expect(codes(changed(({ fill }) => (fill.halfFit = '30 mm')))).toEqual([
			'fill.halfFit: depth_below_arbor'
		]);
	});
	it('reverse fill: the turns over the line give length and turns, whatever the thickness', () => {
		const rim = 42;
		// The same backing over the line instead of under it, from 12.3 mm below the rim to a gap of 4 mm.
		const [from, to] = [rim - 12.3, rim - 4];
		const turns = 880;
		const reversed = (diameter: string): Workout =>
			worked(
				changed(({ fill }) => {
					fill.halfFit = '12.3 mm';
					fill.reverseTurns = String(turns);
					fill.stack[0]!.made = { way: 'material', material: 'polyester-20', diameter };
				})
			);
		for (const diameter of ['0.48 mm', '0.42 mm'])
			expect(reversed(diameter).fit.solved!.lengthMm).toBeCloseTo(Math.PI * turns * (from + to), 3);
		const span = ({ estimate }: Workout): number =>
			estimate.ranges.lengthMm.high - estimate.ranges.lengthMm.low;
		expect(span(reversed(''))).toBeLessThan(0.6 * span(worked(measured())));
		const dense = changed(({ fill }) => Object.assign(fill, { halfFit: '12.3 mm', reverseTurns: '5000' }));
		expect(codes(dense)).toEqual(['fill.reverseTurns: turns_contradict']);
		const odd = changed(({ fill }) => Object.assign(fill, { halfFit: '12.3 mm', reverseTurns: 'many' }));
		expect(codes(odd)).toEqual(['fill.reverseTurns: unreadable_quantity']);
	});
	it('a swap is another gap over the same backing', () => {
		const form = changed(({ fill }) =>
			fill.swaps.push({
				id: 'winter',
				of: 'line',
				made: { way: 'class', class: { taper: 'WF', number: 7, density: 'F' } },
				length: '',
				note: 'winter line'
			})
		);
		const [swap] = worked(form).swaps;
		expect(swap).toMatchObject({ id: 'winter', index: 1, fits: true });
		expect(swap!.gapMm).toBeLessThan(4);
		expect(swap!.part.label).toBe('winter line');
	});
	it('spreads of one’s own: a share must be one', () => {
		const sure = changed(({ fill }) => (fill.spreads = { ...fill.spreads, rim: '0.1', lay: '2 %' }));
		expect(worked(sure).spreads).toMatchObject({ rimMm: 0.1, layShare: 0.02, widthMm: 0.4 });
		expect(codes(changed(({ fill }) => (fill.spreads = { ...fill.spreads, lay: 'much' })))).toEqual([
			'fill.spreads.lay: not_a_share'
		]);
	});
});
